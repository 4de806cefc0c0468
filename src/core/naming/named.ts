// Constraints and indexes as things with a name, and what that name could be made of.

import { tableNames } from '../catalogue/identifiers';
import { baseTables, findSequence, findTable, foreignKeysOf, isInherited } from '../catalogue/lookups';
import type { Catalogue, Constraint, NamedKind, Reference, Table } from '../catalogue/model';
import { factsOf } from '../engines/facts';
import { once } from '../once';
import type { Ingredients } from './template';
import { wordsOf } from './words';

/** How kinds are spoken of, many at a time. */
export const kindsInWords: Readonly<Record<NamedKind, string>> = {
  'primary key': 'primary keys',
  'foreign key': 'foreign keys',
  unique: 'unique constraints',
  check: 'checks',
  exclusion: 'exclusions',
  'not null': 'not-null constraints',
  index: 'indexes',
  sequence: 'sequences',
  trigger: 'triggers',
};

/** What a name is given to. */
export interface ToName {
  readonly kind: NamedKind;
  readonly of: Ingredients;
  /** True where another of its kind in its table would have the same name by table and parent. */
  readonly ambiguous: boolean;
}

export interface NamedObject extends ToName {
  readonly name: string;
  readonly table: Table['id'];
  readonly columns: readonly string[];
}

/** Everything of a schema that bears a name of its own and that a house style has a template for. */
export function namedObjects(catalogue: Catalogue): readonly NamedObject[] {
  return baseTables(catalogue).flatMap((table) => namedAround(catalogue, table));
}

/** The same of one table: its constraints and indexes, NOT NULL where it has a name, the sequences that number its columns, its triggers. */
export function namedAround(catalogue: Catalogue, table: Table): readonly NamedObject[] {
  const sequences = table.columns.flatMap(({ id, name: column }) => {
    const own = findSequence(catalogue, id);
    return own ? [named(catalogue, table, { kind: 'sequence', name: own.name, columns: [column] })] : [];
  });
  // What comes from above is named there.
  const filled = table.columns.flatMap(({ name: column, notNull }) =>
    notNull && !isInherited(catalogue, table, column)
      ? [named(catalogue, table, { kind: 'not null', name: notNull.name, columns: [column] })]
      : [],
  );
  const triggers = table.triggers.map(({ name, function: calls, event }) => {
    const object = named(catalogue, table, { kind: 'trigger', name, columns: [] });
    return {
      ...object,
      of: { ...object.of, meaning: event?.split(' ') ?? [calls.split('.').at(-1)?.replaceAll('"', '') ?? ''] },
    };
  });
  return [...namedOf(catalogue, table), ...filled, ...sequences, ...triggers];
}

// Several rules look at the same names.
const known = once((_: Catalogue) => new Map<Table, readonly NamedObject[]>());

/** The constraints and indexes of a table that bear a name of their own. */
export function namedOf(catalogue: Catalogue, table: Table): readonly NamedObject[] {
  let objects = known(catalogue).get(table);
  if (!objects) known(catalogue).set(table, (objects = readNamed(catalogue, table)));
  return objects;
}

function readNamed(catalogue: Catalogue, table: Table): readonly NamedObject[] {
  const { fixed = {} } = factsOf(catalogue).names;
  const constraints = table.constraints
    .filter((constraint) => fixed[constraint.kind] === undefined && !(constraint.kind === 'check' && constraint.withinColumn))
    .map((constraint) => namedConstraint(catalogue, table, constraint));
  const indexes = table.indexes.flatMap(({ constraint, name, columns }) =>
    constraint === null
      ? [named(catalogue, table, { kind: 'index', name, columns: columns.map((column) => column ?? expression) })]
      : [],
  );
  return [...constraints, ...indexes];
}

// In the place of what is no column.
const expression = 'expr';

export function namedConstraint(catalogue: Catalogue, table: Table, constraint: Constraint): NamedObject {
  const { kind, name, columns } = constraint;
  return named(catalogue, table, { kind, name, columns, reference: kind === 'foreign key' ? constraint : null });
}

export interface Making {
  readonly kind: NamedKind;
  readonly columns: readonly string[];
  /** What it is called now; empty of what is only to be made. */
  readonly name?: string;
  /** Of a foreign key, where it leads. */
  readonly reference?: Reference | null;
}

/** A constraint or index, there or to be made, with what its name is made of. */
export function named(catalogue: Catalogue, table: Table, { kind, columns, name = '', reference = null }: Making): NamedObject {
  const parent = reference && findTable(catalogue, reference.parent);
  const alike = parent
    ? foreignKeysOf(table).filter((key) => key.parent === parent.id && (name === '' || key.name !== name))
    : [];
  return {
    kind,
    name,
    table: table.id,
    columns,
    of: {
      schema: [table.schema],
      table: [table.name],
      columns,
      // One that is to be made is known by its name alone.
      parent: [parent?.name ?? (reference ? tableNames(reference.parent).table : '')],
      keys: reference?.parentColumns ?? [''],
      role: [parent && reference ? roleOf(columns, parent, reference) : ''],
      meaning: columns,
      words: [''],
      n: [/\d+$/.exec(name)?.[0] ?? '1'],
    },
    ambiguous: alike.length > 0,
  };
}

/** What a single referring column says beyond the key and the parent: home of home_berth_no to berth (berth_no). */
function roleOf([column = '', ...more]: readonly string[], parent: Table, { parentColumns }: Reference): string {
  if (more.length > 0) return '';
  const plain = new Set([...wordsOf(parent.name), ...parentColumns.flatMap(wordsOf)]);
  return wordsOf(column)
    .filter((word) => !plain.has(word))
    .join('_');
}
