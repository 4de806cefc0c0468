import type { Stored } from '../formats/stored';
import { upgradeProposal } from '../formats/proposal';
import { expect, test } from 'vitest';
import { type FindingId, tableId } from '../catalogue/identifiers';
import { applyAll } from '../operations/index';
import { byHand } from './by-hand';
import { isScripted, type Proposal, outcomeInWords, questionsFor, remedyOf, touchingOf } from './index';
import { fits, sharedQuestions } from './shared';
import type { Catalogue, Constraint, Table } from '../catalogue/model';
import { sketch } from '../../../test/kit/sketch';
import { evidence, included, profiled } from '../../../test/kit/measured';
import { afterPlan, planFor } from '../plan/plan';
import { audit } from '../rules/audit';
import type { Finding } from '../rules/finding';
import { completeDecision, type Decision } from './question';

const port = sketch(`
  port.berth:   berth_no text key, area text
  port.pass:    pass_id key, badge_no text, holder text, issued_on date, grade text, area text, berth_no text -> port.berth.berth_no
  port.entry:   entry_id key, pass_id
  port.scan:    pass_id, gate text
`);

type Drawn = Stored & { readonly columns: readonly string[] };

/** What the questions of a proposal need comes from its facts. */
function found(table: string, proposal: Drawn, facts: object, rule = 'uniqueness/nearly'): Finding {
  return {
    id: `${rule}:port.${table}(${proposal.columns.join()})` as FindingId,
    rule,
    concern: 'Uniqueness',
    severity: 'Serious',
    confidence: 1,
    object: { schema: 'port', table, columns: proposal.columns },
    facts,
    proposal: upgradeProposal(proposal, 1, facts) as unknown as Proposal,
  };
}

const repeats = (children: readonly string[] = []): Finding =>
  found(
    'pass',
    {
      kind: 'repeats',
      columns: ['badge_no'],
      children: children.map((child) => ({ table: tableId('port', child), columns: ['pass_id'], parentColumns: ['pass_id'] })),
    },
    { repeatedRows: 4, repeatedValues: 2 },
  );
const nulls = found('pass', { kind: 'nulls', columns: ['grade'] }, { nulls: 3 }, 'nullability/few-nulls');

const answers = (finding: Finding, question: string): readonly string[] =>
  questionsFor(finding, port, {})
    .find(({ id }) => id === question)
    ?.answers.map(({ id, refused }) => (refused === null ? id : `${id}: ${refused}`)) ?? [];
const stepsFor = (finding: Finding, decision: Decision) => {
  const plan = planFor([{ finding, decision }], port, { label: 'd1', mode: 'plain' });
  return plan.problems.length > 0
    ? plan.problems.map((problem) => problem.message)
    : plan.steps.map(({ operation: o }) => (o.kind === 'setAside' ? `${o.rows.kind} in ${o.table}` : o.kind));
};

test('rows that repeat are only listed unless somebody says which is kept', () => {
  expect(completeDecision(questionsFor(repeats(), port, {}), {})).toEqual({ repeats: 'leave', repeatsBy: 'issued_on' });
  expect(stepsFor(repeats(), {})).toEqual([expect.stringContaining("left to the data's owners")]);
  expect(stepsFor(repeats(), { repeats: 'last' })).toEqual(['repeats in port.pass', 'addUnique']);
});

test('children of dropped rows are pointed to the one that is kept, or it is refused', () => {
  expect(stepsFor(repeats(['entry']), { repeats: 'first' })).toEqual([
    'childrenOfRepeats in port.entry',
    'repeats in port.pass',
    'addUnique',
  ]);
  expect(answers(repeats(['scan']), 'repeats')).toContain(
    'first: rows of port.scan refer to them and have no key to find them again by',
  );
});

