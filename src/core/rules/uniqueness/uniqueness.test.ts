import { expect, test } from 'vitest';
import { sketch } from '../../../../test/kit/sketch';
import { evidence, profiled, repeating } from '../../../../test/kit/measured';
import { foundBy } from '../../../../test/kit/found';
import { audit, wordsOf } from '../audit';

test('uniqueness/nearly counts the few that repeat, and leaves alone what repeats often', () => {
  const vessel = sketch('vessel: id key, imo_no text');
  const facts = (repeated: number) => [
    profiled(vessel, 'public.vessel', 300, { id: { distinct: 300 }, imo_no: { distinct: 300 - repeated / 2 } }),
    repeating('public.vessel', ['imo_no'], 300, repeated),
  ];
  expect(foundBy('uniqueness/nearly', vessel, facts(4))).toEqual(['public.vessel(imo_no): Moderate, 2 groups']);
  expect(foundBy('uniqueness/nearly', vessel, facts(0))).toEqual([]);
  expect(foundBy('uniqueness/nearly', vessel, facts(200))).toEqual([]);
});

test('uniqueness/redundant finds a wider rule and a shorter index, each once', () => {
  expect(foundBy('uniqueness/redundant', sketch('t: id key, a, b; unique a; unique a+b'))).toEqual([
    'public.t(a, b): Minor, t_a_key',
  ]);
  expect(foundBy('uniqueness/redundant', sketch('t: id key, a, b; index a; index a+b'))).toEqual([
    'public.t(a): Minor, t_a_b_ix',
  ]);
  expect(foundBy('uniqueness/redundant', sketch('t: id key, a, b; index b; index a+b'))).toEqual([]);
  expect(foundBy('uniqueness/redundant', sketch('t: id key, a, b; unique a+b'))).toEqual([]);
});

test('what is redundant is dropped by a script, but for a key, and what others rest on', () => {
  const dropped = (drawn: string) =>
    audit(sketch(drawn), evidence())
      .filter(({ rule }) => rule === 'uniqueness/redundant')
      .map((finding) => [finding.proposal.kind, 'object' in finding.proposal, wordsOf(finding).noScript]);
  expect(dropped('t: id key, a, b; unique a; unique a+b')).toEqual([['drop', false, undefined]]);
  expect(dropped('t: id key, a, b; index a; index a+b')).toEqual([['drop', true, undefined]]);
  expect(dropped('t: a key, b key, c; unique a')).toEqual([
    ['byHand', false, expect.stringMatching(/is the primary key: what tells the rows of public\.t is replaced, not dropped/)],
  ]);
});

test('uniqueness/index-only finds a unique index that could be a constraint', () => {
  expect(foundBy('uniqueness/index-only', sketch('t: id key, a; unique index a'))).toEqual(['public.t(a): Minor, t_a_ux']);
  expect(foundBy('uniqueness/index-only', sketch('t: id key, a; unique index a where id > 5'))).toEqual([]);
});

test('uniqueness/nulls-repeat finds a unique rule with nulls in the data', () => {
  const t = sketch('t: id key, a, b; unique a+b');
  expect(foundBy('uniqueness/nulls-repeat', t, [profiled(t, 'public.t', 90, { b: { distinct: 9, nulls: 30 } })])).toEqual([
    'public.t(a, b): Moderate, 30 nulls',
  ]);
  expect(foundBy('uniqueness/nulls-repeat', t, [profiled(t, 'public.t', 90)])).toEqual([]);
});

test('uniqueness/insensitive counts what differs in case or spaces only', () => {
  const t = sketch('agent: id key, login text unique');
  const facts = (folded: number) => [
    profiled(t, 'public.agent', 300, { login: { distinct: 300, folded } }),
    repeating('public.agent', ['login'], 300, (300 - folded) * 2, { folded: true }),
  ];
  expect(foundBy('uniqueness/insensitive', t, facts(298))).toEqual(['public.agent(login): Moderate, 2 groups']);
  expect(foundBy('uniqueness/insensitive', t, facts(300))).toEqual([]);
});

test('uniqueness/live-only finds what repeats among deleted rows only', () => {
  const t = sketch('agent: id key, badge_no text, deleted_at timestamp');
  const facts = (repeated: number) => [
    profiled(t, 'public.agent', 300, { badge_no: { distinct: 250 }, deleted_at: { distinct: 50, nulls: 250 } }),
    repeating('public.agent', ['badge_no'], 250, repeated, { live: 'deleted_at' }),
  ];
  expect(foundBy('uniqueness/live-only', t, facts(0))).toEqual(['public.agent(badge_no): Moderate, 250 rows']);
  expect(foundBy('uniqueness/live-only', t, facts(8))).toEqual([]);
});

test('uniqueness/not-enforced finds a unique index that is not valid', () => {
  const t = sketch('t: id key, a; unique index a');
  const broken = {
    ...t,
    tables: t.tables.map((table) => ({
      ...table,
      indexes: table.indexes.map((index) => ({ ...index, valid: index.constraint !== null })),
    })),
  };
  expect(foundBy('uniqueness/not-enforced', broken)).toEqual(['public.t(a): Serious, not valid']);
  expect(foundBy('uniqueness/not-enforced', t)).toEqual([]);
});
