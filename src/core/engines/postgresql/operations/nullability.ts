import type { TableId } from '../../../catalogue/identifiers';
import type { HandedDown } from '../../../operations/hand-down';
import type { DropNotNull, SetNotNull } from '../../../operations/set-not-null';
import type { Stage } from '../../dialect';
import { shorten } from '../names';
import { quote, quoteTable } from '../quote';
import { alter, cleansUp, dropConstraintOf, exclusive, moment, nobodyWaits, stage, type Writing } from './writing';

export const setNotNull: Writing<SetNotNull> = {
  statements: ({ table, column }) => [alter(table, `alter column ${quote(column)} set not null`)],
  cost: () => exclusive('reads every row'),
  quiet: {
    stages: ({ table, column, named }) =>
      named === undefined ? fillForGood(table, column) : notNullByName(table, column, named),
    cost: () => exclusive('reads every row', 'others for a moment'),
  },
};

export const dropNotNull: Writing<DropNotNull> = {
  statements: ({ table, column, handedDown, loose }) => [
    ...dropDown(table, column, handedDown),
    ...(loose === undefined ? [] : [looseNotNull(table, column, loose)]),
  ],
  cost: () => exclusive('catalogue only'),
  quiet: { stages: ({ table, column }, whole) => [cleansUp(dropFilled(table, column)), whole] },
};

/** NOT NULL for new rows; what is there is looked at by VALIDATE CONSTRAINT. */
function looseNotNull(table: TableId, column: string, name: string): string {
  return alter(table, `add constraint ${quote(name)}`, `not null ${quote(column)}`, 'not valid');
}

// To tables that inherit it is spoken one by one, as each may have it of its own accord; where they follow, those get
// back what was theirs.
function dropDown(table: TableId, column: string, handedDown: HandedDown | undefined): readonly string[] {
  const drop = (of: TableId, only: boolean): string =>
    [`alter table ${only ? 'only ' : ''}${quoteTable(of)}`, `  alter column ${quote(column)} drop not null`].join('\n');
  if (!handedDown) return [drop(table, false)];
  const { together, made, kept } = handedDown;
  if (!together) return [drop(table, true), ...made.map((id) => drop(id, true))];
  const back = kept.map((id) => alter(id, `alter column ${quote(column)} set not null`));
  // What a key of an heir made its own stays behind; of all others there is nothing left to drop.
  return [drop(table, false), ...made.map((id) => drop(id, false)), ...back];
}

/** SET NOT NULL does not read the rows when a validated check says that there is no null (manual, "ALTER TABLE"). */
export function fillForGood(table: TableId, column: string): readonly Stage[] {
  const check = filledName(column);
  const nullable = { kind: 'nullable', table, column } as const;
  return [
    cleansUp(dropFilled(table, column)),
    stage(
      [alter(table, `add constraint ${quote(check)}`, `check (${quote(column)} is not null)`, 'not valid')],
      nullable,
      moment,
    ),
    stage([alter(table, `validate constraint ${quote(check)}`)], nullable, { ...nobodyWaits, work: 'reads every row' }),
    stage([alter(table, `alter column ${quote(column)} set not null`)], nullable, moment),
    dropFilled(table, column),
  ];
}

// A constraint with a name can be added for new rows first, and validated while everybody works.
function notNullByName(table: TableId, column: string, name: string): readonly Stage[] {
  return [
    stage([looseNotNull(table, column, name)], { kind: 'constraintMissing', table, name, validated: false }, moment),
    stage(
      [alter(table, `validate constraint ${quote(name)}`)],
      { kind: 'nullable', table, column },
      { ...nobodyWaits, work: 'reads every row' },
    ),
  ];
}

function filledName(column: string): string {
  return shorten(`pawl_${column}_filled`);
}

function dropFilled(table: TableId, column: string): Stage {
  const name = filledName(column);
  return stage([dropConstraintOf(table, name)], { kind: 'constraintPresent', table, name }, moment);
}
