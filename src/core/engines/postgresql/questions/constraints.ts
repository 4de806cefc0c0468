// Constraints, the indexes behind and beside them, and sequences, as the catalogue has them.

import { columnId, constraintId, type TableId, tableId } from '../../../catalogue/identifiers';
import { joined, type Shared, type SharedList } from '../../../records';
import type { Row } from '../../questions';
import type { Constraint, Index, ReferentialAction, Sequence, Trigger } from '../../../catalogue/model';

export interface IdsByOid {
  get(oid: string): TableId | undefined;
}

/** The names of a table's columns by their numbers, which blanks part. */
export type NamesOf = (table: string, numbers: string | null | undefined) => readonly string[];

const actions: Readonly<Record<string, ReferentialAction>> = {
  a: 'no action',
  r: 'restrict',
  c: 'cascade',
  n: 'set null',
  d: 'set default',
};

/** What the rows of others are read with. */
export interface KnownParts {
  readonly ids: IdsByOid;
  readonly namesOf: NamesOf;
  readonly shared: Shared;
}

/** A row of the query of constraints. */
export function constraintOf(table: TableId, row: Row, known: KnownParts): Constraint {
  const constraint = barely(table, row, known);
  const comment = row[15] ?? null;
  return comment === null ? constraint : { ...constraint, comment };
}

function barely(table: TableId, row: Row, { ids, namesOf, shared }: KnownParts): Constraint {
  const [relation = '', name, type, validated, deferrable, deferred, key, parent, parentKey, match, ...more] = row;
  const [onDelete, onUpdate, behind = null, expression, enforced, , ownRowsOnly] = more;
  const index = behind === null ? null : shared(behind);
  const base = {
    id: constraintId(table, name ?? ''),
    name: shared(name ?? ''),
    validated: validated === 't',
    enforced: enforced === 't',
    columns: namesOf(relation ?? '', key),
    deferrable: deferrable !== 't' ? 'no' : deferred === 't' ? 'initially deferred' : 'initially immediate',
  } as const;
  switch (type) {
    case 'p':
      return joined(base, { kind: 'primary key', index: index ?? base.name } as const);
    case 'u':
      return joined(base, { kind: 'unique', index: index ?? base.name, nulls: 'distinct' } as const);
    case 'f':
      return joined(base, {
        kind: 'foreign key',
        parent: ids.get(parent ?? '') ?? tableId('', parent ?? ''),
        parentColumns: namesOf(parent ?? '', parentKey),
        match: match === 'f' ? 'full' : match === 'p' ? 'partial' : 'simple',
        onDelete: actions[onDelete ?? ''] ?? 'no action',
        onUpdate: actions[onUpdate ?? ''] ?? 'no action',
        index,
      } as const);
    case 'x':
      return joined(base, { kind: 'exclusion', index: index ?? base.name, excludes: expression ?? '' } as const);
    default:
      return joined(base, {
        kind: 'check',
        expression: expression ?? '',
        ...(ownRowsOnly === 't' && { ownRowsOnly: true as const }),
      } as const);
  }
}

/** Whether nulls may repeat is a matter of the index behind a constraint. */
export function withNulls(constraint: Constraint, indexes: readonly Index[]): Constraint {
  if (constraint.kind !== 'unique') return constraint;
  return joined(constraint, { nulls: indexes.find((index) => index.name === constraint.index)?.nulls ?? 'distinct' });
}

/** What an index is read with. */
export interface IndexedTable {
  /** Names and collations of the table's columns by number. */
  readonly names: readonly (string | undefined)[];
  readonly collations: readonly (string | undefined)[];
  readonly constraintByIndex: ReadonlyMap<string, string>;
}

/** What an index is read with beside its table. */
export interface IndexReading {
  /** The operator classes that are usual for their types. */
  readonly usual: ReadonlySet<string>;
  readonly shared: Shared;
  readonly sharedList: SharedList;
}

/** A row of the query of indexes. */
export function indexOf(
  row: Row,
  { names, collations, constraintByIndex }: IndexedTable,
  { usual, shared, sharedList }: IndexReading,
): Index {
  const [, name, method, unique, valid, key, keyCount, predicate = null, nullsDistinct, options, classes, collated, bare] = row;
  const numbers = listed(key).map(Number);
  const count = Number(keyCount);
  const columns = numbers.map((number) => names[number] ?? null);
  const over = columns.slice(0, count);
  const [option, operators, collation] = [listed(options), listed(classes), listed(collated)];
  // An expression has no collation of its own to compare with.
  const plain = numbers
    .slice(0, count)
    .every((number, i) => option[i] === '0' && usual.has(operators[i] ?? '') && collation[i] === collations[number]);
  return {
    name: shared(name ?? ''),
    method: shared(method ?? ''),
    unique: unique === 't',
    valid: valid === 't',
    predicate,
    nulls: nullsDistinct === 't' ? 'distinct' : 'alike',
    columns: over.every((column) => column !== null) ? sharedList(over) : over,
    included: sharedList(columns.slice(count).filter((column) => column !== null)),
    constraint: constraintByIndex.get(name ?? '') ?? null,
    plain,
    ...(bare !== undefined && { bare: bare === 't' }),
  };
}

/** A row of the query of triggers. */
export function triggerOf([, name, func, enabled, fires]: Row): Trigger {
  return {
    name: name ?? '',
    function: func ?? '',
    enabled: enabled === 't',
    ...(fires === 'R' && { fires: 'only on replicas' }),
    ...(fires === 'A' && { fires: 'everywhere' }),
  };
}

/** A row of the query of sequences. */
export function sequenceOf(row: Row, { ids, namesOf }: KnownParts): Sequence {
  const [schema, name, type, start, increment, maximum, last = null, cycles, owner, ownerColumn, minimum] = row;
  const table = owner ? ids.get(owner) : undefined;
  const column = owner ? namesOf(owner, ownerColumn)[0] : undefined;
  return {
    schema: schema ?? '',
    name: name ?? '',
    type: type ?? '',
    start: start ?? '',
    increment: increment ?? '',
    maximum: maximum ?? '',
    ...(typeof minimum === 'string' && { minimum }),
    last,
    cycles: cycles === 't',
    ownedBy: table && column ? columnId(table, column) : null,
  };
}

function listed(text: string | null | undefined): readonly string[] {
  return (text ?? '').split(' ');
}
