import type { NameRules } from '../engineFacts';
import { quoteAsText } from './quote';

/** Bytes: NAMEDATALEN - 1. */
const longestName = 63;

/** A name as long as the server keeps it. */
export function shorten(name: string, limit = longestName): string {
  let short = name;
  while (bytesOf(short) > limit) short = Array.from(short).slice(0, -1).join('');
  return short;
}

function bytesOf(text: string): number {
  return Array.from(text).reduce((total, character) => {
    const code = character.codePointAt(0) ?? 0;
    return total + (code < 0x80 ? 1 : code < 0x800 ? 2 : code < 0x10000 ? 3 : 4);
  }, 0);
}

// Manual, appendix C: key words that PostgreSQL reserves, those that may still name a function or type among them.
const reserved = new Set(
  (
    'all analyse analyze and any array as asc asymmetric authorization binary both case cast ' +
    'check collate collation column concurrently constraint create cross current_catalog current_date current_role current_schema current_time current_timestamp ' +
    'current_user default deferrable desc distinct do else end except false fetch for foreign freeze ' +
    'from full grant group having ilike in initially inner intersect into is isnull join ' +
    'lateral leading left like limit localtime localtimestamp natural not notnull null offset on only ' +
    'or order outer overlaps placing primary references returning right select session_user similar some symmetric ' +
    'system_user table tablesample then to trailing true union unique user using variadic verbose when ' +
    'where window with'
  ).split(' '),
);

export const names: NameRules = {
  shorten: (name, room = 0) => shorten(name, longestName - room),
  scopeOf: () => 'schema',
  // The server tells case apart, people do not.
  fold: (name) => name.toLowerCase(),
  bare: /^[a-z_][a-z0-9_$]*$/,
  quotes: [['"', '"']],
  reserved,
  spelt: quoteAsText,
  // Manual, "CREATE TABLE": what a constraint is called that nobody names.
  templates: {
    'primary key': '{table}_pkey',
    unique: '{table}_{columns}_key',
    'foreign key': '{table}_{columns}_fkey',
    check: '{table}_{columns}_check',
    exclusion: '{table}_{columns}_excl',
    // From PostgreSQL 18 on.
    'not null': '{table}_{columns}_not_null',
    index: '{table}_{columns}_idx',
    sequence: '{table}_{columns}_seq',
    // Those that check references.
    trigger: 'RI_ConstraintTrigger_{n}',
  },
  checkOfSeveral: '{table}_check',
};
