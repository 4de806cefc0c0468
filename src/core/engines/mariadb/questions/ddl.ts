// The statements that drop what is there and make it again, in the server's own words: to be read and kept, as Pawl itself
// runs none of them.

import { type TableId, tableNames } from '../../../catalogue/identifiers';
import { type Asking, type Ddl, rowsOf } from '../../questions';
import { quote, quoteTable } from '../quote';
import { readShown } from '../shown';
import * as queries from './catalogue-queries';

/** Of a constraint or an index of a table; null when it has none of that name. */
export function* ddl(table: TableId, name: string): Asking<Ddl | null> {
  const { schema, table: relation } = tableNames(table);
  const [row] = yield* rowsOf({ text: queries.shown(schema, relation), columns: 2 });
  const statement = row?.[1] ?? '';
  const { keys, references, checks } = readShown(statement);
  const on = quoteTable(table);
  const made = (drop: string, line: string): Ddl => ({
    drop: `alter table ${on}\n  drop ${drop};`,
    create: `alter table ${on}\n  add ${line};`,
  });
  const key = keys.find((one) => one.name === name);
  if (key) return made(key.kind === 'primary' ? 'primary key' : `key ${quote(name)}`, key.line);
  const check = checks.find((one) => one.name === name && one.column === null);
  if (check) return made(`constraint ${quote(name)}`, `constraint ${quote(name)} check (${check.expression})`);
  const reference = references.find((one) => one.name === name);
  return reference ? made(`foreign key ${quote(name)}`, lineOf(statement, name)) : null;
}

// The line of a reference, as it stands there.
function lineOf(statement: string, name: string): string {
  const from = statement.indexOf(`CONSTRAINT ${quote(name)} FOREIGN KEY`);
  const line = statement.slice(from).split('\n')[0] ?? '';
  return line.trim().replace(/,$/, '');
}
