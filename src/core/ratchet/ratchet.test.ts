import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { apply, applyAll } from '../operations/index';
import { tableId, type TableId } from '../catalogue/identifiers';
import type { UnknownPart } from '../catalogue/model';
import { sketch } from '../../../test/kit/sketch';
import { evidence, profiled } from '../../../test/kit/measured';
import { audit } from '../rules/audit';
import { noPolicies, usualPolicy } from '../rules/policy';
import { transitionsAfter } from './afterSurvey';
import { type FindingEvent, type FindingState, findingStates, nextState } from './states';

const port = sketch('port.vessel: id key, imo_no text not null');
const [finding] = audit(port, evidence(profiled(port, 'port.vessel', 300, { imo_no: { distinct: 300 } })));
if (!finding) throw new Error('imo_no is not declared unique');
const mended = apply({ kind: 'addUnique', table: tableId('port', 'vessel'), name: 'uq', columns: ['imo_no'], index: null }, port);
const seen = {
  catalogue: port,
  depth: 'exact',
  found: new Set([finding.id]),
  scope: null,
  notMeasured: new Set<TableId>(),
  policies: noPolicies,
} as const;
const after = (state: (typeof findingStates)[number], changes: Partial<Parameters<typeof transitionsAfter>[1]> = {}) =>
  transitionsAfter([{ finding, state }], { ...seen, ...changes })[0]?.to ?? null;

test('what is mended is held, whoever mended it', () => {
  for (const state of ['Open', 'Docketed', 'Applied', 'Slipped', 'Lapsed'] as const)
    expect(after(state, { catalogue: mended, found: new Set() })).toBe('Held');
});

test('what was held and is found again has slipped', () => {
  expect(after('Held')).toBe('Slipped');
});

test('what was applied and is still found is open again, with the reason', () => {
  expect(transitionsAfter([{ finding, state: 'Applied' }], seen)).toEqual([
    { id: finding.id, from: 'Applied', to: 'Open', reason: 'The docket was run, but the survey after it still finds this.' },
  ]);
});

test('that something was not found says nothing unless it was looked at exactly', () => {
  expect(after('Open', { found: new Set(), depth: 'sampled' })).toBeNull();
  expect(after('Open', { found: new Set(), notMeasured: new Set([tableId('port', 'vessel')]) })).toBeNull();
  expect(after('Open', { found: new Set() })).toBe('Lapsed');
});

test('what a rule found that is switched off now lapses, and says so', () => {
  const off = { ...seen, found: new Set<typeof finding.id>(), policies: { [finding.rule]: { ...usualPolicy, on: false } } };
  for (const depth of ['sampled', 'exact'] as const)
    expect(transitionsAfter([{ finding, state: 'Open' }], { ...off, depth })).toEqual([
      { id: finding.id, from: 'Open', to: 'Lapsed', reason: 'Its rule is switched off for this source.' },
    ]);
});

describe('what a survey could not judge stays as it is', () => {
  const standing = (rule: string) => ({ ...finding, rule });
  const stateOf = (rule: string, unknown: readonly UnknownPart[], catalogue = port) =>
    transitionsAfter([{ finding: standing(rule), state: 'Open' }], {
      ...seen,
      found: new Set(),
      catalogue: { ...catalogue, unknown },
    })[0]?.to ?? 'Open';

  test.each([
    ['values/closed-set', 'values'],
    ['nullability/blank-for-null', 'values'],
    ['keys/disabled', 'states'],
    ['references/unindexed', 'indexes'],
  ] as const)('%s without %s', (rule, part) => {
    expect(stateOf(rule, [])).toBe('Lapsed');
    expect(stateOf(rule, [part])).toBe('Open');
    expect(stateOf(rule, ['owners'])).toBe('Lapsed');
  });

  test('nor is it mended by what nobody could see; what was declared in view is', () => {
    expect(stateOf('keys/disabled', ['states'], mended)).toBe('Open');
    expect(stateOf('values/closed-set', ['values'], mended)).toBe('Held');
    expect(stateOf(finding.rule, ['states', 'values'], mended)).toBe('Held');
  });
});

