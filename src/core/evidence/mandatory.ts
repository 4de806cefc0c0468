// How likely it is that a column which is never empty must not be: what its name and its kind say, what columns of its name do in other
// tables, and how often columns of the schema are empty where they may be. Many rows without a single null speak for the rule by
// themselves, but for some columns that may be empty nobody ever had nothing to say.

import type { TableId } from '../catalogue/identifiers';
import { baseTables, declaredUniques } from '../catalogue/lookups';
import type { Catalogue, Column, Table } from '../catalogue/model';
import { namesADescription, namesAnIdentifier, namesSomethingMandatory, namesSomethingOptional } from '../naming/meaning';
import { vocabularyOf } from '../naming/vocabulary';
import { type Evidence, profileOf, sampleOf } from './evidence';
import { bestKey, lacksPrimaryKey } from './keys';
import { rolesOf } from './keySets';
import { flag, logOddsOf, partsOf, probabilityOf } from './logit';
import { mandatoryModel } from './mandatoryWeights';
import { plausibleUniques } from './uniques';
import { once } from '../once';

export const mandatoryFeatureNames = [
  'manyRows',
  'fewRows',
  'mandatoryName',
  'optionalName',
  'lastMoment',
  'describes',
  'identifies',
  'refers',
  'inKey',
  'hasDefault',
  'defaultNull',
  'defaultBlank',
  'boolean',
  'moment',
  'number',
  'longText',
  'blanks',
  'constant',
  'early',
  'late',
  'siblingsMandatory',
  'siblingsNullable',
  'siblingsEmpty',
  'tableFull',
  'kindFull',
] as const;
export type MandatoryFeatureName = (typeof mandatoryFeatureNames)[number];
export type MandatoryFeatures = Readonly<Record<MandatoryFeatureName, number>>;

export const mandatoryWords: Readonly<Record<MandatoryFeatureName, string>> = {
  manyRows: 'no null among many rows',
  fewRows: 'few rows to tell by',
  mandatoryName: 'its name speaks of something that is always there',
  optionalName: 'its name speaks of something optional',
  lastMoment: 'it speaks of something that may not have happened yet',
  describes: 'it describes',
  identifies: 'it is named as an identifier',
  refers: 'it is a reference that is always set',
  inKey: 'it is part of what identifies a row',
  hasDefault: 'it has a default',
  defaultNull: 'its default is declared to be null',
  defaultBlank: 'its default is an empty text, in place of null',
  boolean: 'it says yes or no',
  moment: 'it is a moment or a day',
  number: 'it is a number',
  longText: 'it holds long texts',
  blanks: 'blanks stand in it where others would have nulls',
  constant: 'it holds one value only',
  early: 'it stands among the first columns',
  late: 'it stands among the last columns',
  siblingsMandatory: 'NOT NULL in other tables',
  siblingsNullable: 'nullable in other tables',
  siblingsEmpty: 'empty at times in other tables',
  tableFull: 'hardly a column of its table is ever empty',
  kindFull: 'hardly a column of its kind is ever empty',
};

/** Null where nothing was measured, or where it is empty at times. */
export function mandatoryFeatures(
  { catalogue, evidence }: { readonly catalogue: Catalogue; readonly evidence: Evidence },
  table: Table,
  column: Column,
  more: MoreKnown,
): MandatoryFeatures | null {
  const profile = profileOf(evidence, table.id)?.result;
  const seen = profile?.columns[column.name];
  if (!profile || !seen || seen.nulls > 0) return null;
  const around = surroundingsOf(catalogue, evidence);
  const siblings = around.byName.get(spokenName(catalogue, table, column));
  const sampled = sampleOf(evidence, table.id)?.result.columns[column.name];
  const at = table.columns.indexOf(column);
  const others = (siblings?.mandatory ?? 0) + (siblings?.nullable ?? 0) - 1;
  const isMoment = ['timestamp', 'date'].includes(column.family);
  return {
    manyRows: Math.min(1, Math.log10(Math.max(1, profile.rows)) / 4),
    fewRows: flag(profile.rows < 20),
    mandatoryName: flag(namesSomethingMandatory(column.name)),
    optionalName: flag(column.family !== 'boolean' && namesSomethingOptional(column.name)),
    lastMoment: flag(/(^|_)last(_|$)/i.test(column.name) && isMoment),
    describes: flag(namesADescription(column.name)),
    identifies: flag(namesAnIdentifier(column.name)),
    refers: flag(more.refers || rolesOf(catalogue, table).get(column.name)?.refers),
    inKey: flag(more.inKey),
    hasDefault: flag(column.default !== null && !isNull(column.default)),
    defaultBlank: flag(/^''/.test(column.default ?? '')),
    defaultNull: flag(column.default !== null && isNull(column.default)),
    boolean: flag(column.family === 'boolean'),
    moment: flag(isMoment),
    number: flag(['integer', 'decimal', 'float'].includes(column.family)),
    longText: flag((sampled?.longest ?? 0) > 60 || (column.family === 'text' && column.length === null)),
    blanks: flag((seen.blanks ?? 0) > 0),
    constant: flag(sampled?.distinct === 1 && profile.rows > 10),
    early: Math.max(0, 1 - at / 3),
    late: table.columns.length > 5 ? at / (table.columns.length - 1) : 0.5,
    siblingsMandatory: (siblings?.mandatory ?? 0) / (Math.max(0, others) + 1),
    siblingsNullable: others > 0 ? Math.max(0, (siblings?.nullable ?? 0) - 1) / (others + 1) : 0,
    siblingsEmpty: (siblings?.empty ?? 0) / (Math.max(0, (siblings?.measured ?? 1) - 1) + 1),
    tableFull: shareFull(around.byTable.get(table.id)),
    kindFull: shareFull(around.byFamily.get(column.family)),
  };
}

