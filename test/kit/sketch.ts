// A catalogue drawn as a reader would: one table a line, columns with a few words behind them, then
// clauses over several columns.
//
//   port.vessel: id key, name text not null, imo_no text unique
//   port.call 900: id key, vessel_id -> port.vessel.id cascade, noted timestamp default=now(); index vessel_id; check noted > '2000-01-01'
//   port.stay: a, b, code varchar(12); unique a+b; foreign a+b -> port.slot.a+b notvalid; unique index code where b is null
//
// For tests. A table without a schema is in `public`; a column without a type is an integer; the number
// behind a table's name is its rows.

import { columnId, constraintId, tableId, type TableId } from '../../src/core/catalogue/identifiers';
import type {
  Catalogue,
  Column,
  Constraint,
  ForeignKey,
  Index,
  ReferentialAction,
  Table,
  TypeFamily,
} from '../../src/core/catalogue/model';

const types: Readonly<Record<string, readonly [TypeFamily, string]>> = {
  int: ['integer', 'integer'],
  smallint: ['integer', 'smallint'],
  bigint: ['integer', 'bigint'],
  text: ['text', 'text'],
  varchar: ['text', 'character varying'],
  numeric: ['decimal', 'numeric'],
  float: ['float', 'double precision'],
  bool: ['boolean', 'boolean'],
  date: ['date', 'date'],
  timestamp: ['timestamp', 'timestamp with time zone'],
  localtime: ['timestamp', 'timestamp without time zone'],
  uuid: ['uuid', 'uuid'],
};

export function sketch(drawing: string): Catalogue {
  const tables = drawing
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '')
    .map(drawTable);
  const schemas = [...new Set(tables.map((t) => t.schema))].map((name) => ({ name, readable: true }));
  return {
    engine: { name: 'postgresql', version: '15.0' },
    source: 'live',
    unknown: [],
    database: 'sketch',
    schemas,
    tables,
    sequences: [],
    joins: [],
  };
}

function drawTable(line: string): Table {
  const [head = '', all = ''] = split(line, ':');
  const [name = '', size, kind] = head.split(' ');
  const [schema, table] = name.includes('.') ? (name.split('.') as [string, string]) : ['public', name];
  const id = tableId(schema, table);
  const [body = '', ...clauses] = all.split(';').map((text) => text.trim());
  const drawn = body
    .split(/,(?![^(]*\))/)
    .filter((text) => text.trim() !== '')
    .map((text) => drawColumn(id, text.trim()));
  const clausal = clauses.map((clause) => drawClause(id, table, clause));
  const constraints = [
    ...keysOf(id, table, drawn),
    ...drawn.flatMap((c) => c.constraints),
    ...clausal.flatMap((c) => c.constraints),
  ];
  return {
    id,
    schema,
    name: table,
    kind: kind === 'foreign' ? 'foreign' : 'table',
    persistence: 'permanent',
    inherits: [],
    comment: null,
    estimatedRows: Number(size ?? 100),
    bytes: Number(size ?? 100) * 100,
    activity: null,
    readable: true,
    owner: 'owner',
    columns: drawn.map((c) => c.column),
    constraints,
    indexes: [...constraints.flatMap((c) => indexBehind(c)), ...clausal.flatMap((c) => c.indexes)],
    triggers: [],
    privileges: [],
  };
}

interface DrawnColumn {
  readonly column: Column;
  readonly key: boolean;
  readonly constraints: readonly Constraint[];
}

function drawColumn(table: TableId, text: string): DrawnColumn {
  const [name = '', ...words] = text.split(/\s+/);
  const typed = words
    .map((word) => /^(\w+)(?:\((\d+)\))?$/.exec(word))
    .find((match) => match !== null && (match[1] ?? '') in types);
  const [family, spelled] = types[typed?.[1] ?? 'int'] ?? ['integer', 'integer'];
  const length = typed?.[2] === undefined ? null : Number(typed[2]);
  const key = words.includes('key');
  const constraints: Constraint[] = [];
  if (words.includes('unique')) constraints.push(uniqueKey(table, [name]));
  const arrow = words.indexOf('->');
  if (arrow >= 0) constraints.push(foreignKey(table, [name], words.slice(arrow + 1)));
  const given = words.find((word) => word.startsWith('default='));
  return {
    key,
    constraints,
    column: {
      id: columnId(table, name),
      name,
      declaredType: length === null ? spelled : `${spelled}(${length})`,
      family,
      comparable: true,
      domain: null,
      length,
      precision: null,
      scale: null,
      collation: null,
      nullable: !(key || text.includes('not null')),
      default: given === undefined ? null : given.slice('default='.length),
      fillsItself: words.includes('identity') || /^(nextval|gen_random_uuid)/.test(given?.slice('default='.length) ?? ''),
      identity: words.includes('identity') ? 'always' : null,
      generated: null,
      comment: null,
      statistics: null,
    },
  };
}

