// Columns change their type, length, sign, encoding or collation, with those that refer to them, and the way back.

import type { Draft } from '../catalogue/draft';
import type { TableId } from '../catalogue/identifiers';
import { columnId } from '../catalogue/identifiers';
import { type Shape, shapeOf } from '../catalogue/edit';
import type { Column, Table } from '../catalogue/model';
import { type Claim, type Form, forms } from '../evidence/claims';
import { factsOf } from '../engines/facts';
import { type AddForeignKey, asItIs } from './add-foreign-key';
import type { Kind } from './operation';
import { Refusal } from './refusal';
import type { Redefined } from './set-not-null';

export interface Retype {
  readonly kind: 'retype';
  /** The table of the first of them. */
  readonly table: TableId;
  /** In the order in which they change: those that refer before those that are referred to, where they become wider. */
  readonly columns: readonly Retyped[];
  /** References that cannot be there while both ends change, and are made again at once. */
  readonly references?: readonly AddForeignKey[];
}

export interface Retyped {
  readonly table: TableId;
  readonly column: string;
  readonly before: Shape;
  readonly after: Shape;
  /** The zone that local times are of, where one without a zone becomes one with it, or the other way round. */
  readonly zone?: string;
  /** The column that it is to be as, whatever else the docket makes of that. */
  readonly like?: { readonly table: TableId; readonly column: string };
  /** The largest and the smallest whole number that it holds then. */
  readonly range?: { readonly least: string; readonly most: string };
  /** What gives it its numbers, where that has a type of its own. */
  readonly sequence?: NumberedBy;
  /** The column's definition as it is and as it will be, where all of it has to be said. */
  readonly definition?: Redefined;
}

export interface NumberedBy {
  readonly schema: string;
  readonly name: string;
  /** True where it is a part of the column, and changes with it. */
  readonly within: boolean;
  readonly before: NumberedTo;
  readonly after: NumberedTo;
}

interface NumberedTo {
  readonly type: string;
  readonly maximum: string;
}

export const retype: Kind<Retype> = {
  rank: 1.5,
  words: ({ columns }) => columns.map(changeInWords).join('; '),

  inverse: ({ columns, ...operation }) => [
    { ...operation, table: columns.at(-1)?.table ?? operation.table, columns: columns.toReversed().map(turnedBack) },
  ],

  apply({ columns }, draft) {
    for (const retyped of columns) {
      for (const id of [retyped.table, ...draft.descendantsOf(retyped.table)]) draft.put(withShape(draft.get(id), retyped));
      const { sequence } = retyped;
      if (sequence) draft.changeSequence(sequence, sequence.after);
    }
  },

  todo: ({ table, columns, references = [] }) => ({
    kind: 'shapeDiffers',
    table,
    columns: columns.map(({ table: id, column, after }) => ({ table: id, column, shape: after })),
    references: references.map(({ table: id, name }) => ({ table: id, name })),
  }),
  before: ({ columns }) => [
    ...columns.flatMap((retyped) =>
      (claimsOf(retyped) ?? []).map((claim) => ({ kind: 'breaking', table: retyped.table, claim }) as const),
    ),
    ...columns.map(({ table, column }) => ({ kind: 'restsOn', table, column }) as const),
  ],
  after: (operation) => [retype.todo(operation)],

  changesAlso: ({ columns }) => columns.map(({ table }) => table),
  indexed: () => [],

  fit(operation, { current }) {
    const columns = operation.columns.map((retyped) => {
      const own = current.get(retyped.table).columns.find(({ name }) => name === retyped.column);
      const fitting = { ...retyped, ...(own && { before: shapeOf(own) }) };
      return { ...fitting, ...sequenceFor(fitting, current) };
    });
    return { ...operation, columns };
  },

  refuse({ columns }, current) {
    for (const retyped of columns) {
      const refusal = refuseOne(retyped, current);
      if (refusal) return refusal;
    }
    return null;
  },
};

/** The references at either end of which one of these is, as they are made again. */
export function referencesAt(columns: readonly Pick<Retyped, 'table' | 'column'>[], current: Draft): readonly AddForeignKey[] {
  const isOne = (table: TableId, names: readonly string[]): boolean =>
    columns.some((one) => one.table === table && names.includes(one.column));
  const tables = [...new Set(columns.flatMap(({ table }) => [table, ...current.childrenOf(table)]))];
  return tables.flatMap((id) => {
    const table = current.get(id);
    return table.constraints.flatMap((key) => {
      if (key.kind !== 'foreign key') return [];
      const touched = isOne(id, key.columns) || isOne(key.parent, key.parentColumns);
      return touched ? (asItIs(table, key.name) ?? []) : [];
    });
  });
}

