import type { TableId } from '../../../catalogue/identifiers';
import { findTable } from '../../../catalogue/lookups';
import type { ForeignKey } from '../../../catalogue/model';
import type { AddCheck } from '../../../operations/add-check';
import { type AddForeignKey, asDeclared } from '../../../operations/add-foreign-key';
import { type ChangeConstraint, wantedOf } from '../../../operations/change-constraint';
import type { CheckRows, UncheckRows } from '../../../operations/check-rows';
import type { DropConstraint } from '../../../operations/removing';
import type { Rename } from '../../../operations/rename';
import type { RenameColumn } from '../../../operations/rename-column';
import { keptCondition } from '../spelling';
import { dollarQuoted, literal, quote, quoteList, quoteTable, tableText } from '../quote';
import { dropIndexBeside } from './indexes';
import { alter, cleansUp, dropConstraintOf, exclusive, moment, nobodyWaits, stage, type Writing } from './writing';
import type { Stage } from '../../dialect';

export const addForeignKey: Writing<AddForeignKey> = {
  statements: addReference,
  cost: ({ rows }) => ({
    lock: 'SHARE ROW EXCLUSIVE',
    blocks: 'writers',
    work: rows === 'checked' ? 'reads every row' : 'catalogue only',
  }),
};

export function addReference(key: AddForeignKey): readonly string[] {
  const { table, name, columns, parent, parentColumns, onDelete, onUpdate, match, deferrable, comment, rows } = key;
  return [
    alter(
      table,
      `add constraint ${quote(name)}`,
      `foreign key (${quoteList(columns)})`,
      `references ${quoteTable(parent)} (${quoteList(parentColumns)})`,
      ...(match === 'simple' ? [] : [`match ${match}`]),
      `on delete ${onDelete}`,
      `on update ${onUpdate}`,
      ...(deferrable === 'no' ? [] : [`deferrable ${deferrable}`]),
      ...(rows === 'checked' ? [] : ['not valid']),
    ),
    ...commented(table, name, comment),
  ];
}

/**
 * In one ALTER the one goes and the other comes. Beside the work a reference is added first, under the name of a moment and for new rows;
 * then its rows are looked at, and in one transaction it takes the other's place.
 */
export const changeConstraint: Writing<ChangeConstraint> = {
  statements: ({ table, before, after }) =>
    after.kind === 'unique'
      ? [
          alter(
            table,
            `drop constraint ${quote(before.name)},`,
            `add constraint ${quote(after.name)} unique${after.nulls === 'alike' ? ' nulls not distinct' : ''} (${quoteList(after.columns)})`,
          ),
          ...commented(table, after.name, after.comment),
        ]
      : [dropConstraintOf(table, before.name), ...addReference(referenceOf(table, after, after.name))],
  cost: ({ after }) => exclusive(after.kind === 'unique' ? 'builds an index' : 'reads every row'),
  quiet: {
    stages: (operation, whole) => (operation.after.kind === 'unique' ? [whole] : changedBeside(operation, operation.after)),
    cost: ({ after }) =>
      after.kind === 'unique' ? exclusive('builds an index') : exclusive('reads every row', 'others for a moment'),
  },
};

function changedBeside({ table, after: { name }, interim, ...of }: ChangeConstraint, after: ForeignKey): readonly Stage[] {
  const unlike = { kind: 'constraintUnlike', table, name, wanted: wantedOf(after) } as const;
  const added = { ...referenceOf(table, after, interim), rows: 'new only' } as const;
  const swapped = [
    dropConstraintOf(table, of.before.name),
    alter(table, `rename constraint ${quote(interim)} to ${quote(name)}`),
  ];
  return [
    stage(addReference(added), { ...unlike, meanwhile: { name: interim, validated: false } }, addForeignKey.cost(added)),
    ...(after.validated
      ? [
          stage(
            [alter(table, `validate constraint ${quote(interim)}`)],
            { ...unlike, meanwhile: { name: interim, validated: true } },
            { ...nobodyWaits, work: 'reads every row' },
          ),
        ]
      : []),
    stage(swapped, unlike, moment),
  ];
}

