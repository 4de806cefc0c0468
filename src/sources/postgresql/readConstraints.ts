// Constraints, the indexes behind and beside them, and sequences, as the catalogue has them.

import { columnId, constraintId, type TableId, tableId } from '../../core/catalogue/identifiers';
import type { Constraint, Index, ReferentialAction, Sequence } from '../../core/catalogue/model';

type Row = readonly unknown[];

export interface IdsByOid {
  get(oid: string): TableId | undefined;
}

/** The names of a table's columns by their numbers. */
export type NamesOf = (table: string, numbers: unknown) => string[];

const actions: Readonly<Record<string, ReferentialAction>> = {
  a: 'no action',
  r: 'restrict',
  c: 'cascade',
  n: 'set null',
  d: 'set default',
};

/** A row of the query of constraints. */
export function constraintOf(table: TableId, row: Row, ids: IdsByOid, namesOf: NamesOf): Constraint {
  const [
    relation,
    name,
    type,
    validated,
    deferrable,
    deferred,
    key,
    parent,
    parentKey,
    match,
    onDelete,
    onUpdate,
    index,
    expression,
    enforced,
    comment,
  ] = row as [
    string,
    string,
    string,
    boolean,
    boolean,
    boolean,
    unknown,
    string,
    unknown,
    string,
    string,
    string,
    string | null,
    string | null,
    boolean,
    string | null,
  ];
  const base = {
    id: constraintId(table, name),
    name,
    validated,
    enforced,
    columns: namesOf(relation, key),
    deferrable: !deferrable ? 'no' : deferred ? 'initially deferred' : 'initially immediate',
    ...(comment !== null && { comment }),
  } as const;
  switch (type) {
    case 'p':
      return { ...base, kind: 'primary key', index: index ?? name };
    case 'u':
      return { ...base, kind: 'unique', index: index ?? name, nulls: 'distinct' };
    case 'f':
      return {
        ...base,
        kind: 'foreign key',
        parent: ids.get(parent) ?? tableId('', parent),
        parentColumns: namesOf(parent, parentKey),
        match: match === 'f' ? 'full' : match === 'p' ? 'partial' : 'simple',
        onDelete: actions[onDelete] ?? 'no action',
        onUpdate: actions[onUpdate] ?? 'no action',
        index,
      };
    case 'x':
      return { ...base, kind: 'exclusion', index: index ?? name };
    default:
      return { ...base, kind: 'check', expression: expression ?? '' };
  }
}

/** Whether nulls may repeat is a matter of the index behind a constraint. */
export function withNulls(constraint: Constraint, indexes: readonly Index[]): Constraint {
  if (constraint.kind !== 'unique') return constraint;
  return { ...constraint, nulls: indexes.find((index) => index.name === constraint.index)?.nulls ?? 'distinct' };
}

/** What an index is read with. */
export interface IndexedTable {
  /** Names and collations of the table's columns by number. */
  readonly names: readonly (string | undefined)[];
  readonly collations: readonly (string | undefined)[];
  readonly constraintByIndex: ReadonlyMap<string, string>;
}

/** A row of the query of indexes; `usual`: the operator classes that are usual for their types. */
export function indexOf(row: Row, { names, collations, constraintByIndex }: IndexedTable, usual: ReadonlySet<string>): Index {
  const [, name, method, unique, valid, key, keyCount, predicate, nullsDistinct, options, classes, collated] = row as [
    string,
    string,
    string,
    boolean,
    boolean,
    string,
    number,
    string | null,
    boolean,
    string,
    string,
    string,
  ];
  const numbers = key.split(' ').map(Number);
  const columns = numbers.map((number) => names[number] ?? null);
  const [option, operators, collation] = [options.split(' '), classes.split(' '), collated.split(' ')];
  // An expression has no collation of its own to compare with.
  const plain = numbers
    .slice(0, keyCount)
    .every((number, i) => option[i] === '0' && usual.has(operators[i] ?? '') && collation[i] === collations[number]);
  return {
    name,
    method,
    unique,
    valid,
    predicate,
    nulls: nullsDistinct ? 'distinct' : 'alike',
    columns: columns.slice(0, keyCount),
    included: columns.slice(keyCount).filter((column) => column !== null),
    constraint: constraintByIndex.get(name) ?? null,
    plain,
  };
}

/** A row of the query of sequences. */
export function sequenceOf(row: Row, ids: IdsByOid, namesOf: NamesOf): Sequence {
  const [schema, name, type, start, increment, maximum, last, cycles, owner, ownerColumn] = row as [
    string,
    string,
    string,
    string,
    string,
    string,
    string | null,
    boolean,
    string | null,
    number | null,
  ];
  const table = owner === null ? undefined : ids.get(owner);
  const column = owner === null ? undefined : namesOf(owner, [ownerColumn])[0];
  return {
    schema,
    name,
    type,
    start,
    increment,
    maximum,
    last,
    cycles,
    ownedBy: table && column ? columnId(table, column) : null,
  };
}
