// A catalogue drawn as a reader would: one table a line, columns with a few words behind them.
//
//   port.vessel: id key, name text not null, imo_no text unique
//   port.call:   id key, vessel_id -> port.vessel.id, noted timestamp
//
// For tests. A table without a schema is in `public`; a column without a type is an integer.

import { columnId, constraintId, tableId, type TableId } from './identifiers';
import type { Catalogue, Column, Constraint, Index, Table, TypeFamily } from './model';

const types: Readonly<Record<string, readonly [TypeFamily, string]>> = {
  int: ['integer', 'integer'],
  text: ['text', 'text'],
  numeric: ['decimal', 'numeric'],
  float: ['float', 'double precision'],
  bool: ['boolean', 'boolean'],
  date: ['date', 'date'],
  timestamp: ['timestamp', 'timestamp with time zone'],
  uuid: ['uuid', 'uuid'],
};

export function sketch(drawing: string): Catalogue {
  const tables = drawing
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '')
    .map(drawTable);
  const schemas = [...new Set(tables.map((t) => t.schema))].map((name) => ({ name, readable: true }));
  return { engine: { name: 'postgresql', version: '15.0' }, database: 'sketch', schemas, tables, sequences: [], joins: [] };
}

function drawTable(line: string): Table {
  const [head = '', body = ''] = split(line, ':');
  const [name = '', size] = head.split(' ');
  const [schema, table] = name.includes('.') ? (name.split('.') as [string, string]) : ['public', name];
  const id = tableId(schema, table);
  const drawn = body
    .split(',')
    .filter((text) => text.trim() !== '')
    .map((text) => drawColumn(id, text.trim()));
  const constraints = [...keysOf(id, table, drawn), ...drawn.flatMap((c) => c.constraints)];
  return {
    id,
    schema,
    name: table,
    kind: 'table',
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
    indexes: constraints.flatMap((c) => indexBehind(c)),
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
  const type = words.find((word) => word in types) ?? 'int';
  const [family, declaredType] = types[type] ?? ['integer', 'integer'];
  const short = table.split('.').at(-1) ?? table;
  const key = words.includes('key');
  const constraints: Constraint[] = [];
  if (words.includes('unique')) {
    const constraint = `${short}_${name}_key`;
    constraints.push({
      kind: 'unique',
      id: constraintId(table, constraint),
      name: constraint,
      validated: true,
      enforced: true,
      deferrable: 'no',
      columns: [name],
      index: constraint,
      nullsDistinct: true,
    });
  }
  const arrow = words.indexOf('->');
  if (arrow >= 0) {
    const constraint = `${short}_${name}_fkey`;
    const target = (words[arrow + 1] ?? '').split('.');
    const parentColumn = target.pop() ?? '';
    const [parentSchema, parent] = target.length === 2 ? (target as [string, string]) : ['public', target[0] ?? ''];
    constraints.push({
      kind: 'foreign key',
      id: constraintId(table, constraint),
      name: constraint,
      validated: true,
      enforced: true,
      deferrable: 'no',
      columns: [name],
      parent: tableId(parentSchema, parent),
      parentColumns: [parentColumn],
      match: 'simple',
      onDelete: 'no action',
      onUpdate: 'no action',
      index: null,
    });
  }
  return {
    key,
    constraints,
    column: {
      id: columnId(table, name),
      name,
      declaredType,
      family,
      comparable: true,
      domain: null,
      length: null,
      precision: null,
      scale: null,
      collation: null,
      nullable: !(key || text.includes('not null')),
      default: null,
      identity: null,
      generated: null,
      comment: null,
      statistics: null,
    },
  };
}

function keysOf(table: TableId, name: string, columns: readonly DrawnColumn[]): readonly Constraint[] {
  const key = columns.filter((c) => c.key).map((c) => c.column.name);
  if (key.length === 0) return [];
  const constraint = `${name}_pkey`;
  return [
    {
      kind: 'primary key',
      id: constraintId(table, constraint),
      name: constraint,
      validated: true,
      enforced: true,
      deferrable: 'no',
      columns: key,
      index: constraint,
    },
  ];
}

function indexBehind(constraint: Constraint): readonly Index[] {
  if (constraint.kind !== 'primary key' && constraint.kind !== 'unique') return [];
  return [
    {
      name: constraint.index,
      method: 'btree',
      unique: true,
      valid: true,
      columns: constraint.columns,
      included: [],
      predicate: null,
      nullsDistinct: true,
      constraint: constraint.name,
    },
  ];
}

function split(text: string, mark: string): readonly [string, string] {
  const at = text.indexOf(mark);
  return [text.slice(0, at).trim(), text.slice(at + 1)];
}
