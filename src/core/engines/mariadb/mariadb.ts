// What MariaDB says in its own way; measured on 10.5, 10.11 and 11.8.

import { tableNames } from '../../catalogue/identifiers';
import { literal, quote, quoteTable, sameName } from './quote';
import { indent } from './scripts';
import { type CountedChange, memory, type Refusing, type Variant } from './variant';

const moreMemory = `set statement tmp_memory_table_size = ${memory}, max_heap_table_size = ${memory} for`;

export const variant: Variant = {
  ways: {
    'changes the catalogue': { algorithm: 'instant', lock: 'none' },
    'changes references and names': { algorithm: 'instant', lock: 'none' },
    'builds an index': { algorithm: 'nocopy', lock: 'none' },
    rebuilds: { algorithm: 'inplace', lock: 'none' },
    'fills by an expression': { algorithm: 'copy', lock: 'shared' },
    numbers: { algorithm: 'inplace', lock: 'shared' },
    copies: { algorithm: 'copy', lock: 'shared' },
  },
  unlooked: (statement) => [`set statement foreign_key_checks = 0 for ${statement}`],
  // innodb_force_primary_key is set for all sessions or none.
  keyless: (statement) => [statement],
  opensAnew: (table) =>
    `set statement sql_notes = 0 for alter table ${quoteTable(table)}\n  rename index if exists ${quote('pawl_none')} to ${quote('pawl_none_')}`,
  withMemory: (query) => `${moreMemory} ${query}`,
  refuseOrphans: (refusing) => [refuseOrphans(refusing)],
  asManyAs: (counted) => [asManyAs(counted)],
  inOneRound: (statements) => `begin not atomic\n${statements.map((statement) => `${statement};`).join('\n')}\nend`,
  runEach: ({ query, before, after }) => [
    'set @pawl_rows = 0;',
    'delimiter //',
    'begin not atomic',
    `  for part in (${query}) do`,
    '    set @pawl_rows = @pawl_rows + 1;',
    `    select ${before('part.name')} as pawl;`,
    '    begin',
    '      declare continue handler for sqlexception begin end;',
    '      execute immediate part.statement;',
    '    end;',
    `    select ${after} as pawl;`,
    '  end for;',
    'end//',
    'delimiter ;',
  ],
  mostRun: 100_000,
  boundedBy: (ms) => `max_statement_time = ${(ms / 1000).toFixed(3)}, idle_transaction_timeout = 60`,
  checkNamed(table, name) {
    const { schema, table: relation } = tableNames(table);
    return `select 1 from information_schema.check_constraints where constraint_schema = ${literal(schema)} and table_name = ${literal(relation)} and level = 'Table' and ${sameName('constraint_name', name)}`;
  },
  // Nothing, and the word for it, are both no default.
  defaultIs: (expression) =>
    expression === null
      ? "(column_default is null or column_default = 'NULL')"
      : sameName("coalesce(column_default, 'NULL')", expression),
  unsaidAction: 'restrict',
  showsPrograms: { privilege: 'SELECT', schema: 'mysql', words: 'grant SELECT on mysql.proc' },
  hasNoRole: 'current_role() is null',
};

// As one block, so that nothing comes between: what the server then refuses, it refuses with what stands in the way.
function refuseOrphans({ count, drop, says }: Refusing): string {
  return [
    'begin not atomic',
    '  declare orphans bigint;',
    `  ${moreMemory}`,
    `${indent(count.replace('select count(*)', 'select count(*) into orphans'), 2)};`,
    '  if orphans > 0 then',
    `${indent(drop, 4)};`,
    `    signal sqlstate '23000' set mysql_errno = 1452, message_text = ${literal(says)};`,
    '  end if;',
    'end',
  ].join('\n');
}

// A row that came meanwhile would be gone and not kept.
function asManyAs({ keep, change, expected = 'kept_rows' }: CountedChange): string {
  const [first = '', ...more] = change;
  return [
    'begin not atomic',
    '  declare kept_rows bigint;',
    ...keep.map((statement) => `${indent(statement, 2)};`),
    '  set kept_rows = row_count();',
    `${indent(first, 2)};`,
    `  if row_count() <> ${expected} then`,
    "    signal sqlstate '40001' set mysql_errno = 1213, message_text = 'Rows came in between: nothing was changed';",
    '  end if;',
    ...more.map((statement) => `${indent(statement, 2)};`),
    'end',
  ].join('\n');
}
