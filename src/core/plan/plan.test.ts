import fc from 'fast-check';
import { expect, test } from 'vitest';
import { applyAll, type Operation, isInForce } from '../operations/index';
import { questionsFor } from '../remedies/index';
import type { Catalogue } from '../catalogue/model';
import { sketch } from '../../../test/kit/sketch';
import { evidence, included, profiled } from '../../../test/kit/measured';
import { answeredBy } from '../../../test/kit/answered';
import { isMended } from '../ratchet/mended';
import { audit } from '../rules/audit';
import type { Finding } from '../rules/finding';
import { afterPlan, leaveOut, planFor, takeOut } from './plan';
import { checksToStart, operationsOf } from './direction';

const port = sketch(`
  port.berth:   berth_no text not null, area text
  port.booking: booking_no text not null, berth_no text, note text
`);
const facts = evidence(
  profiled(port, 'port.berth', 60, { berth_no: { distinct: 60 } }),
  profiled(port, 'port.booking', 400, { booking_no: { distinct: 400 }, berth_no: { distinct: 55 } }),
  included(['port.booking', 'berth_no'], ['port.berth', 'berth_no'], 400, 7),
);
const findings = audit(port, facts);
const decided = (some: readonly Finding[], decision = {}) => some.map((finding) => ({ finding, decision }));
const ofRule = (rule: string) => findings.filter((f) => f.rule === rule);

test('orders repairs, keys, indexes, references, then NOT NULL', () => {
  const plan = planFor(decided(findings), port, { label: 'd1', mode: 'plain' });
  expect(plan.problems).toEqual([]);
  expect(plan.steps.map((step) => step.operation.kind)).toEqual([
    'addPrimaryKey',
    'addPrimaryKey',
    'createIndex',
    'addForeignKey',
    'setNotNull',
    'setNotNull',
  ]);
});

test('mends every finding that it was made for', () => {
  const after = afterPlan(planFor(decided(findings), port, { label: 'd1', mode: 'plain' }), port);
  expect(findings.filter((finding) => !isMended(finding, after))).toEqual([]);
});

test('refuses a reference to what is no key, and says what to add', () => {
  const plan = planFor(decided(ofRule('references/undeclared')), port, { label: 'd1', mode: 'plain' });
  expect(plan.steps).toEqual([]);
  expect(plan.problems[0]?.message).toContain('Add the remedy for the missing key of port.berth');
});

test('sets orphans aside before the reference is checked against the rows', () => {
  const keyed = sketch('port.berth: berth_no text key\n port.booking: id key, berth_no text');
  const known = evidence(
    profiled(keyed, 'port.booking', 400, { berth_no: { distinct: 55 } }),
    profiled(keyed, 'port.berth', 60),
    included(['port.booking', 'berth_no'], ['port.berth', 'berth_no'], 400, 7),
  );
  const reference = audit(keyed, known).filter((f) => f.rule === 'references/undeclared');
  const kinds = (decision: Record<string, string>) =>
    planFor(decided(reference, decision), keyed, { label: 'd1', mode: 'plain' }).steps.map((s) => s.operation.kind);
  expect(kinds({ orphans: 'empty' })).toEqual(['setAside', 'createIndex', 'addForeignKey', 'checkRows']);
  expect(kinds({ orphans: 'leave' })).toEqual(['createIndex', 'addForeignKey']);
  expect(
    planFor(decided(reference, { orphans: 'remove' }), keyed, { label: 'd1', mode: 'plain' }).before.some(
      (check) => check.kind === 'orphans',
    ),
  ).toBe(false);
});

test('does not take an answer that is refused here', () => {
  const mandatory = sketch('port.berth: berth_no text key\n port.booking: id key identity, berth_no text not null');
  const known = evidence(
    profiled(mandatory, 'port.booking', 400, { berth_no: { distinct: 55 } }),
    profiled(mandatory, 'port.berth', 60),
    included(['port.booking', 'berth_no'], ['port.berth', 'berth_no'], 400, 7),
  );
  const plan = planFor(decided(audit(mandatory, known), { orphans: 'empty', onDelete: 'set null' }), mandatory, {
    label: 'd1',
    mode: 'plain',
  });
  expect(plan.steps.map((s) => s.operation.kind)).toEqual(['createIndex', 'addForeignKey']);
  expect(plan.steps.at(-1)?.operation).toMatchObject({ onDelete: 'no action' });
});

test('does not remove orphans that other rows refer to', () => {
  const parental = sketch(
    'port.berth: berth_no text key\n port.booking: id key, berth_no text\n port.fee: id key, booking_id -> port.booking.id',
  );
  const known = evidence(
    profiled(parental, 'port.booking', 400, { berth_no: { distinct: 55 } }),
    profiled(parental, 'port.berth', 60),
    included(['port.booking', 'berth_no'], ['port.berth', 'berth_no'], 400, 7),
  );
  const [reference] = audit(parental, known).filter((f) => f.rule === 'references/undeclared');
  if (!reference) throw new Error('booking refers to berth');
  const answers = questionsFor(reference, parental, {}).find(({ id }) => id === 'orphans')?.answers;
  expect(answers?.find(({ id }) => id === 'remove')?.refused).toBe('rows of port.fee refer to them');
});

