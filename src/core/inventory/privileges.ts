import { groupBy } from '../grouping';
import type { Stock } from './stock';

export const privileges: Stock = {
  title: 'privileges',
  part: 'privileges',
  fields: [
    { name: 'grantee', type: 'text', width: 110, usual: true },
    { name: 'schema', type: 'text', width: 70, usual: true },
    { name: 'table', type: 'text', width: 150, usual: true },
    { name: 'may', type: 'text', width: 280, usual: true },
    { name: 'owner', type: 'truth', width: 50, usual: true, about: 'whether the table is its own' },
  ],
  lines: ({ catalogue: { tables } }) =>
    tables.flatMap((table) =>
      [...groupBy(table.privileges, ({ grantee }) => grantee)].map(([grantee, granted]) => ({
        id: `${grantee} on ${table.id}`,
        table: table.id,
        values: {
          grantee,
          schema: table.schema,
          table: table.name,
          may: granted.map(({ privilege }) => privilege.toLowerCase()).join(', '),
          owner: table.owner === grantee,
        },
      })),
    ),
};
