// Candidate keys: column sets that identify a row (keySets.ts). A sample falsifies most, the database verifies the best of what is left,
// and a model weighs them against each other (keyFeatures.ts, keyWeights.ts).

import type { TableId } from '../catalogue/identifiers';
import { heirsOf, includesColumns, primaryKeyOf } from '../catalogue/lookups';
import type { Catalogue, Table } from '../catalogue/model';
import { singular } from '../naming/words';
import { vocabularyOf } from '../naming/vocabulary';
import { type Evidence, type How, sampleOf, uniquenessOf, wasAsked } from './evidence';
import type { Depth, RepeatsRequest } from './requests';
import { keyFeatureNames, type KeyFeatures, keyFeaturesOf, keyFeatureWords } from './keyFeatures';
import { isOwnId } from './keyNames';
import { distinctSets, uniqueSets } from './keySets';
import { keyModels } from './keyWeights';
import { logOddsOf, partsOf } from './logit';
import { isTooWide } from './widths';
import { once } from '../once';

export interface KeyCandidate {
  readonly columns: readonly string[];
  readonly how: How;
  /** Rows with a null in it: such a set can be unique, but not a primary key. */
  readonly nullRows: number;
  /** Log-odds that the makers meant it, against none of the candidates. */
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

/** Log-odds below which a key is no better than a number of our own. */
const leastScore = -1.1;

/** Facts asked for in all about one table, and at once. */
const mostAsked = 18;
const askedAtOnce = 6;
/** A likelihood that is not worth a look at the whole table. */
const leastAsked = -2.5;

/** The column sets of a table without a primary key whose uniqueness should be verified next: the likeliest, until the best of all is. */
export function keyQuestions(catalogue: Catalogue, table: Table, evidence: Evidence, depth: Depth): readonly RepeatsRequest[] {
  const sample = sampleOf(evidence, table.id);
  if (depth !== 'exact' || !sample || sample.how.kind === 'exact' || sample.result.rows < 2) return [];
  const ranked = uniqueSets(catalogue, table, sample.result)
    .filter((columns) => uniquenessOf(evidence, table.id, columns).kind === 'unique')
    .map((columns) => ({ columns, score: scoreOf(keyFeaturesOf(catalogue, table, columns, { sample: sample.result })) }))
    .filter(({ score }) => score > leastAsked)
    .sort((a, b) => b.score - a.score);
  const [best] = ranked;
  const asked = ranked.filter(({ columns }) => wasAsked(evidence, { kind: 'repeats', table: table.id, columns })).length;
  // Once the best one is verified the others need not be.
  if (!best || asked >= mostAsked || isVerified(evidence, table.id, best.columns, sample.result.uniques)) return [];
  // A wider set is verified with a part of it.
  const parts = ranked.map(
    ({ columns }) =>
      ranked.find((part) => part.columns.length < columns.length && includesColumns(columns, part.columns))?.columns ?? columns,
  );
  return distinctSets(parts)
    .map((columns): RepeatsRequest => ({ kind: 'repeats', table: table.id, columns }))
    .filter((request) => !wasAsked(evidence, request))
    .slice(0, askedAtOnce);
}

/** In a sample of a large table many sets are unique that are not so in the whole: only what was counted, or has a counted part, is. */
function isVerified(
  evidence: Evidence,
  table: TableId,
  columns: readonly string[],
  minimal: readonly (readonly string[])[],
): boolean {
  return [columns, ...minimal.filter((part) => includesColumns(columns, part))].some((set) => {
    const known = uniquenessOf(evidence, table, set);
    return known.kind === 'unique' && known.how.kind === 'exact';
  });
}

const keysByTable = once((_: Catalogue, _of: Evidence) => new Map<TableId, readonly KeyCandidate[]>());

/** The candidate keys that the evidence supports, best first, none wider than a better one in it; declared ones are among them. */
export function candidateKeys(catalogue: Catalogue, table: Table, evidence: Evidence): readonly KeyCandidate[] {
  const known = keysByTable(catalogue, evidence);
  let found = known.get(table.id);
  if (!found) known.set(table.id, (found = findKeys(catalogue, table, evidence)));
  return found;
}

function findKeys(catalogue: Catalogue, table: Table, evidence: Evidence): readonly KeyCandidate[] {
  const sample = sampleOf(evidence, table.id);
  if (!sample) return [];
  if (sample.result.rows < 2) return byNameAlone(catalogue, table, sample.how);
  return uniqueSets(catalogue, table, sample.result)
    .filter((columns) => !isTooWide({ catalogue, evidence }, table.id, columns))
    .flatMap((unique): KeyCandidate[] => {
      const known = uniquenessOf(evidence, table.id, unique);
      const verified = isVerified(evidence, table.id, unique, sample.result.uniques);
      if (known.kind !== 'unique' || (unique.length > 1 && sample.how.kind === 'sample' && !verified)) return [];
      const columns = withSplit(table, unique);
      const features = keyFeaturesOf(catalogue, table, unique, { sample: sample.result });
      return columns === null
        ? []
        : [
            {
              columns,
              how: verified ? { kind: 'exact' } : known.how,
              nullRows: known.nullRows,
              score: scoreOf(features),
              reasons: reasonsOf(features),
            },
          ];
    })
    .sort((a, b) => b.score - a.score || a.columns.length - b.columns.length)
    .filter((key, i, all) => !all.slice(0, i).some((better) => includesColumns(key.columns, better.columns)));
}

function scoreOf(features: KeyFeatures): number {
  return logOddsOf(keyFeatureNames, keyModels.primary, features);
}

const leastSaid = 0.3;

/** What moved a likelihood, in words, strongest first. */
function reasonsOf(features: KeyFeatures): readonly string[] {
  return partsOf(keyFeatureNames, keyModels.primary, features, leastSaid).map(({ feature }) => keyFeatureWords[feature]);
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
    .filter((column, i) => column.comparable && (i === 0 || column.fillsItself) && isOwnId(vocabulary, table, column.name))
    .slice(0, 1)
    .map(({ name }) => ({
      columns: [name],
      how,
      nullRows: 0,
      score: 0.4,
      reasons: [`${name} is named as the table's own identifier`, 'there are no rows to tell'],
    }));
}

/** True when asking the database again would tell nothing new at this depth. */
export function settled(evidence: Evidence, table: TableId, columns: readonly string[], depth: Depth): boolean {
  if (wasAsked(evidence, { kind: 'repeats', table, columns })) return true;
  const known = uniquenessOf(evidence, table, columns);
  return known.kind === 'repeats' || (known.kind === 'unique' && (depth === 'sampled' || known.how.kind === 'exact'));
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
export function isProposable(key: Pick<KeyCandidate, 'score' | 'nullRows'>): boolean {
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
export function surrogateName(table: Table, catalogue: Pick<Catalogue, 'tables'>): string {
  const taken = new Set(table.columns.map((column) => column.name));
  const usual = surrogatesOf(catalogue);
  for (const call of [usual, ...callings]) {
    const name = call?.(table.name.slice(0, 55));
    if (name !== undefined && !taken.has(name)) return name;
  }
  let n = 2;
  while (taken.has(`id_${n}`)) n++;
  return `id_${n}`;
}

/** Ways in which houses call a key that only numbers rows, by its table; the first are usual where a house has none. */
const callings: readonly ((table: string) => string)[] = [
  () => 'id',
  (table) => `${table}_id`,
  (table) => `${singular(table)}_id`,
  (table) => `id_${table}`,
  (table) => `${table}id`,
];

/** How most keys that number rows are called in a schema, of three at least; undefined where they are called in several ways. */
const surrogatesOf = once(({ tables }: Pick<Catalogue, 'tables'>): ((table: string) => string) | undefined => {
  const numbered = tables.flatMap((table) => {
    const [name, ...more] = primaryKeyOf(table)?.columns ?? [];
    const column = table.columns.find((one) => one.name === name);
    return column && more.length === 0 && column.fillsItself && column.family === 'integer'
      ? [{ table: table.name, name: column.name }]
      : [];
  });
  const follow = (call: (table: string) => string): number => numbered.filter(({ table, name }) => call(table) === name).length;
  const [best] = callings.toSorted((a, b) => follow(b) - follow(a));
  return best && numbered.length >= 3 && follow(best) * 2 > numbered.length ? best : undefined;
});

/** Why a column that numbers the rows cannot be added; null when it can. */
export function whyNotNumbered(table: Table, catalogue: Catalogue): string | null {
  const below = heirsOf(catalogue, table.id);
  if (table.kind === 'partitioned') return 'a partitioned table cannot be given a column that numbers its rows as its key';
  return below.length > 0 ? `${below.map(({ id }) => id).join(', ')} inherit from it and cannot be numbered with it` : null;
}
