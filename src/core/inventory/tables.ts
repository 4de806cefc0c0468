import { foreignKeysOf, primaryKeyOf, referencesTo } from '../catalogue/lookups';
import { profileOf } from '../evidence/evidence';
import type { Stock } from './stock';

export const tables: Stock = {
  title: 'tables',
  fields: [
    { name: 'schema', type: 'text', width: 60, usual: true },
    { name: 'table', type: 'text', width: 140, usual: true },
    { name: 'kind', type: 'text', width: 90, about: 'table, partition, view and so on' },
    { name: 'rows', type: 'number', width: 70, usual: true },
    { name: 'size', type: 'bytes', width: 70, usual: true, about: 'with its indexes and out-of-line values' },
    { name: 'columns', type: 'number', width: 62, usual: true },
    { name: 'key', type: 'text', width: 130, usual: true, about: 'columns of its primary key' },
    { name: 'parents', type: 'number', width: 60, usual: true, about: 'tables that it refers to' },
    { name: 'children', type: 'number', width: 64, usual: true, about: 'tables that refer to it' },
    { name: 'indexes', type: 'number', width: 70 },
    { name: 'checks', type: 'number', width: 70 },
    { name: 'triggers', type: 'number', width: 70 },
    { name: 'readable', type: 'truth', width: 70, about: 'whether the login may read it' },
    { name: 'owner', type: 'text', width: 110 },
    { name: 'persistence', type: 'text', width: 100 },
    { name: 'extension', type: 'text', width: 100, about: 'what brought it' },
    { name: 'measured', type: 'moment', width: 110 },
    { name: 'comment', type: 'text', width: 200 },
  ],
  lines: ({ catalogue, evidence }) =>
    catalogue.tables.map((table) => {
      const profile = profileOf(evidence, table.id);
      return {
        id: table.id,
        table: table.id,
        values: {
          schema: table.schema,
          table: table.name,
          kind: table.kind,
          rows: profile?.result.rows ?? table.estimatedRows,
          size: table.bytes,
          columns: table.columns.length,
          key: primaryKeyOf(table)?.columns.join(', ') ?? null,
          parents: new Set(foreignKeysOf(table).map(({ parent }) => parent)).size,
          children: new Set(referencesTo(catalogue, table.id).map(({ child }) => child.id)).size,
          indexes: table.indexes.length,
          checks: table.constraints.filter(({ kind }) => kind === 'check').length,
          triggers: table.triggers.length,
          readable: table.readable,
          owner: table.owner,
          persistence: table.persistence,
          extension: table.extension ?? null,
          measured: profile?.at ?? null,
          comment: table.comment,
        },
      };
    }),
};
