import { expect, test } from 'vitest';
import type { TableId } from '../../catalogue/identifiers';
import type { Catalogue } from '../../catalogue/model';
import { sketch } from '../../../../test/kit/sketch';
import type { Fact } from '../../evidence/evidence';
import { evidence, included, profiled, repeating, violating } from '../../../../test/kit/measured';
import { foundBy } from '../../../../test/kit/found';
import { audit } from '../audit';

const two = (arrow: string) => sketch(`p.berth: id key\n p.call: id key, berth_id ${arrow}`);

test('references/orphans counts what a reference that was never checked let in', () => {
  const loose = two('-> p.berth.id notvalid');
  const orphans = (n: number) => [included(['p.call', 'berth_id'], ['p.berth', 'id'], 400, n)];
  expect(foundBy('references/orphans', loose, orphans(7))).toEqual(['p.call(berth_id): Critical, 7 orphans']);
  expect(foundBy('references/orphans', loose, orphans(0))).toEqual([]);
  expect(foundBy('references/orphans', two('-> p.berth.id'), orphans(7))).toEqual([]);
});

test('references/unvalidated finds a reference for new rows only, milder when no orphan is there', () => {
  const loose = two('-> p.berth.id notvalid');
  expect(foundBy('references/unvalidated', loose)).toEqual(['p.call(berth_id): Moderate, not counted']);
  expect(foundBy('references/unvalidated', loose, [included(['p.call', 'berth_id'], ['p.berth', 'id'], 400)])).toEqual([
    'p.call(berth_id): Minor, no orphan',
  ]);
  expect(foundBy('references/unvalidated', two('-> p.berth.id'))).toEqual([]);
});

test('references/unindexed finds a large child without an index, and leaves small ones and covered ones alone', () => {
  const call = (rows: number, index: string) =>
    sketch(`p.berth: id key\n p.call ${rows}: id key, berth_id -> p.berth.id${index}`);
  expect(foundBy('references/unindexed', call(200_000, ''))).toEqual(['p.call(berth_id): Serious, 200,000 rows']);
  expect(foundBy('references/unindexed', call(200_000, '; index berth_id+id'))).toEqual([]);
  expect(foundBy('references/unindexed', call(200_000, '; index id+berth_id'))).toHaveLength(1);
  expect(foundBy('references/unindexed', call(200_000, '; index berth_id where id > 5'))).toHaveLength(1);
  expect(foundBy('references/unindexed', call(200, ''))).toEqual([]);
});

test('references/type-mismatch finds sides of different type or length', () => {
  expect(foundBy('references/type-mismatch', sketch('p.berth: id bigint key\n p.call: berth_id int -> p.berth.id'))).toEqual([
    'p.call(berth_id): Moderate, integer / bigint',
  ]);
  expect(
    foundBy('references/type-mismatch', sketch('p.flag: code varchar(8) key\n p.call: flag varchar(4) -> p.flag.code')),
  ).toEqual(['p.call(flag): Minor, character varying(4) / character varying(8)']);
  expect(foundBy('references/type-mismatch', two('-> p.berth.id'))).toEqual([]);
});

test('references/parent-not-unique finds a parent whose own identifier repeats', () => {
  const keyless = sketch('p.berth: berth_id, name text\n p.call: id key, berth_id');
  const facts = (repeated: number): readonly (Fact | readonly Fact[])[] => [
    profiled(keyless, 'p.berth', 100, { berth_id: { distinct: repeated > 0 ? 99 : 100, min: '1', max: '100' } }),
    profiled(keyless, 'p.call', 900, { id: { distinct: 900 }, berth_id: { distinct: 90, min: '1', max: '99' } }),
    included(['p.call', 'berth_id'], ['p.berth', 'berth_id'], 900),
    repeating('p.berth', ['berth_id'], 100, repeated),
  ];
  expect(foundBy('references/parent-not-unique', keyless, facts(2))).toEqual(['p.berth(berth_id): Serious, 2 rows']);
  expect(foundBy('references/parent-not-unique', keyless, facts(0))).toEqual([]);
});

test('references/nullable-part finds a composite reference that a null lets escape', () => {
  const stay = (code: string) =>
    sketch(`p.slot: a text key, b key\n p.stay: a text ${code}, b not null; foreign a+b -> p.slot.a+b`);
  const facts = (catalogue: Catalogue) => [profiled(catalogue, 'p.stay', 100, { a: { distinct: 9, nulls: 12 } })];
  expect(foundBy('references/nullable-part', stay(''), facts(stay('')))).toEqual(['p.stay(a, b): Moderate, 12 rows']);
  expect(foundBy('references/nullable-part', stay('not null'))).toEqual([]);
});

test('references/action-conflict finds actions that can only fail', () => {
  expect(foundBy('references/action-conflict', two('not null -> p.berth.id setnull'))).toEqual([
    'p.call(berth_id): Serious, set null',
  ]);
  expect(foundBy('references/action-conflict', two('not null -> p.berth.id setdefault'))).toHaveLength(1);
  expect(foundBy('references/action-conflict', two('not null default=1 -> p.berth.id setdefault'))).toEqual([]);
  expect(foundBy('references/action-conflict', two('-> p.berth.id setnull'))).toEqual([]);
});

