// What has changed of tables between two readings of a catalogue: their structure, not their rows.

import { spelledAlike } from './expressions';
import type { TableId } from './identifiers';
import { findTable } from './lookups';
import type { Catalogue, Column, Constraint, Index, Table, UnknownPart } from './model';
import { spelt } from '../spelt';

/**
 * Each difference in words, e.g. `port.call: column berth_no is new`; none when the tables are as they were. What one of the two
 * readings was not shown is no difference: the login that audits sees less than the one that changes, and now and then more.
 */
export function driftOf(before: Catalogue, after: Catalogue, tables: Iterable<TableId>): readonly string[] {
  const unseen = new Set([...before.unknown, ...after.unknown]);
  return [...tables].flatMap((id) => {
    const was = findTable(before, id);
    const is = findTable(after, id);
    if (!was && !is) return [];
    if (!was) return [`${id} is new`];
    if (!is) return [`${id} is gone`];
    return differencesOf(was, is, unseen).map((difference) => `${id}: ${difference}`);
  });
}

function differencesOf(was: Table, is: Table, unseen: ReadonlySet<UnknownPart>): readonly string[] {
  // Whether they are checked is not told by everyone.
  const read = (one: Constraint): Constraint =>
    unseen.has('states') ? { ...bound(one), validated: true, enforced: true } : bound(one);
  return [
    ...(was.kind === is.kind ? [] : [`it was a ${was.kind} and is a ${is.kind}`]),
    ...(was.storage && is.storage && was.storage.engine !== is.storage.engine
      ? [`it was kept by ${was.storage.engine} and is by ${is.storage.engine}`]
      : []),
    ...changes('column', was.columns.map(declared), is.columns.map(declared)),
    ...changes('constraint', was.constraints.map(read), is.constraints.map(read)),
    ...(unseen.has('indexes') ? [] : changes('index', was.indexes.map(stored), is.indexes.map(stored))),
    ...(unseen.has('triggers') ? [] : changes('trigger', was.triggers, is.triggers)),
  ];
}

// What the server believes of a column's values, and what people say of it, comes and goes; what follows from the rest
// was not read by older versions.
function declared(column: Column): Column {
  const { comparedAs: _, notNull: __, number: ___, definition: ____, next: _____, ...rest } = column;
  return { ...rest, statistics: null, comment: null };
}

function stored({ plain: _, bare: __, definition: ___, ...index }: Index): Index {
  return { ...index, predicate: index.predicate === null ? null : spelledAlike(index.predicate) };
}

function bound(constraint: Constraint): Constraint {
  if (constraint.kind !== 'check') return constraint;
  const { ownRowsOnly: _, ...check } = constraint;
  return { ...check, expression: spelledAlike(check.expression) };
}

function changes<Part extends { readonly name: string }>(
  what: string,
  was: readonly Part[],
  is: readonly Part[],
): readonly string[] {
  const earlier = new Map(was.map((part) => [part.name, spelt(part)]));
  const now = new Map(is.map((part) => [part.name, spelt(part)]));
  return [
    ...[...earlier.keys()].filter((name) => !now.has(name)).map((name) => `${what} ${name} is gone`),
    ...[...now.keys()].filter((name) => !earlier.has(name)).map((name) => `${what} ${name} is new`),
    ...[...now.keys()]
      .filter((name) => earlier.has(name) && earlier.get(name) !== now.get(name))
      .map((name) => `${what} ${name} is not what it was`),
  ];
}
