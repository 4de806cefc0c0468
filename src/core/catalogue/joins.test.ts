import { engineNamed } from '../engines/index';
import { firstEngine } from '../engines/name';
import { describe, expect, test } from 'vitest';
import { searchJoins, type Written } from './joins';
import { sketch } from '../../../test/kit/sketch';

const catalogue = sketch(`
  vessel: id key, code
  call:   id key, vsl, berth_no
  berth:  berth_no key
`);

const { names, types } = engineNamed(firstEngine);
const usual: Written = { ...names, casts: types.casts };

function joinsIn(...texts: readonly string[]) {
  return joinsWritten(usual, ...texts);
}

function joinsWritten(written: Written, ...texts: readonly string[]) {
  const search = searchJoins(catalogue, written);
  for (const text of texts) search.lookInto(text);
  return search.found();
}

test.each([
  [
    'a view as the server prints it',
    'SELECT c.id FROM (public.call c JOIN public.vessel v ON ((c.vsl = v.id)));',
    [['call.vsl', 'vessel.id']],
  ],
  [
    'casts are looked through',
    'select 1 from call c, vessel as v where (c.vsl)::text = (v.code)::text',
    [['call.vsl', 'vessel.code']],
  ],
  ['using', 'select * from call join berth using (berth_no)', [['berth.berth_no', 'call.berth_no']]],
  [
    'a function body, with names that are columns of one table only',
    'begin if exists (select 1 from call, vessel where vsl = code) then end if; end',
    [['call.vsl', 'vessel.code']],
  ],
  ['quoted and upper-case spelling', 'SELECT * FROM CALL C JOIN "vessel" V ON C."vsl" = V.ID', [['call.vsl', 'vessel.id']]],
  ['an update from another table', 'update call set vsl = v.id from vessel v where call.vsl > 3', [['call.vsl', 'vessel.id']]],
  [
    'comments, texts and other signs say nothing',
    `select 'call.vsl = vessel.id' /* c.vsl = v.id */ from call c, vessel v where c.vsl <= v.id -- c.vsl = v.id`,
    [],
  ],
  ['a name that two tables have is nobody’s', 'select 1 from call, vessel where id = vsl', []],
  ['what is no table is skipped', 'select 1 from nothing n join call c on n.a = c.vsl', []],
] as const)('%s', (_, text, pairs) => {
  expect(joinsIn(text, text)).toEqual(pairs.map(([left, right]) => ({ left: `public.${left}`, right: `public.${right}` })));
});

describe('names in other quotes', () => {
  const ticked: Written = { ...usual, quotes: [['`', '`']] };
  const bracketed: Written = {
    ...usual,
    quotes: [
      ['[', ']'],
      ['"', '"'],
    ],
  };
  test.each([
    [
      'a view as the server keeps it',
      ticked,
      'select `c`.`id` AS `id` from (`public`.`call` `c` join `public`.`vessel` `v` on(`c`.`vsl` = `v`.`id`))',
      true,
    ],
    ['in another case than it was declared', ticked, 'SELECT * FROM `Call` C JOIN Vessel AS v ON c.VSL = v.Id', true],
    ['double quotes, where they hold texts', ticked, 'select * from `call` c, vessel v where "c"."vsl" = v.id', false],
    ['brackets', bracketed, 'SELECT * FROM [public].[call] AS c JOIN "vessel" v ON c.[vsl] = v.[id]', true],
    ['brackets, where they are none', usual, 'select * from call c, vessel v where c.[vsl] = v.id', false],
  ] as const)('%s', (_, written, text, is) => {
    expect(joinsWritten(written, text)).toEqual(is ? [{ left: 'public.call.vsl', right: 'public.vessel.id' }] : []);
  });
});

// Each made its reader go over the same signs again and again, for minutes.
test.each([
  ['quotes never closed', "'".repeat(100_001)],
  ['quoted names never closed', '"" '.repeat(40_000)],
  ['comments never closed', '/*'.repeat(60_000)],
  ['casts of casts', '::"a.a.'.repeat(20_000)],
  ['one table named again and again', `select 1 from ${'call c, '.repeat(15_000)} where ${'c.vsl = c.id and '.repeat(6_000)}`],
  ['USING without an end', `select 1 from call ${'using ( '.repeat(12_000)}`],
  ['brackets within brackets', '('.repeat(50_000) + 'a' + ')'.repeat(50_000)],
])('poison is read in a moment: %s', (_, text) => {
  const started = performance.now();
  joinsIn(text);
  // It takes some ten milliseconds; each of these took minutes.
  expect(performance.now() - started).toBeLessThan(10_000);
});