interface DrawnClause {
  readonly constraints: readonly Constraint[];
  readonly indexes: readonly Index[];
}

function drawClause(table: TableId, name: string, clause: string): DrawnClause {
  const [head = '', predicate] = clause.split(/ where /);
  const words = head.split(/\s+/);
  const columns = (words.at(-1) ?? '').split('+');
  if (head.startsWith('unique index'))
    return { constraints: [], indexes: [plainIndex(`${name}_${columns.join('_')}_ux`, columns, true, null, predicate ?? null)] };
  if (words[0] === 'index')
    return { constraints: [], indexes: [plainIndex(`${name}_${columns.join('_')}_ix`, columns, false, null, predicate ?? null)] };
  if (words[0] === 'unique') return { constraints: [uniqueKey(table, columns)], indexes: [] };
  if (words[0] === 'foreign')
    return { constraints: [foreignKey(table, (words[1] ?? '').split('+'), words.slice(words.indexOf('->') + 1))], indexes: [] };
  const expression = clause.replace(/^check /, '');
  return { constraints: [checkOf(table, name, expression)], indexes: [] };
}

function checkOf(table: TableId, name: string, expression: string): Constraint {
  const validated = !expression.endsWith(' notvalid');
  const text = expression.replace(/ notvalid$/, '');
  const column = /^\(*(\w+)/.exec(text)?.[1] ?? '';
  const constraint = `${name}_${column}_check`;
  return { kind: 'check', ...base(table, constraint), validated, columns: [column], expression: text };
}

function base(table: TableId, name: string) {
  return { id: constraintId(table, name), name, validated: true, enforced: true, deferrable: 'no' } as const;
}

function uniqueKey(table: TableId, columns: readonly string[]): Constraint {
  const constraint = `${shortName(table)}_${columns.join('_')}_key`;
  return { kind: 'unique', ...base(table, constraint), columns, index: constraint, nulls: 'distinct' };
}

function foreignKey(table: TableId, columns: readonly string[], [target = '', ...options]: readonly string[]): ForeignKey {
  const constraint = `${shortName(table)}_${columns.join('_')}_fkey`;
  const parts = target.split('.');
  const parentColumns = (parts.pop() ?? '').split('+');
  const [parentSchema, parent] = parts.length === 2 ? (parts as [string, string]) : ['public', parts[0] ?? ''];
  const action = (options.find((word) => ['cascade', 'setnull', 'setdefault'].includes(word)) ?? 'no action').replace(
    'set',
    'set ',
  );
  return {
    kind: 'foreign key',
    ...base(table, constraint),
    validated: !options.includes('notvalid'),
    deferrable: options.includes('deferrable') ? 'initially deferred' : 'no',
    columns,
    parent: tableId(parentSchema, parent),
    parentColumns,
    match: 'simple',
    onDelete: action as ReferentialAction,
    onUpdate: 'no action',
    index: null,
  };
}

function keysOf(table: TableId, name: string, columns: readonly DrawnColumn[]): readonly Constraint[] {
  const key = columns.filter((c) => c.key).map((c) => c.column.name);
  if (key.length === 0) return [];
  return [{ kind: 'primary key', ...base(table, `${name}_pkey`), columns: key, index: `${name}_pkey` }];
}

function indexBehind(constraint: Constraint): readonly Index[] {
  if (constraint.kind !== 'primary key' && constraint.kind !== 'unique') return [];
  return [plainIndex(constraint.index, constraint.columns, true, constraint.name, null)];
}

function plainIndex(
  name: string,
  columns: readonly string[],
  unique: boolean,
  constraint: string | null,
  predicate: string | null,
): Index {
  const ordinary = { method: 'btree', valid: true, included: [], nulls: 'distinct', plain: true, bare: true } as const;
  return { ...ordinary, name, unique, columns, predicate, constraint };
}

function shortName(table: TableId): string {
  return table.split('.').at(-1) ?? table;
}

function split(text: string, mark: string): readonly [string, string] {
  const at = text.indexOf(mark);
  return [text.slice(0, at).trim(), text.slice(at + 1)];
}

/** A drawn catalogue with more said of its tables. */
export function withTables(catalogue: Catalogue, more: (table: Table) => Partial<Table>): Catalogue {
  return { ...catalogue, tables: catalogue.tables.map((table) => ({ ...table, ...more(table) })) };
}

/** The same of its columns. */
export function withColumns(catalogue: Catalogue, more: (column: Column) => Partial<Column>): Catalogue {
  return withTables(catalogue, ({ columns }) => ({ columns: columns.map((column) => ({ ...column, ...more(column) })) }));
}
