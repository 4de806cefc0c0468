// Whether what goes comes back in schemas that nobody here made: every constraint and index of a schema of the corpus that Pawl
// drops when somebody asks is dropped, and every default. `npm run bench:removals [SCHEMA…]`, after `shared/corpus/build.sh all`.
// Exit code 1 when one fails.

import type { Catalogue, Table } from '../src/core/catalogue/model';
import { baseTables } from '../src/core/catalogue/lookups';
import { audit } from '../src/core/rules/audit';
import { type Wish, wishProblem } from '../src/core/wishes/index';
import { onEverySchema } from './onEverySchema';

await onEverySchema('removals', (catalogue) => {
  const wishes = baseTables(catalogue).flatMap((table) => wishesOn(table));
  const able = wishes.filter((wish) => wishProblem(wish, catalogue) === null);
  console.error(`${catalogue.database}: ${able.length} of ${wishes.length} can be asked for${reasons(wishes, catalogue)}`);
  return audit(catalogue, {}, { wishes: able.map((wish) => ({ wish, reason: '', by: 'bench' })) }).filter(({ rule }) =>
    rule.endsWith('/asked'),
  );
});

function wishesOn({ id: table, columns, constraints, indexes, triggers }: Table): readonly Wish[] {
  return [
    ...constraints.map(({ name }) => ({ kind: 'gone', table, constraint: name }) as const),
    ...indexes
      .filter(({ constraint }) => constraint === null)
      .map(({ name }) => ({ kind: 'gone', table, constraint: name, object: 'index' }) as const),
    ...columns
      .filter((column) => column.default !== null)
      .map(({ name }) => ({ kind: 'default', table, column: name, value: { kind: 'none' } }) as const),
    ...triggers.map(({ name, enabled }) => ({ kind: 'switched', table, trigger: name, on: !enabled }) as const),
  ];
}

/** How often each reason not to stands, names left out. */
function reasons(wishes: readonly Wish[], catalogue: Catalogue): string {
  const counts = new Map<string, number>();
  for (const wish of wishes) {
    const said = wishProblem(wish, catalogue);
    if (said === null) continue;
    const kind = said.split(/(?: is | has | rests | was | hands )/).at(-1) ?? said;
    counts.set(kind.slice(0, 60), (counts.get(kind.slice(0, 60)) ?? 0) + 1);
  }
  return [...counts].map(([said, count]) => `\n  ${count}: ${said}`).join('');
}
