// How well the name of a column speaks of another table's key: by the table's words, by its key's, by
// a role before them, by abbreviations, or by the part that people play.

import type { Table } from '../../catalogue/model';
import { initialsOf, isContracted, shortFor } from '../../naming/abbreviations';
import { knownTails as tails, type Stem, stemOf } from '../../naming/affixes';
import { endsWith } from '../../naming/words';

export interface Likeness {
  /** 0 to 1. */
  readonly score: number;
  readonly reason: string;
}

/** A name taken apart for comparison. */
export interface NamedKey {
  readonly table: Table;
  readonly tableWords: readonly string[];
  /** The same without a module's prefix. */
  readonly subjectWords: readonly string[];
  readonly keyWords: readonly string[];
  /** The same with what all columns of its table begin with. */
  readonly wholeWords: readonly string[];
  /** The key column's name. */
  readonly key: string;
  readonly primary: boolean;
}

/** Words for tables of people, who play parts: an owner, an author. */
export const peopleTables = new Set([
  'user',
  'person',
  'people',
  'employee',
  'staff',
  'member',
  'account',
  'contact',
  'customer',
  'agent',
  'operator',
  'worker',
  'player',
  'author',
  'profile',
  ...'benutzer anwender mitarbeiter kunde konto personne utilisateur employe client compte usuario persona empleado cliente cuenta utente gebruiker medewerker klant'.split(
    ' ',
  ),
]);
const roles = new Set(
  `owner author creator created creater by user assignee assigned manager mngr mgr leader lead supervisor reviewer approver editor modifier modified updated updater
  submitter reporter sender recipient requester requestor responsible rep member person contact customer employee operator officer starter changed
  approved assigned signed granted entered done reviewed closed opened locked started issued written posted inspector author driver pilot
  von par por door da angelegt cree creado besitzer proprietaire`.split(/\s+/),
);
const selfRoles = new Set(
  `parent previous prev next superseded supersede superseder replace replaced replaces master root successor predecessor lead original origin head main base
  clone cloned copy duplicate blocked blocker template super upper above top reply thread source merged child linked related prior old new orig template`.split(
    /\s+/,
  ),
);

/** True of words for a part that somebody plays. */
export function namesARole(stem: readonly string[]): boolean {
  return stem.some((word) => roles.has(word));
}

/** A column as its name is compared. */
export interface NamedColumn {
  readonly table: Table;
  /** The words of its table's name, which it need not repeat: `type_id` of order is its order type. */
  readonly tableWords: readonly string[];
  readonly name: string;
  readonly words: readonly string[];
  /** The words without what only says that they refer. */
  readonly stem: Stem;
}

/** Null when nothing in the name points to the key. */
export function likenessOf(column: NamedColumn, key: NamedKey): Likeness | null {
  const self = column.table.id === key.table.id;
  const found = self ? selfLikeness(column, key) : byKey(column, key);
  const table = byTable(column, key, self);
  if (!found) return table;
  return table && table.score > found.score ? table : found;
}

function byKey(named: NamedColumn, key: NamedKey): Likeness | null {
  const { name: column, words: own } = named;
  const { table, tableWords, keyWords, wholeWords, primary } = key;
  // With what all columns of its table begin with, a key says whose it is.
  if (wholeWords.length > keyWords.length && endsWith(own, wholeWords))
    return {
      score: own.length === wholeWords.length ? 0.97 : 0.87,
      reason: `${column} ${own.length === wholeWords.length ? 'has' : 'is a role before'} the name of the key of ${table.name}`,
    };
  const { stem, affix: tail } = stemOf(keyWords);
  const telling = keyWords.length > 1 || !tails.has(keyWords[0] ?? '');
  if (!telling || keyWords.length === 0) return null;
  if (own.length === 1 && keyWords.length === 1 && tails.has(own[0] ?? '')) return null;
  if (sameWords(own, keyWords)) {
    // A key whose name says nothing of its table (name, external_no) is met everywhere.
    const speaks = stem.some((word) => tableWords.some((other) => shortFor(word, other) > 0));
    const spelt = column.toLowerCase() === key.key.toLowerCase() ? 0 : 0.08;
    const score = (speaks ? 0.95 : !primary ? 0.35 : tail === null ? 0.6 : 0.85) - spelt;
    return {
      score,
      reason: `${column} has the name of the key of ${table.name}${speaks ? '' : ', which does not say whose it is'}`,
    };
  }
  if (endsWith(own, keyWords) && own.length > keyWords.length && tail !== null)
    return { score: 0.85, reason: `${column} is a role before the name of the key of ${table.name}` };
  return null;
}

