// Runs the rules over a catalogue and its evidence.

import { visible } from '../naming/visible';
import { columnsId, type FindingId, tableId, type TableId } from '../catalogue/identifiers';
import { baseTables, getTable, isInherited, isInheritedCheck } from '../catalogue/lookups';
import type { Catalogue } from '../catalogue/model';
import { type Evidence, wasAsked } from '../evidence/evidence';
import { type EvidenceRequest, keyOf } from '../evidence/requests';
import { weighReferences } from '../evidence/references/weigh';
import type { RowsQuestion } from '../evidence/rows';
import { type Adopted, styleOf } from '../naming/style';
import type { AskedFor } from '../wishes/index';
import { canJudge, rules } from './index';
import { noPolicies, type Policies, type Policy, policyOf, type Waiver, waiverOf } from './policy';
import type { Audit, EarlierSurvey, Found, Rule, Words } from './rule';
import { type Finding, type FoundObject, severities } from './finding';

export interface AuditOptions {
  /** Limits the tables that are judged; null judges all. */
  readonly scope?: ReadonlySet<TableId> | null;
  readonly policies?: Policies;
  /** The templates that names are to follow. */
  readonly adopted?: Adopted;
  /** What people asked for. */
  readonly wishes?: readonly AskedFor[];
  /** Limits the rules that judge; left out, all that are on. */
  readonly only?: ReadonlySet<string>;
  readonly at?: string;
  readonly earlier?: EarlierSurvey | null;
  /** True to ask already for what only may turn out to be needed. */
  readonly ahead?: boolean;
}

/** All findings, worst first. */
export function audit(catalogue: Catalogue, evidence: Evidence, options: AuditOptions = {}): readonly Finding[] {
  return judge(catalogue, evidence, options).findings;
}

/** A finding that people settled to be as it should. */
export interface WaivedFinding {
  readonly finding: Finding;
  readonly waiver: Waiver;
}

export interface Judgement {
  /** Worst first. */
  readonly findings: readonly Finding[];
  readonly waived: readonly WaivedFinding[];
}

/** The same, with what would be found if nobody had waived it. */
export function judge(catalogue: Catalogue, evidence: Evidence, options: AuditOptions = {}): Judgement {
  const input = inputOf(catalogue, evidence, options);
  const judged = rulesThatJudge(catalogue, options).flatMap(({ rule, policy }) =>
    [...rule.check(input, limitsOf(rule, policy))]
      .filter((found) => !isJudgedAbove(catalogue, rule, found))
      .map((found) => ({
        finding: findingOf(catalogue, rule, policy.severity === null ? found : { ...found, severity: policy.severity }),
        waiver: waiverOf(policy, namesOf(found), input.at),
      })),
  );
  return {
    findings: judged
      .flatMap(({ finding, waiver }) => (waiver === null ? [finding] : []))
      .sort((a, b) => severities.indexOf(a.severity) - severities.indexOf(b.severity)),
    waived: judged.flatMap(({ finding, waiver }) => (waiver === null ? [] : [{ finding, waiver }])),
  };
}

/** What the rules still want counted; each request once. To be asked when nothing else is left to ask. */
export function askRules(catalogue: Catalogue, evidence: Evidence, options: AuditOptions = {}): readonly EvidenceRequest[] {
  const input = inputOf(catalogue, evidence, options);
  const asked = rulesThatJudge(catalogue, options).flatMap(({ rule }) => [...(rule.asks?.(input) ?? [])]);
  const open = new Map(asked.filter((request) => !wasAsked(evidence, request)).map((request) => [keyOf(request), request]));
  return [...open.values()];
}

// What a table has from another that it inherits from is judged there, once; keys and references each table has for itself.
function isJudgedAbove(catalogue: Catalogue, { concern }: Rule, { table: id, columns, name }: Found<unknown>): boolean {
  const table = getTable(catalogue, id);
  if (table.inherits.length === 0) return false;
  if (name !== undefined && isInheritedCheck(catalogue, table, name)) return true;
  return (
    (concern === 'Nullability' || concern === 'Values') &&
    columns.length > 0 &&
    columns.every((column) => isInherited(catalogue, table, column))
  );
}

function inputOf(
  catalogue: Catalogue,
  evidence: Evidence,
  { scope = null, at = '', earlier = null, ahead = false, adopted, wishes = [] }: AuditOptions,
): Audit {
  return {
    catalogue,
    evidence,
    style: styleOf(catalogue, adopted),
    wishes,
    // Weighed when a rule asks, and once: names are judged without them.
    get references() {
      return weighReferences(catalogue, evidence);
    },
    tables: baseTables(catalogue).filter((table) => scope === null || scope.has(table.id)),
    at,
    earlier,
    ahead,
  };
}

