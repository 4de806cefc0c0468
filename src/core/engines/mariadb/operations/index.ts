import type { TableId } from '../../../catalogue/identifiers';
import { findTable } from '../../../catalogue/lookups';
import type { Catalogue } from '../../../catalogue/model';
import { kindOf, type Operation, todoOf } from '../../../operations/index';
import type { Cost, Mode } from '../../../plan/cost';
import { DialectError } from '../../DialectError';
import { names } from '../names';
import type { Stage } from '../../dialect';
import {
  dropColumn,
  dropNotNull,
  keepBy,
  numberItself,
  numberNoMore,
  numberRows,
  renameColumn,
  setDefault,
  setNotNull,
} from './columns';
import { addCheck, addForeignKey, changeConstraint, dropConstraint, rename } from './constraints';
import { createIndex, dropIndex, renameIndex, renaming } from './indexes';
import { addPrimaryKey, addUnique, replaceKey, restoreKey } from './keys';
import { addReferring, dropLookup, fillAgain, letEmpty, lookUp, makeLookup } from './lookups';
import { buildAgain, declareAgain, removeConstraint, removeIndex } from './removing';
import { renameSequence, renameTable } from './renaming';
import { retype } from './retyping';
import { addParents, bringBack, dropKept, removeParents, setAside } from './repairs';
import type { Variant, Way } from '../variant';
import {
  alone,
  altering,
  cleansUp,
  costAs,
  costOfWorth,
  isLong,
  passes,
  spelt,
  type Statement,
  type Writing,
  type Written,
} from './writing';

type Writings = { readonly [Kind in Operation['kind']]: Writing<Extract<Operation, { kind: Kind }>> };

/** What has no counterpart here: the traits of the engine keep it out of every plan. */
const never: Writing<Operation> = {
  stages: ({ kind, table }) => {
    throw new DialectError(`${kind} on ${table} is nothing that this server can do.`);
  },
  cost: () => 'changes the catalogue',
};

const writings: Writings = {
  ...{ setAside, bringBack, dropKept, addParents, removeParents },
  ...{ numberRows, dropColumn, numberItself, numberNoMore, addPrimaryKey, addUnique, replaceKey, restoreKey },
  ...{ createIndex, dropIndex, renameIndex },
  ...{ addForeignKey, addCheck, changeConstraint, dropConstraint, rename, renameColumn, renameSequence, renameTable },
  ...{ setNotNull, dropNotNull, setDefault, retype, keepBy },
  ...{ removeConstraint, declareAgain, removeIndex, buildAgain },
  ...{ makeLookup, dropLookup, addReferring, lookUp, letEmpty, fillAgain },
  ...{ checkRows: never, uncheckRows: never, switchTrigger: never, switchReference: never, renameTrigger: never },
};

/** Done by the rebuild of a step before it. */
const withAnother: Cost = { lock: 'NONE', way: 'in the same rebuild', blocks: 'nobody', work: 'catalogue only' };

export interface Spelling {
  readonly stages: (operation: Operation, mode: Mode) => readonly Stage[];
  readonly cost: (operation: Operation, mode: Mode) => Cost;
  readonly servesToo: (operation: Operation, other: Operation) => boolean;
}

/** Operations as a server of the family takes them. */
export function spellingFor(variant: Variant): Spelling {
  return {
    servesToo,
    stages: (operation, mode) =>
      writtenOf(operation, mode).map((stage) => ({
        ...stage,
        statements: stage.statements.flatMap((statement) => spelt(statement, variant)),
        cost: costOfWorth(stage.cost, variant),
      })),
    cost(operation, mode) {
      if (operation.carried) return withAnother;
      const cost = costOfWorth(writingOf(operation).cost(operation, mode), variant);
      return operation.copies && cost.work !== 'changes rows' ? costAs('copies', variant) : cost;
    },
  };
}

function writtenOf(operation: Operation, mode: Mode): readonly Written[] {
  const own = ownStages(operation, mode);
  const stages = operation.carried ? own.map(cleansUp) : own.map((stage) => carrying(stage, operation.also ?? []));
  return mode === 'quiet' ? stages.flatMap((stage) => [...waitsFirst(stage, operation.table), stage]) : stages;
}

function ownStages(operation: Operation, mode: Mode): readonly Written[] {
  const own = [...namedByHand(operation), ...writingOf(operation).stages(operation, mode)];
  return operation.copies ? own.map(copied) : own;
}