function byTable(
  { name: column, words, stem: { stem, affix, before }, tableWords: context }: NamedColumn,
  key: NamedKey,
  self: boolean,
): Likeness | null {
  const { table, tableWords, subjectWords, keyWords } = key;
  const keyTail = stemOf(keyWords.length > 1 ? keyWords : ['', ...keyWords]).affix ?? keyWords.at(-1) ?? '';
  const fitting = affix === null ? 0.88 : before || affix === keyTail ? 1 : 0.9;
  const around = self ? [] : context;
  const lying = [
    align(stem, tableWords, around),
    subjectWords === tableWords ? null : shared(align(stem, subjectWords, around), 0.96),
    // The whole name may be a table's, `code` and all.
    affix === null ? null : shared(align(words, tableWords, around), 0.95),
    before ? shared(leading(stem, tableWords), 0.9) : null,
    before && subjectWords !== tableWords ? shared(leading(stem, subjectWords), 0.88) : null,
  ].flatMap((found) => found ?? []);
  const [aligned] = lying.sort((a, b) => b.score - a.score);
  if (aligned && aligned.score > 0) {
    // A row of the same table is meant only where a role says so.
    if (self && aligned.role.length === 0) return null;
    return { score: aligned.score * fitting, reason: `${column} ${aligned.reason} ${table.name}` };
  }
  if (peopleTables.has(tableWords.at(-1) ?? '') && namesARole(stem) && tableWords.length <= 2 && !self) {
    const score = tableWords.length === 1 ? 0.6 : 0.45;
    return { score: score * fitting, reason: `${column} names a part that somebody in ${table.name} plays` };
  }
  return null;
}

/** `company_operator` for company, where the role comes last: only behind a word that says that the name refers. */
function leading(stem: readonly string[], target: readonly string[]): Alignment | null {
  if (stem.length <= target.length) return null;
  const score = Math.min(...target.map((word, i) => shortFor(stem[i] ?? '', word)));
  return score > 0 ? { score, role: stem.slice(target.length), reason: 'names, with a role behind,' } : null;
}

function shared(alignment: Alignment | null, share: number): Alignment | null {
  return alignment && { ...alignment, score: alignment.score * share };
}

interface Alignment {
  readonly score: number;
  readonly role: readonly string[];
  readonly reason: string;
}

/** How the words of a column's stem lie on the words of a table, role words before them left out. */
function align(stem: readonly string[], target: readonly string[], context: readonly string[]): Alignment | null {
  const whole = tailMatch(stem, target);
  if (whole > 0) {
    const role = stem.slice(0, stem.length - target.length);
    const score = (role.length === 0 ? 0.97 : 0.87) * whole;
    return { score, role, reason: role.length === 0 ? 'names' : 'is a role before the name of' };
  }
  if (target.length < 2) return null;
  // By its last words: `category` for feed_category, with or without a role before.
  for (let length = target.length - 1; length >= 1; length--) {
    const last = tailMatch(stem, target.slice(-length));
    if (last === 0) continue;
    const role = stem.slice(0, stem.length - length);
    const share = length / target.length;
    const firstWords = target.slice(0, -length);
    // The words that are missing may stand elsewhere in the stem.
    const spoken = firstWords.some((word) => role.some((other) => shortFor(other, word) > 0));
    const implied = firstWords.every((word) => context.includes(word));
    const score = (0.5 + 0.32 * share + (implied ? 0.14 : 0)) * last * (role.length === 0 || spoken ? 1 : 0.78);
    return { score, role, reason: 'speaks of the last word of' };
  }
  if (stem.length === 1 && isContracted(stem[0] ?? '', target))
    return { score: 0.75, role: [], reason: 'is made of the beginnings of' };
  // All words are there in another order: `parent_group` for group_parent.
  if (stem.length >= 2 && stem.every((word) => target.some((other) => shortFor(word, other) >= 0.85)))
    return { score: 0.4 + 0.4 * (stem.length / target.length), role: [], reason: 'has the words of' };
  if (stem.length === 1 && (stem[0] ?? '').length >= 2 && stem[0] === initialsOf(target))
    return { score: 0.55, role: [], reason: 'has the initials of' };
  const first = stem.length === 1 ? shortFor(stem[0] ?? '', target[0] ?? '') : 0;
  if (first > 0) return { score: 0.34 * first, role: [], reason: 'speaks of the first word of' };
  return null;
}

// The target's words at the end of the stem, each the same or short for it; weakest of them, 0 when they are not there.
function tailMatch(stem: readonly string[], target: readonly string[]): number {
  if (target.length > stem.length) return 0;
  const from = stem.length - target.length;
  return Math.min(...target.map((word, i) => shortFor(stem[from + i] ?? '', word)));
}

function selfLikeness(
  { name: column, words: own, stem: { stem, affix: tail } }: NamedColumn,
  { table, tableWords, keyWords, key }: NamedKey,
): Likeness | null {
  if (column === key) return null;
  const speaks = stem.some((word) => selfRoles.has(word));
  if (!speaks) return null;
  const named = endsWith(own, keyWords) && keyWords.length > 1;
  const about = tableWords.some((word) => stem.some((other) => shortFor(other, word) >= 0.7));
  const score = named || about ? 0.85 : tail === null ? 0.4 : 0.6;
  return { score, reason: `${column} names another row of ${table.name}` };
}

function sameWords(a: readonly string[], b: readonly string[]): boolean {
  return a.length === b.length && endsWith(a, b);
}
