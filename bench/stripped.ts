// A catalogue with less declared than is true, as if constraints had been dropped: the rows are the same, so only the catalogue changes.

import type { Catalogue, Constraint, Table } from '../src/core/catalogue/model';
import { randomOf } from './kinds';

export const losses = ['foreign keys', 'everything', 'half the foreign keys', 'half of everything'] as const;
export type Loss = (typeof losses)[number];

/** `seed` says which half. What cannot stand without what was dropped goes too: references to a dropped key, an index behind a constraint. */
export function stripped(catalogue: Catalogue, loss: Loss, seed = 1): Catalogue {
  const random = randomOf(`${catalogue.database} ${loss} ${seed}`);
  const half = loss.startsWith('half');
  const goes = (): boolean => !half || random() < 0.5;
  const onlyReferences = loss.endsWith('foreign keys');
  const dropped = new Set<Constraint>();
  for (const table of catalogue.tables)
    for (const constraint of table.constraints)
      if (constraint.kind === 'foreign key' ? goes() : !onlyReferences && constraint.kind !== 'check' && goes())
        dropped.add(constraint);
  const tables = catalogue.tables.map((table): Table => {
    const constraints = table.constraints.filter((constraint) => !dropped.has(constraint));
    if (onlyReferences) return { ...table, constraints };
    const indexes = table.indexes.filter(({ constraint, unique }) =>
      constraint === null ? !unique || (half && random() < 0.5) : constraints.some(({ name }) => name === constraint),
    );
    return {
      ...table,
      constraints,
      indexes: half ? indexes : [],
      columns: table.columns.map((column) => ({
        ...column,
        identity: half ? column.identity : null,
        nullable:
          column.nullable ||
          (goes() && !constraints.some((one) => one.kind === 'primary key' && one.columns.includes(column.name))),
      })),
    };
  });
  const keys = new Map(tables.map((table) => [table.id, keysOf(table)]));
  return {
    ...catalogue,
    tables: tables.map((table) => ({
      ...table,
      constraints: table.constraints.filter(
        (constraint) =>
          constraint.kind !== 'foreign key' || keys.get(constraint.parent)?.has([...constraint.parentColumns].sort().join()),
      ),
    })),
  };
}

function keysOf(table: Table): ReadonlySet<string> {
  return new Set([
    ...table.constraints.flatMap((one) =>
      one.kind === 'primary key' || one.kind === 'unique' ? [[...one.columns].sort().join()] : [],
    ),
    ...table.indexes.filter((index) => index.unique && index.predicate === null).map((index) => [...index.columns].sort().join()),
  ]);
}
