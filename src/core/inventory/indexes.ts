import type { Stock } from './stock';

export const indexes: Stock = {
  title: 'indexes',
  fields: [
    { name: 'schema', type: 'text', width: 80 },
    { name: 'table', type: 'text', width: 120, usual: true },
    { name: 'name', type: 'text', width: 170, usual: true },
    { name: 'columns', type: 'text', width: 130, usual: true, about: 'in their order; (…) stands for an expression' },
    { name: 'unique', type: 'truth', width: 50, usual: true },
    { name: 'size', type: 'bytes', width: 70, usual: true },
    {
      name: 'scans',
      type: 'number',
      width: 70,
      usual: true,
      about: 'how often the server looked into it since it began to count',
    },
    { name: 'constraint', type: 'text', width: 90, usual: true, about: 'the constraint that it stands behind' },
    { name: 'condition', type: 'text', width: 80, about: 'of an index over some rows alone' },
    { name: 'since', type: 'moment', width: 110, about: 'when the server began to count' },
    { name: 'method', type: 'text', width: 80 },
    { name: 'included', type: 'text', width: 120, about: 'columns carried along' },
    { name: 'valid', type: 'truth', width: 60, about: 'whether the server uses it' },
    { name: 'clustered', type: 'truth', width: 70, about: 'whether the rows are kept in its order' },
  ],
  lines: ({ catalogue: { tables, indexUse = {} } }) =>
    tables.flatMap((table) =>
      table.indexes.map((index) => ({
        id: `${table.schema}.${index.name}`,
        table: table.id,
        values: {
          schema: table.schema,
          table: table.name,
          name: index.name,
          columns: index.columns.map((column) => column ?? '(…)').join(', '),
          unique: index.unique,
          constraint: index.constraint,
          condition: index.predicate,
          size: indexUse[`${table.schema}.${index.name}`]?.bytes ?? null,
          scans: indexUse[`${table.schema}.${index.name}`]?.scans ?? null,
          since: indexUse[`${table.schema}.${index.name}`]?.since ?? null,
          method: index.method,
          included: index.included.join(', ') || null,
          valid: index.valid,
          clustered: index.clustered ?? false,
        },
      })),
    ),
};
