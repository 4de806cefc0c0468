import { describe, expect, test } from 'vitest';
import { evidence } from '../../../test/kit/measured';
import { sketch } from '../../../test/kit/sketch';
import { tableId } from '../catalogue/identifiers';
import type { Catalogue } from '../catalogue/model';
import { isMended } from '../ratchet/mended';
import { afterPlan, planFor } from '../plan/plan';
import { applyAll } from '../operations/index';
import { type Wish, wishProblem } from '../wishes/index';
import { askRules, audit, wordsOf } from './audit';

const drawn = sketch(`
  port.berth: berth_no text key, quay text, side text, note text; index side; unique index note where note > ''
  port.call:  call_id, berth_no text, agent_no text -> port.agent.agent_no, state text not null
  port.agent: agent_no text key, code text, ship text; unique code; check ship > ''
`);
const port: Catalogue = {
  ...drawn,
  tables: drawn.tables.map((table) =>
    table.name === 'agent' ? { ...table, triggers: [{ name: 'noted', function: 'port.noted', enabled: true }] } : table,
  ),
};
const [call, berth, agent] = [tableId('port', 'call'), tableId('port', 'berth'), tableId('port', 'agent')];
const at = '2026-01-01T00:00:00Z';
const how = { kind: 'exact' } as const;

const reference: Wish = { kind: 'reference', table: call, columns: ['berth_no'], parent: berth, parentColumns: ['berth_no'] };
const wishes: readonly (readonly [string, Wish])[] = [
  ['keys/asked', { kind: 'key', table: call, columns: ['call_id'] }],
  ['references/asked', reference],
  ['references/asked', { kind: 'gone', table: call, constraint: 'call_agent_no_fkey' }],
  ['naming/asked', { kind: 'named', table: berth, object: 'column', from: 'side', to: 'Weather side' }],
  ['naming/asked', { kind: 'named', table: berth, object: 'constraint', from: 'berth_pkey', to: 'pk_berth' }],
  ['uniqueness/asked', { kind: 'unique', table: berth, columns: ['quay', 'side'] }],
  ['nullability/asked', { kind: 'filled', table: berth, columns: ['note'] }],
  ['naming/asked', { kind: 'named', table: agent, object: 'trigger', from: 'noted', to: 'tr_agent_noted' }],
  ['references/asked', { kind: 'gone', table: agent, constraint: 'agent_code_key' }],
  ['references/asked', { kind: 'gone', table: agent, constraint: 'agent_ship_check' }],
  ['references/asked', { kind: 'gone', table: berth, constraint: 'berth_side_ix', object: 'index' }],
  ['references/asked', { kind: 'gone', table: berth, constraint: 'berth_note_ux', object: 'index' }],
  ['values/asked', { kind: 'default', table: call, column: 'state', value: { kind: 'constant', text: "it's open" } }],
  ['values/asked', { kind: 'switched', table: agent, trigger: 'noted', on: false }],
  ['values/asked', { kind: 'oneOf', table: call, column: 'state', values: ['open', 'shut'] }],
];

const found = (wish: Wish, catalogue: Catalogue = port, facts = evidence()) =>
  audit(catalogue, facts, { wishes: [{ wish, reason: 'it is so', by: 'Ines' }] }).filter(({ rule }) => rule.endsWith('/asked'));

describe.each(wishes)('%s of %o', (rule, wish) => {
  test('is found while it does not hold, and found by nobody who did not ask', () => {
    expect(found(wish).map((finding) => finding.rule)).toEqual([rule]);
    expect(audit(port, {}).filter((finding) => finding.rule === rule)).toEqual([]);
  });

  test('is mended by its docket, held then, heard when it slips, and taken back exactly', () => {
    const [finding] = found(wish);
    if (!finding) throw new Error('it is found');
    const decided = { finding, decision: { unmeasured: 'script' } };
    const plan = planFor([decided], port, { label: 'd1', mode: 'plain' });
    expect(plan.problems).toEqual([]);
    const after = afterPlan(plan, port);
    expect(isMended(finding, after)).toBe(true);
    expect(found(wish, after)).toEqual([]);
    const back = applyAll(plan.back, after);
    expect(back).toEqual(port);
    expect(found(wish, back).map(({ id }) => id)).toEqual([finding.id]);
  });
});

test('what speaks against it is asked for and told', () => {
  const asked = askRules(port, {}, { wishes: [{ wish: reference, reason: '', by: 'Ines' }] });
  const request = { ...reference, kind: 'inclusion' } as const;
  expect(asked).toContainEqual(request);
  const counted = { request, how, at, result: { rows: 90, nullRows: 0, orphanRows: 7, orphanValues: 2 } };
  const [finding] = found(reference, port, evidence(counted));
  expect(finding && wordsOf(finding).message).toBe(
    'Ines asked that in call berth_no refers to port.berth(berth_no); 7 rows against it.',
  );
  expect(finding?.proposal).toMatchObject({ kind: 'foreignKey', orphanRows: 7 });
});