function rulesThatJudge(
  { unknown }: Catalogue,
  { policies = noPolicies, only }: AuditOptions,
): readonly { readonly rule: Rule; readonly policy: Policy }[] {
  return rules
    .map((rule) => ({ rule, policy: policyOf(policies, rule.id) }))
    .filter(({ rule, policy }) => policy.on && (only?.has(rule.id) ?? true) && canJudge(rule, unknown));
}

function limitsOf(rule: Rule, { thresholds }: Policy): Readonly<Record<string, number>> {
  return Object.fromEntries(Object.entries(rule.thresholds ?? {}).map(([name, { value }]) => [name, thresholds[name] ?? value]));
}

/** What a waiver may call what a finding is about. */
export function waiverNames({ object }: Pick<Finding, 'object'>): readonly string[] {
  return namesOf({ ...object, table: tableOf(object) });
}

/** What a waiver may call an object: its table, its columns, its constraint. */
function namesOf({ table, columns, name }: Pick<Found<unknown>, 'table' | 'columns' | 'name'>): readonly string[] {
  return [table, columnsId(table, columns), ...(name === undefined ? [] : [name])];
}

/** Of a finding that came with a file: what it was told to be, in place of what its rule measured. */
export interface BroughtFacts {
  readonly brought: { readonly title: string; readonly message: string };
}

// Facts of rules have no such member: only what Pawl itself wrote for a file has.
function broughtIn(facts: unknown): BroughtFacts['brought'] | null {
  return typeof facts === 'object' && facts !== null && 'brought' in facts ? (facts as BroughtFacts).brought : null;
}

function broughtWords(words: BroughtFacts['brought']): Words {
  return { ...words, consequence: '', measured: 'brought', evidence: [], reasons: [] };
}

/** Says a finding in words. Throws when its rule no longer exists. */
export function wordsOf(finding: Pick<Finding, 'rule' | 'facts' | 'object'>): Words {
  const brought = broughtIn(finding.facts);
  if (brought !== null) return seen(broughtWords(brought));
  return seen(getRule(finding.rule).words(finding.facts, finding.object));
}

/** The rows that speak for a finding; null for those that no row can speak for, such as a name. */
export function rowsOf(finding: Pick<Finding, 'rule' | 'facts' | 'object' | 'proposal'>): RowsQuestion | null {
  if (finding.proposal.kind === 'rename') return null;
  const asked = broughtIn(finding.facts) === null ? getRule(finding.rule).rows?.(finding.facts, finding.object) : null;
  return asked ?? { kind: 'rows', table: tableOf(finding.object), columns: finding.object.columns };
}

export function tableOf(object: FoundObject): TableId {
  return tableId(object.schema, object.table);
}

/** A finding is of a rule that this version has not. */
export class UnknownRule extends Error {
  constructor(id: string) {
    super(`No rule ${id}: the survey was made by another version of Pawl. Survey again.`);
  }
}

function getRule(id: string): Rule {
  const rule = rules.find((r) => r.id === id);
  if (!rule) throw new UnknownRule(id);
  return rule;
}

function findingOf(catalogue: Catalogue, rule: Rule, found: Found<unknown>): Finding {
  const { schema, name: table } = getTable(catalogue, found.table);
  return {
    id: identityOf(rule.id, found),
    rule: rule.id,
    concern: rule.concern,
    severity: found.severity,
    confidence: found.confidence,
    object: { schema, table, columns: found.columns, ...(found.name !== undefined && { name: found.name }) },
    facts: found.facts,
    proposal: found.proposal,
  };
}

function identityOf(rule: string, found: Found<unknown>): FindingId {
  return `${identityStart(rule, found)}${found.apart === undefined ? '' : ` -> ${found.apart}`}` as FindingId;
}

/** What the identity of a finding begins with: its rule and its object. */
export function identityStart(
  rule: string,
  { table, columns, name }: Pick<Found<unknown>, 'table' | 'columns' | 'name'>,
): string {
  return `${rule}:${name === undefined ? columnsId(table, columns) : `${table}#${name}`}`;
}

// Names and values in words are the audited database's own: nothing in them hides.
function seen(words: Words): Words {
  const { title, message, consequence, measured, evidence, reasons, because, advice, noScript } = words;
  return {
    ...words,
    title: visible(title),
    message: visible(message),
    consequence: visible(consequence),
    measured: visible(measured),
    evidence: evidence.map((line) => ({ ...line, label: visible(line.label), text: visible(line.text) })),
    reasons: reasons.map((reason) => visible(reason)),
    ...(because !== undefined && { because: visible(because) }),
    ...(advice !== undefined && { advice: visible(advice) }),
    ...(noScript !== undefined && { noScript: visible(noScript) }),
  };
}
