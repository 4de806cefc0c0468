import { remedyOf } from '../remedies/index';
import { columnId, columnsId, tableId } from '../catalogue/identifiers';
import { declaredUniques, foreignKeysOf, isIndexed, primaryKeyOf, referencesTo } from '../catalogue/lookups';
import type { Column, ForeignKey, Table } from '../catalogue/model';
import { type Evidence, type Fact, profileOf, sampleOf } from '../evidence/evidence';
import { counted } from '../naming/words';
import { factsOf } from '../engines/facts';
import type { Finding } from '../rules/finding';
import type { Line, Stock, Taken, Value } from './stock';

export const columns: Stock = {
  title: 'columns',
  fields: [
    { name: 'schema', type: 'text', width: 80 },
    { name: 'table', type: 'text', width: 112, usual: true },
    { name: 'position', title: '#', type: 'number', width: 40, about: 'its place in the table' },
    { name: 'column', type: 'text', width: 130, usual: true },
    { name: 'type', type: 'text', width: 96, usual: true },
    { name: 'nullable', title: 'null', type: 'truth', width: 36, usual: true, about: 'whether it may be null' },
    {
      name: 'role',
      type: 'text',
      width: 114,
      usual: true,
      about: 'key, unique, what it refers to, by how many it is referred to',
    },
    { name: 'seems', type: 'text', width: 124, about: 'what the data says of it that nothing declares' },
    { name: 'filled', type: 'text', width: 90, about: 'identity, default or generated' },
    { name: 'default', type: 'text', width: 150 },
    { name: 'collation', type: 'text', width: 90 },
    { name: 'refers', type: 'text', width: 160, about: 'the key that it refers to, as declared' },
    { name: 'children', type: 'number', width: 70, about: 'columns that refer to it' },
    { name: 'indexed', type: 'truth', width: 70, about: 'whether an index begins with it' },
    { name: 'rows', type: 'number', width: 62, usual: true },
    { name: 'empty', type: 'share', width: 46, usual: true, about: 'share of rows in which it is null' },
    { name: 'blank', type: 'share', width: 70, about: 'share of rows in which it is white space alone' },
    { name: 'distinct', type: 'number', width: 80, about: 'values that differ, of those looked at' },
    {
      name: 'variety',
      type: 'share',
      width: 50,
      usual: true,
      about: 'values that differ, as a share of the filled rows looked at',
    },
    { name: 'smallest', type: 'text', width: 110, data: true },
    { name: 'largest', type: 'text', width: 110, data: true },
    { name: 'longest', type: 'number', width: 70, about: 'characters of its longest value' },
    { name: 'how', type: 'text', width: 80, about: 'how it was measured: exact, sample or statistics' },
    { name: 'measured', type: 'moment', width: 110 },
    { name: 'comment', type: 'text', width: 200 },
  ],
  lines: (taken) => {
    const seeming = seemingOf(taken.findings);
    return taken.catalogue.tables.flatMap((table) =>
      table.columns.map((column, i) => lineOf(taken, { table, column, i }, seeming)),
    );
  },
};

interface Place {
  readonly table: Table;
  readonly column: Column;
  readonly i: number;
}

function lineOf({ catalogue, evidence }: Taken, { table, column, i }: Place, seeming: ReadonlyMap<string, string>): Line {
  const refers = foreignKeysOf(table).filter((key) => key.columns.includes(column.name));
  const children = referencesTo(catalogue, table.id).filter(({ key }) => key.parentColumns.includes(column.name)).length;
  return {
    id: column.id,
    table: table.id,
    values: {
      schema: table.schema,
      table: table.name,
      position: i + 1,
      column: column.name,
      type: factsOf(catalogue).types.short(column.declaredType),
      nullable: column.nullable,
      role: roleOf({ table, column, i }, refers, children),
      seems: seeming.get(column.id) ?? null,
      filled: column.identity ? 'identity' : column.generated !== null ? 'generated' : column.default !== null ? 'default' : null,
      default: column.default ?? column.generated,
      collation: column.collation,
      refers: refers.map((key) => columnsId(key.parent, key.parentColumns)).join(', ') || null,
      children,
      indexed: isIndexed(table, [column.name]),
      comment: column.comment,
      ...measured(table, column, evidence),
    },
  };
}

function roleOf({ table, column: { name } }: Place, refers: readonly ForeignKey[], children: number): string | null {
  const key = primaryKeyOf(table)?.columns ?? [];
  const unique = declaredUniques(table).some((columns) => columns.length === 1 && columns[0] === name);
  const parts = [
    ...(key.includes(name) ? [key.length === 1 ? 'key' : `key, part ${key.indexOf(name) + 1}`] : unique ? ['unique'] : []),
    ...refers.map(({ parent }) => `→ ${parent.startsWith(`${table.schema}.`) ? parent.slice(table.schema.length + 1) : parent}`),
    ...(children > 0 ? [counted(children, 'child')] : []),
  ];
  return parts.length === 0 ? null : parts.join(', ');
}

/** What findings about single columns come to, by column; of several the worst, as they are told worst first. */
function seemingOf(findings: readonly Finding[]): ReadonlyMap<string, string> {
  const seeming = new Map<string, string>();
  for (const { object, proposal } of findings) {
    const [name = ''] = object.columns;
    const id = columnId(tableId(object.schema, object.table), name);
    const words = object.columns.length === 1 ? (remedyOf(proposal).seems?.(proposal) ?? null) : null;
    if (words !== null && !seeming.has(id)) seeming.set(id, words);
  }
  return seeming;
}

/** By the strongest fact there is: a profile, else a sample, else what the server believes. */
function measured(table: Table, { name, statistics }: Column, evidence: Evidence): Readonly<Record<string, Value>> {
  const profile = profileOf(evidence, table.id);
  const sample = sampleOf(evidence, table.id);
  const seen = profile?.result.columns[name];
  const looked = sample?.result.columns[name];
  const rows = profile?.result.rows ?? table.estimatedRows;
  const share = (count: number | null | undefined, of: number | undefined): number | null =>
    count === null || count === undefined || !of ? null : count / of;
  const fact: Pick<Fact, 'at'> | null = profile ?? sample;
  return {
    rows,
    empty:
      share(seen?.nulls, profile?.result.rows) ?? share(looked?.nulls, sample?.result.rows) ?? statistics?.nullFraction ?? null,
    blank: share(seen?.blanks, profile?.result.rows),
    variety: share(looked?.distinct, looked && sample ? sample.result.rows - looked.nulls : undefined),
    distinct: looked?.distinct ?? (statistics ? Math.round(statistics.distinct) : null),
    smallest: seen?.min ?? null,
    largest: seen?.max ?? null,
    longest: looked?.longest ?? null,
    how: (profile ?? sample)?.how.kind ?? (statistics ? 'statistics' : null),
    measured: fact?.at ?? null,
  };
}
