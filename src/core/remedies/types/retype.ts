// Another type for a column, and for those that have to be of the same: what it is to be is asked where there is a choice.

import { type Shape, shapeOf } from '../../catalogue/edit';
import { tableId } from '../../catalogue/identifiers';
import { findColumn, findTable } from '../../catalogue/lookups';
import type { Catalogue, Column, Table } from '../../catalogue/model';
import { factsOf } from '../../engines/facts';
import type { Form } from '../../evidence/claims';
import { zoneName } from '../../evidence/claims';
import { counted } from '../../naming/words';
import type { Operation } from '../../operations/index';
import { Refusal } from '../../operations/refusal';
import type { Retype, Retyped } from '../../operations/retype';
import type { Filling, SetAside } from '../../operations/set-aside';
import { type Question, typedWith } from '../question';
import type { ProposedParent } from '../reference/proposed';
import type { Ground, Making, Remedy } from '../remedy';
import { constant, emptied, filled, noKey, rowKeyOf, settingAside, undoable } from '../rows/setting-aside';
import { descendantsOf, type Place, relativesOf } from './family';

export interface RetypeProposal {
  readonly kind: 'retype';
  readonly columns: readonly string[];
  readonly to: Becoming;
  /** What they refer to, where they become as that is. */
  readonly references?: ProposedParent;
  /** The type that holds too little. */
  readonly was?: string;
  /** Of texts, what they read as. */
  readonly form?: Form;
  /** Rows whose value the new type does not hold, and those that it would write otherwise; null when nobody has counted. */
  readonly against?: number | null;
  readonly otherwise?: number | null;
}

/** `wider`: more bytes; `as parent`: as the key that is referred to; `exact`: decimals; `zoned`: with its zone; `form`: what a text reads as. */
export const becomings = ['wider', 'as parent', 'exact', 'zoned', 'in unicode', 'form'] as const;
export type Becoming = (typeof becomings)[number];

export const retypeRemedy: Remedy<RetypeProposal> = {
  asks: {
    type: 'What type it becomes',
    side: 'Which side changes',
    decimals: 'How many decimals it keeps',
    zone: 'Which zone the local times are of',
    unread: 'What becomes of values that the type does not hold',
  },

  questions: (proposal, on) => [...choices[proposal.to](proposal, on), ...unreadQuestion(proposal, on)],

  operations(proposal, on) {
    const wanted = becoming[proposal.to](proposal, on);
    if (wanted instanceof Refusal) return wanted;
    if (wanted.length === 0)
      return new Refusal(
        `${proposal.columns.join(', ')} of ${on.table.id}: no type of this server holds more. It takes somebody's thought.`,
      );
    const repairs = repairsOf(proposal, on);
    return repairs instanceof Refusal ? repairs : [...repairs, retyping(wanted)];
  },

  holds: (proposal, { table, catalogue }) => hasBecome[proposal.to](proposal, table, catalogue),
};

/** The operation that brings columns to their shapes. */
export function retyping(columns: readonly Retyped[]): Retype {
  return { kind: 'retype', table: columns[0]?.table ?? ('' as Retype['table']), columns };
}

/** What brings referring columns to what they refer to, where the server joins no others; none where they are joined as they are. */
export function joining(
  columns: readonly string[],
  table: Table,
  references: ProposedParent,
  catalogue: Catalogue,
): readonly Operation[] {
  const { refersAs } = factsOf(catalogue).types;
  if (!refersAs) return [];
  const parent = findTable(catalogue, tableId(references.schema, references.table));
  const changed = columns.flatMap((name, i): readonly Retyped[] => {
    const own = table.columns.find((column) => column.name === name);
    const key = parent?.columns.find((column) => column.name === references.columns[i]);
    if (!parent || !own || !key || refersAs(own) === refersAs(key)) return [];
    return asKey({ table: table.id, column: name }, parent, key, catalogue);
  });
  return changed.length === 0 ? [] : [retyping(changed)];
}

type Choosing = (proposal: RetypeProposal, on: Ground) => readonly Question[];
type Becomes = (proposal: RetypeProposal, on: Making) => readonly Retyped[] | Refusal;

const choices: Readonly<Record<Becoming, Choosing>> = {
  wider: widerQuestion,
  'as parent': sideQuestion,
  exact: () => [decimalsQuestion],
  zoned: () => [zoneQuestion],
  'in unicode': () => [],
  form: () => [],
};

