// For tests of rules: what one rule finds in a sketch with some evidence, short enough to compare whole.

import type { Catalogue } from '../../src/core/catalogue/model';
import type { Fact } from '../../src/core/evidence/evidence';
import { evidence } from './measured';
import { audit, type AuditOptions, wordsOf } from '../../src/core/rules/audit';

/** `table(columns)`, or `table#name`, each with the grade and the measured words of the finding. */
export function foundBy(
  rule: string,
  catalogue: Catalogue,
  facts: readonly (Fact | readonly Fact[])[] = [],
  options: AuditOptions = {},
): readonly string[] {
  return audit(catalogue, evidence(...facts), options)
    .filter((finding) => finding.rule === rule)
    .map((finding) => {
      const { object, severity } = finding;
      const columns = object.columns.length > 0 ? `(${object.columns.join(', ')})` : '';
      return `${object.schema}.${object.table}${columns}: ${severity}, ${wordsOf(finding).measured}`;
    });
}
