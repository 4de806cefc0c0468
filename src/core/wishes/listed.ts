import { columnsId, type TableId, tableNames } from '../catalogue/identifiers';
import { findTable, primaryKeyOf } from '../catalogue/lookups';
import { findFact } from '../evidence/evidence';
import type { InclusionRequest, RepeatsRequest } from '../evidence/requests';
import { factsOf } from '../engines/facts';
import { isLookedUp, type LookupProposal } from '../remedies/lookup';
import type { OnTable, WishKind } from './wish';

/** Each value of a text is a row of another table, and the text a reference to it. */
export interface ListedWish extends OnTable {
  readonly kind: 'listed';
  readonly column: string;
  /** The table that lists them, and the column that it lists them in. */
  readonly parent?: TableId;
  readonly parentColumns?: readonly string[];
  /** What a table that is made for them is called; as the column where nobody says. */
  readonly named?: string;
}

export const listedWish: WishKind<ListedWish> = {
  title: 'refers to a list of its values',
  columns: ({ column }) => [column],
  mark: ({ table, column }) => columnsId(table, [column]),
  words: ({ column, parent, named }) => `${column} refers to a list of its values, ${parent ?? named ?? column}`,
  isGranted: (wish, { table, catalogue }) => isLookedUp(proposed(wish, null), table, catalogue),
  problem({ column: name, parent, parentColumns, named, table: id }, { table, catalogue }) {
    const { shorten } = factsOf(catalogue).names;
    const column = table.columns.find((one) => one.name === name);
    if (column?.family !== 'text' || !column.comparable) return `${name} is ${column?.declaredType}: it lists no texts.`;
    if (parent !== undefined) {
      const list = findTable(catalogue, parent);
      if (!list?.columns.some((one) => one.name === parentColumns?.[0]))
        return `${parent} has no column ${parentColumns?.join(', ') ?? ''}.`;
      return primaryKeyOf(list)?.columns.length === 1 ? null : `${parent} has no key of one column that could be referred to.`;
    }
    const list = named ?? name;
    if (shorten(list) !== list) return `${list} is longer than a name may be here.`;
    return catalogue.tables.some((one) => one.schema === tableNames(id).schema && one.name === list)
      ? `${list} is there already: choose it as the list, or type another name.`
      : null;
  },
  proposal: (wish, _, { against }) => proposed(wish, against),
  measured: {
    asks: (wish) => [inclusionOf(wish) ?? repeatsOf(wish)],
    count(wish, evidence) {
      const asked = inclusionOf(wish);
      const fact = findFact(evidence, asked ?? repeatsOf(wish));
      const against = !fact ? null : 'orphanRows' in fact.result ? fact.result.orphanRows : 0;
      return { rows: fact?.result.rows ?? null, against, how: fact?.how ?? null };
    },
    rows(wish) {
      const { kind: _, ...reference } = inclusionOf(wish) ?? { kind: null };
      return 'parent' in reference
        ? { kind: 'orphans', ...reference }
        : { kind: 'values', table: wish.table, column: wish.column };
    },
  },
};

function proposed({ column, parent, parentColumns, named }: ListedWish, orphanRows: number | null): LookupProposal {
  const of = { kind: 'lookup', columns: [column], orphanRows } as const;
  if (parent === undefined) return { ...of, ...(named !== undefined && { named }) };
  return { ...of, references: { ...tableNames(parent), columns: parentColumns ?? [] } };
}

function inclusionOf({ table, column, parent, parentColumns = [] }: ListedWish): InclusionRequest | null {
  return parent === undefined ? null : { kind: 'inclusion', table, columns: [column], parent, parentColumns };
}

function repeatsOf({ table, column }: ListedWish): RepeatsRequest {
  return { kind: 'repeats', table, columns: [column] };
}