test('leaves out what is in force already when it goes on', () => {
  const plan = planFor(decided(findings), port, { label: 'd1', mode: 'plain' });
  const [first, ...rest] = plan.steps.map((step) => step.operation);
  if (!first) throw new Error('the plan has steps');
  const half = applyAll([first], port);
  expect([first, ...rest].filter((operation) => isInForce(operation, half))).toEqual([first]);
  expect(checksToStart(plan, 'forward', half).length).toBeLessThan(checksToStart(plan, 'forward', port).length);
  expect(plan.back.filter((operation) => !isInForce(operation, half)).map((o) => o.kind)).toEqual(['dropConstraint']);
});

// Schemas of a few tables with what the rules look for, and any choice of remedies and answers.
const drawing = fc.array(
  fc.record({ keyed: fc.boolean(), nullable: fc.boolean(), refers: fc.nat(5), ordinal: fc.boolean(), orphans: fc.nat(20) }),
  { minLength: 1, maxLength: 5 },
);

function drawn(shape: typeof drawing extends fc.Arbitrary<infer T> ? T : never): {
  readonly catalogue: Catalogue;
  readonly findings: readonly Finding[];
} {
  const lines = shape.map(({ keyed, nullable, refers, ordinal }, i) =>
    `s.part${i}: part${i}_no text${keyed ? ' key' : ' not null'}, part${refers % shape.length}_ref_no text, part${refers % shape.length}_no text${nullable ? '' : ' not null'}${ordinal ? ', line_no' : ''}, status text`.replace(
      `, part${i}_no text${nullable ? '' : ' not null'}`,
      '',
    ),
  );
  const catalogue = sketch(lines.join('\n'));
  const known = evidence(
    ...shape.map((_, i) => profiled(catalogue, `s.part${i}`, 90, { [`part${i}_no`]: { distinct: 90 } })),
    ...shape.flatMap(({ refers, orphans }, i) =>
      refers % shape.length === i
        ? []
        : [
            included(
              [`s.part${i}`, `part${refers % shape.length}_no`],
              [`s.part${refers % shape.length}`, `part${refers % shape.length}_no`],
              90,
              orphans,
            ),
          ],
    ),
  );
  return { catalogue, findings: audit(catalogue, known) };
}

test('forward then back is identity, for any choice of remedies and answers', () => {
  const answers = fc.record({
    orphans: fc.constantFrom('empty', 'remove', 'leave'),
    onDelete: fc.constantFrom('no action', 'cascade', 'set null'),
    key: fc.constantFrom('surrogate', 'natural'),
  });
  fc.assert(
    fc.property(drawing, answers, fc.infiniteStream(fc.boolean()), (shape, decision, chosen) => {
      const { catalogue, findings: all } = drawn(shape);
      const plan = planFor(
        all.filter(() => chosen.next().value).map((finding) => ({ finding, decision: answeredBy(finding, catalogue, decision) })),
        catalogue,
        { label: 'd1', mode: 'plain' },
      );
      expect(applyAll(plan.back, afterPlan(plan, catalogue))).toEqual(catalogue);
    }),
    { numRuns: 300 },
  );
});

test('after all remedies no such finding is left, but for those said to be problems', () => {
  fc.assert(
    fc.property(drawing, (shape) => {
      const { catalogue, findings: all } = drawn(shape);
      const plan = planFor(decided(all), catalogue, { label: 'd1', mode: 'plain' });
      const after = afterPlan(plan, catalogue);
      const unmended = all.filter((finding) => !isMended(finding, after)).map((f) => f.id);
      expect(unmended.sort()).toEqual(
        [...new Set(plan.problems.map((p) => p.finding))].filter((id) => unmended.includes(id)).sort(),
      );
    }),
    { numRuns: 200 },
  );
});

test('what is taken out after a run had stopped is undone first, with what rests on it; then the rest goes on and back', () => {
  const plan = planFor(decided(findings), port, { label: 'd1', mode: 'plain' });
  const goOn = (operations: readonly Operation[], from: Catalogue): Catalogue =>
    operations.reduce((now, operation) => (isInForce(operation, now) ? now : applyAll([operation], now)), from);
  for (let taken = 0; taken <= plan.steps.length; taken++) {
    const stopped = goOn(operationsOf(plan, 'forward').slice(0, taken), port);
    for (const finding of findings.map(({ id }) => id)) {
      const { plan: thinned, resting } = takeOut(plan, new Set([finding]), port);
      const left = leaveOut(plan, new Set([finding]), port).plan;
      const there = goOn(operationsOf(thinned, 'forward'), stopped);
      expect(there).toEqual(afterPlan(left, port));
      expect(goOn(operationsOf(thinned, 'back'), there)).toEqual(port);
      // Nobody has to go on: what was done can be taken back from where it stopped.
      expect(goOn(operationsOf(thinned, 'back'), stopped)).toEqual(port);
      // The reference needs the key of the berth.
      expect(resting.map((problem) => problem.finding)).toEqual(
        finding === 'keys/missing:port.berth' ? ofRule('references/undeclared').map(({ id }) => id) : [],
      );
    }
  }
});
