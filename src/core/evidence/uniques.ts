// Column sets of a table, beside its key, that ought to be unique: columns named as identifiers of the
// thing itself (call_sign), a parent with an ordinal (line_no within a manifest), and sets in which so
// many repeats were to be expected that none at all is no chance.

import { declaredUniques, foreignKeysOf, includesColumns, primaryKeyOf, sameColumnSet } from '../catalogue/lookups';
import type { Catalogue, Column, Table } from '../catalogue/model';
import { namesADescription, namesAMeasure, namesAnIdentifier, namesAnOrdinal } from '../naming/meaning';
import { vocabularyOf } from '../naming/vocabulary';
import { type Evidence, sampleOf } from './evidence';
import { bestKey, expectedRepeats, lacksPrimaryKey } from './keys';
import { referencesFrom, weighReferences } from './references/weigh';
import type { Sample, SampledColumn } from './sample';

export interface PlausibleUnique {
  readonly columns: readonly string[];
  /** How likely it is that repeats would be wrong, 0 to 1, given that there are none. */
  readonly likelihood: number;
  readonly reasons: readonly string[];
}

const fewestRows = 8;
const widest = 4;
const verifiedPerTable = 8;
const believed = 0.3;

/** Sets that never repeat in the sample and are worth verifying, likeliest first. */
export function plausibleUniques(catalogue: Catalogue, table: Table, evidence: Evidence): readonly PlausibleUnique[] {
  const sample = sampleOf(evidence, table.id);
  if (!sample || sample.result.rows < fewestRows) return [];
  const key =
    primaryKeyOf(table)?.columns ?? (lacksPrimaryKey(table) ? bestKey(catalogue, table, evidence)?.columns : null) ?? [];
  const referring = new Set([
    ...foreignKeysOf(table).flatMap((fk) => fk.columns),
    ...referencesFrom(weighReferences(catalogue, evidence), table.id)
      .filter((r) => r.confidence >= 0.5)
      .flatMap((r) => r.columns),
  ]);
  return sample.result.uniques
    .filter((columns) => columns.length <= widest && !sameColumnSet(columns, key))
    .filter((columns) => key.length === 0 || !includesColumns(columns, key))
    .filter((columns) => !declaredUniques(table).some((unique) => includesColumns(columns, unique)))
    .map((columns) => judge(catalogue, table, columns, sample.result, referring))
    .filter((set) => set.likelihood >= believed)
    .sort((a, b) => b.likelihood - a.likelihood)
    .slice(0, verifiedPerTable);
}

function judge(
  catalogue: Catalogue,
  table: Table,
  columns: readonly string[],
  sample: Sample,
  referring: ReadonlySet<string>,
): PlausibleUnique {
  const parts = columns.flatMap((name) => table.columns.find((column) => column.name === name) ?? []);
  const [only] = parts;
  if (parts.length === 1 && only) return { columns, ...judgeSingle(catalogue, table, only, sample, referring) };
  return { columns, ...judgeSet(table, parts, sample, referring) };
}

interface Judged {
  readonly likelihood: number;
  readonly reasons: readonly string[];
}

function judgeSingle(catalogue: Catalogue, table: Table, column: Column, sample: Sample, referring: ReadonlySet<string>): Judged {
  const seen = sample.columns[column.name];
  const filled = seen?.filled ?? 0;
  const { name } = column;
  const reasons = [`no repeat among ${filled.toLocaleString('en-GB')} filled rows`];
  let logOdds = -1.9 + 0.75 * Math.min(3.5, Math.log10(Math.max(1, filled)));
  const weigh = (by: number, reason: string): void => {
    logOdds += by;
    reasons.push(reason);
  };
  if (filled < fewestRows) weigh(-3, 'few rows are filled');
  if (referring.has(name)) weigh(-1.6, 'it refers to another table');
  else if (namesAnIdentifier(vocabularyOf(catalogue).columnWords(table, name).join('_')))
    weigh(1.9, 'it is named as something that identifies');
  else if (namesTheThing(catalogue, table, name)) weigh(0.4, 'it names the thing itself');
  else weigh(-1.3, 'its name says nothing of identity');
  if (namesTheThing(catalogue, table, name) && table.columns.length <= 4 && table.columns.indexOf(column) <= 1)
    weigh(0.9, 'the table does little more than list names');
  if (namesADescription(name)) weigh(-2.2, 'it describes');
  if (namesAMeasure(name)) weigh(-2.6, 'it measures');
  if (column.family === 'timestamp' || column.family === 'date') weigh(-3.2, 'it is a moment, unique perhaps by chance');
  if (column.family === 'decimal' || column.family === 'float') weigh(-2.5, 'it is a decimal number');
  if (column.family === 'text' && (seen?.longest ?? 0) > 80) weigh(-1.2, 'its values are long');
  if ((seen?.nulls ?? 0) > 0) weigh(-0.5, 'some rows are without it');
  return { likelihood: probability(logOdds), reasons };
}

