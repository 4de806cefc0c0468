// The shape of a rule and of what it finds. A rule yields facts; its own `words` say them.

import { counted } from '../naming/words';
import type { TableId } from '../catalogue/identifiers';
import type { Catalogue, Table, UnknownPart } from '../catalogue/model';
import type { Evidence } from '../evidence/evidence';
import type { EvidenceRequest } from '../evidence/requests';
import type { RowsQuestion } from '../evidence/rows';
import type { WeighedReference } from '../evidence/references/weigh';
import type { HouseStyle } from '../naming/style';
import type { Proposal } from '../remedies/index';
import type { AskedFor } from '../wishes/index';
import type { Concern, FoundObject, Severity } from './finding';

/** What a rule yields for one object that breaks it. Facts are JSON. */
export interface Found<Facts> {
  readonly table: TableId;
  readonly columns: readonly string[];
  readonly name?: string;
  /** Tells apart two findings of one rule on one object, e.g. the parent of a reference. */
  readonly apart?: string;
  readonly severity: Severity;
  readonly confidence: number;
  readonly facts: Facts;
  readonly proposal: Proposal;
}

/** What a rule may look at. `references` are weighed once for all rules. */
export interface Audit {
  readonly catalogue: Catalogue;
  readonly evidence: Evidence;
  readonly style: HouseStyle;
  readonly references: readonly WeighedReference[];
  /** The tables to judge; parents outside it can still be looked at. */
  readonly tables: readonly Table[];
  /** What people asked for. */
  readonly wishes: readonly AskedFor[];
  /** When this survey was taken, in ISO 8601. */
  readonly at: string;
  /** What an earlier survey saw, for rates of growth; null when there was none. */
  readonly earlier: EarlierSurvey | null;
  /** True where somebody brings the answers: a trip is dearer than a question that turns out to have been idle. */
  readonly ahead: boolean;
}

export interface EarlierSurvey {
  readonly at: string;
  readonly catalogue: Catalogue;
  readonly evidence: Evidence;
}

export interface Words {
  /** A few words for a list: `No primary key`. */
  readonly title: string;
  /** One sentence that states the finding with its numbers. */
  readonly message: string;
  /** One plain sentence: why it matters. */
  readonly consequence: string;
  /** What was measured, in a few words: `212 rows`. */
  readonly measured: string;
  /** The number in it, where it counts what may become more or less. */
  readonly amount?: number;
  /** The numbers that speak for it, a line each. */
  readonly evidence: readonly EvidenceLine[];
  /** What made us as sure as we are. */
  readonly reasons: readonly string[];
  /** Why it is as severe as it is, where that is not plain from the numbers. */
  readonly because?: string;
  /** What weighed for and against it, in log-odds, strongest first; where a model judged. */
  readonly parts?: readonly { readonly label: string; readonly weight: number }[];
  /** What to do about it, where there is no script for it. */
  readonly advice?: string;
  /** Why there is none, where that is not plain. */
  readonly noScript?: string;
}

export interface EvidenceLine {
  readonly label: string;
  readonly text: string;
  /** True for numbers that are wrong already, not only unprotected. */
  readonly harm?: boolean;
}

/** A number of a rule that a source's people may set otherwise. */
export interface Threshold {
  readonly value: number;
  /** What it bounds, for the settings. */
  readonly words: string;
}

export interface Rule<Facts = unknown, Limit extends string = string> {
  /** Its path: concern and name. */
  readonly id: string;
  readonly concern: Concern;
  /** What it looks for, in one sentence. */
  readonly about: string;
  readonly thresholds?: Readonly<Record<Limit, Threshold>>;
  /** What it judges by: where one of these is unknown it judges nothing, which is said, and nothing that it found before counts as gone. */
  readonly rests?: readonly UnknownPart[];
  /** What it judges by as well: without it some is not found, which is said in these words. */
  readonly alsoReads?: Partial<Readonly<Record<UnknownPart, string>>>;
  /** What it needs counted before it can judge, beyond what every survey measures. */
  asks?(audit: Audit): Iterable<EvidenceRequest>;
  /** `limits` are the thresholds as they are set for the source. */
  check(audit: Audit, limits: Readonly<Record<Limit, number>>): Iterable<Found<Facts>>;
  words(facts: Facts, object: FoundObject): Words;
  /** The rows that speak for it; null or left out when its rows as they are will do. */
  rows?(facts: Facts, object: FoundObject): RowsQuestion | null;
}

export function defineRule<Facts, Limit extends string = never>(rule: Rule<Facts, Limit>): Rule<Facts, Limit> {
  return rule;
}

/** What was measured, as a number that is watched from survey to survey. */
export function amountOf(amount: number, of: string): Pick<Words, 'measured' | 'amount'> {
  return { measured: counted(amount, of), amount };
}
