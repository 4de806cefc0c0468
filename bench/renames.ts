// Whether names can be changed in schemas that nobody here made: every column, constraint, index, sequence and trigger of a schema of the corpus
// gets another name. `npm run bench:renames [SCHEMA…]`, after `shared/corpus/build.sh all`. Exit code 1 when one fails.

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
