// What servers of this family do of themselves, and what they refuse: how a docket is planned for them.

import type { Draft } from '../../catalogue/draft';
import { foreignKeysOf, getTable, primaryKeyOf } from '../../catalogue/lookups';
import { type Catalogue, ordinaryMethod, type Table } from '../../catalogue/model';
import type { AddForeignKey } from '../../operations/add-foreign-key';
import type { Candidate } from '../../operations/beside';
import { kindOf, type Operation } from '../../operations/index';
import type { NumberRows } from '../../operations/number-rows';
import type { Ground } from '../../operations/operation';
import { Refusal } from '../../operations/refusal';
import { referencesAt, type Retype, type Retyped } from '../../operations/retype';
import type { Redefined } from '../../operations/set-not-null';
import type { OwnPlanning } from '../../plan/ownPlanning';
import { factsOf } from '../facts';
import { withCounting, withNullability, withType } from './column-text';
import { shapeText } from './quote';
import { refersAs } from './types';
import { inOneRebuild, type ServesToo } from './rebuilds';

export function planningFor(servesToo: ServesToo): OwnPlanning {
  return { asItIsDone, fit, together: (operations) => inOneRebuild(operations, servesToo) };
}

// A column that numbers rows is made with its key, which is no step of its own; where another key takes the place of one, what refers to it
// stays, and nothing has to be looked at again; an index that would come with a reference is a step of its own.
function asItIsDone(candidates: readonly Candidate[], catalogue: Catalogue): readonly Candidate[] {
  const numbered = new Map(
    candidates.flatMap(({ operation: o }) => (o.kind === 'numberRows' ? [[`${o.table} ${o.column}`, o] as const] : [])),
  );
  const keyOf = (o: Operation) =>
    (o.kind === 'addPrimaryKey' || o.kind === 'replaceKey') && o.columns.length === 1
      ? numbered.get(`${o.table} ${o.columns[0]}`)
      : undefined;
  const helpers = new Map(
    candidates.flatMap(({ operation: o }) => {
      const column = keyOf(o);
      if (!column) return [];
      return [[column, o.kind === 'addPrimaryKey' ? o.name : factsOf(catalogue).names.shorten(`pawl_${column.column}`)] as const];
    }),
  );
  return candidates.flatMap((candidate): readonly Candidate[] => {
    const { operation: o } = candidate;
    if (o.kind === 'checkRows') return [];
    if (o.kind === 'addPrimaryKey' && keyOf(o)) return [];
    if (o.kind === 'addForeignKey' && !isIndexed(o, candidates, catalogue))
      return [
        { ...candidate, operation: { kind: 'createIndex', table: o.table, name: o.name, columns: o.columns, unique: false } },
        candidate,
      ];
    if (o.kind === 'numberRows') {
      return [
        {
          ...candidate,
          operation: { ...o, ...keyFor(o, catalogue, helpers.get(o)), type: factsOf(catalogue).types.numbering },
        },
      ];
    }
    if (o.kind !== 'replaceKey') return [candidate];
    const column = keyOf(o);
    const helper = column && helpers.get(column);
    return [{ ...candidate, operation: { ...o, references: [], ...(helper !== undefined && { helper }) } }];
  });
}

function keyFor({ table, column }: NumberRows, catalogue: Catalogue, helper?: string): Pick<NumberRows, 'key' | 'primary'> {
  const { shorten } = factsOf(catalogue).names;
  const hasKey = primaryKeyOf(getTable(catalogue, table)) !== null;
  return hasKey ? { key: helper ?? shorten(`pawl_${column}`) } : { key: helper ?? 'PRIMARY', primary: true };
}

// Its index would come by itself, and stay on the way back: so it is a step of its own.
function isIndexed({ table, columns }: AddForeignKey, candidates: readonly Candidate[], catalogue: Catalogue): boolean {
  const begins = (own: readonly (string | null)[]): boolean => columns.every((column, i) => own[i] === column);
  const made = candidates.some(
    ({ operation: o }) =>
      o.table === table &&
      (o.kind === 'createIndex' || o.kind === 'addUnique' || o.kind === 'addPrimaryKey') &&
      begins(o.columns),
  );
  return (
    made ||
    getTable(catalogue, table).indexes.some((index) => index.method === ordinaryMethod && !index.prefix && begins(index.columns))
  );
}

function fit(operation: Operation, on: Ground): Operation | Refusal {
  const fitting = fitByKind(operation, on);
  if (fitting instanceof Refusal) return fitting;
  const table = on.current.find(operation.table);
  const copies = table?.storage?.clustered === false;
  const besides = likeThoseOfReferences(fitting, table ?? null);
  return copies || besides.length > 0
    ? { ...fitting, ...(copies && { copies: true }), ...(besides.length > 0 && { besides }) }
    : fitting;
}

