// What speaks for and against a column set as the key of its table, or as unique beside it, as numbers. After Jiang & Naumann, "Holistic
// primary key and foreign key detection", Journal of Intelligent Information Systems 54, 2020 (cardinality, length, position, names), with
// how far the lack of repeats may be chance: the fewer rows and the more the columns differ anyhow, the less it says.

import { declaredUniques, foreignKeysOf, includesColumns, isInherited, sameColumnSet } from '../catalogue/lookups';
import type { Catalogue, Column, Table } from '../catalogue/model';
import { namesADescription, namesAMeasure, namesAnIdentifier } from '../naming/meaning';
import { vocabularyOf } from '../naming/vocabulary';
import { joined } from '../records';
import { isOwnId, isTableName } from './keyNames';
import { namesAVersion, type Role, rolesOf, shareWithUniques } from './keySets';
import { flag } from './logit';
import type { Sample } from './sample';

export const keyFeatureNames = [
  'ownId',
  'fillsItself',
  'identifies',
  'named',
  'describes',
  'measures',
  'plainText',
  'moment',
  'date',
  'decimal',
  'wide',
  'hashed',
  'mandatory',
  'indexed',
  'first',
  'second',
  'behind',
  'leads',
  'cutsRun',
  'rising',
  'columns',
  'refers',
  'allRefer',
  'onlyRefers',
  'numbered',
  'ordinalAlone',
  'shared',
  'sharedAlone',
  'partUnique',
  'partNearly',
  'littleElse',
  'noChance',
  'byChance',
  'manyRows',
  'someEmpty',
  'inherited',
  'customary',
] as const;
export type KeyFeatureName = (typeof keyFeatureNames)[number];
export type KeyFeatures = Readonly<Record<KeyFeatureName, number>>;

/** In words, for the dossier: what a feature says of the columns. */
export const keyFeatureWords: Readonly<Record<KeyFeatureName, string>> = {
  ownId: "named as the table's own identifier",
  fillsItself: 'numbers its rows by itself',
  identifies: 'named as something that identifies',
  named: 'named as the table is, or names the thing itself',
  describes: 'describes',
  measures: 'measures',
  plainText: 'plain text',
  moment: 'a moment, unique perhaps by chance',
  date: 'a date',
  decimal: 'a decimal number',
  wide: 'wide',
  hashed: 'made up, as a hash or token is',
  mandatory: 'declared NOT NULL',
  indexed: 'a unique index stands behind it',
  first: 'the first column',
  second: 'the second column',
  behind: 'stands far behind',
  leads: 'they are the first columns',
  cutsRun: 'the next column belongs to them',
  rising: 'grows with time',
  columns: 'several columns wide',
  refers: 'refers to a parent',
  allRefer: 'they tie tables together',
  onlyRefers: 'refers to another table, alone',
  numbered: 'numbers rows within a group',
  ordinalAlone: 'an ordinal that needs its group',
  shared: 'named as columns of many tables are',
  sharedAlone: 'many tables have such a column: it tells rows apart only with others',
  partUnique: 'a part of them does not repeat either',
  partNearly: 'one of them all but identifies by itself',
  littleElse: 'the table has little else',
  noChance: 'many repeats were to be expected, and there is none',
  byChance: 'so few rows can be unique by chance',
  manyRows: 'many rows',
  someEmpty: 'some rows are without it',
  inherited: 'inherited from another table',
  customary: 'how many tables of the schema declare something unique beside their keys',
};

/** What only a survey as a whole knows of a table. */
export interface Known {
  readonly sample: Sample;
  readonly roles?: ReadonlyMap<string, Role>;
  /** Repeats to be expected by chance in other tables that have such columns, of which there are none. */
  readonly expectedElsewhere?: number;
}

export function keyFeaturesOf(catalogue: Catalogue, table: Table, names: readonly string[], known: Known): KeyFeatures {
  const set = setOf(catalogue, table, names, known);
  return joined(joined(whatItSays(set), whereItStands(set)), whatItHolds(set));
}

function setOf(
  catalogue: Catalogue,
  table: Table,
  names: readonly string[],
  { sample, roles = rolesOf(catalogue, table), expectedElsewhere = 0 }: Known,
) {
  const columns = names.flatMap((name) => table.columns.find((column) => column.name === name) ?? []);
  const vocabulary = vocabularyOf(catalogue);
  const width = Math.max(1, columns.length);
  const single = columns.length === 1 ? columns[0] : undefined;
  const share = (is: (column: Column) => unknown): number => columns.filter((column) => Boolean(is(column))).length / width;
  const at = single ? table.columns.indexOf(single) : -1;
  const refers = (column: Column): boolean => roles.get(column.name)?.refers === true;
  const ordinal = (column: Column): boolean => roles.get(column.name)?.ordinal === true && !refers(column);
  const own = (column: Column): boolean => isOwnId(vocabulary, table, column.name);
  const leads = table.columns.slice(0, width).every((column) => names.includes(column.name));
  const next = table.columns[width];
  const ownIds = single ? own(single) : false;
  const onlyRefers = single !== undefined && refers(single) && !ownIds;
  const expected = expectedRepeats(sample, names) + expectedElsewhere;
  const isShared = (column: Column): boolean => roles.get(column.name)?.shared === true && !own(column);
  const of = { catalogue, table, names, sample, columns, vocabulary, width, single, at, leads, next, ownIds, onlyRefers };
  return joined(of, { expected, share, refers, ordinal, own, isShared });
}