test('rows without a value are filled by what is typed, by another column, or by their parent', () => {
  expect(answers(nulls, 'nulls')).toEqual(['constant', 'default: grade has no default', 'column', 'parent', 'leave']);
  expect(stepsFor(nulls, { nulls: 'constant' })).toEqual(['Type what grade becomes in these rows.']);
  expect(stepsFor(nulls, { nulls: 'constant', 'nulls typed': 'G1' })).toEqual(['nulls in port.pass', 'setNotNull']);
  expect(completeDecision(questionsFor(nulls, port, {}), { nulls: 'parent', 'nulls typed': 'no such column' })).toMatchObject({
    'nulls typed': 'port.pass#pass_berth_no_fkey area',
  });
  expect(stepsFor(nulls, { nulls: 'leave' })).toEqual([expect.stringContaining('waive the finding')]);
});

test('what one remedy writes, another of the same docket does not bind', () => {
  const unique = found('pass', { kind: 'unique', columns: ['grade'] }, {}, 'uniqueness/absent');
  const plan = planFor(
    [
      { finding: nulls, decision: { nulls: 'constant', 'nulls typed': 'G1' } },
      { finding: unique, decision: {} },
    ],
    port,
    { label: 'd1', mode: 'plain' },
  );
  expect(plan.problems.map(({ finding, message }) => [finding, message.includes('Run that first')])).toEqual([[unique.id, true]]);
});

test('values that say "none" need a key to come back by, and keep out by a check', () => {
  const blank = found('pass', { kind: 'standIns', columns: ['holder'], claims: [{ kind: 'notBlank', column: 'holder' }] }, {});
  expect(stepsFor(blank, {})).toEqual(['breaking in port.pass', 'addCheck', 'checkRows']);
  expect(stepsFor(blank, { standIns: 'let' })).toEqual(['breaking in port.pass']);
  const unkeyed = found('scan', { kind: 'standIns', columns: ['gate'], claims: [{ kind: 'notBlank', column: 'gate' }] }, {});
  expect(stepsFor(unkeyed, {})).toEqual([expect.stringContaining('port.scan has no key')]);
});

test('a value that would break the check again is refused', () => {
  const claim = { kind: 'oneOf', column: 'grade', values: ['A', 'B'] } as const;
  const broken = found('pass', { kind: 'check', columns: ['grade'], claim }, { others: 2 }, 'values/closed-set');
  expect(stepsFor(broken, { broken: 'constant', 'broken typed': 'C' })).toEqual([expect.stringContaining('"C" breaks it too')]);
  expect(stepsFor(broken, { broken: 'constant', 'broken typed': 'B' })).toEqual([
    'breaking in port.pass',
    'addCheck',
    'checkRows',
  ]);
  expect(stepsFor(broken, {})).toEqual(['addCheck']);
});

test('one decision for many says how many can take it', () => {
  const many = sketch(`
    port.berth:   berth_no text key
    port.booking: id key, berth_no text
    port.call:    id key, berth_no text not null
  `);
  const known = evidence(
    profiled(many, 'port.berth', 60),
    profiled(many, 'port.booking', 400, { berth_no: { distinct: 55 } }),
    profiled(many, 'port.call', 400, { berth_no: { distinct: 55 } }),
    included(['port.booking', 'berth_no'], ['port.berth', 'berth_no'], 400, 7),
    included(['port.call', 'berth_no'], ['port.berth', 'berth_no'], 400, 9),
  );
  const references = audit(many, known).filter((finding) => finding.rule === 'references/undeclared');
  const orphans = sharedQuestions(references, many).find(({ id }) => id === 'orphans');
  expect(orphans?.asked).toBe(2);
  expect(orphans?.answers.map((answer) => [answer.id, answer.fits])).toEqual(
    expect.arrayContaining([
      ['empty', 1],
      ['remove', 2],
      ['leave', 2],
    ]),
  );
  expect(references.map((finding) => fits(finding, { orphans: 'empty' }, many)).sort()).toEqual([false, true]);
  const [first] = references;
  if (!first) throw new Error('there are references');
  expect(outcomeInWords(first, { onDelete: 'cascade' }, many)).toMatch(/deleting a berth deletes its \w+ with it\.$/);
});

