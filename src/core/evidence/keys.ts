// Candidate keys: minimal column sets that identify a row. A sample falsifies most (combinations.ts),
// the database verifies the best of what is left, and they are ranked as an administrator would. What
// is unique in small data may be so by chance: a set counts for more the more repeats there would
// have been to expect if its columns had nothing to do with each other.

import type { TableId } from '../catalogue/identifiers';
import { declaredUniques, foreignKeysOf, heirsOf, primaryKeyOf, sameColumnSet } from '../catalogue/lookups';
import type { Catalogue, Column, Table } from '../catalogue/model';
import { namesADescription, namesAMeasure, namesAnIdentifier, namesAnOrdinal } from '../naming/meaning';
import { type Vocabulary, vocabularyOf } from '../naming/vocabulary';
import { endsWith } from '../naming/words';
import { type Evidence, type How, sampleOf, uniquenessOf, wasAsked } from './evidence';
import type { Depth, RepeatsRequest } from './requests';
import type { Sample } from './sample';
import { isTooWide } from './widths';

export interface KeyCandidate {
  readonly columns: readonly string[];
  readonly how: How;
  /** Rows with a null in it: such a set can be unique, but not a primary key. */
  readonly nullRows: number;
  /** Larger is better; above zero it is worth proposing. */
  readonly score: number;
  /** What speaks for and against it, in words. */
  readonly reasons: readonly string[];
}

/** A table that refers to another, and so repeats its key. */
export interface KeyChild {
  readonly table: string;
  /** As the server estimates; null when it never counted. */
  readonly rows: number | null;
}

/** Wider sets cost most to verify and are rarely right: only the best few are asked about. */
const compositesVerified = 3;
const singlesVerified = 12;
/** Below it a key is no better than a number of our own. */
const leastScore = -1.1;

/** The column sets of a table without a primary key whose uniqueness should be verified next. */
export function keyQuestions(catalogue: Catalogue, table: Table, evidence: Evidence, depth: Depth): readonly RepeatsRequest[] {
  const sample = sampleOf(evidence, table.id);
  if (depth !== 'exact' || !sample || sample.how.kind === 'exact') return [];
  const ranked = sample.result.uniques
    .map((columns) => ({ columns, score: rank(catalogue, table, columns, sample.result).score }))
    .sort((a, b) => b.score - a.score);
  const singles = ranked.filter(({ columns, score }) => columns.length === 1 && score > leastScore).slice(0, singlesVerified);
  const open = unasked(singles);
  if (open.length > 0) return open;
  // A single column that holds and is any good makes wider sets pointless.
  if (candidateKeys(catalogue, table, evidence).some((key) => key.columns.length === 1 && key.score > 0 && key.nullRows === 0))
    return [];
  return unasked(ranked.filter(({ columns, score }) => columns.length > 1 && score > -1).slice(0, compositesVerified));

  function unasked(sets: readonly { readonly columns: readonly string[] }[]): readonly RepeatsRequest[] {
    return sets
      .map(({ columns }): RepeatsRequest => ({ kind: 'repeats', table: table.id, columns }))
      .filter((request) => !wasAsked(evidence, request));
  }
}

const kept = new WeakMap<Evidence, Map<TableId, readonly KeyCandidate[]>>();

/** The candidate keys that the evidence supports, best first; declared ones are among them. */
export function candidateKeys(catalogue: Catalogue, table: Table, evidence: Evidence): readonly KeyCandidate[] {
  let known = kept.get(evidence);
  if (!known) kept.set(evidence, (known = new Map<TableId, readonly KeyCandidate[]>()));
  let found = known.get(table.id);
  if (!found) known.set(table.id, (found = findKeys(catalogue, table, evidence)));
  return found;
}

function findKeys(catalogue: Catalogue, table: Table, evidence: Evidence): readonly KeyCandidate[] {
  const sample = sampleOf(evidence, table.id);
  if (!sample) return [];
  if (sample.result.rows < 2) return byNameAlone(catalogue, table, sample.how);
  const sets = distinctSets([...declaredUniques(table), ...sample.result.uniques]);
  return sets
    .filter((columns) => !isTooWide(evidence, table.id, columns))
    .flatMap((unique): KeyCandidate[] => {
      const known = uniquenessOf(evidence, table.id, unique);
      if (known.kind !== 'unique' || (unique.length > 1 && !isSettled(sample.how, known.how))) return [];
      const columns = withSplit(table, unique);
      return columns === null
        ? []
        : [{ columns, how: known.how, nullRows: known.nullRows, ...rank(catalogue, table, columns, sample.result) }];
    })
    .sort((a, b) => b.score - a.score || a.columns.length - b.columns.length);
}

