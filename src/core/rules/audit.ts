// Runs the rules over a catalogue and its evidence.

import { columnsId, tableId, type TableId } from '../catalogue/identifiers';
import { baseTables, getTable } from '../catalogue/lookups';
import type { Catalogue } from '../catalogue/model';
import type { Evidence } from '../evidence/evidence';
import { weighReferences } from '../evidence/references';
import { inferStyle } from '../naming/style';
import { rules } from './index';
import { type Finding, type FindingId, type Found, type FoundObject, type Rule, severities, type Words } from './rule';

/** All findings, worst first. `scope` limits the tables that are judged; null judges all. */
export function audit(catalogue: Catalogue, evidence: Evidence, scope: ReadonlySet<TableId> | null = null): readonly Finding[] {
  const input = {
    catalogue,
    evidence,
    style: inferStyle(catalogue),
    references: weighReferences(catalogue, evidence),
    tables: baseTables(catalogue).filter((table) => scope === null || scope.has(table.id)),
  };
  const findings = rules.flatMap((rule) => [...rule.check(input)].map((found) => findingOf(catalogue, rule, found)));
  return findings.sort((a, b) => severities.indexOf(a.severity) - severities.indexOf(b.severity));
}

/** Says a finding in words. Throws when its rule no longer exists. */
export function wordsOf(finding: Pick<Finding, 'rule' | 'facts' | 'object'>): Words {
  return getRule(finding.rule).words(finding.facts, finding.object);
}

export function tableOf(object: FoundObject): TableId {
  return tableId(object.schema, object.table);
}

function getRule(id: string): Rule {
  const rule = rules.find((r) => r.id === id);
  if (!rule) throw new Error(`No rule ${id}: the survey was made by another version of Pawl. Survey again.`);
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
  const object = found.name === undefined ? columnsId(found.table, found.columns) : `${found.table}#${found.name}`;
  return `${rule}:${object}${found.apart === undefined ? '' : ` -> ${found.apart}`}` as FindingId;
}