function isNull(expression: string): boolean {
  return /^\(*null\b/i.test(expression);
}

/** The columns of a table's key, declared or proposed, and of what is unique in it, declared or likely. */
export function identifyingColumns(catalogue: Catalogue, table: Table, evidence: Evidence): ReadonlySet<string> {
  const key = lacksPrimaryKey(table) ? (bestKey(catalogue, table, evidence)?.columns ?? []) : [];
  const likely = plausibleUniques(catalogue, table, evidence).filter(({ likelihood }) => likelihood >= 0.5);
  return new Set([...key, ...declaredUniques(table).flat(), ...likely.flatMap(({ columns }) => columns)]);
}

/** What only a survey as a whole knows. */
export interface MoreKnown {
  readonly refers: boolean;
  /** It is part of the table's key, declared or proposed, or of something unique. */
  readonly inKey: boolean;
}

export interface Likelihood {
  readonly probability: number;
  readonly reasons: readonly string[];
}

const leastSaid = 0.25;

export function mandatoryLikelihood(features: MandatoryFeatures): Likelihood {
  return {
    probability: probabilityOf(logOddsOf(mandatoryFeatureNames, mandatoryModel, features)),
    reasons: partsOf(mandatoryFeatureNames, mandatoryModel, features, leastSaid).map(({ feature }) => mandatoryWords[feature]),
  };
}

interface Count {
  full: number;
  all: number;
}

interface Named {
  mandatory: number;
  nullable: number;
  measured: number;
  empty: number;
}

interface Around {
  readonly byName: ReadonlyMap<string, Named>;
  readonly byTable: ReadonlyMap<TableId, Count>;
  readonly byFamily: ReadonlyMap<string, Count>;
}

// The column itself is one of them; the smoothing of the share takes that into account.
const surroundingsOf = once((catalogue: Catalogue, evidence: Evidence): Around => {
  const byName = new Map<string, Named>();
  const byTable = new Map<TableId, Count>();
  const byFamily = new Map<string, Count>();
  for (const table of baseTables(catalogue)) {
    const profile = profileOf(evidence, table.id)?.result;
    for (const column of table.columns) {
      const name = spokenName(catalogue, table, column);
      const named = byName.get(name) ?? { mandatory: 0, nullable: 0, measured: 0, empty: 0 };
      if (column.nullable) named.nullable++;
      else named.mandatory++;
      const seen = profile && profile.rows > 10 ? profile.columns[column.name] : undefined;
      if (seen) {
        named.measured++;
        if (seen.nulls > 0) named.empty++;
        // What is declared NOT NULL says nothing of how often the others are empty.
        if (column.nullable) {
          add(byTable, table.id, seen.nulls === 0);
          add(byFamily, column.family, seen.nulls === 0);
        }
      }
      byName.set(name, named);
    }
  }
  return { byName, byTable, byFamily };
});

/** Without a prefix that all columns of the table share: `v_flag` and `b_flag` are alike. */
function spokenName(catalogue: Catalogue, table: Table, { name }: Column): string {
  return vocabularyOf(catalogue).columnWords(table, name).join(' ');
}

function add<Key>(counts: Map<Key, Count>, key: Key, isFull: boolean): void {
  const count = counts.get(key) ?? { full: 0, all: 0 };
  count.all++;
  if (isFull) count.full++;
  counts.set(key, count);
}

function shareFull(count: Count | undefined): number {
  return count ? (Math.max(0, count.full - 1) + 1.5) / (Math.max(0, count.all - 1) + 3) : 0.5;
}
