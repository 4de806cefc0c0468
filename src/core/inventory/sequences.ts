import type { ColumnId, TableId } from '../catalogue/identifiers';
import type { Catalogue, Sequence } from '../catalogue/model';
import { once } from '../once';
import type { Stock } from './stock';

export const sequences: Stock = {
  title: 'sequences',
  fields: [
    { name: 'schema', type: 'text', width: 60, usual: true },
    { name: 'name', type: 'text', width: 150, usual: true },
    { name: 'numbers', type: 'text', width: 170, usual: true, about: 'the column that it numbers' },
    { name: 'type', type: 'text', width: 70, usual: true },
    { name: 'used', type: 'share', width: 60, usual: true, about: 'of the numbers that it has, up to its end' },
    { name: 'last', type: 'text', width: 90, usual: true },
    { name: 'end', type: 'text', width: 160 },
    { name: 'step', type: 'text', width: 60 },
    { name: 'cycles', type: 'truth', width: 60, about: 'whether it begins again at its end' },
  ],
  lines: ({ catalogue }) =>
    catalogue.sequences.map((sequence) => ({
      id: `${sequence.schema}.${sequence.name}`,
      table: sequence.ownedBy && (ownersOf(catalogue).get(sequence.ownedBy) ?? null),
      values: {
        schema: sequence.schema,
        name: sequence.name,
        numbers: sequence.ownedBy,
        type: sequence.type,
        used: usedUp(sequence),
        last: sequence.last,
        end: endOf(sequence),
        step: sequence.increment,
        cycles: sequence.cycles,
      },
    })),
};

const ownersOf = once(
  ({ tables }: Catalogue): ReadonlyMap<ColumnId, TableId> =>
    new Map(tables.flatMap((table) => table.columns.map(({ id }) => [id, table.id]))),
);

/** Null of one that counts down to where nobody has read. */
function endOf({ increment, maximum, minimum }: Sequence): string | null {
  return BigInt(increment) < 0n ? (minimum ?? null) : maximum;
}

/** Null of one that nobody has used. */
function usedUp(sequence: Sequence): number | null {
  const { start, last } = sequence;
  const end = endOf(sequence);
  if (last === null || end === null) return null;
  const all = BigInt(end) - BigInt(start);
  return all === 0n ? null : Number(((BigInt(last) - BigInt(start)) * 1_000_000n) / all) / 1_000_000;
}
