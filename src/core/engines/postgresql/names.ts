import type { NameRules } from '../engine';

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

export const names: NameRules = {
  shorten: (name, room = 0) => shorten(name, longestName - room),
  // Manual, "CREATE TABLE": what a constraint is called that nobody names.
  templates: {
    'primary key': '{table}_pkey',
    unique: '{table}_{columns}_key',
    'foreign key': '{table}_{columns}_fkey',
    check: '{table}_{columns}_check',
    exclusion: '{table}_{columns}_excl',
    index: '{table}_{columns}_idx',
  },
  checkOfSeveral: '{table}_check',
};