function fitByKind(operation: Operation, { current }: Ground): Operation | Refusal {
  const table = (): Table => current.get(operation.table);
  switch (operation.kind) {
    case 'addForeignKey':
      return refuseUnlike(operation, table(), current.get(operation.parent)) ?? operation;
    case 'addPrimaryKey': {
      const definitions = operation.nullableBefore.flatMap((column) => {
        const said = redefinition(table(), column);
        return said ? [{ column, before: said.before }] : [];
      });
      return refuseEmptied(table(), operation.columns) ?? { ...operation, ...(definitions.length > 0 && { definitions }) };
    }
    case 'setNotNull': {
      const definition = redefinition(table(), operation.column);
      return refuseEmptied(table(), [operation.column]) ?? { ...operation, ...(definition && { definition }) };
    }
    case 'numberItself': {
      const before = definitionOf(table(), operation.column);
      const counts = table().columns.find(({ identity }) => identity !== null);
      if (counts)
        return new Refusal(`${table().id} has a column that counts, ${counts.name}: a table of this server has one at most.`);
      return before === undefined ? operation : { ...operation, definition: { before, after: withCounting(before) } };
    }
    case 'addReferring':
      return { ...operation, definition: shapeText(operation.shape) };
    case 'letEmpty': {
      const before = definitionOf(table(), operation.column);
      return before === undefined ? operation : { ...operation, definition: { before, after: withNullability(before, true) } };
    }
    case 'retype':
      return retyped(operation, current);
    case 'dropNotNull': {
      const former = definitionOf(table(), operation.column);
      return former === undefined ? operation : { ...operation, definition: withNullability(former, true), former };
    }
    default:
      return operation;
  }
}

// All of a column has to be said again, and what refers to it or from it made again.
function retyped(operation: Retype, current: Draft): Operation {
  const columns = operation.columns.map((one): Retyped => {
    const before = definitionOf(current.get(one.table), one.column);
    return before === undefined ? one : { ...one, definition: { before, after: withType(before, shapeText(one.after)) } };
  });
  const references = referencesAt(columns, current).map((key) => ({ ...key, rows: 'checked' as const }));
  return { ...operation, columns, ...(references.length > 0 && { references }) };
}

// A reference empties one of them when its parent goes or changes.
function refuseEmptied(table: Table, columns: readonly string[]): Refusal | null {
  const key = foreignKeysOf(table).find(
    ({ columns: own, onDelete, onUpdate }) =>
      (onDelete === 'set null' || onUpdate === 'set null') && own.some((column) => columns.includes(column)),
  );
  return key
    ? new Refusal(
        `${key.name} of ${table.id} empties ${key.columns.join(', ')}: it cannot be NOT NULL. Choose another action for it, or leave it nullable.`,
      )
    : null;
}

/** What is said of a column when it is never empty: all of it has to be said again. Null where nobody knows how it is made. */
function redefinition(table: Table, column: string): Redefined | null {
  const before = definitionOf(table, column);
  return before === undefined ? null : { before, after: withNullability(before, false) };
}

function definitionOf({ columns }: Table, column: string): string | undefined {
  return columns.find(({ name }) => name === column)?.definition;
}

// The server joins columns of one type, sign and collation only, on an engine that keeps references at both ends.
function refuseUnlike(key: AddForeignKey, child: Table, parent: Table): Refusal | null {
  const { columns, parentColumns, onDelete, onUpdate, match } = key;
  if (onDelete === 'set default' || onUpdate === 'set default' || match !== 'simple')
    return new Refusal('The server takes SET DEFAULT and MATCH FULL without a word and does not do them. Choose another action.');
  const idle = [child, parent].find(({ storage }) => storage?.keepsReferences === false);
  if (idle)
    return new Refusal(
      `${idle.id} is kept by ${idle.storage?.engine}, which takes a reference without a word and does not keep it. Bring it to another engine first.`,
    );
  const split = [child, parent].find(({ splitBy }) => splitBy !== undefined);
  if (split) return new Refusal(`${split.id} is partitioned, and no reference leads to or from it here.`);
  for (const [i, name] of columns.entries()) {
    const own = child.columns.find((column) => column.name === name);
    const its = parent.columns.find((column) => column.name === parentColumns[i]);
    if (!own || !its || refersAs(own) === refersAs(its)) continue;
    return new Refusal(
      `${name} of ${child.id} is ${refersAs(own)}, ${its.name} of ${parent.id} is ${refersAs(its)}: the server joins only what is of one type and collation. Bring the child to the parent’s type first.`,
    );
  }
  return null;
}

/** Plain indexes over what another that is made begins with: which of them a reference brought, the server does not tell. */
function likeThoseOfReferences(operation: Operation, table: Table | null): readonly string[] {
  const made = kindOf(operation).indexed?.(operation) ?? [];
  return (
    (table?.indexes ?? [])
      // What a docket makes has no line of the server's yet: no reference brought it.
      .filter(({ unique, plain, prefix, definition }) => !unique && plain && !prefix && definition !== undefined)
      .filter(({ columns }) => made.some((over) => columns.every((column, i) => column === over[i])))
      .map(({ name }) => name)
  );
}
