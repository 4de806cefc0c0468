// What there is in a database, kind by kind: one file a kind, one line here.

import { columns } from './columns';
import { constraints } from './constraints';
import { indexes } from './indexes';
import { privileges } from './privileges';
import { sequences } from './sequences';
import type { Field, Stock } from './stock';
import { tables } from './tables';
import { routines } from './routines';
import { triggers } from './triggers';
import { views } from './views';

export const inventory = {
  columns,
  tables,
  constraints,
  indexes,
  views,
  sequences,
  triggers,
  routines,
  privileges,
} as const satisfies Readonly<Record<string, Stock>>;

export type StockKind = keyof typeof inventory;
export const stockKinds = Object.keys(inventory) as readonly StockKind[];

export function isStockKind(text: string | undefined): text is StockKind {
  return text !== undefined && Object.hasOwn(inventory, text);
}

/** What somebody is shown of a kind: without values of rows, unless they may see those. */
export function fieldsFor(kind: StockKind, seesRows: boolean): readonly Field[] {
  const { fields } = inventory[kind];
  return seesRows ? fields : fields.filter(({ data }) => !data);
}

export function fieldNamed(fields: readonly Field[], name: string): Field | null {
  return fields.find((field) => field.name === name) ?? null;
}
