// A text that repeats what a table lists, or that is to have such a table: it becomes a reference, and what of the text remains is asked.

import { dependentsOfColumn } from '../catalogue/dependents';
import { tableId, tableNames } from '../catalogue/identifiers';
import { findTable, foreignKeysOf, isIndexed, primaryKeyOf, sameColumns } from '../catalogue/lookups';
import type { Catalogue, Column, Table } from '../catalogue/model';
import { type Shape, shapeOf } from '../catalogue/edit';
import { factsOf } from '../engines/facts';
import { plural, rowOf, spoken } from '../naming/words';
import type { Operation } from '../operations/index';
import type { Lookup, LookUp } from '../operations/lookup';
import { numberedColumn } from '../operations/number-rows';
import { Refusal } from '../operations/refusal';
import { createIndex } from './index-columns';
import { numbering } from './keys/numbering';
import { give, type Naming } from './names';
import { neverEmpty } from './not-null';
import { type Answer, type Question, typedName } from './question';
import { orphanRepairs, parentsAnswer } from './reference/orphans';
import type { ProposedParent } from './reference/proposed';
import type { Ground, Making, Remedy } from './remedy';
import { undoable } from './rows/setting-aside';

export interface LookupProposal {
  readonly kind: 'lookup';
  /** The text. */
  readonly columns: readonly string[];
  /** The table that lists its values, and the column that it lists them in. Left out where one is to be made. */
  readonly references?: ProposedParent;
  /** Rows whose text is not listed; null when nobody has looked. */
  readonly orphanRows: number | null;
  /** What a table that is made will be called. */
  readonly named?: string;
}

export const lookupRemedy: Remedy<LookupProposal> = {
  asks: { orphans: 'What becomes of orphans', text: 'What becomes of the text' },

  questions: (proposal, on) => [...unlistedQuestion(proposal, on), textQuestion(proposal, on)],

  operations(proposal, on) {
    const of = lookedUp(proposal, on);
    if (of instanceof Refusal) return of;
    const { table, naming, chosen } = on;
    const { lookup, as, shape, column, made } = of;
    const goes = goesAs(column, on);
    if (goes instanceof Refusal) return goes;
    const reference = { columns: [as], parent: lookup.table, parentColumns: [lookup.key] };
    const repairs = made ? [] : orphanRepairs(textually(column, lookup), on);
    if (repairs instanceof Refusal) return repairs;
    const every = goes !== null && !column.nullable;
    const ofText = { table: table.id, column: column.name, lookup };
    const { batches } = numbering(table, as);
    const filling: LookUp = {
      ...{ kind: 'lookUp', ...ofText, as, grows: made, batches, every },
      ...(chosen['text'] === 'drop' && goes !== null && { dropsLater: goes }),
    };
    return [
      ...(made ? [making(of, naming, on)] : repairs),
      { kind: 'addReferring', table: table.id, as, shape },
      filling,
      ...(isIndexed(table, [as]) ? [] : [createIndex(table, [as], naming)]),
      {
        ...{ kind: 'addForeignKey', table: table.id, ...reference, match: 'simple', deferrable: 'no', rows: 'checked' },
        ...{ onDelete: 'no action', onUpdate: 'no action' },
        name: give(naming, table, { kind: 'foreign key', columns: [as], reference }),
      },
      ...(every ? [...neverEmpty(table, [as]), { kind: 'letEmpty', ...ofText, as } as const] : []),
      ...(goes === null ? [] : [{ kind: 'renameColumn', table: table.id, from: column.name, to: goes } as const]),
    ];
  },

  holds: (proposal, { table, catalogue }) => isLookedUp(proposal, table, catalogue),
  outcome({ columns }, { table, chosen }) {
    const [row, what] = [rowOf(table.name), spoken(columns[0] ?? '')];
    return chosen['text'] === 'keep'
      ? `Every ${row} that says its ${what} refers to it as well.`
      : `Each ${what} is written once, and every ${row} refers to it.`;
  },
  touches: ({ columns: [from = ''] }, { table, catalogue }) => ({
    part: { kind: 'column', name: from },
    known: dependentsOfColumn(table.id, from, catalogue),
    resting: 'reads the text: it has to follow when that gets another name.',
  }),
};

/** Whether a column of the table refers to what lists the values of its text. */
export function isLookedUp(proposal: LookupProposal, table: Table, catalogue: Catalogue): boolean {
  const lookup = lookupOf(proposal, table, catalogue);
  if (!lookup) return false;
  const names = referringNames(lookup, proposal.columns[0] ?? '', table);
  return foreignKeysOf(table).some(
    ({ parent, columns }) => parent === lookup.table && names.some((name) => sameColumns(columns, [name])),
  );
}

interface LookedUp {
  readonly column: Column;
  readonly lookup: Lookup;
  readonly as: string;
  readonly shape: Shape;
  /** True of a lookup that is to be made. */
  readonly made: boolean;
}

