// What MySQL says otherwise than MariaDB; measured on 9.7, known of 8 from its manual.

import { isTable, literal, quoteTable, sameName } from '../mariadb/quote';
import { indent } from '../mariadb/scripts';
import { onePart } from '../mariadb/shown';
import { memory, type Variant } from '../mariadb/variant';

const mostRun = 1_000;

export const variant: Variant = {
  // Manual, "Online DDL Operations"; a lock cannot be asked for with INSTANT.
  ways: {
    'changes the catalogue': { algorithm: 'instant', lock: null },
    'changes references and names': { algorithm: 'inplace', lock: 'none' },
    'builds an index': { algorithm: 'inplace', lock: 'none' },
    rebuilds: { algorithm: 'inplace', lock: 'none' },
    'fills by an expression': { algorithm: 'inplace', lock: 'none' },
    numbers: { algorithm: 'inplace', lock: 'shared' },
    copies: { algorithm: 'copy', lock: 'shared' },
  },
  // Rows are changed under a hint (manual, "SET_VAR"), tables are not.
  unlooked: (statement) =>
    /^(insert|update|delete)\b/i.test(statement)
      ? [statement.replace(/^\w+/, (verb) => `${verb} /*+ set_var(foreign_key_checks = 0) */`)]
      : ['set foreign_key_checks = 0', statement, 'set foreign_key_checks = 1'],
  // Manual, "sql_require_primary_key", "sql_generate_invisible_primary_key": not all versions know both.
  keyless: (statement) => [
    `set @pawl_keys = (\n  select concat('set ', group_concat(concat('session ', lower(variable_name), ' = off')))\n  from performance_schema.session_variables\n  where variable_name in ('sql_require_primary_key', 'sql_generate_invisible_primary_key') and variable_value = 'ON'\n)`,
    "set @pawl_keys = ifnull(@pawl_keys, 'do 0')",
    ...executed('@pawl_keys'),
    statement,
  ],
  // Takes the lock of an ALTER, and then has nothing to do (9.7).
  opensAnew: (table) => `alter table ${quoteTable(table)} enable keys`,
  withMemory: (query) =>
    query.replace(/^select\b/, `select /*+ set_var(tmp_table_size = ${memory}) set_var(max_heap_table_size = ${memory}) */`),
  // There are no blocks: what hangs on a count is a statement of its own text.
  refuseOrphans: ({ count, drop, says }) => [
    `set @pawl_orphans = (\n${indent(count, 2)}\n)`,
    `set @pawl_undo = if(@pawl_orphans > 0, ${literal(drop)}, 'do 0')`,
    ...executed('@pawl_undo'),
    raised('@pawl_orphans > 0', says),
  ],
  asManyAs({ keep, change, expected }) {
    const [first = '', ...more] = change;
    return [
      ...keep,
      'set @pawl_kept = row_count()',
      ...(expected === undefined ? [] : [`set @pawl_kept = ${expected}`]),
      first,
      'set @pawl_gone = row_count()',
      raised('@pawl_gone <> @pawl_kept', 'Rows came in between: nothing was changed'),
      ...more,
    ];
  },
  inOneRound: null,
  // A client has no loops: what there is not is run as nothing.
  runEach: ({ query, before, after }) => [
    `set @pawl_each = (select json_arrayagg(json_array(name, statement)) from (${query}) as part);`,
    'set @pawl_rows = ifnull(json_length(@pawl_each), 0);',
    `prepare pawl_next from ${literal(`set @pawl_name = ${nth(0)}, @pawl_do = ifnull(${nth(1)}, 'do 0')`)};`,
    `prepare pawl_before from ${literal(`select ${before('@pawl_name')} as pawl from dual where @pawl_name is not null`)};`,
    `prepare pawl_after from ${literal(`select ${after} as pawl from dual where @pawl_name is not null`)};`,
    ...Array.from(
      { length: mostRun },
      (_, at) =>
        `set @pawl_at = ${at}; execute pawl_next; prepare pawl from @pawl_do; execute pawl_before; execute pawl; execute pawl_after;`,
    ),
  ],
  mostRun,
  boundedBy: (ms) => `max_execution_time = ${Math.round(ms)}`,
  checkNamed: (table, name) =>
    `select 1 from information_schema.table_constraints where ${isTable(table)} and constraint_type = 'CHECK' and ${sameName('constraint_name', name)}`,
  defaultIs,
  unsaidAction: 'no action',
  showsPrograms: { privilege: 'SHOW_ROUTINE', schema: '', words: 'grant SHOW_ROUTINE' },
  hasNoRole: "current_role() = 'NONE'",
};

function nth(part: 0 | 1): string {
  return `json_unquote(json_extract(@pawl_each, concat('$[', @pawl_at, '][${part}]')))`;
}

export function executed(variable: string): readonly string[] {
  return [`prepare pawl from ${variable}`, 'execute pawl', 'deallocate prepare pawl'];
}

/** Fails with what it says where the condition is true: there is no SIGNAL outside of programs. */
export function raised(condition: string, says: string): string {
  return `do uuid_to_bin(if(${condition}, ${literal(says)}, uuid()))`;
}

// Texts stand without their quotes here, and expressions without their brackets.
function defaultIs(expression: string | null): string {
  if (expression === null) return 'column_default is null';
  const text = /^'((?:[^']|'')*)'$/.exec(expression)?.[1]?.replaceAll("''", "'");
  if (text !== undefined) return `(${sameName('column_default', text)} and extra not like '%DEFAULT_GENERATED%')`;
  const inner = /^\((.*)\)$/s.exec(onePart(expression, 'a default'))?.[1] ?? expression;
  return sameName('column_default', inner);
}
