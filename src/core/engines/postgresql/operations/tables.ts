import type { RenameTable } from '../../../operations/rename-table';
import { quote, quoteList, quoteTable } from '../quote';
import { alter, exclusive, inSchemaOf, type Writing } from './writing';

// Manual, "ALTER TABLE": what the server itself keeps of the table follows; text of functions does not.
export const renameTable: Writing<RenameTable> = {
  statements: ({ table, to, leaves, takesBack, owner }) => [
    ...(takesBack ? [`drop view ${inSchemaOf(table, to)}`] : []),
    alter(table, `rename to ${quote(to)}`),
    ...(leaves ? leave({ table, to, ...(owner !== undefined && { owner }) }, leaves.columns) : []),
  ],
  cost: () => exclusive('catalogue only'),
};

/**
 * Manual, "CREATE VIEW": with `security_invoker` the rights and row policies of the table are those that count, for whoever
 * asks, so that everybody may be let at the view itself; and a view over one table takes what is written to it.
 */
function leave({ table, to, owner }: Pick<RenameTable, 'table' | 'to' | 'owner'>, columns: readonly string[]): readonly string[] {
  const view = quoteTable(table);
  const note = 'Left by Pawl for programs that still say this name';
  return [
    [
      `create view ${view}`,
      '  with (security_invoker = true)',
      `as select ${quoteList(columns)}`,
      `from ${inSchemaOf(table, to)}`,
    ].join('\n'),
    `comment on view ${view} is '${note}'`,
    ...(owner === undefined ? [] : [`alter view ${view} owner to ${quote(owner)}`]),
    `grant select, insert, update, delete on ${view} to public`,
  ];
}