test('references/long-cascade follows deletes down, rings included', () => {
  const chain = sketch(
    'a: id key, d -> d.id cascade\n b: id key, a -> a.id cascade\n c: id key, b -> b.id cascade\n d: id key, c -> c.id cascade',
  );
  expect(foundBy('references/long-cascade', chain)).toEqual(['a', 'b', 'c', 'd'].map((t) => `public.${t}: Minor, 3 tables`));
  expect(foundBy('references/long-cascade', two('-> p.berth.id cascade'))).toEqual([]);
});

test('references/cycle finds a ring once, and leaves one alone that can be deferred', () => {
  const ring = (option: string) =>
    sketch(
      `a: id key, b not null -> b.id\n b: id key, c not null -> c.id\n c: id key, a not null -> a.id ${option}\n d: id key, d -> d.id`,
    );
  expect(foundBy('references/cycle', ring(''))).toEqual(['public.a: Serious, 3 tables']);
  expect(foundBy('references/cycle', ring('deferrable'))).toEqual([]);
});

test('references/polymorphic finds a type with an id', () => {
  const note = sketch('note: id key, owner_type text, owner_id, kind text');
  const facts = [
    profiled(note, 'public.note', 90, {
      owner_type: {
        distinct: 2,
        frequent: [
          ['vessel', 60],
          ['berth', 30],
        ],
      },
    }),
  ];
  expect(foundBy('references/polymorphic', note, facts)).toEqual(['public.note(owner_type, owner_id): Moderate, 2 kinds']);
  expect(foundBy('references/polymorphic', sketch('note: id key, kind text, owner_id'))).toEqual([]);
});

test('references/repeated-text finds text that another table lists under a key of its own', () => {
  const area = sketch('harbour_area: area_id key, title text unique\n log: id key, place text');
  const probe: Fact = {
    request: {
      kind: 'probe',
      table: 'public.log' as TableId,
      column: 'place',
      parents: [{ table: 'public.harbour_area' as TableId, column: 'title' }],
    },
    how: { kind: 'sample', rows: 12 },
    result: { tested: 12, missing: [0] },
    at: '',
  };
  const facts = [
    profiled(area, 'public.harbour_area', 14, { area_id: { distinct: 14 }, title: { distinct: 14, longest: 12 } }),
    profiled(area, 'public.log', 900, { id: { distinct: 900 }, place: { distinct: 12, longest: 12 } }),
    included(['public.log', 'place'], ['public.harbour_area', 'title'], 900),
    probe,
  ];
  expect(foundBy('references/repeated-text', area, facts)).toEqual(['public.log(place): Minor, all match']);
  expect(foundBy('references/undeclared', area, facts)).toEqual([]);
});

test('references/sentinel counts rows that say none by a value', () => {
  const call = two('');
  const facts = [
    profiled(call, 'p.call', 900, { id: { distinct: 900 }, berth_id: { distinct: 60, min: '0', max: '60' } }),
    profiled(call, 'p.berth', 60, { id: { distinct: 60, min: '1', max: '60' } }),
    {
      ...included(['p.call', 'berth_id'], ['p.berth', 'id'], 900),
      result: { rows: 900, nullRows: 0, orphanRows: 300, orphanValues: 1 },
    } as Fact,
    violating('p.call', { kind: 'noneOf', column: 'berth_id', values: ['0', '-1'] }, 900, 300),
  ];
  expect(foundBy('references/sentinel', call, facts)).toEqual(['p.call(berth_id): Moderate, 300 rows']);
  // The reference itself is found all the same: one value that is no key does not make it another's.
  expect(foundBy('references/undeclared', call, facts)).toHaveLength(1);
});

test('references/duplicate finds a reference that another says already', () => {
  const twice = sketch('berth: id key\n call: id key, berth_id -> berth.id; foreign berth_id -> berth.id');
  expect(foundBy('references/duplicate', twice)).toEqual(['public.call(berth_id): Minor, 2 constraints']);
  const proposed = (catalogue: Catalogue) =>
    audit(catalogue, evidence()).flatMap(({ rule, proposal }) => (rule === 'references/duplicate' ? [proposal.kind] : []));
  expect(proposed(twice)).toEqual(['drop']);
  // Which of two actions is meant only people know.
  const unlike = {
    ...twice,
    tables: twice.tables.map((table) => ({
      ...table,
      constraints: table.constraints.map((one, n) =>
        one.kind === 'foreign key' && n > 1 ? { ...one, onDelete: 'cascade' as const } : one,
      ),
    })),
  };
  expect(proposed(unlike)).toEqual(['byHand']);
});

test('references/unenforceable finds a column named after a foreign table’s key', () => {
  const far = sketch('pilot 10 foreign: pilot_id, name text\n job: id key, pilot_id\n tug: id key');
  expect(foundBy('references/unenforceable', far)).toEqual(['public.job(pilot_id): Minor, a foreign table']);
});

test('references/isolated finds a table that stands alone among related ones, and leaves settings alone', () => {
  const drawing =
    'berth: id key\n call: id key, berth_id -> berth.id\n tug: id key, berth_id -> berth.id\n notice: id key\n app_setting: id key';
  const port = sketch(drawing);
  const facts = port.tables.map((table) => profiled(port, table.id, 40));
  expect(foundBy('references/isolated', port, facts)).toEqual(['public.notice: Minor, 40 rows']);
});
