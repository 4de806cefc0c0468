// The record of what was there before a docket's first run: a table without rows, a column for each thing that was.

import { tableNames, type TableId } from '../../catalogue/identifiers';
import type { Entry } from '../../plan/record';
import { onOneLine } from '../scripting';
import { writeCheck } from './checks';
import { dollarQuoted, literal, quote, quoteTable } from './quote';

export function makesRecord(table: TableId, found: readonly Pick<Entry, 'column' | 'words'>[]): readonly string[] {
  return [
    `create table ${quoteTable(table)} (${found.map(({ column }) => `${quote(column)} boolean`).join(', ')})`,
    ...found.map(
      ({ column, words }) => `comment on column ${quoteTable(table)}.${quote(column)} is ${literal(`There before: ${words}`)}`,
    ),
  ];
}

/** For a script: writes it down once, before the first step of the first run. Where nothing is to be noted and no table may be made, none is. */
export function recordsOnce(table: TableId, entries: readonly Entry[]): string {
  const { schema } = tableNames(table);
  const body = [
    'declare',
    '  found text[] := array[]::text[];',
    'begin',
    `  if (${writeCheck({ kind: 'tableMissing', table })}) = 0 then return; end if;`,
    ...entries.map(
      ({ column, todo }) => `  if (${onOneLine(writeCheck(todo))}) = 0 then found := found || ${literal(column)}::text; end if;`,
    ),
    `  if pg_catalog.has_schema_privilege(${literal(schema)}, 'create') then`,
    ...makesRecord(table, []).map((statement) => `    ${statement};`),
    ...entries.flatMap(({ column, words }) => [
      `    if ${literal(column)} = any (found) then alter table ${quoteTable(table)} add ${quote(column)} boolean;`,
      `      comment on column ${quoteTable(table)}.${quote(column)} is ${literal(`There before: ${words}`)}; end if;`,
    ]),
    '  elsif pg_catalog.cardinality(found) > 0 then',
    `    raise exception using message = ${literal('Nothing was changed: some of it is there already, and this login may make no table here that would remember it for the way back. Grant it CREATE on the schema.')};`,
    '  end if;',
    'end',
  ].join('\n');
  return `${dollarQuoted(body)};`;
}
