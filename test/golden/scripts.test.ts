// The scripts of large dockets, byte for byte, engine by engine: what was written yesterday is written today, whatever was moved in between. A
// survey of the demo is kept beside them, so that they do not depend on a server. Where a change of the scripts is meant, `npx vitest run
// test/golden -u` writes them anew, and the difference is read before it is committed.

import { createHash } from 'node:crypto';
import { describe, expect, test } from 'vitest';
import { engineNamed } from '../../src/core/engines/index';
import { engineNames } from '../../src/core/engines/name';
import { planFor } from '../../src/core/plan/plan';
import { type Choice, decidedBy } from '../kit/answered';
import { keptSurvey } from './kept';

/** How somebody would decide throughout: each way meets other operations. */
const dockets: Readonly<Record<string, Choice>> = {
  advised: (allowed) => allowed.find(({ advised }) => advised) ?? allowed[0],
  first: (allowed) => allowed[0],
  last: (allowed) => allowed.at(-1),
  'one after the other': (allowed, n) => allowed[n % allowed.length],
};

const heading = { title: 'golden', source: 'harbour', madeAt: '2026-11-26T00:00:00.000Z' };

describe.each(engineNames)('%s', (engine) => {
  const kinds = new Set<string>();

  describe.each(Object.entries(dockets))('a docket of all that can be mended, answers: %s', (name, choose) => {
    test.each(['plain', 'quiet'] as const)('is written as ever, %s', async (mode) => {
      const { dialect } = engineNamed(engine);
      const { catalogue, findings } = await keptSurvey(engine);
      const chosen = findings.filter(({ proposal }) => proposal.kind !== 'byHand');
      const plan = planFor(
        chosen.map((finding, n) => ({ finding, decision: decidedBy(finding, catalogue, (allowed) => choose(allowed, n)) })),
        catalogue,
        { label: 'golden', mode },
      );
      const { problems, steps } = plan;
      expect(steps.length).toBeGreaterThan(30);
      for (const { operation } of steps) kinds.add(operation.kind);
      const scripts = Object.entries(dialect.scripts(plan, heading));
      // What is signed comes back from the store with its properties in another order, and is the same.
      expect(Object.entries(dialect.scripts(asStored(plan), heading))).toEqual(scripts);
      const files = [
        ...Object.entries(dialect.statementScripts(plan, heading)).map(
          ([kind, text]) => [`${kind}.statements.sql`, text] as const,
        ),
        ['problems.txt', problems.map(({ finding, message }) => `${finding}: ${message}\n`).join('')] as const,
        // With their guards they are long: the usual ones are kept as they are, of the others what tells that they changed.
        ...(name === 'advised' && (engine === 'postgresql' || (engine === 'mariadb' && mode === 'plain'))
          ? scripts.map(([kind, text]) => [`${kind}.sql`, text] as const)
          : [['guarded.txt', digests(scripts)] as const]),
      ];
      const folder = `${engine}/${name.replaceAll(' ', '-')}-${mode}`;
      for (const [file, text] of files) await expect(text).toMatchFileSnapshot(`${folder}/${file}`);
    });
  });

  test('every kind of operation that a person can ask for is among them', () => {
    expect([...kinds].sort()).toMatchSnapshot();
  });
});

/** As jsonb gives it back: shorter names of properties first (PostgreSQL manual, 8.14). */
function asStored<T>(value: T): T {
  return JSON.parse(JSON.stringify(value), (_, part: unknown) =>
    typeof part === 'object' && part !== null && !Array.isArray(part)
      ? Object.fromEntries(Object.entries(part).sort(([a], [b]) => a.length - b.length || (a < b ? -1 : 1)))
      : part,
  ) as T;
}

function digests(scripts: readonly (readonly [string, string])[]): string {
  return scripts.map(([kind, text]) => `${kind} ${createHash('sha256').update(text).digest('hex')}\n`).join('');
}