function judgeSet(table: Table, parts: readonly Column[], sample: Sample, referring: ReadonlySet<string>): Judged {
  const names = parts.map((part) => part.name);
  const expected = expectedRepeats(sample, names);
  const reasons: string[] = [];
  let logOdds = -2.3;
  const weigh = (by: number, reason: string): void => {
    logOdds += by;
    reasons.push(reason);
  };
  if (expected >= 3)
    weigh(
      Math.min(2, 0.4 * Math.log10(expected)),
      `about ${Math.round(expected).toLocaleString('en-GB')} repeats were to be expected by chance, and there is none`,
    );
  else weigh(parts.length === 2 ? -0.6 : -1.4, 'so few rows can be unique by chance');
  if (parts.length > 2) weigh(-0.4 * (parts.length - 2), `${parts.length} columns`);
  const refers = parts.filter((part) => referring.has(part.name));
  const ordinals = parts.filter((part) => namesAnOrdinal(part.name) && !referring.has(part.name));
  if (refers.length > 0) weigh(1, `${refers.map((part) => part.name).join(', ')} speaks of a parent`);
  if (refers.length === parts.length) weigh(0.8, 'they tie tables together');
  if (refers.length > 0 && ordinals.length > 0) weigh(1.6, 'they number things under a parent');
  const odd = parts.filter((part) => !referring.has(part.name) && isOdd(part, sample.columns[part.name]));
  if (odd.length > 0) weigh(-1.8 * odd.length, `${odd.map((part) => part.name).join(', ')} would be odd in a key`);
  const telling = parts.filter((part) => !referring.has(part.name) && isTelling(part));
  if (telling.length > 0)
    weigh(0.9 * Math.min(2, telling.length), `${telling.map((part) => part.name).join(', ')} can tell things apart`);
  const nearly = parts.find((part) => namesAnIdentifier(part.name) && isNearlyUnique(sample.columns[part.name], sample.rows));
  if (nearly && refers.length === 0) weigh(-2, `${nearly.name} all but identifies by itself`);
  const mute = parts.filter((part) => !referring.has(part.name) && !isTelling(part) && !odd.includes(part));
  if (mute.length > 0) weigh(-0.7 * mute.length, `${mute.map((part) => part.name).join(', ')} says nothing of identity`);
  if (parts.some((part) => (sample.columns[part.name]?.nulls ?? 0) > 0)) weigh(-0.7, 'some rows are without one of them');
  if (table.columns.slice(0, parts.length + 1).filter((column) => parts.includes(column)).length === parts.length)
    weigh(1, 'they stand first');
  return { likelihood: probability(logOdds), reasons };
}

function isNearlyUnique(seen: SampledColumn | undefined, rows: number): boolean {
  return seen !== undefined && (seen.distinct ?? 0) >= (rows - seen.nulls) * 0.8;
}

function isOdd(column: Column, seen: SampledColumn | undefined): boolean {
  return (
    namesAMeasure(column.name) ||
    namesADescription(column.name) ||
    ['timestamp', 'decimal', 'boolean', 'date'].includes(column.family) ||
    (seen?.longest ?? 0) > 100
  );
}

function isTelling(column: Column): boolean {
  return (
    namesAnIdentifier(column.name) ||
    namesAnOrdinal(column.name) ||
    /(^|_)(name|key|type|kind|lang|language|locale|version|path|url|file|filename|host|hostname)$/i.test(column.name)
  );
}

function namesTheThing(catalogue: Catalogue, table: Table, column: string): boolean {
  const words = vocabularyOf(catalogue).columnWords(table, column);
  const own = vocabularyOf(catalogue).tableWords(table);
  const last = words.at(-1);
  return (
    last === 'name' ||
    last === 'title' ||
    last === 'filename' ||
    last === 'path' ||
    last === 'url' ||
    (last !== undefined && own.includes(last))
  );
}

function probability(logOdds: number): number {
  return 1 / (1 + Math.exp(-logOdds));
}