test.each<[Wish, RegExp | null]>([
  [reference, null],
  [{ ...reference, parent: tableId('port', 'quay') }, /no table port\.quay/],
  [{ ...reference, parentColumns: ['quay'] }, /is no key/],
  [{ ...reference, columns: ['call_id'] }, /cannot refer/],
  [{ ...reference, columns: ['call_id', 'berth_no'] }, /has 1 columns, and 2 were chosen/],
  [{ kind: 'unique', table: call, columns: [] }, /at least one column/],
  [{ kind: 'unique', table: call, columns: ['nothing'] }, /no column nothing/],
  [{ kind: 'unique', table: berth, columns: ['berth_no'] }, /so already/],
  [{ kind: 'key', table: berth, columns: ['quay'] }, /has a primary key already/],
  [{ kind: 'filled', table: call, columns: ['state'] }, /so already/],
  [{ kind: 'oneOf', table: call, column: 'state', values: [] }, /at least one value/],
  [{ kind: 'gone', table: call, constraint: 'nothing' }, /no constraint nothing/],
  [{ kind: 'gone', table: berth, constraint: 'berth_pkey' }, /is the primary key/],
  [{ kind: 'gone', table: agent, constraint: 'agent_pkey' }, /is the primary key/],
  [{ kind: 'gone', table: berth, constraint: 'berth_pkey', object: 'index' }, /no index berth_pkey/],
  [{ kind: 'default', table: call, column: 'state', value: { kind: 'now' } }, /is text: it cannot take the moment/],
  [{ kind: 'default', table: call, column: 'call_id', value: { kind: 'constant', text: '007' } }, /no plain value/],
  [{ kind: 'default', table: call, column: 'call_id', value: { kind: 'constant', text: '7); drop table x' } }, /no plain value/],
  [{ kind: 'default', table: call, column: 'call_id', value: { kind: 'none' } }, /so already/],
  [{ kind: 'switched', table: agent, trigger: 'noted', on: true }, /so already/],
  [{ kind: 'switched', table: agent, trigger: 'nothing', on: true }, /no trigger nothing/],
  [{ kind: 'named', table: berth, object: 'column', from: 'hull', to: 'x' }, /no column hull/],
  [{ kind: 'named', table: berth, object: 'column', from: 'side', to: 'quay' }, /has a column quay already/],
  [{ kind: 'named', table: berth, object: 'column', from: 'side', to: 'side' }, /so already/],
  [{ kind: 'named', table: berth, object: 'column', from: 'side', to: '' }, /to be called/],
  [{ kind: 'named', table: berth, object: 'column', from: 'side', to: 'x'.repeat(70) }, /longer than/],
  [{ kind: 'named', table: berth, object: 'constraint', from: 'berth_pkey', to: 'call' }, /name of something else in port/],
  [{ kind: 'named', table: berth, object: 'index', from: 'berth_pkey', to: 'x' }, /no index berth_pkey/],
  [{ kind: 'named', table: berth, object: 'table', from: 'berth', to: 'mooring' }, null],
  [{ kind: 'named', table: berth, object: 'table', from: 'quay', to: 'mooring' }, /is not called quay/],
  [{ kind: 'named', table: berth, object: 'table', from: 'berth', to: 'berth_side_ix' }, /name of something else in port/],
])('%o: %s', (wish, problem) => {
  if (problem === null) expect(wishProblem(wish, port)).toBeNull();
  else expect(wishProblem(wish, port)).toMatch(problem);
});

test('a reference is switched off and on again where the server lets one, and only one that holds or is off for good', () => {
  const eighteen: Catalogue = { ...port, engine: { ...port.engine, version: '18.0' } };
  const off = { kind: 'switched', table: call, trigger: 'call_agent_no_fkey', on: false, object: 'reference' } as const;
  const on = { ...off, on: true } as const;
  expect(wishProblem(off, port)).toMatch(/holds every reference that is declared/);
  expect(wishProblem(on, eighteen)).toMatch(/so already/);
  const carriedOut = (wish: Wish, catalogue: Catalogue): Catalogue => {
    const [finding] = found(wish, catalogue);
    if (!finding) throw new Error('it is found');
    const plan = planFor([{ finding, decision: {} }], catalogue, { label: 'd1', mode: 'quiet' });
    expect(plan.problems).toEqual([]);
    const after = afterPlan(plan, catalogue);
    expect([isMended(finding, after), applyAll(plan.back, after)]).toEqual([true, catalogue]);
    return after;
  };
  const rests = carriedOut(off, eighteen);
  const keyIn = (catalogue: Catalogue) =>
    catalogue.tables.flatMap(({ constraints }) => constraints).find(({ name }) => name === off.trigger);
  expect(keyIn(rests)).toMatchObject({ enforced: false, validated: false });
  expect(keyIn(carriedOut(on, rests))).toMatchObject({ enforced: true, validated: true });

  const having = (changes: object): Catalogue => ({
    ...eighteen,
    tables: eighteen.tables.map((table) => ({
      ...table,
      constraints: table.constraints.map((one) => (one.name === off.trigger ? { ...one, ...changes } : one)),
    })),
  });
  expect(wishProblem(off, having({ validated: false }))).toMatch(/for new rows only/);
  expect(wishProblem(on, having({ enforced: false }))).toMatch(/triggers behind/);
});
