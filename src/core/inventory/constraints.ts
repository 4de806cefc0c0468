import { columnsId } from '../catalogue/identifiers';
import type { Constraint, Table } from '../catalogue/model';
import type { Line, Stock } from './stock';

export const constraints: Stock = {
  title: 'constraints',
  fields: [
    { name: 'schema', type: 'text', width: 80 },
    { name: 'table', type: 'text', width: 110, usual: true },
    { name: 'kind', type: 'text', width: 84, usual: true },
    { name: 'name', type: 'text', width: 160, usual: true },
    { name: 'columns', type: 'text', width: 120, usual: true },
    { name: 'rule', type: 'text', width: 150, usual: true, about: 'what it refers to or what it checks' },
    { name: 'validated', type: 'truth', width: 66, usual: true, about: 'whether the rows that were there were checked' },
    { name: 'enforced', type: 'truth', width: 70, about: 'whether new rows are checked' },
    { name: 'deferrable', type: 'text', width: 120 },
    { name: 'deletes', type: 'text', width: 90, about: 'what becomes of children when a parent goes' },
    { name: 'updates', type: 'text', width: 90, about: 'what becomes of children when a parent’s key changes' },
    { name: 'index', type: 'text', width: 150, about: 'the index behind it' },
    { name: 'comment', type: 'text', width: 200 },
  ],
  lines: ({ catalogue: { tables } }) =>
    tables.flatMap((table) => table.constraints.map((constraint) => lineOf(table, constraint))),
};

function lineOf({ id, schema, name: table }: Table, constraint: Constraint): Line {
  const { kind, name, columns, validated, enforced, deferrable, comment = null } = constraint;
  return {
    id: constraint.id,
    table: id,
    values: {
      ...{ schema, table, kind, name, validated, enforced, comment },
      columns: columns.join(', '),
      rule: ruleOf(constraint),
      deferrable: deferrable === 'no' ? null : deferrable,
      deletes: constraint.kind === 'foreign key' ? constraint.onDelete : null,
      updates: constraint.kind === 'foreign key' ? constraint.onUpdate : null,
      index: 'index' in constraint ? constraint.index : null,
    },
  };
}

function ruleOf(constraint: Constraint): string | null {
  switch (constraint.kind) {
    case 'foreign key':
      return `→ ${columnsId(constraint.parent, constraint.parentColumns)}`;
    case 'check':
      return constraint.expression;
    case 'unique':
      return constraint.nulls === 'distinct' ? null : `nulls are ${constraint.nulls}`;
    case 'primary key':
      return constraint.prefix ? partsInWords(constraint.prefix) : null;
    case 'exclusion':
      return constraint.excludes ?? null;
  }
}

function partsInWords(prefix: Readonly<Record<string, number>>): string {
  return Object.entries(prefix)
    .map(([column, length]) => `takes the first ${length} of ${column}`)
    .join(', ');
}