// The key of a partitioned table has to hold what it is split by; null when expressions split it.
function withSplit({ kind, splitBy }: Table, columns: readonly string[]): readonly string[] | null {
  if (kind !== 'partitioned') return columns;
  return splitBy ? [...columns, ...splitBy.filter((column) => !columns.includes(column))] : null;
}

// Where there are no rows to tell, a name can.
function byNameAlone(catalogue: Catalogue, table: Table, how: How): readonly KeyCandidate[] {
  const vocabulary = vocabularyOf(catalogue);
  return table.columns
    .filter((column, i) => column.comparable && (i === 0 || numbersItself(column)) && isOwnId(vocabulary, table, column.name))
    .slice(0, 1)
    .map(({ name }) => ({
      columns: [name],
      how,
      nullRows: 0,
      score: 0.4,
      reasons: [`${name} is named as the table's own identifier`, 'there are no rows to tell'],
    }));
}

// In a sample of a large table many wide sets are unique that are not so in the whole: only a verified one counts.
function isSettled(sampled: How, known: How): boolean {
  return sampled.kind !== 'sample' || known.kind === 'exact';
}

function distinctSets(sets: readonly (readonly string[])[]): readonly (readonly string[])[] {
  return sets.filter((columns, i) => sets.findIndex((other) => sameColumnSet(other, columns)) === i);
}

/** True when asking the database again would tell nothing new at this depth. */
export function settled(evidence: Evidence, table: TableId, columns: readonly string[], depth: Depth): boolean {
  if (wasAsked(evidence, { kind: 'repeats', table, columns })) return true;
  const known = uniquenessOf(evidence, table, columns);
  return known.kind === 'repeats' || (known.kind === 'unique' && (depth === 'sampled' || known.how.kind === 'exact'));
}

/**
 * How many pairs of rows would have agreed in all of these columns if the columns had nothing to do
 * with each other. Zero repeats where many were to be expected are no chance.
 */
export function expectedRepeats(sample: Sample, columns: readonly string[]): number {
  const pairs = (sample.rows * (sample.rows - 1)) / 2;
  return columns.reduce((expected, name) => expected * (sample.columns[name]?.agreement ?? 1), pairs);
}

function rank(
  catalogue: Catalogue,
  table: Table,
  columns: readonly string[],
  sample: Sample,
): { readonly score: number; readonly reasons: readonly string[] } {
  const vocabulary = vocabularyOf(catalogue);
  const reasons: string[] = [];
  let score = 0;
  const weigh = (weight: number, reason: string): void => {
    score += weight;
    reasons.push(reason);
  };
  if (declaredUniques(table).some((unique) => sameColumnSet(unique, columns))) weigh(1.6, 'a unique index stands behind it');
  if (columns.length > 1) {
    weigh(-0.45 * (columns.length - 1), `${columns.length} columns wide`);
    const expected = expectedRepeats(sample, columns);
    if (expected >= 5) weigh(Math.min(1.2, 0.35 * Math.log10(expected)), 'many repeats were to be expected, and there is none');
    else weigh(-0.8, 'so few rows can be unique by chance');
    if (standFirst(table, columns)) weigh(0.5, 'they are the first columns');
  }
  for (const name of columns) {
    const column = table.columns.find((c) => c.name === name);
    if (column) weighPart(column, 1 / columns.length);
  }
  return { score, reasons };

  function weighPart(column: Column, share: number): void {
    const { name } = column;
    const at = table.columns.indexOf(column);
    if (isOwnId(vocabulary, table, name)) weigh(2.6 * share, `${name} is named as the table's own identifier`);
    else if (columns.length > 1 && refers(vocabulary, table, name)) weigh(share, `${name} refers to a parent`);
    else if (namesAnOrdinal(name)) weigh((columns.length > 1 ? 1 : 0.2) * share, `${name} numbers rows within a group`);
    else if (isTableName(vocabulary, table, name)) weigh(1.2 * share, `${name} is named as the table is`);
    else if (namesAnIdentifier(name))
      weigh((refers(vocabulary, table, name) ? 0.8 : 1.1) * share, `${name} is named as an identifier`);
    else if (namesADescription(name) || namesAMeasure(name)) weigh(-1.6 * share, `${name} describes or measures`);
    else if (column.family === 'text') weigh(-0.5 * share, `${name} is plain text`);
    if (numbersItself(column)) weigh(1.6 * share, `${name} numbers its rows by itself`);
    if (column.family === 'timestamp')
      weigh((columns.length > 1 ? -0.3 : -1.4) * share, `${name} is a moment, unique perhaps by chance`);
    if (column.family === 'date') weigh((columns.length > 1 ? 0.1 : -0.6) * share, `${name} is a date`);
    if (column.family === 'decimal') weigh(-0.6 * share, `${name} is a decimal number`);
    if (!column.nullable) weigh(0.4 * share, `${name} is declared NOT NULL`);
    if ((sample.columns[name]?.longest ?? 0) > 60 || (column.length ?? 0) > 120) weigh(-0.7 * share, `${name} is wide`);
    if (columns.length === 1 && at === 0) weigh(0.8, `${name} is the first column`);
    if (columns.length === 1 && at === 1) weigh(0.2, `${name} is the second column`);
    if (columns.length === 1 && at > 4) weigh(-0.4, `${name} stands far behind`);
    if (column.family === 'integer' && (sample.columns[name]?.rising ?? 0) > 0.98) weigh(0.4 * share, `${name} grows with time`);
  }
}

