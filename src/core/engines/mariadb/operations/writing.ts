// How operations are carried out here. Every ALTER TABLE commits by itself and is all or nothing, so each is a stage of its
// own; how it works and whom it keeps waiting is spelt, so that the server refuses where it would copy instead.

import { besideTable, type TableId } from '../../../catalogue/identifiers';
import type { Catalogue } from '../../../catalogue/model';
import type { AddForeignKey } from '../../../operations/add-foreign-key';
import { type Operation, todoOf } from '../../../operations/index';
import type { Cost } from '../../../plan/cost';
import type { Stage } from '../../dialect';
import { quote, quoteList, quoteTable } from '../quote';
import type { CountedChange, Refusing, Told, Variant, Way } from '../variant';

export interface Writing<O> {
  stages(operation: O, mode: 'plain' | 'quiet'): readonly Written[];
  cost(operation: O, mode: 'plain' | 'quiet'): Worth;
  /** As anybody would write it, where its stages do more than that. */
  bare?(operation: O): readonly Statement[];
  /** As of the dialect, where it is not so many times what the table holds. */
  bytesPassed?(operation: O, cost: Cost, catalogue: Catalogue): number | null;
}

/** A statement as every server of the family takes it, or what each of them spells in its own way. */
export type Statement =
  | string
  /** `way`: null where the server may choose. */
  | { readonly alter: TableId; readonly way: Way | null; readonly clauses: readonly Clause[] }
  | { readonly unlooked: Statement }
  | { readonly keyless: Statement }
  | { readonly opensAnew: TableId }
  | { readonly refuse: Omit<Refusing, 'drop'> & { readonly drop: Statement } }
  | { readonly counted: CountedChange };

/** What is altered; a reference as each server has to be told it. */
export type Clause = string | { readonly reference: Omit<AddForeignKey, 'kind' | 'table' | 'rows'>; readonly name: string };

/** What it costs: as that way of altering does, or otherwise. */
export type Worth = Way | Cost;

/** A stage that is not spelt yet. */
export interface Written extends Omit<Stage, 'statements' | 'cost'> {
  readonly statements: readonly Statement[];
  readonly cost: Worth;
}

export function spelt(statement: Statement, variant: Variant): readonly string[] {
  if (typeof statement === 'string') return [statement];
  if ('alter' in statement) {
    const { alter: table, way, clauses } = statement;
    const told = way === null ? [] : [howOf(variant.ways[way])];
    return [alterText(table, [...clauses.map((clause) => clauseText(clause, variant)), ...told])];
  }
  if ('unlooked' in statement) return variant.unlooked(only(statement.unlooked, variant));
  if ('keyless' in statement) return variant.keyless(only(statement.keyless, variant));
  if ('opensAnew' in statement) return [variant.opensAnew(statement.opensAnew)];
  if ('refuse' in statement) return variant.refuseOrphans({ ...statement.refuse, drop: only(statement.refuse.drop, variant) });
  return variant.asManyAs(statement.counted);
}

function only(statement: Statement, variant: Variant): string {
  return spelt(statement, variant).join(';\n');
}

function alterText(table: TableId, clauses: readonly string[]): string {
  return [`alter table ${quoteTable(table)}`, clauses.map((clause) => `  ${clause}`).join(',\n')].join('\n');
}

// What it does by itself is not said: a server that is told RESTRICT while others work makes NO ACTION of it (10.11).
function clauseText(clause: Clause, { unsaidAction }: Variant): string {
  if (typeof clause === 'string') return clause;
  const { columns, parent, parentColumns, onDelete, onUpdate } = clause.reference;
  const said = [
    ...(onDelete === unsaidAction ? [] : [`on delete ${onDelete}`]),
    ...(onUpdate === unsaidAction ? [] : [`on update ${onUpdate}`]),
  ];
  return [
    `add constraint ${quote(clause.name)} foreign key (${quoteList(columns)})`,
    `references ${quoteTable(parent)} (${quoteList(parentColumns)})`,
    ...(said.length === 0 ? [] : [said.join(' ')]),
  ].join('\n    ');
}