test('what is outside the scope stays as it is', () => {
  expect(after('Open', { found: new Set(), scope: new Set([tableId('port', 'berth')]) })).toBeNull();
});

test('what has no object any more has lapsed', () => {
  expect(
    after('Held', { catalogue: applyAll([{ kind: 'dropColumn', table: tableId('port', 'vessel'), column: 'imo_no' }], port) }),
  ).toBe('Lapsed');
});

test('an event that means nothing leaves the state alone, and none leads out of the table', () => {
  expect(nextState('Open', 'backedOut')).toBe('Open');
  for (const state of findingStates)
    for (const event of [
      'seen',
      'mended',
      'gone',
      'docketed',
      'undocketed',
      'applied',
      'waived',
      'waiverEnded',
      'backedOut',
    ] as const)
      expect(findingStates).toContain(nextState(state, event));
});

test('what was waived is open again when a survey finds it: its day is over, or the waiver was taken back', () => {
  expect(after('Waived')).toBe('Open');
  expect(after('Waived', { found: new Set() })).toBeNull();
});

test('repaired values are held by not being found again, and slip when they are', () => {
  const blank = {
    ...finding,
    proposal: { kind: 'standIns', columns: ['imo_no'], claims: [{ kind: 'notBlank', column: 'imo_no' }] },
  } as const;
  const moved = (state: 'Applied' | 'Held', found: ReadonlySet<typeof finding.id>) =>
    transitionsAfter([{ finding: blank, state }], { ...seen, found })[0]?.to ?? null;
  expect(moved('Applied', new Set())).toBe('Held');
  expect(moved('Held', new Set())).toBeNull();
  expect(moved('Held', new Set([finding.id]))).toBe('Slipped');
});

// What surveys see, and what people and runs do between them.
const survey = fc.record({
  what: fc.constant('survey' as const),
  sees: fc.constantFrom('found', 'mended', 'waived', 'nothing'),
  depth: fc.constantFrom('catalogue', 'sampled', 'exact'),
  out: fc.boolean(),
  off: fc.boolean(),
});
const acts = ['docketed', 'undocketed', 'applied', 'waived', 'waiverEnded', 'backedOut'] as const;
const act = fc.record({ what: fc.constantFrom(...acts) });

test('any sequence of surveys and acts leaves one state, and its history replayed gives the same', () => {
  fc.assert(
    fc.property(fc.array(fc.oneof(survey, act), { maxLength: 30 }), (steps) => {
      let state: FindingState = 'Open';
      const history: { readonly from: FindingState | null; readonly to: FindingState }[] = [{ from: null, to: 'Open' }];
      for (const step of steps) {
        if (step.what === 'survey') {
          const moves = transitionsAfter([{ finding, state }], {
            ...seen,
            ...{ depth: step.depth, catalogue: step.sees === 'mended' ? mended : port },
            found: new Set(step.sees === 'found' ? [finding.id] : []),
            waived: new Map(step.sees === 'waived' ? [[finding.id, 'on purpose']] : []),
            scope: step.out ? new Set<TableId>() : null,
            policies: step.off ? { [finding.rule]: { ...usualPolicy, on: false } } : noPolicies,
          });
          expect(moves.length).toBeLessThanOrEqual(1);
          for (const { from, to } of moves) {
            // A move is one of what it was in, to what it was not; and where nobody looked there is none.
            expect(from).toBe(state);
            expect(to).not.toBe(from);
            expect(step.out).toBe(false);
            if (to === 'Slipped') expect(from).toBe('Held');
            if (to === 'Held') expect(step.sees).toBe('mended');
            history.push({ from, to });
            state = to;
          }
        } else {
          const to = nextState(state, step.what satisfies FindingEvent);
          if (to !== state) history.push({ from: state, to });
          state = to;
        }
        expect(findingStates).toContain(state);
      }
      let replayed: FindingState | null = null;
      for (const { from, to } of history) {
        expect(from).toBe(replayed);
        replayed = to;
      }
      expect(replayed).toBe(state);
    }),
    { numRuns: 500 },
  );
});