type ColumnSet = ReturnType<typeof setOf>;

/** By the names and types of its columns. */
function whatItSays({ catalogue, table, sample, vocabulary, single, ownIds, share, refers, ordinal, own }: ColumnSet) {
  return {
    ownId: flag(ownIds),
    fillsItself: flag(single && single.fillsItself),
    identifies: share(
      (column) => namesAnIdentifier(vocabulary.columnWords(table, column.name).join('_')) && !own(column) && !refers(column),
    ),
    named: share((column) => namesTheThing(catalogue, table, column.name)),
    describes: share((column) => namesADescription(column.name)),
    measures: share((column) => namesAMeasure(column.name) && !ordinal(column)),
    plainText: share((column) => column.family === 'text' && !namesAnIdentifier(column.name)),
    moment: share(
      (column) =>
        column.family === 'timestamp' ||
        column.family === 'time' ||
        /(^|_)(time|timestamp|stamp|expires?)(_|$)/i.test(column.name),
    ),
    date: share((column) => column.family === 'date'),
    decimal: share((column) => column.family === 'decimal' || column.family === 'float'),
    wide: share((column) => (sample.columns[column.name]?.longest ?? 0) > 60 || (column.length ?? 0) > 120),
    hashed: share(
      (column) =>
        column.family === 'binary' ||
        /(hash|token|secret|password|checksum|md5|sha\d*|digest|signature|salt)(_|$)/i.test(column.name),
    ),
  };
}

/** By its place in the table. */
function whereItStands({
  table,
  names,
  sample,
  columns,
  single,
  at,
  leads,
  next,
  ownIds,
  onlyRefers,
  share,
  refers,
  ordinal,
  isShared,
}: ColumnSet) {
  return {
    mandatory: share((column) => !column.nullable),
    indexed: flag(declaredUniques(table).some((unique) => sameColumnSet(unique, names))),
    first: flag(at === 0),
    second: flag(at === 1 && !onlyRefers),
    behind: single ? Math.min(1, Math.max(0, at - 2) / 6) : 0,
    leads: flag(!single && leads),
    cutsRun: flag(leads && next && !columns[0]?.fillsItself && !ownIds && (refers(next) || isShared(next) || ordinal(next))),
    rising: flag(single?.family === 'integer' && (sample.columns[single.name]?.rising ?? 0) > 0.98),
  };
}

/** By what it refers to, and by its values. */
function whatItHolds(set: ColumnSet) {
  const { catalogue, table, names, sample, columns, vocabulary, width, single, ownIds, onlyRefers, expected } = set;
  const { share, refers, ordinal, isShared } = set;
  return {
    columns: (width - 1) / 3,
    refers: single ? 0 : share(refers),
    allRefer: flag(!single && columns.every(refers)),
    onlyRefers: flag(onlyRefers),
    numbered: flag(!single && columns.some(refers) && columns.some((column) => ordinal(column) || namesAVersion(column.name))),
    ordinalAlone: flag(single && (ordinal(single) || namesAVersion(single.name)) && !ownIds),
    shared: single ? 0 : share(isShared),
    sharedAlone: single && isShared(single) ? Math.min(1, 2 * vocabulary.shareOfTables(single.name)) : 0,
    partUnique: flag(sample.uniques.some((unique) => unique.length < names.length && includesColumns(names, unique))),
    // What identifies but for a few repeats would do so alone.
    partNearly: flag(
      !single &&
        columns.some(
          (column) => namesAnIdentifier(column.name) && !refers(column) && shareDistinct(sample, column.name) >= nearlyAll,
        ),
    ),
    littleElse: flag(table.columns.length - width <= 1 && !onlyRefers),
    noChance: single ? 0 : Math.min(1, Math.max(0, Math.log10(Math.max(1, expected))) / 5),
    byChance: flag(!single && expected < 5),
    manyRows: Math.min(1, Math.log10(Math.max(1, sample.rows)) / 4),
    someEmpty: flag(columns.some((column) => (sample.columns[column.name]?.nulls ?? 0) > 0)),
    customary: shareWithUniques(catalogue, table),
    inherited: flag(
      columns.some((column) => isInherited(catalogue, table, column.name)) &&
        !foreignKeysOf(table).some((key) => sameColumnSet(key.columns, names)),
    ),
  };
}

/**
 * How many pairs of rows would have agreed in all of these columns if the columns had nothing to do
 * with each other. Zero repeats where many were to be expected are no chance.
 */
export function expectedRepeats(sample: Sample, columns: readonly string[]): number {
  const pairs = (sample.rows * (sample.rows - 1)) / 2;
  return columns.reduce((expected, name) => expected * (sample.columns[name]?.agreement ?? 1), pairs);
}

const nearlyAll = 0.8;

function shareDistinct(sample: Sample, column: string): number {
  const seen = sample.columns[column];
  return seen ? (seen.distinct ?? 0) / Math.max(1, sample.rows - seen.nulls) : 0;
}

function namesTheThing(catalogue: Catalogue, table: Table, column: string): boolean {
  const words = vocabularyOf(catalogue).columnWords(table, column);
  const own = vocabularyOf(catalogue).tableWords(table);
  const last = words.at(-1);
  return (
    isTableName(vocabularyOf(catalogue), table, column) ||
    (last !== undefined && (['name', 'title', 'filename', 'path', 'url'].includes(last) || own.includes(last)))
  );
}
