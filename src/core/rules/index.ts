// Every rule there is, in the order in which findings are shown. Its id is its path.

import { askedKey } from './keys/asked';
import { disabledKey } from './keys/disabled';
import { exhaustingKey } from './keys/exhausting';
import { missingKey } from './keys/missing';
import { notSelfFillingKey } from './keys/not-self-filling';
import { surrogateOnly } from './keys/surrogate-only';
import { volatileKey } from './keys/volatile';
import { wideKey } from './keys/wide';
import { cutName } from './naming/length';
import { askedName } from './naming/asked';
import { caseBreach } from './naming/case';
import { duplicateName } from './naming/duplicate';
import { generatedName } from './naming/generated';
import { inconsistentName } from './naming/inconsistent';
import { misleadingName } from './naming/misleading';
import { quotedName } from './naming/quoted';
import { reservedName } from './naming/reserved';
import { styleBreach } from './naming/style';
import { askedFilled } from './nullability/asked';
import { absentNotNull } from './nullability/absent';
import { allNull } from './nullability/all-null';
import { blankForNull } from './nullability/blank-for-null';
import { checkOnly } from './nullability/check-only';
import { fewNulls } from './nullability/few-nulls';
import { implicitDefault } from './nullability/implicit-default';
import { referenceAlwaysSet } from './nullability/reference-always-set';
import { threeValued } from './nullability/three-valued';
import { askedReference } from './references/asked';
import { actionConflict } from './references/action-conflict';
import { referenceCycle } from './references/cycle';
import { duplicateReference } from './references/duplicate';
import { isolatedTable } from './references/isolated';
import { longCascade } from './references/long-cascade';
import { nonTransactional } from './references/non-transactional';
import { nullablePart } from './references/nullable-part';
import { orphans } from './references/orphans';
import { parentNotUnique } from './references/parent-not-unique';
import { parentOnlyIndexed } from './references/parent-only-indexed';
import { polymorphicReference } from './references/polymorphic';
import { repeatedText } from './references/repeated-text';
import { sentinelReference } from './references/sentinel';
import { mismatchedReference } from './references/type-mismatch';
import { undeclaredReference } from './references/undeclared';
import { unenforceableReference } from './references/unenforceable';
import { unindexedReference } from './references/unindexed';
import { unvalidatedReference } from './references/unvalidated';
import type { UnknownPart } from '../catalogue/model';
import type { Rule } from './rule';
import { askedUnique } from './uniqueness/asked';
import { absentUnique } from './uniqueness/absent';
import { indexOnlyUnique } from './uniqueness/index-only';
import { insensitiveRepeats } from './uniqueness/insensitive';
import { liveOnlyUnique } from './uniqueness/live-only';
import { nearlyUnique } from './uniqueness/nearly';
import { uniqueNotEnforced } from './uniqueness/not-enforced';
import { nullsRepeat } from './uniqueness/nulls-repeat';
import { uniquePrefix } from './uniqueness/prefix';
import { redundantUnique } from './uniqueness/redundant';
import { askedValues } from './values/asked';
import { closedSet } from './values/closed-set';
import { moneyInFloat } from './values/money-in-float';
import { narrowEncoding } from './values/narrow-encoding';
import { range } from './values/range';
import { textForType } from './values/text-for-type';
import { timestampWithoutZone } from './values/timestamp-without-zone';
import { unvalidatedCheck } from './values/unvalidated-check';

export const rules: readonly Rule[] = [
  askedKey,
  askedReference,
  askedUnique,
  askedFilled,
  askedValues,
  askedName,
  missingKey,
  disabledKey,
  exhaustingKey,
  wideKey,
  volatileKey,
  notSelfFillingKey,
  surrogateOnly,
  undeclaredReference,
  orphans,
  unvalidatedReference,
  parentNotUnique,
  sentinelReference,
  mismatchedReference,
  actionConflict,
  unindexedReference,
  nullablePart,
  polymorphicReference,
  repeatedText,
  longCascade,
  referenceCycle,
  duplicateReference,
  unenforceableReference,
  isolatedTable,
  absentUnique,
  nearlyUnique,
  insensitiveRepeats,
  liveOnlyUnique,
  uniqueNotEnforced,
  nullsRepeat,
  indexOnlyUnique,
  redundantUnique,
  absentNotNull,
  fewNulls,
  blankForNull,
  referenceAlwaysSet,
  threeValued,
  allNull,
  checkOnly,
  closedSet,
  range,
  textForType,
  moneyInFloat,
  timestampWithoutZone,
  unvalidatedCheck,
  generatedName,
  misleadingName,
  styleBreach,
  caseBreach,
  quotedName,
  reservedName,
  duplicateName,
  inconsistentName,
  cutName,
  narrowEncoding,
  uniquePrefix,
  nonTransactional,
  parentOnlyIndexed,
  implicitDefault,
] as readonly Rule[];

/** False where what it judges by is unknown. */
export function canJudge({ rests = [] }: Pick<Rule, 'rests'>, unknown: readonly UnknownPart[]): boolean {
  return !rests.some((part) => unknown.includes(part));
}

/** False also where it finds less than there may be. */
export function canTell(rule: Pick<Rule, 'rests' | 'alsoReads'>, unknown: readonly UnknownPart[]): boolean {
  return canJudge(rule, unknown) && !unknown.some((part) => rule.alsoReads?.[part] !== undefined);
}

export interface NotJudged {
  readonly part: UnknownPart;
  /** What is not known, in words. */
  readonly lacks: string;
  /** What was not judged for it, each in a sentence. */
  readonly abouts: readonly string[];
}

/** What was not judged, by what is not known of a database. */
export function notJudgedBy(unknown: readonly UnknownPart[]): readonly NotJudged[] {
  return unknown.flatMap((part): readonly NotJudged[] => {
    const abouts = [
      ...rules.filter(({ rests = [] }) => rests.includes(part)).map(({ about }) => about),
      ...rules.flatMap(({ alsoReads = {} }) => alsoReads[part] ?? []),
      ...(part === 'values' ? ['Keys of three and more columns.'] : []),
    ];
    return abouts.length === 0 ? [] : [{ part, lacks: lacks[part], abouts }];
  });
}

const lacks: Readonly<Record<UnknownPart, string>> = {
  values: 'values of rows, of which the answers hold counts alone',
  rows: 'how many rows there are',
  sizes: 'how large tables are',
  activity: 'how often rows change',
  owners: 'who owns tables',
  privileges: 'who may do what',
  indexes: 'indexes',
  states: 'whether constraints are checked and switched on',
  triggers: 'triggers',
  definitions: 'what views say',
  routines: 'functions and procedures',
};