const becoming: Readonly<Record<Becoming, Becomes>> = {
  wider({ columns }, { table, catalogue, chosen }) {
    return columns.flatMap((column) => {
      const types = widerThan(column, table, catalogue);
      const after = types.find(({ declaredType }) => declaredType === chosen['type']) ?? types.at(-1);
      return after ? withFamily({ table: table.id, column }, () => after, relativesOf, catalogue) : [];
    });
  },

  'as parent'({ columns, references }, { table, catalogue, chosen }) {
    const parent = references && findTable(catalogue, tableId(references.schema, references.table));
    if (!parent) return new Refusal(`What ${columns.join(', ')} of ${table.id} refer to is not there any more. Survey again.`);
    return columns.flatMap((name, i): readonly Retyped[] => {
      const own = table.columns.find((column) => column.name === name);
      const key = parent.columns.find((column) => column.name === references.columns[i]);
      if (!own || !key || isSo(own, shapeOf(key))) return [];
      return chosen['side'] === 'parent'
        ? withFamily({ table: parent.id, column: key.name }, () => shapeOf(own), descendantsOf, catalogue)
        : asKey({ table: table.id, column: name }, parent, key, catalogue);
    });
  },

  exact({ columns }, { table, catalogue, chosen }) {
    const after = factsOf(catalogue).types.exact(Number(chosen['decimals'] ?? 2));
    return columns.flatMap((column) => withFamily({ table: table.id, column }, () => after, relativesOf, catalogue));
  },

  zoned({ columns }, { table, catalogue, chosen }) {
    const zone = chosen['zone'] === 'named' ? typedWith(chosen, 'zone', 'the zone by its name, as Europe/Lisbon') : 'UTC';
    if (zone instanceof Refusal) return zone;
    if (!zoneName.test(zone)) return new Refusal(`${JSON.stringify(zone)} is no name of a zone: one is Europe/Lisbon.`);
    const { zoned } = factsOf(catalogue).types;
    return columns.flatMap((column) =>
      withFamily({ table: table.id, column }, zoned, relativesOf, catalogue).map((one) => ({ ...one, zone })),
    );
  },

  'in unicode'(_, { table, catalogue }) {
    const { inUnicode } = factsOf(catalogue).types;
    const places = table.columns
      .filter((column) => inUnicode(column) !== null)
      .flatMap(({ name }) => [{ table: table.id, column: name }, ...relativesOf({ table: table.id, column: name }, catalogue)]);
    return onceEach(places).flatMap((place) => changed(place, inUnicode, catalogue));
  },

  form({ columns, form }, { table, catalogue }) {
    const after = form && factsOf(catalogue).types.typeFor(form);
    return after ? columns.flatMap((column) => withFamily({ table: table.id, column }, () => after, relativesOf, catalogue)) : [];
  },
};

function asKey(place: Place, parent: Table, key: Column, catalogue: Catalogue): readonly Retyped[] {
  const like = { table: parent.id, column: key.name };
  return withFamily(place, () => shapeOf(key), descendantsOf, catalogue).map((one) => ({ ...one, like }));
}

type HasBecome = (proposal: RetypeProposal, table: Table, catalogue: Catalogue) => boolean;

/** Whether the catalogue shows that it is so. */
const hasBecome: Readonly<Record<Becoming, HasBecome>> = {
  wider({ columns, was }, table, catalogue) {
    const { largest } = factsOf(catalogue).types;
    const had = was === undefined ? null : largest({ declaredType: was });
    return had !== null && every(columns, table, (column) => (largest(column) ?? 0) > had);
  },
  'as parent'({ columns, references }, table, catalogue) {
    const parent = references && findTable(catalogue, tableId(references.schema, references.table));
    return every(columns, table, (column, i) => {
      const key = parent?.columns.find(({ name }) => name === references?.columns[i]);
      return key !== undefined && isSo(column, shapeOf(key));
    });
  },
  exact: ({ columns }, table) => every(columns, table, ({ family }) => family === 'decimal'),
  zoned: ({ columns }, table, catalogue) => every(columns, table, (column) => factsOf(catalogue).types.zoneOf(column) === 'with'),
  'in unicode': (_, table, catalogue) => table.columns.every((column) => factsOf(catalogue).types.inUnicode(column) === null),
  form: ({ columns, form }, table) => every(columns, table, ({ family }) => family === form),
};

function every(columns: readonly string[], table: Table, holds: (column: Column, at: number) => boolean): boolean {
  return columns.every((name, i) => {
    const own = table.columns.find((column) => column.name === name);
    return own !== undefined && holds(own, i);
  });
}

type Shaping = (column: Column) => Shape | null;
type Kin = (place: Place, catalogue: Catalogue) => readonly Place[];

// Those that refer to others come first: they hold all that these hold before these hold more.
function withFamily(place: Place, shape: Shaping, kin: Kin, catalogue: Catalogue): readonly Retyped[] {
  return [...kin(place, catalogue).toReversed(), place].flatMap((one) => changed(one, shape, catalogue));
}