function lookedUp(proposal: LookupProposal, { table, catalogue }: Ground): LookedUp | Refusal {
  const { columns, references } = proposal;
  const column = table.columns.find(({ name }) => name === columns[0]);
  const lookup = lookupOf(proposal, table, catalogue);
  if (!column) return new Refusal(`${table.id} has no column ${columns.join(', ')} any more. Survey again.`);
  if (!lookup)
    return new Refusal(`${references ? tableId(references.schema, references.table) : table.id} has no key of one column.`);
  const [as] = referringNames(lookup, column.name, table).filter((name) => table.columns.every((one) => one.name !== name));
  if (as === undefined)
    return new Refusal(`${table.id} has columns of all the names that a reference would have. Mend it by hand.`);
  const key = findTable(catalogue, lookup.table)?.columns.find(({ name }) => name === lookup.key);
  if (!references && key) return new Refusal(`${lookup.table} is there already. Ask for another name.`);
  return {
    column,
    lookup,
    as,
    made: !references,
    shape: shapeOf(key ?? numberedColumn(lookup.table, lookup.key, factsOf(catalogue).types.numbering)),
  };
}

function lookupOf({ columns, references, named }: LookupProposal, table: Table, catalogue: Catalogue): Lookup | null {
  if (references) {
    const parent = findTable(catalogue, tableId(references.schema, references.table));
    const key = parent && primaryKeyOf(parent)?.columns;
    return parent && key?.length === 1 ? { table: parent.id, key: key[0] ?? '', label: references.columns[0] ?? '' } : null;
  }
  const name = named ?? columns[0] ?? '';
  return { table: tableId(table.schema, name), key: `${name}_id`, label: 'name' };
}

/** What the referring column is called: as the key, and where that is taken as the text and the key. */
function referringNames({ key }: Lookup, text: string, { columns }: Table): readonly string[] {
  const isOwnKey = columns.some(({ name, identity }) => name === key && identity !== null);
  return [...(isOwnKey ? [] : [key]), `${text}_${key}`];
}

function textually({ name }: Column, { table, label }: Lookup) {
  return { columns: [name], parent: table, parentColumns: [label] };
}

function making({ column, lookup }: LookedUp, naming: Naming, { table, catalogue }: Making): Operation {
  const own: Table = {
    ...table,
    id: lookup.table,
    name: tableNames(lookup.table).table,
    columns: [],
    constraints: [],
    indexes: [],
  };
  return {
    ...{ kind: 'makeLookup', table: table.id, column: column.name, lookup },
    names: {
      key: give(naming, own, { kind: 'primary key', columns: [lookup.key] }),
      unique: give(naming, own, { kind: 'unique', columns: [lookup.label] }),
    },
    type: factsOf(catalogue).types.numbering,
  };
}

/** What the text is called then; null where it stays. */
function goesAs({ name }: Column, { table, chosen, catalogue }: Making): string | null | Refusal {
  if (chosen['text'] !== 'rename' && chosen['text'] !== 'drop') return null;
  const { shorten } = factsOf(catalogue).names;
  const typed = chosen['text'] === 'rename' ? (chosen[typedName('text')] ?? '').trim() : '';
  const to = typed === '' ? shorten(`${name}_before`) : typed;
  if (shorten(to) !== to) return new Refusal(`${to} is longer than a name may be here.`);
  return table.columns.some((one) => one.name === to) ? new Refusal(`${table.id} has a column ${to} already.`) : to;
}

function unlistedQuestion(
  { references, orphanRows, columns }: LookupProposal,
  { table, catalogue }: Ground,
): readonly Question[] {
  if (!references || !orphanRows) return [];
  const parent = findTable(catalogue, tableId(references.schema, references.table));
  const things = plural(rowOf(table.name));
  const leave: Answer = {
    ...{ id: 'leave', title: 'Leave them without one', advised: true, refused: null },
    effect: `${things} whose ${spoken(columns[0] ?? '')} is not listed refer to nothing; their text tells what it was`,
    cost: 'stays to be mended by hand',
  };
  return [
    {
      ...{ id: 'orphans', shape: 'cards', title: `What becomes of ${orphanRows} ${things} whose text is not listed` },
      answers: [leave, parentsAnswer(parent, references)],
    },
  ];
}

function textQuestion({ columns: [name = ''], references, orphanRows }: LookupProposal, { table, chosen }: Ground): Question {
  const column = table.columns.find((one) => one.name === name);
  const key = table.constraints.find(({ columns }) => columns.includes(name));
  const unlisted = references && orphanRows && chosen['orphans'] !== 'parents';
  const bound = key ? `it is in ${key.name}` : null;
  const refused = bound ?? (unlisted && column?.nullable === false ? 'rows whose text is not listed would say nothing' : null);
  const answer = (id: string, title: string, effect: string, more: Partial<Answer> = {}): Answer => ({
    ...{ id, title, effect, cost: '', advised: false, refused },
    ...more,
  });
  return {
    ...{ id: 'text', shape: 'cards', title: 'What becomes of the text' },
    answers: [
      answer('keep', 'Keep it', 'Programs go on to read and write it; whoever writes it has to write the reference as well', {
        ...{ advised: true, refused: null, cost: `both have to be kept alike until programs follow; ${undoable(table)}` },
      }),
      answer('rename', 'Give it another name', 'Nobody writes it any more by chance; it can be looked at, and comes back', {
        asks: { label: `Its name, ${name}_before when you type none` },
        cost: `programs that say ${name} have to follow; ${undoable(table)}`,
      }),
      answer('drop', 'Drop it', `Called ${name}_before until what was kept is dropped; gone then`, {
        cost: `programs that say ${name} have to follow; ${undoable(table)} until then`,
      }),
    ],
  };
}