test('a key that others refer to gives way only where all can be put back as it was', () => {
  const replaced = (drawing: string, kind: Table['kind'] = 'table') => {
    const drawn = sketch(drawing);
    const resting = (c: Constraint): Constraint => (c.kind === 'foreign key' ? { ...c, index: 'quay_pkey' } : c);
    const tables = drawn.tables.map((t) => ({
      ...t,
      kind: t.name === 'quay' ? kind : t.kind,
      constraints: t.constraints.map(resting),
    }));
    const catalogue: Catalogue = { ...drawn, tables };
    const finding: Finding = {
      ...found('quay', { kind: 'replaceKey', columns: ['quay_name'], name: 'quay_pkey', surrogate: 'id' }, {}, 'keys/volatile'),
    };
    const [surrogate] = questionsFor(finding, catalogue, {})[0]?.answers ?? [];
    const plan = planFor([{ finding, decision: {} }], catalogue, { label: 'd1', mode: 'quiet' });
    return { refused: surrogate?.refused, plan, after: applyAll(plan.back, afterPlan(plan, catalogue)), catalogue };
  };
  const quay = 'port.quay: quay_name text key';
  const crane = 'port.crane: id key, quay text -> port.quay.quay_name cascade';
  const { refused, plan, after, catalogue } = replaced(`${quay}\n${crane}`);
  expect(refused).toBeNull();
  expect(plan.steps.map(({ operation }) => operation.kind)).toEqual(['numberRows', 'replaceKey', 'checkRows']);
  expect(after).toEqual(catalogue);
  expect(replaced(`${quay}; unique index quay_name`).refused).toContain('unique already');
  const { refused: split, plan: none } = replaced(`${quay}\n${crane}`, 'partitioned');
  expect([split, none.steps]).toEqual([expect.stringContaining('what it is split by'), []]);
  expect(none.problems[0]?.message).toContain('waive the finding');
});

test('missing parents are made with what they need beside their key, and orphans pointed by a key of several columns', () => {
  const needing = sketch(`
    port.quay:  quay_no text key, area text not null, note text not null
    port.slot:  quay_no text, slot_no, length numeric not null, label text not null; unique quay_no+slot_no
    port.crane: id key, quay_no text, slot_no
  `);
  const toQuay = found(
    'crane',
    { kind: 'foreignKey', columns: ['quay_no'], references: { schema: 'port', table: 'quay', columns: ['quay_no'] } },
    { orphanRows: 3 },
  );
  const toSlot = found(
    'crane',
    {
      kind: 'foreignKey',
      columns: ['quay_no', 'slot_no'],
      references: { schema: 'port', table: 'slot', columns: ['quay_no', 'slot_no'] },
    },
    { orphanRows: 3 },
  );
  const plan = (finding: Finding, decision: Decision) =>
    planFor([{ finding, decision }], needing, { label: 'd1', mode: 'plain' });
  expect(plan(toQuay, { orphans: 'parents' }).problems[0]?.message).toBe('Type what stands in area, note of each.');
  expect(plan(toQuay, { orphans: 'parents', 'orphans typed': 'north, not known' }).steps[0]?.operation).toMatchObject({
    beside: [
      { column: 'area', text: 'north' },
      { column: 'note', text: 'not known' },
    ],
  });
  expect(plan(toQuay, { orphans: 'parents', 'orphans typed': 'north' }).problems[0]?.message).toContain('2, parted by commas');
  expect(plan(toSlot, { orphans: 'point', 'orphans typed': 'Q1' }).problems[0]?.message).toContain('parted by commas');
  const pointed = plan(toSlot, { orphans: 'point', 'orphans typed': 'Q1, 4' });
  expect(pointed.before).toContainEqual({
    kind: 'rowMissing',
    table: 'port.slot',
    columns: ['quay_no', 'slot_no'],
    values: ['Q1', '4'],
  });
});

