import type { AddCheck } from '../../../operations/add-check';
import type { AddForeignKey } from '../../../operations/add-foreign-key';
import { todoOf } from '../../../operations/index';
import type { DropConstraint } from '../../../operations/drop-constraint';
import type { Rename } from '../../../operations/rename';
import { DialectError } from '../../DialectError';
import type { Stage } from '../../dialect';
import { keptCondition } from '../claims';
import { names } from '../names';
import { orphanCondition } from '../conditions';
import { literal, quote, quoteList, quoteTable } from '../quote';
import { whole } from '../shown';
import {
  alone,
  alter,
  altering,
  asOne,
  building,
  cleansUp,
  copying,
  costAs,
  instant,
  opensAnew,
  type Way,
  type Writing,
} from './writing';

/** One that the server is not to look at (manual, "foreign_key_checks"): whatever it lets through has to be counted. */
export function unlooked(statement: string): string {
  return `set statement foreign_key_checks = 0 for ${statement}`;
}

export function referenceClause(key: Omit<AddForeignKey, 'kind' | 'table' | 'rows'>, name = key.name): string {
  const { columns, parent, parentColumns, onDelete, onUpdate } = key;
  return [
    `add constraint ${quote(name)} foreign key (${quoteList(columns)})`,
    `references ${quoteTable(parent)} (${quoteList(parentColumns)})`,
    `on delete ${onDelete} on update ${onUpdate}`,
  ].join('\n    ');
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
    if (key.rows === 'new only') return [alone(unlooked(alter(table, instant, referenceClause(key))), todo, costAs(instant))];
    return [
      cleansUp(
        alone(
          alter(table, instant, `drop foreign key ${quote(moment)}`),
          { kind: 'constraintPresent', table, name: moment },
          costAs(instant),
        ),
      ),
      alone(unlooked(alter(table, instant, referenceClause(key, moment))), todo, costAs(instant)),
      // Who deleted a parent before the reference was there may not have committed yet.
      alone(opensAnew(parent), todo, costAs(instant)),
      alone(refuseOrphans(key, moment), todo, { lock: 'NONE', blocks: 'nobody', work: 'reads every row' }),
      alone(unlooked(alter(table, instant, `drop foreign key ${quote(moment)}`, referenceClause(key))), todo, costAs(instant)),
    ];
  },
  cost: () => ({ lock: costAs(instant).lock, blocks: 'others for a moment', work: 'reads every row' }),
};

/** The name that a reference has until its rows are counted. */
export function interim(name: string): string {
  return `pawl_new_${names.shorten(name, 9)}`;
}

// As one block, so that nothing comes between: what the server then refuses, it refuses with what stands in the way.
function refuseOrphans(key: AddForeignKey, moment: string): string {
  return [
    'begin not atomic',
    '  declare orphans bigint;',
    '  set statement tmp_memory_table_size = 67108864, max_heap_table_size = 67108864 for',
    '  select count(*) into orphans',
    `  from ${quoteTable(key.table)} as child`,
    `  where ${orphanCondition(key).replaceAll('\n', '\n  ')};`,
    '  if orphans > 0 then',
    `    alter table ${quoteTable(key.table)} drop foreign key ${quote(moment)}, algorithm=instant, lock=none;`,
    `    signal sqlstate '23000' set mysql_errno = 1452, message_text = ${literal(said(key))};`,
    '  end if;',
    'end',
  ].join('\n');
}

// Manual, "SIGNAL": a message has 128 characters.
function said({ table, name, parent }: AddForeignKey): string {
  return `Rows of ${table} have no parent in ${parent}: CONSTRAINT \`${name}\` was not added`.slice(0, 128);
}

export const addCheck = asOne<AddCheck>(copying, ({ name, claim }) => [
  `add constraint ${quote(name)} check (${keptCondition(claim)})`,
]);

export const dropConstraint: Writing<DropConstraint> = {
  stages: (operation) => [altering(operation.table, wayOf(operation), [clause(operation)], todoOf(operation))],
  cost: (operation) => costAs(wayOf(operation)),
};

function clause({ name, isKey }: DropConstraint): string {
  if (name === 'PRIMARY') return 'drop primary key';
  return isKey ? `drop key ${quote(name)}` : `drop constraint ${quote(name)}`;
}

// Without its primary key the table is written anew.
function wayOf({ name, isKey }: DropConstraint): Way {
  if (name === 'PRIMARY') return copying;
  return isKey ? building : instant;
}

/** A key's name is its index's; a reference is made again in the same moment; a check is written anew with all rows. */
export const rename: Writing<Rename> = {
  stages: (operation) => [renamed(operation)],
  cost: ({ as }) => costAs(as?.kind === 'check' ? copying : instant),
};

function renamed(operation: Rename): Stage {
  const { table, from, to, as } = operation;
  const todo = todoOf(operation);
  switch (as?.kind) {
    case 'unique':
      return altering(table, instant, [`rename index ${quote(from)} to ${quote(to)}`], todo);
    case 'foreign key':
      return alone(
        unlooked(alter(table, instant, `drop foreign key ${quote(from)}`, referenceClause(as.reference, to))),
        todo,
        costAs(instant),
      );
    case 'check':
      return altering(
        table,
        copying,
        [`drop constraint ${quote(from)}`, `add constraint ${quote(to)} check (${whole(as.expression, from)})`],
        todo,
      );
    default:
      throw new DialectError(`What ${from} of ${table} is, is not known. Survey again.`);
  }
}