function howOf({ algorithm, lock }: Told): string {
  return `algorithm=${algorithm}${lock === null ? '' : `, lock=${lock}`}`;
}

export function costAs(way: Way, { ways }: Variant): Cost {
  const told = ways[way];
  const lock = howOf(told).toUpperCase();
  if (way === 'changes the catalogue' || way === 'changes references and names')
    return { lock, way: 'instant', blocks: 'others for a moment', work: 'catalogue only' };
  if (way === 'builds an index')
    return { lock, way: 'builds beside the work', blocks: 'others for a moment', work: 'builds an index' };
  const words = told.algorithm === 'copy' ? 'copies' : 'rebuilds';
  return told.lock === 'none'
    ? { lock, way: `${words} beside the work`, blocks: 'others for a moment', work: 'rewrites the table' }
    : { lock, way: `${words} while writers wait`, blocks: 'writers', work: 'rewrites the table' };
}

export function costOfWorth(worth: Worth, variant: Variant): Cost {
  return typeof worth === 'string' ? costAs(worth, variant) : worth;
}

/** Of a table that nobody else knows yet, or any more. */
export const ofCatalogue: Cost = { lock: 'EXCLUSIVE', way: 'instant', blocks: 'nobody', work: 'catalogue only' };
export const changesRows: Cost = { lock: 'ROW LOCKS', way: 'locks its rows', blocks: 'nobody', work: 'changes rows' };

// The metadata lock that each ALTER takes at its start or end has everybody wait behind whoever waits for it: a short one is asked
// for again and again, a build whose work would be lost waits longer.
const forMoment = { lockMs: 1_000, tries: 120, pauseMs: 500 } as const;
const forBuild = { lockMs: 5_000, tries: 6, pauseMs: 1_000 } as const;

export function isLong(worth: Worth): boolean {
  return typeof worth === 'string'
    ? worth !== 'changes the catalogue' && worth !== 'changes references and names'
    : worth.work !== 'catalogue only';
}

export function alter(table: TableId, way: Way, ...clauses: readonly Clause[]): Statement {
  return { alter: table, way, clauses };
}

/** One statement that commits by itself. */
export function alone(statement: Statement, todo: Stage['todo'], cost: Worth): Written {
  return { statements: [statement], todo, cost, alone: true, patience: isLong(cost) ? forBuild : forMoment };
}

/** One ALTER TABLE. */
export function altering(table: TableId, way: Way, clauses: readonly Clause[], todo: Stage['todo']): Written {
  return alone(alter(table, way, ...clauses), todo, way);
}

/** Rows changed in one transaction. */
export function changing(statements: readonly Statement[], todo: Stage['todo']): Written {
  return { statements, todo, cost: changesRows, alone: false };
}

/** With something to do only after an interruption. */
export function cleansUp(of: Written): Written {
  return { ...of, role: 'cleans up' };
}

/** An operation that is one ALTER TABLE, whoever is at work. */
export function asOne<O extends Operation>(
  way: Way | ((operation: O) => Way),
  clauses: (operation: O) => readonly string[],
): Writing<O> {
  const wayOf = (operation: O): Way => (typeof way === 'function' ? way(operation) : way);
  return {
    stages: (operation) => [altering(operation.table, wayOf(operation), clauses(operation), todoOf(operation))],
    cost: wayOf,
  };
}

export function beside(table: TableId, name: string): string {
  return quoteTable(besideTable(table, name));
}

/** Passes over the table that each kind of work is worth, where nothing else is said; measured on a million rows. */
export const passes: Readonly<Record<Cost['work'], number>> = {
  'catalogue only': 0,
  'reads every row': 1,
  'changes rows': 2,
  'builds an index': 3,
  'rewrites the table': 8,
};