/**
 * An index that a reference brought goes without a word when another begins with its columns, also long after the reference is gone
 * (10.11: nothing shows which it is). Given another name and its own again, both at once, it is as if somebody had made it.
 */
function namedByHand(operation: Operation): readonly Written[] {
  const { table, besides = [] } = operation;
  if (besides.length === 0) return [];
  const way = 'changes references and names';
  const away = besides.map((name) => renaming(name, momentary(name)));
  const again = besides.map((name) => renaming(momentary(name), name));
  const left = besides.map((name) =>
    cleansUp(altering(table, way, [renaming(momentary(name), name)], { kind: 'indexPresent', table, name: momentary(name) })),
  );
  const todo = todoOf(operation);
  return kindOf(operation).indexed ? [...left, altering(table, way, away, todo), altering(table, way, again, todo)] : left;
}

function momentary(name: string): string {
  return `pawl_own_${names.shorten(name, 9)}`;
}

// From the one that does the least to the one that does the most; what each does, those after it do too.
const rebuilding: readonly Way[] = ['rebuilds', 'numbers', 'copies'];

function servesToo(operation: Operation, other: Operation): boolean {
  if (operation.table !== other.table || (other.kind !== 'setNotNull' && other.kind !== 'dropNotNull')) return false;
  const [own, its] = [rebuildOf(operation), rebuildOf(other)];
  return own !== null && its !== null && rebuilding.indexOf(own) >= rebuilding.indexOf(its);
}

/** How the one rebuild works that an operation takes. */
function rebuildOf(operation: Operation): Way | null {
  const [first, ...more] = rebuildsOf(operation);
  return first && more.length === 0 ? first.way : null;
}

function rebuildsOf(operation: Operation): readonly Altering[] {
  return ownStages(operation, 'plain').flatMap(({ statements }) => statements.filter(isRebuild));
}

type Altering = Extract<Statement, { readonly alter: TableId }> & { readonly way: Way };

function isRebuild(statement: Statement): statement is Altering {
  return typeof statement === 'object' && 'alter' in statement && statement.way !== null && rebuilding.includes(statement.way);
}

function carrying(stage: Written, also: readonly Operation[]): Written {
  if (also.length === 0) return stage;
  const clauses = also.flatMap(rebuildsOf).flatMap((rebuild) => rebuild.clauses);
  const add = (statement: Statement): Statement =>
    isRebuild(statement) ? { ...statement, clauses: [...statement.clauses, ...clauses] } : statement;
  return { ...stage, statements: stage.statements.map(add) };
}

/**
 * A long ALTER takes its lock for a moment at its start too: whoever touched the table long ago and has not gone is waited for
 * before, shortly and again and again, so that others are not kept waiting for as long as the ALTER itself may wait.
 */
function waitsFirst({ alone: isAlone, cost, todo }: Written, table: TableId): readonly Written[] {
  const alters = isAlone && typeof cost === 'string' && isLong(cost);
  return alters ? [{ ...alone({ opensAnew: table }, todo, 'changes the catalogue'), role: 'waits' }] : [];
}

/** Of a table whose engine knows no other way. */
function copied(stage: Written): Written {
  return stage.alone
    ? { ...stage, statements: stage.statements.map(copying), cost: typeof stage.cost === 'string' ? 'copies' : stage.cost }
    : stage;
}

function copying(statement: Statement): Statement {
  if (typeof statement === 'string') return statement;
  if ('alter' in statement) return { ...statement, way: 'copies' };
  if ('keyless' in statement) return { keyless: copying(statement.keyless) };
  return 'unlooked' in statement ? { unlooked: copying(statement.unlooked) } : statement;
}

export function bytesPassed(operation: Operation, cost: Cost, catalogue: Catalogue): number {
  const own = writingOf(operation).bytesPassed?.(operation, cost, catalogue) ?? null;
  return own ?? (findTable(catalogue, operation.table)?.bytes ?? 0) * passes[cost.work];
}

/** What carries an operation out as anybody would write it, with nobody else at work. */
export function bareOf(operation: Operation): readonly Statement[] {
  const writing = writingOf(operation);
  if (writing.bare) return writing.bare(operation);
  return writing
    .stages(operation, 'plain')
    .flatMap(({ statements, role, alone: isAlone }) =>
      role ? [] : isAlone ? statements : ['start transaction', ...statements, 'commit'],
    );
}

function writingOf(operation: Operation): Writing<Operation> {
  return writings[operation.kind];
}
