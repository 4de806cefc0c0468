import { expect, test } from 'vitest';
import type { TableId } from '../catalogue/identifiers';
import { getTable } from '../catalogue/lookups';
import { sketch } from '../../../test/kit/sketch';
import { evidence, type Drawn, profiled } from '../../../test/kit/measured';
import { plausibleUniques } from './uniques';

// Tables of notes about cargo, stores, crews: who is meant, what kind of note, and its rank.
const things = ['cargo', 'store', 'crew', 'berth', 'crane', 'pilot', 'buoy', 'tug', 'quay', 'lock', 'gate', 'shed'];
const rows = 100;
const drawn = (thing: string): Readonly<Record<string, Drawn>> => ({
  [`${thing}_note_id`]: { distinct: rows },
  [`${thing}_id`]: { distinct: 50 },
  kind_id: { distinct: 5 },
  rank: { distinct: 8 },
});

/** The likelihood that `columns` are meant to be unique in the first table, where so many tables are made alike. */
function likelihoodAmong(
  tables: readonly string[],
  columns: readonly string[],
  uniquesOf: (thing: string) => readonly (readonly string[])[],
  declaring: readonly string[] = [],
): number {
  const lines = tables.flatMap((thing) => {
    const unique = declaring.includes(thing) ? `; unique ${thing}_id+kind_id+rank` : '';
    return [
      `port.${thing}: ${thing}_id key, name text`,
      `port.${thing}_note: ${thing}_note_id key, ${thing}_id not null, kind_id not null, rank not null, note text${unique}`,
    ];
  });
  const catalogue = sketch(lines.join('\n'));
  const facts = evidence(
    ...tables.map((thing) => profiled(catalogue, `port.${thing}_note`, rows, drawn(thing), undefined, uniquesOf(thing))),
  );
  const first = getTable(catalogue, `port.${tables[0] ?? ''}_note` as TableId);
  const found = plausibleUniques(catalogue, first, facts).find((set) => set.columns.join() === columns.join());
  return found?.likelihood ?? 0;
}

const all = ['cargo_id', 'kind_id', 'rank'];
const three = (thing: string) => [[`${thing}_id`, 'kind_id', 'rank']];

test('what one table cannot tell from chance, twelve of its make can', () => {
  const alone = likelihoodAmong(things.slice(0, 1), all, three);
  const among = likelihoodAmong(things, all, three);
  expect(among).toBeGreaterThan(0.5);
  expect(among).toBeGreaterThan(alone + 0.2);
});

test('a set that repeats in other tables of its make is not believed', () => {
  const broken = likelihoodAmong(things, all, (thing) => (thing === 'cargo' ? three(thing) : []));
  expect(broken).toBeLessThan(likelihoodAmong(things, all, three) - 0.2);
});

test('what others declare unique is expected here too', () => {
  const few = things.slice(0, 4);
  expect(likelihoodAmong(few, all, three, few.slice(1))).toBeGreaterThan(likelihoodAmong(few, all, three));
});

test('a part that happens not to repeat here, and does elsewhere, does not stand for the whole', () => {
  const part = ['cargo_id', 'kind_id'];
  const uniques = (thing: string) => (thing === 'cargo' ? [part] : three(thing));
  expect(likelihoodAmong(things, all, uniques)).toBeGreaterThan(likelihoodAmong(things, part, uniques));
});