/** What its values must be like for it to be the same afterwards, and after the way back; null where nothing turns the one into the other. */
export function claimsOf({ column, before, after, zone, range }: Omit<Retyped, 'table'>): readonly Claim[] | null {
  const narrower = (own: number | null, next: number | null): next is number => next !== null && (own === null || own > next);
  const [from, to] = [before.family, after.family];
  if (from === 'text' && to === 'text')
    return narrower(before.length, after.length) ? [{ kind: 'noLonger', column, characters: after.length }] : [];
  if (from === 'timestamp' && to === 'timestamp' && zone !== undefined) return [{ kind: 'inZone', column, zone }];
  if (from === to && to !== 'decimal') return range ? [{ kind: 'between', column, ...range }] : [];
  if (to === 'decimal' && (from === 'decimal' || from === 'float' || from === 'integer'))
    return from !== 'integer' && narrower(before.scale ?? 99, after.scale)
      ? [{ kind: 'decimals', column, most: after.scale }]
      : [];
  if (from === 'decimal' && to === 'integer')
    return [{ kind: 'decimals', column, most: 0 }, ...(range ? [{ kind: 'between', column, ...range } as const] : [])];
  const form = from === 'text' ? formFor(after) : null;
  if (form !== null)
    return [
      { kind: 'notBlank', column },
      { kind: 'ofForm', column, form },
      { kind: 'asWritten', column, form },
    ];
  return to === 'text' && (from === 'integer' || from === 'uuid') ? [] : null;
}

// What moment a text without a zone is, is not to be seen from it.
function formFor({ family }: Shape): Form | null {
  return forms.find((form) => form === family && form !== 'timestamp') ?? null;
}

function turnedBack({ before, after, sequence, definition, range: _, ...retyped }: Retyped): Retyped {
  return {
    ...retyped,
    before: after,
    after: before,
    ...(sequence && { sequence: { ...sequence, before: sequence.after, after: sequence.before } }),
    ...(definition && { definition: { before: definition.after, after: definition.before } }),
  };
}

function changeInWords({ table, column, before, after, zone }: Retyped): string {
  const differs = before.declaredType !== after.declaredType;
  const collated = before.collation !== after.collation && (after.collation ?? before.collation) !== null;
  const types = differs ? `${after.declaredType} instead of ${before.declaredType}` : after.declaredType;
  const compared = collated
    ? `, compared by ${after.collation ?? 'what is usual'} instead of ${before.collation ?? 'what is usual'}`
    : '';
  return `${column} of ${table} as ${types}${compared}${zone === undefined ? '' : `, of the zone ${zone}`}`;
}

function withShape(table: Table, { column: name, after, definition }: Retyped): Table {
  const columns = table.columns.map((column) => {
    if (column.name !== name) return column;
    const { comparedAs: _, characterSet: __, ...rest } = column;
    return { ...rest, ...after, ...(definition && { definition: definition.after }) };
  });
  return { ...table, columns };
}

// One that ends where its column's type does goes on to where that does then.
function sequenceFor({ table, column, before, after, range }: Retyped, current: Draft): { readonly sequence?: NumberedBy } {
  const sequence = current.sequenceOf(columnId(table, column));
  const numbered = current.get(table).columns.find(({ name }) => name === column);
  if (!sequence || before.family !== 'integer' || after.family !== 'integer' || before.declaredType === after.declaredType)
    return {};
  const { schema, name, type, maximum } = sequence;
  // Manual, "CREATE SEQUENCE": the largest value of a type is where one of that type ends.
  const { sequenceEnd } = factsOf(current).types;
  const ends = sequenceEnd?.(after.declaredType);
  if (ends === undefined || type !== before.declaredType || maximum !== sequenceEnd?.(type) || range) return {};
  const within = (numbered?.identity ?? null) !== null;
  return {
    sequence: { schema, name, within, before: { type, maximum }, after: { type: after.declaredType, maximum: ends } },
  };
}

function refuseOne(retyped: Retyped, current: Draft): Refusal | null {
  const { table: id, column: name, before, after } = retyped;
  const table = current.get(id);
  const column = table.columns.find((one) => one.name === name);
  if (!column) return new Refusal(`${id} has no column ${name} any more. Survey again.`);
  if (column.declaredType === after.declaredType && column.collation === after.collation)
    return new Refusal(`${name} of ${id} is ${column.declaredType} already, or another remedy of this docket makes it so.`);
  if (claimsOf(retyped) === null)
    return new Refusal(
      `Nothing turns ${before.declaredType} into ${after.declaredType} and back: ${name} of ${id} takes somebody's thought.`,
    );
  return refuseHeld(table, column, after, current);
}

function refuseHeld(table: Table, column: Column, after: Shape, current: Draft): Refusal | null {
  const { name } = column;
  const refused = (because: string): Refusal => new Refusal(`${name} of ${table.id} ${because}.`);
  if (column.generated !== null) return refused('is computed from others: change those');
  if (column.values) return refused('lists the only values that it has: its type takes somebody’s thought');
  if (column.domain !== null) return refused(`is of the domain ${column.domain}, which says its type`);
  if (table.splitBy === null || table.splitBy?.includes(name)) return refused('is what the table is split by');
  if (table.inherits.some((parent) => current.find(parent)?.columns.some((one) => one.name === name)))
    return refused('is inherited: it changes where it comes from');
  const computed = table.columns.find(({ generated }) => generated !== null && mentions(generated, name));
  if (computed) return refused(`is what ${computed.name} is computed from: that has to go first`);
  if (column.family === after.family) return null;
  if (column.default !== null && column.identity === null)
    return refused(`has a default, ${column.default}, that is of its type: take that away first`);
  const check = table.constraints.find((one) => one.kind === 'check' && one.columns.includes(name));
  return check ? refused(`is in the check ${check.name}, which was written for its type`) : null;
}

function mentions(expression: string, name: string): boolean {
  return expression.split(/[^\p{L}\p{N}_$]+/u).includes(name);
}