function referenceOf(table: TableId, key: ForeignKey, name: string): AddForeignKey {
  return { ...asDeclared(table, key), name, rows: key.validated ? 'checked' : 'new only' };
}

export function commented(table: TableId, constraint: string, comment: string | undefined): readonly string[] {
  if (comment === undefined) return [];
  return [`comment on constraint ${quote(constraint)} on ${quoteTable(table)} is ${literal(comment)}`];
}

export const addCheck: Writing<AddCheck> = {
  statements: ({ table, name, claim, rows }) => [
    alter(
      table,
      `add constraint ${quote(name)}`,
      `check (${keptCondition(claim)})`,
      ...(rows === 'checked' ? [] : ['not valid']),
    ),
  ],
  cost: ({ rows }) => exclusive(rows === 'checked' ? 'reads every row' : 'catalogue only'),
};

const checkingReference = 2;

export const checkRows: Writing<CheckRows> = {
  statements: ({ table, name }) => [alter(table, `validate constraint ${quote(name)}`)],
  cost: () => ({ ...nobodyWaits, work: 'reads every row' }),
  bytesPassed: ({ table, against }, _, catalogue) =>
    against.kind === 'orphans'
      ? checkingReference *
        ([table, against.reference.parent] as const).reduce((sum, id) => sum + (findTable(catalogue, id)?.bytes ?? 0), 0)
      : null,
};

export const uncheckRows: Writing<UncheckRows> = {
  statements: ({ table, name, before }) =>
    before.kind === 'declaredCheck' ? [remakeCheck(table, name)] : [dropConstraintOf(table, name), ...addReference(before)],
  cost: () => exclusive('catalogue only'),
};

// What the check says is asked of the server, and said to it again.
function remakeCheck(table: TableId, name: string): string {
  const body = [
    'declare',
    '  declared text;',
    '  said text;',
    'begin',
    "  select pg_catalog.pg_get_constraintdef(oid), pg_catalog.obj_description(oid, 'pg_constraint') into declared, said",
    '  from pg_catalog.pg_constraint',
    `  where conrelid = ${tableText(table)}::pg_catalog.regclass and conname = ${literal(name)};`,
    `  alter table ${quoteTable(table)} drop constraint ${quote(name)};`,
    `  execute ${literal(`alter table ${quoteTable(table)} add constraint ${quote(name)} `)} || declared || ' not valid';`,
    '  if said is not null then',
    `    execute ${literal(`comment on constraint ${quote(name)} on ${quoteTable(table)} is `)} || pg_catalog.quote_literal(said);`,
    '  end if;',
    'end',
  ].join('\n');
  return dollarQuoted(body);
}

export const dropConstraint: Writing<DropConstraint> = {
  statements: ({ table, name }) => [dropConstraintOf(table, name)],
  cost: () => exclusive('catalogue only'),
  quiet: {
    // When the way forward was interrupted, the index is there without its constraint.
    stages: ({ table, name, isKey, partitioned }, whole) =>
      isKey && !partitioned ? [whole, cleansUp(dropIndexBeside(table, name))] : [whole],
    cost: ({ partitioned }) => exclusive('catalogue only', partitioned ? 'everyone' : 'others for a moment'),
  },
};

// Manual, "ALTER TABLE": those below get the new name too, and whatever the server itself keeps of the column follows.
export const renameColumn: Writing<RenameColumn> = {
  statements: ({ table, from, to }) => [alter(table, `rename column ${quote(from)}`, `to ${quote(to)}`)],
  cost: () => exclusive('catalogue only'),
};

export const rename: Writing<Rename> = {
  statements: ({ table, from, to }) => [alter(table, `rename constraint ${quote(from)}`, `to ${quote(to)}`)],
  cost: () => exclusive('catalogue only'),
};