function changed({ table, column }: Place, shape: Shaping, catalogue: Catalogue): readonly Retyped[] {
  const own = findColumn(catalogue, table, column);
  const after = own && shape(own);
  if (!own || !after || isSo(own, after)) return [];
  return [{ table, column, before: shapeOf(own), after, ...rangeFor(own, after, catalogue) }];
}

// Where it holds less than before.
function rangeFor(own: Column, after: Shape, catalogue: Catalogue): Pick<Retyped, 'range'> {
  const { largest, smallest } = factsOf(catalogue).types;
  const [most, least] = [largest(after), smallest(after)];
  const [had, hadLeast] = [largest(own) ?? Infinity, smallest(own) ?? -Infinity];
  if (after.family !== 'integer' || own.family === 'text' || most === null || least === null) return {};
  if (had <= most && hadLeast >= least) return {};
  // Of the widest no number here says where it ends.
  return Number.isSafeInteger(most) ? { range: { least: String(least), most: String(most) } } : {};
}

function isSo(own: Column, { declaredType, collation }: Shape): boolean {
  return own.declaredType === declaredType && own.collation === collation;
}

function onceEach(places: readonly Place[]): readonly Place[] {
  return [...new Map(places.map((place) => [`${place.table}\0${place.column}`, place])).values()];
}

function widerThan(name: string, table: Table, catalogue: Catalogue): readonly Shape[] {
  const own = table.columns.find((column) => column.name === name);
  return own ? factsOf(catalogue).types.wider(own) : [];
}

function widerQuestion({ columns: [name = ''] }: RetypeProposal, { table, catalogue }: Ground): readonly Question[] {
  const types = widerThan(name, table, catalogue);
  if (types.length === 0) return [];
  const { largest, fixedBytes } = factsOf(catalogue).types;
  const kin = relativesOf({ table: table.id, column: name }, catalogue);
  const with_ = kin.length === 0 ? '' : `, with ${counted(kin.length, 'column')} that refer to it`;
  return [
    {
      id: 'type',
      shape: 'cards',
      title: 'What type it becomes',
      answers: types.map((type, i) => ({
        id: type.declaredType,
        title: type.declaredType,
        effect: `Up to ${largestInWords(largest(type) ?? 0)}; ${fixedBytes(type)} bytes a row and in each index${with_}`,
        cost: 'rewrites the tables; can be undone while the numbers still fit',
        advised: i === 0,
        refused: null,
      })),
    },
  ];
}

// Beyond what a number here holds to the last digit.
function largestInWords(most: number): string {
  return Number.isSafeInteger(most) ? most.toLocaleString('en-GB') : `${Math.floor(most / 1e18)} × 10¹⁸`;
}

function sideQuestion({ columns, references }: RetypeProposal, { table, catalogue }: Ground): readonly Question[] {
  const parent = references && findTable(catalogue, tableId(references.schema, references.table));
  const pairs = columns.flatMap((name, i) => {
    const own = table.columns.find((column) => column.name === name);
    const key = parent?.columns.find((column) => column.name === references?.columns[i]);
    return own && key ? [[own, key] as const] : [];
  });
  const isWider = pairs.some(([own, key]) => holdsMore(own, key, catalogue));
  const typesOf = (of: readonly Column[]): string => of.map(({ name, declaredType }) => `${name} as ${declaredType}`).join(', ');
  return [
    {
      id: 'side',
      shape: 'cards',
      title: 'Which side changes',
      answers: [
        {
          id: 'child',
          title: 'The child, to the parent’s',
          effect: typesOf(pairs.map(([own, key]) => ({ ...key, name: own.name }))),
          cost: isWider ? 'rewrites the child; stops where a value does not fit' : 'rewrites the child',
          advised: !isWider,
          refused: null,
        },
        {
          id: 'parent',
          title: 'The parent, to the child’s',
          effect: `${typesOf(pairs.map(([own, key]) => ({ ...own, name: key.name })))} of ${parent?.id ?? ''}, with all that refer to it`,
          cost: 'rewrites the parent and its other children',
          advised: isWider,
          refused: null,
        },
      ],
    },
  ];
}

function holdsMore(own: Column, key: Column, catalogue: Catalogue): boolean {
  const { largest } = factsOf(catalogue).types;
  if (own.family !== key.family) return false;
  if (own.family === 'text') return key.length !== null && (own.length === null || own.length > key.length);
  const [mine, its] = [largest(own), largest(key)];
  return mine !== null && its !== null && mine > its;
}

