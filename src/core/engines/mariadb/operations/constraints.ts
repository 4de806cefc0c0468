import type { AddCheck } from '../../../operations/add-check';
import type { AddForeignKey } from '../../../operations/add-foreign-key';
import { type ChangeConstraint, wantedOf } from '../../../operations/change-constraint';
import type { Wanted } from '../../../operations/check';
import { todoOf } from '../../../operations/index';
import type { DropConstraint } from '../../../operations/removing';
import type { Rename } from '../../../operations/rename';
import { DialectError } from '../../DialectError';
import { keptCondition, orphanCondition } from '../spelling';
import { names } from '../names';
import { quote, quoteList, quoteTable } from '../quote';
import { whole } from '../shown';
import type { Way } from '../variant';
import { renaming } from './indexes';
import { alone, alter, altering, asOne, type Clause, cleansUp, type Writing, type Written } from './writing';

const references: Way = 'changes references and names';

export function referenceClause(key: Omit<AddForeignKey, 'kind' | 'table' | 'rows'>, name = key.name): Clause {
  return { reference: key, name };
}

/**
 * Checked by the server it is a copy that writers wait for, ten times as long as the question for orphans. So it is added without
 * a look, under a name of the moment; everybody is waited for who changed the parent before; the orphans are counted while new
 * ones are kept out; and only when there are none it gets its name. Whatever is interrupted leaves the other name behind, which
 * is taken away when it is run again.
 */
export const addForeignKey: Writing<AddForeignKey> = {
  stages(key) {
    const { table, name, parent } = key;
    const moment = interim(name);
    const todo = todoOf(key);
    if (key.rows === 'new only') return [alone({ unlooked: alter(table, references, referenceClause(key)) }, todo, references)];
    return [
      withoutInterim(key),
      alone({ unlooked: alter(table, references, referenceClause(key, moment)) }, todo, references),
      // Who deleted a parent before the reference was there may not have committed yet.
      alone({ opensAnew: parent }, todo, references),
      alone({ refuse: refused(key, moment) }, todo, { lock: 'NONE', blocks: 'nobody', work: 'reads every row' }),
      alone({ unlooked: alter(table, references, `drop foreign key ${quote(moment)}`, referenceClause(key)) }, todo, references),
    ];
  },
  bare: (key) => [alter(key.table, references, referenceClause(key))],
  cost: () => ({
    lock: 'NONE',
    way: 'added at once, then counted beside the work',
    blocks: 'others for a moment',
    work: 'reads every row',
  }),
};

/** Takes away what an interruption left behind. */
function withoutInterim({ table, name }: Pick<AddForeignKey, 'table' | 'name'>): Written {
  const moment = interim(name);
  return cleansUp(
    alone(
      alter(table, references, `drop foreign key ${quote(moment)}`),
      { kind: 'constraintPresent', table, name: moment },
      references,
    ),
  );
}

/** The name that a reference has until its rows are counted. */
export function interim(name: string): string {
  return `pawl_new_${names.shorten(name, 9)}`;
}

function refused(key: AddForeignKey, moment: string) {
  const count = `select count(*)\nfrom ${quoteTable(key.table)} as child\nwhere ${orphanCondition(key)}`;
  return { count, drop: alter(key.table, references, `drop foreign key ${quote(moment)}`), says: said(key) };
}

// Manual, "SIGNAL": a message has 128 characters.
function said({ table, name, parent }: AddForeignKey): string {
  return `Rows of ${table} have no parent in ${parent}: CONSTRAINT \`${name}\` was not added`.slice(0, 128);
}

export const addCheck = asOne<AddCheck>('copies', ({ name, claim }) => [
  `add constraint ${quote(name)} check (${keptCondition(claim)})`,
]);

export const dropConstraint: Writing<DropConstraint> = {
  stages: (operation) => [
    ...(operation.isReference ? [withoutInterim(operation)] : []),
    operation.name === 'PRIMARY'
      ? withoutKey(operation)
      : altering(operation.table, wayOf(operation), [clause(operation)], todoOf(operation)),
  ],
  cost: wayOf,
};

function withoutKey(operation: DropConstraint): Written {
  return alone({ keyless: alter(operation.table, wayOf(operation), clause(operation)) }, todoOf(operation), wayOf(operation));
}

function clause({ name, isKey }: DropConstraint): string {
  if (name === 'PRIMARY') return 'drop primary key';
  return isKey ? `drop key ${quote(name)}` : `drop constraint ${quote(name)}`;
}

// Without its primary key the table is written anew.
function wayOf({ name, isKey, isReference }: DropConstraint): Way {
  if (name === 'PRIMARY') return 'copies';
  if (isKey) return 'builds an index';
  return isReference ? references : 'changes the catalogue';
}

/** A key's name is its index's; a reference is made again in the same moment; a check is written anew with all rows. */
export const rename: Writing<Rename> = {
  stages: (operation) => [renamed(operation)],
  cost: ({ as }) => (as?.kind === 'check' ? 'copies' : references),
};

function renamed(operation: Rename): Written {
  const { table, from, to, as } = operation;
  const todo = todoOf(operation);
  switch (as?.kind) {
    case 'unique':
      return altering(table, references, [renaming(from, to)], todo);
    case 'foreign key':
      return alone(
        { unlooked: alter(table, references, `drop foreign key ${quote(from)}`, referenceClause(as.reference, to)) },
        todo,
        references,
      );
    case 'check':
      return altering(
        table,
        'copies',
        [`drop constraint ${quote(from)}`, `add constraint ${quote(to)} check (${whole(as.expression, from)})`],
        todo,
      );
    default:
      throw new DialectError(`What ${from} of ${table} is, is not known. Survey again.`);
  }
}

/**
 * A unique key is another in one ALTER. A reference is added beside the other under the name of a moment; only then the other goes, and it
 * gets its name: rows that keep to the one keep to the other, unless it refers elsewhere, where they are counted.
 */
export const changeConstraint: Writing<ChangeConstraint> = {
  stages(operation) {
    const { table, before, after, interim: moment } = operation;
    const todo = { kind: 'constraintUnlike', table, name: after.name, wanted: wantedOf(after) } as const;
    if (after.kind === 'unique')
      return [
        altering(
          table,
          'builds an index',
          [`drop key ${quote(before.name)}`, `add unique key ${quote(after.name)} (${quoteList(after.columns)})`],
          todo,
        ),
      ];
    const wanted = wantedOf(after) as Extract<Wanted, { kind: 'foreign key' }>;
    const away = `drop foreign key ${quote(moment)}`;
    return [
      alone(
        { unlooked: alter(table, references, referenceClause(after, moment)) },
        { ...todo, meanwhile: { name: moment, validated: false } },
        references,
      ),
      altering(table, references, [`drop foreign key ${quote(before.name)}`], {
        kind: 'constraintDiffers',
        table,
        name: before.name,
        wanted,
      }),
      alone({ unlooked: alter(table, references, away, referenceClause(after)) }, todo, references),
    ];
  },
  bare: (operation) => {
    const { table, before, after } = operation;
    if (after.kind === 'unique') return changeConstraint.stages(operation, 'plain').flatMap(({ statements }) => statements);
    // One that goes and one of its name that comes are two to the server.
    return [alter(table, references, `drop foreign key ${quote(before.name)}`), alter(table, references, referenceClause(after))];
  },
  cost: ({ after }) => (after.kind === 'unique' ? 'builds an index' : references),
};