function standFirst(table: Table, columns: readonly string[]): boolean {
  return table.columns.slice(0, columns.length).every((column) => columns.includes(column.name));
}

export function numbersItself(column: Column): boolean {
  return column.identity !== null || /^(pg_catalog\.)?(nextval|gen_random_uuid|uuid_generate_v\d)\(/.test(column.default ?? '');
}

function refers(vocabulary: Vocabulary, table: Table, column: string): boolean {
  return foreignKeysOf(table).some((key) => key.columns.includes(column)) || vocabulary.namesAnotherTable(table, column);
}

export function isOwnId(vocabulary: Vocabulary, table: Table, column: string): boolean {
  const words = vocabulary.columnWords(table, column);
  if (words.length === 1 && ['id', 'uuid', 'guid', 'uid', 'oid'].includes(words[0] ?? '')) return true;
  const owner = words.slice(0, -1);
  if (!namesAnIdentifier(words.at(-1) ?? '') || owner.length === 0) return false;
  const own = vocabulary.tableWords(table);
  if (endsWith(own, owner)) return true;
  // berth_no of berth_booking is the berth's.
  return (
    !vocabulary.namesAnotherTable(table, column) &&
    owner.every((word) => own.some((other) => other.startsWith(word) && word.length >= 3))
  );
}

function isTableName(vocabulary: Vocabulary, table: Table, column: string): boolean {
  const words = vocabulary.columnWords(table, column);
  const own = vocabulary.tableWords(table);
  return words.length > 0 && endsWith(own, words);
}

/** A column that is named as the table's own identifier and all but identifies: few of its values repeat. */
export function nearlyKeys(catalogue: Catalogue, table: Table, evidence: Evidence): readonly (readonly string[])[] {
  const sample = sampleOf(evidence, table.id)?.result;
  if (!sample) return [];
  const vocabulary = vocabularyOf(catalogue);
  return table.columns
    .filter((column) => {
      const seen = sample.columns[column.name];
      const filled = sample.rows - (seen?.nulls ?? 0);
      const distinct = seen?.distinct ?? 0;
      return isOwnId(vocabulary, table, column.name) && distinct < filled && distinct >= filled * 0.9 && filled > 3;
    })
    .map((column) => [column.name]);
}

/** True when a candidate can be proposed as the primary key. */
export function isProposable(key: KeyCandidate): boolean {
  return key.score > leastScore && key.nullRows === 0;
}

/** The key that would be proposed: the best that holds no null; null when none is any good. */
export function bestKey(catalogue: Catalogue, table: Table, evidence: Evidence): KeyCandidate | null {
  return candidateKeys(catalogue, table, evidence).find(isProposable) ?? null;
}

export function lacksPrimaryKey(table: Table): boolean {
  return table.kind !== 'foreign' && table.persistence !== 'temporary' && primaryKeyOf(table) === null;
}

/** A name for a surrogate key column that the table does not use yet. */
export function surrogateName(table: Table): string {
  const taken = new Set(table.columns.map((column) => column.name));
  for (const name of ['id', `${table.name.slice(0, 55)}_id`]) if (!taken.has(name)) return name;
  let n = 2;
  while (taken.has(`id_${n}`)) n++;
  return `id_${n}`;
}

/** Why a column that numbers the rows cannot be added; null when it can. */
export function whyNotNumbered(table: Table, catalogue: Catalogue): string | null {
  const below = heirsOf(catalogue, table.id);
  if (table.kind === 'partitioned') return 'a partitioned table cannot be given a column that numbers its rows as its key';
  return below.length > 0 ? `${below.map(({ id }) => id).join(', ')} inherit from it and cannot be numbered with it` : null;
}