const decimalsQuestion: Question = {
  id: 'decimals',
  shape: 'list',
  title: 'How many decimals it keeps',
  answers: ['2', '3', '4', '6'].map((id) => ({
    id,
    title: `${id} decimals`,
    effect: `Amounts are exact to ${id} decimals`,
    cost: 'rewrites the table',
    advised: id === '2',
    refused: null,
  })),
};

const zoneQuestion: Question = {
  id: 'zone',
  shape: 'cards',
  title: 'Which zone the local times are of',
  answers: [
    {
      id: 'utc',
      title: 'UTC',
      effect: 'Each is the moment that it says, in UTC',
      cost: 'rewrites the table; can be undone',
      advised: true,
      refused: null,
    },
    {
      id: 'named',
      title: 'A zone by its name',
      effect: 'Each is the moment when clocks there said so; of the hour that comes twice a year it is the later one',
      cost: 'rewrites the table; can be undone; stops at times that clocks there skipped',
      advised: false,
      refused: null,
      asks: { label: 'Zone, as Europe/Lisbon' },
    },
  ],
};

function isRead({ to }: RetypeProposal): boolean {
  return to === 'form' || to === 'exact';
}

// What the type does not hold is decided before; what it would only write otherwise is kept beside as it is.
function unreadQuestion(proposal: RetypeProposal, { table }: Ground): readonly Question[] {
  const { columns, to, against = null, otherwise = null } = proposal;
  const rows = to === 'exact' ? otherwise : against;
  if (!isRead(proposal) || rows === 0) return [];
  const [name = ''] = columns;
  const many = rows === null ? 'rows that it does not hold' : counted(rows, 'row');
  const unkeyed = rowKeyOf(table).length === 0 ? noKey : null;
  const mandatory = table.columns.some((column) => column.name === name && column.nullable) ? null : `${name} may not be null`;
  const answer = (id: string, title: string, effect: string, more: object) => ({
    ...{ id, title, effect, cost: undoable(table), advised: false, refused: unkeyed },
    ...more,
  });
  const stop = answer('stop', 'None is changed', 'The script stops before anything where there are any', {
    cost: 'to be mended by hand first',
    advised: unkeyed !== null || rows === null,
    refused: null,
  });
  const other =
    to === 'exact'
      ? [
          answer('round', 'Round them', `${many} are rounded; the amounts as they were are kept in a side table`, {
            advised: rows !== null,
          }),
        ]
      : [
          answer('empty', 'Set aside and empty', `${many} kept in a side table, ${name} set to null`, {
            refused: mandatory ?? unkeyed,
            advised: rows !== null,
          }),
          answer('constant', 'Give a value', `${many} get the ${name} that you type; the texts are kept in a side table`, {
            asks: { label: `${name} for these rows` },
          }),
        ];
  return [
    {
      id: 'unread',
      shape: 'cards',
      title: `What becomes of ${rows === null ? 'values' : `the ${counted(rows, 'value')}`} that the type does not hold`,
      answers: [...other, stop],
    },
  ];
}

function repairsOf(proposal: RetypeProposal, on: Making): readonly SetAside[] | Refusal {
  const { columns, to, form, otherwise } = proposal;
  const { table, chosen, naming } = on;
  const [column = ''] = columns;
  if (to === 'exact') {
    if (chosen['unread'] !== 'round') return [];
    const most = Number(chosen['decimals'] ?? 2);
    const rounded: Filling = { kind: 'rounded', decimals: most };
    return [
      settingAside(table, { kind: 'breaking', claim: { kind: 'decimals', column, most } }, filled([column], rounded), naming),
    ];
  }
  if (to !== 'form' || !form) return [];
  const unread = unreadRepairs(column, form, on);
  if (unread instanceof Refusal) return unread;
  const isWrittenSo = otherwise === 0 || rowKeyOf(table).length === 0;
  const written: Filling = { kind: 'asWritten', form };
  return isWrittenSo
    ? unread
    : [
        ...unread,
        settingAside(table, { kind: 'breaking', claim: { kind: 'asWritten', column, form } }, filled([column], written), naming),
      ];
}

function unreadRepairs(column: string, form: Form, { table, chosen, naming }: Making): readonly SetAside[] | Refusal {
  const claims = [{ kind: 'notBlank', column } as const, { kind: 'ofForm', column, form } as const];
  const aside = (change: SetAside['change']): readonly SetAside[] =>
    claims.map((claim) => settingAside(table, { kind: 'breaking', claim }, change, naming));
  if (chosen['unread'] === 'empty') return aside(emptied([column]));
  if (chosen['unread'] !== 'constant') return [];
  const text = typedWith(chosen, 'unread', `what ${column} becomes in these rows`);
  return text instanceof Refusal ? text : aside(filled([column], constant(table, column, text)));
}