test('a reference can be to another parent than the likeliest, or another key of it; its orphans are those of that parent', () => {
  const twice = sketch(`
    port.berth:   berth_no text key, chart_no text not null unique, ordinal not null unique
    port.mooring: mooring_no text key
    port.call:    id key, berth_no text
  `);
  const other = { schema: 'port', table: 'mooring', columns: ['mooring_no'] };
  const reference: Finding = {
    ...found(
      'call',
      { kind: 'foreignKey', columns: ['berth_no'], references: { schema: 'port', table: 'berth', columns: ['berth_no'] } },
      { orphanRows: 0, parents: [{ columns: ['berth_no'], parent: other, confidence: 0.4, orphanRows: 12 }] },
    ),
  };
  const offered = questionsFor(reference, twice, {}).find(({ id }) => id === 'parent')?.answers ?? [];
  expect(offered.map(({ title, cost, refused }) => `${title}: ${refused ?? cost}`)).toEqual([
    'port.berth(berth_no): no orphan',
    'port.mooring(mooring_no): 12 orphans',
    'port.berth(chart_no): orphans are counted before anything is changed',
    'port.berth(ordinal): text does not compare with integer',
  ]);
  const [, mooring] = offered;
  const decision = { parent: mooring?.id ?? '', orphans: 'empty', deferrable: 'initially deferred' };
  const ids = (chosen: Decision) => questionsFor(reference, twice, chosen).map(({ id }) => id);
  expect(ids({})).not.toContain('orphans');
  expect(ids(decision)).toContain('orphans');
  const plan = planFor([{ finding: reference, decision }], twice, { label: 'd1', mode: 'plain' });
  expect(plan.steps.map(({ operation }) => operation)).toEqual([
    expect.objectContaining({ kind: 'setAside' }),
    expect.objectContaining({ kind: 'createIndex' }),
    expect.objectContaining({ kind: 'addForeignKey', parent: 'port.mooring', deferrable: 'initially deferred' }),
    expect.objectContaining({ kind: 'checkRows' }),
  ]);
  expect(outcomeInWords(reference, decision, twice)).toContain('mooring');
  expect(ids({ parent: '["made up"]' })).not.toContain('orphans');
});

test('each remedy says what it makes, what the data seems like by it, and what it touches', () => {
  const said = (proposal: Proposal, table = 'pass') => {
    const remedy = remedyOf(proposal);
    return [
      remedy.makesKey?.(proposal) ?? null,
      remedy.seems?.(proposal) ?? null,
      touchingOf(found(table, proposal as never, {}), port)?.part,
    ];
  };
  const references = { schema: 'port', table: 'berth', columns: ['berth_no'] };
  const columns = ['badge_no'];
  expect(said({ kind: 'unique', columns })).toEqual([columns, 'never repeats', undefined]);
  expect(said({ kind: 'repeats', columns, rows: 4, values: 2, children: [] })).toEqual([columns, 'repeats', undefined]);
  expect(said({ kind: 'notNull', columns })).toEqual([null, 'never empty', undefined]);
  const reference = { kind: 'foreignKey', columns: ['berth_no'], references, others: [] } as unknown as Proposal;
  expect(said(reference)).toEqual([null, 'names berth', undefined]);
  expect(said({ ...reference, orphanRows: 2 } as Proposal)).toEqual([null, '2 orphans', undefined]);
  const rename = { kind: 'rename', columns: [], from: 'area', to: 'zone' } as const;
  expect(said(rename)[2]).toEqual({ kind: 'constraint', name: 'area' });
  expect(said({ ...rename, object: 'column' })[2]).toEqual({ kind: 'column', name: 'area' });
  expect(said({ ...rename, object: 'table' }, 'berth')[2]).toEqual({ kind: 'table', name: 'area' });
  expect([isScripted(byHand([])), isScripted(rename)]).toEqual([false, true]);
});

test('what carries another name says what is known to name it; of a table that is gone nothing is said', () => {
  const rename: Proposal = { kind: 'rename', columns: ['berth_no'], from: 'berth_no', to: 'quay_no', object: 'column' };
  expect(touchingOf(found('berth', rename as never, {}), port)?.known.join(' ')).toMatch(/port\.pass/);
  expect(touchingOf(found('quay', rename as never, {}), port)).toBeNull();
});
