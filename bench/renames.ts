// Whether names can be changed in schemas that nobody here made: every column, constraint, index, sequence and trigger of a schema of the corpus
// gets another name; then every table, which leaves a view behind. `npm run bench:renames [SCHEMA…]`, after `shared/corpus/build.sh all`. Exit code 1 when one fails.

import { baseTables } from '../src/core/catalogue/lookups';
import type { Catalogue } from '../src/core/catalogue/model';
import { engineOf } from '../src/core/engines/index';
import { evidenceOf } from '../src/core/evidence/evidence';
import { audit } from '../src/core/rules/audit';
import { onNames } from '../src/core/naming/styleChange';
import { onEverySchema } from './onEverySchema';

const adopted = {
  column: '{words:pascal}',
  'primary key': 'key_of_{table}',
  unique: 'one_{columns}_in_{table}',
  'foreign key': '{table}_to_{parent}[_{columns}]',
  index: 'find_{table}_{columns}',
  sequence: 'next_{columns}_of_{table}',
  trigger: 'on_{table}_{meaning}',
};

await onEverySchema(
  'names',
  (catalogue) => onNames(catalogue, {}, adopted).filter(({ proposal }) => proposal.kind === 'rename'),
  adopted,
);

await onEverySchema('tables', (catalogue) => {
  const wishes = baseTables(catalogue).map(({ id, name }) => ({
    wish: { kind: 'named', table: id, object: 'table', from: name, to: named(catalogue, name) } as const,
    ...{ reason: '', by: '' },
  }));
  return audit(catalogue, evidenceOf([]), { wishes, only: new Set(['naming/asked']) });
});

function named(catalogue: Catalogue, name: string): string {
  const end = ' "now"';
  return `${engineOf(catalogue).names.shorten(name, end.length)}${end}`;
}
