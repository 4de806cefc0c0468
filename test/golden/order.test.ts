// Laws on the kept surveys, engine by engine: in which order findings are added to a docket is nobody's affair, and a table that has
// nothing to do with others changes nothing of what is found there.

import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { driftOf } from '../../src/core/catalogue/drift';
import { baseTables, foreignKeysOf, referencesTo } from '../../src/core/catalogue/lookups';
import type { Catalogue } from '../../src/core/catalogue/model';
import { engineNames } from '../../src/core/engines/name';
import { operationInWords } from '../../src/core/operations/index';
import { afterPlan, planFor } from '../../src/core/plan/plan';
import { audit } from '../../src/core/rules/audit';
import type { Finding } from '../../src/core/rules/finding';
import { evidence } from '../kit/measured';
import { keptSurvey } from './kept';

describe.each(engineNames)('%s', (engine) => {
  test('a docket is the same whatever was added to it first', { timeout: 120_000 }, async () => {
    const { catalogue, findings } = await keptSurvey(engine);
    const chosen = findings.filter(isMendable).map((finding) => ({ finding, decision: {} }));
    const ids = catalogue.tables.map(({ id }) => id);
    const told = (some: typeof chosen) => {
      const plan = planFor(some, catalogue, { label: 'd', mode: 'plain' });
      return {
        // Tables that keep rows are numbered as they come, and one of those that share a rebuild says so.
        steps: plan.steps.map(({ operation }) => withoutTurn(operationInWords(operation))).sort(),
        problems: plan.problems.map(({ finding, message }) => `${finding}: ${message}`).sort(),
        then: afterPlan(plan, catalogue),
      };
    };
    fc.assert(
      fc.property(fc.shuffledSubarray(chosen, { minLength: 8 }), (some) => {
        const [{ then: there, ...shuffled }, { then, ...usual }] = [told(some), told(chosen.filter((one) => some.includes(one)))];
        expect(shuffled).toEqual(usual);
        expect(driftOf(then, there, ids)).toEqual([]);
      }),
      { numRuns: 12, seed: 7 },
    );
  });

  test('what is found of a table does not hang on one that has nothing to do with it', async () => {
    const { catalogue } = await keptSurvey(engine);
    const alone = baseTables(catalogue).filter(
      (table) => foreignKeysOf(table).length === 0 && referencesTo(catalogue, table.id).length === 0,
    );
    expect(alone.length).toBeGreaterThan(0);
    const names = (of: Catalogue, without: string) =>
      audit(of, evidence())
        // What tables have in common is said of all of them: names, and references that are only supposed.
        .filter(({ concern, rule }) => concern !== 'Naming' && !['references/undeclared', 'references/isolated'].includes(rule))
        .filter(({ object }) => object.table !== without)
        .map(({ id }) => String(id))
        // Nor that it is the parent of what has another type.
        .filter((id) => !id.endsWith(`.${without}`))
        .sort();
    for (const table of alone) {
      const fewer = { ...catalogue, tables: catalogue.tables.filter(({ id }) => id !== table.id) };
      expect(names(fewer, table.name), table.id).toEqual(names(catalogue, table.name));
    }
  });
});

// Where two want the same index, the first has it, and the other is told: an order that counts.
function isMendable({ proposal, rule }: Finding): boolean {
  return proposal.kind !== 'byHand' && rule !== 'uniqueness/index-only';
}

function withoutTurn(text: string): string {
  return text.replaceAll(/pawl_kept_d_\d+/g, 'pawl_kept').replaceAll(/; with \d+ other steps? in the same rebuild/g, '');
}
