import type { Stock } from './stock';

export const views: Stock = {
  title: 'views',
  fields: [
    { name: 'schema', type: 'text', width: 80, usual: true },
    { name: 'view', type: 'text', width: 160, usual: true },
    { name: 'kind', type: 'text', width: 120, usual: true, about: 'whether what it shows is kept' },
    { name: 'columns', type: 'number', width: 70, usual: true },
    { name: 'reads', type: 'text', width: 240, usual: true, about: 'the tables and views that it reads from' },
    { name: 'size', type: 'bytes', width: 70, about: 'of what is kept' },
    { name: 'owner', type: 'text', width: 110 },
    { name: 'comment', type: 'text', width: 200 },
  ],
  lines: ({ catalogue: { tables } }) =>
    tables
      .filter(({ kind }) => kind === 'view' || kind === 'materialized view')
      .map((view) => ({
        id: view.id,
        table: view.id,
        values: {
          schema: view.schema,
          view: view.name,
          kind: view.kind,
          columns: view.columns.length,
          reads: view.readsFrom?.join(', ') ?? null,
          size: view.kind === 'view' ? null : view.bytes,
          owner: view.owner,
          comment: view.comment,
        },
      })),
};
