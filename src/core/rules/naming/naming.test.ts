import { expect, test } from 'vitest';
import { foundBy } from '../../../../test/kit/found';
import { sketch } from '../../../../test/kit/sketch';
import { columnId, constraintId, tableId, type TableId } from '../../catalogue/identifiers';
import type { Catalogue, Constraint, Index } from '../../catalogue/model';
import type { Adopted } from '../../naming/style';
import { afterPlan, planFor } from '../../plan/plan';
import { applyAll } from '../../operations/index';
import { audit } from '../audit';

/** With other names for constraints and indexes; names are unique in the drawings. */
function called(catalogue: Catalogue, names: Readonly<Record<string, string>>): Catalogue {
  const named = (name: string): string => names[name] ?? name;
  const identity = (table: TableId, name: string) => ({ id: constraintId(table, named(name)), name: named(name) });
  return {
    ...catalogue,
    tables: catalogue.tables.map((table) => ({
      ...table,
      constraints: table.constraints.map((one): Constraint =>
        one.kind === 'foreign key' || one.kind === 'check'
          ? { ...one, ...identity(table.id, one.name) }
          : { ...one, ...identity(table.id, one.name), index: named(one.index) },
      ),
      indexes: table.indexes.map((one): Index => ({
        ...one,
        name: named(one.name),
        constraint: one.constraint === null ? null : named(one.constraint),
      })),
    })),
  };
}

const styled = (catalogue: Catalogue, adopted: Adopted) =>
  audit(catalogue, {}, { adopted }).filter(({ rule }) => rule === 'naming/style');

const port = sketch(`
  port.berth: berth_no text key, quay_no text; unique quay_no
  port.call:  call_id key, berth_no text -> port.berth.berth_no, vessel_id, noted date; unique vessel_id; unique noted; index berth_no
  port.portcall: portcall_id key, vessel_id; unique vessel_id
`);

test('naming/style finds what is not as it was adopted, and nothing where nobody adopted a style', () => {
  const odd = called(port, { call_vessel_id_key: 'vessel_once', call_berth_no_ix: 'ix_call_berth_no' });
  expect(styled(odd, {})).toEqual([]);
  const found = styled(odd, { unique: 'uq_{table}_{columns}', index: 'ix_{table}_{columns}' });
  // Those that the server named are another rule's.
  expect(found.map(({ proposal }) => proposal)).toEqual([
    { kind: 'rename', columns: ['vessel_id'], from: 'vessel_once', to: 'uq_call_vessel_id' },
  ]);
});

test('naming/style has two swap their names where each bears the other’s, and back', () => {
  const swapped = called(port, { call_vessel_id_key: 'uq_call_noted', call_noted_key: 'uq_call_vessel_id' });
  const found = styled(swapped, { unique: 'uq_{table}_{columns}' });
  expect(found).toHaveLength(2);
  const plan = planFor(
    found.map((finding) => ({ finding, decision: {} })),
    swapped,
    { label: 'd1', mode: 'plain' },
  );
  expect(plan.problems).toEqual([]);
  expect(plan.steps).toHaveLength(3);
  const after = afterPlan(plan, swapped);
  expect(styled(after, { unique: 'uq_{table}_{columns}' })).toEqual([]);
  expect(applyAll(plan.back, after)).toEqual(swapped);
});

test('naming/style renames an index by its own', () => {
  const [finding] = styled(port, { index: 'ix_{table}_{columns}' });
  expect(finding?.proposal).toMatchObject({ from: 'call_berth_no_ix', to: 'ix_call_berth_no', object: 'index' });
});

test.each([
  [{ call_berth_no_fkey: 'pk_call_berth' }, 'Name states another kind'],
  [{ call_berth_no_fkey: 'fk_vessel_berth' }, null],
  [{ call_vessel_id_key: 'uq_berth_vessel' }, 'Name states another table'],
  [{ berth_quay_no_key: 'uq_berth_berth_no' }, 'Name states another column'],
  [{ berth_quay_no_key: 'uq_berth_quay' }, null],
  [{ call_berth_no_fkey: 'fk_call_berth' }, null],
  [{ call_berth_no_ix: 'fk_call_berth_no_idx' }, null],
  // Written apart what the table writes together.
  [{ portcall_vessel_id_key: 'port_call_vessel_id_idx' }, null],
])('naming/misleading reads %o as: %s', (names, title) => {
  const found = audit(called(port, names), {}).filter(({ rule }) => rule === 'naming/misleading');
  expect(found).toHaveLength(title === null ? 0 : 1);
  if (title !== null) expect(foundBy('naming/misleading', called(port, names), [])).toHaveLength(1);
});

test('naming/quoted finds the few that need quotes, and leaves alone a house that quotes', () => {
  expect(foundBy('naming/quoted', sketch('berth: id key, Quay, length'), [])).toEqual(['public.berth(Quay): Minor, Q']);
  expect(foundBy('naming/quoted', sketch('berth: id key, quay, length'), [])).toEqual([]);
  expect(foundBy('naming/quoted', sketch('Berth: berthId key, quayNo, length'), [])).toEqual([]);
});

test('naming/reserved finds words of the language', () => {
  expect(foundBy('naming/reserved', sketch('user: id key, order, name'), [])).toEqual([
    'public.user: Minor, user',
    'public.user(order): Minor, order',
  ]);
  expect(foundBy('naming/reserved', sketch('users: id key, ordered, name'), [])).toEqual([]);
});

test('naming/duplicate finds names that differ by case or signs only, among neighbours', () => {
  expect(foundBy('naming/duplicate', sketch('berth: id key, quay_no, quayno'), [])).toEqual([
    'public.berth(quay_no): Minor, quayno',
  ]);
  expect(foundBy('naming/duplicate', sketch('berth: id key, quay_no\n quay: id key, quayno'), [])).toEqual([]);
});

test('naming/inconsistent finds the few that are of another kind than their namesakes', () => {
  const tables = (last: string, column = 'berth_no') =>
    sketch(['a', 'b', 'c', 'd'].map((name) => `${name}: id key, ${column} text`).join('\n') + `\n e: id key, ${column} ${last}`);
  expect(foundBy('naming/inconsistent', tables('int'), [])).toEqual(['public.e(berth_no): Minor, integer, not text']);
  expect(foundBy('naming/inconsistent', tables('text'), [])).toEqual([]);
  expect(foundBy('naming/inconsistent', tables('int', 'value'), [])).toEqual([]);
});

test('naming/length finds what was cut', () => {
  const long = 'uq_call_that_was_noted_by_the_harbour_office_for_the_vessel_whose';
  const cut = long.slice(0, 63);
  expect(foundBy('naming/length', called(port, { call_vessel_id_key: cut }), [])).toHaveLength(1);
  expect(foundBy('naming/length', called(port, { call_vessel_id_key: cut.slice(0, 60) }), [])).toEqual([]);
});

const harbourmaster = sketch(`
  port.berth: berth_no text key, quay_no text, length_m int, depth_m int, bollards int, light text, power_kw int, water text, noted text
  port.vessel: vessel_no text key, ship_name text, grossTons int, built_on date
  port.call: call_no text key, berth_no text -> port.berth.berth_no, BerthNo text, is_paid boolean, arrived timestamp
  port.PilotOrder: order_no text key, call_no text -> port.call.call_no
`);

test('naming/case finds the few that are spelt otherwise, where nearly all are spelt alike', () => {
  const found = audit(harbourmaster, {}).filter(({ rule }) => rule === 'naming/case');
  // BerthNo would take the name of a column that is there; of four tables nobody can say what is usual.
  expect(found.map(({ proposal }) => proposal)).toEqual([
    { kind: 'rename', columns: ['grossTons'], from: 'grossTons', to: 'gross_tons', object: 'column' },
  ]);
  const plan = planFor(
    found.map((finding) => ({ finding, decision: {} })),
    harbourmaster,
    { label: 'd1', mode: 'plain' },
  );
  expect(plan.problems).toEqual([]);
  const after = afterPlan(plan, harbourmaster);
  expect(audit(after, {}).filter(({ rule }) => rule === 'naming/case')).toEqual([]);
  expect(applyAll(plan.back, after)).toEqual(harbourmaster);
});

test('tables and columns follow what was adopted for their kind, the narrowest first', () => {
  const adopted = {
    table: '{words:plural:snake}',
    'truth column': 'is_{words}',
    'moment column': '{words}_at',
    'day column': '{words}_on',
  };
  const found = audit(harbourmaster, {}, { adopted }).filter(({ rule }) => /^naming\/(style|case)$/.test(rule));
  const told = found.map(({ rule, object, facts }) => [
    rule,
    object.table,
    object.columns.join(),
    (facts as { suggested: string }).suggested,
  ]);
  expect(told).toEqual(
    [
      ['naming/style', 'berth', '', 'berths'],
      ['naming/style', 'vessel', '', 'vessels'],
      ['naming/style', 'call', '', 'calls'],
      ['naming/style', 'call', 'arrived', 'arrived_at'],
      ['naming/style', 'PilotOrder', '', 'pilot_orders'],
      ['naming/case', 'vessel', 'grossTons', 'gross_tons'],
    ].map((line) => expect.arrayContaining(line) as unknown),
  );
});

test('a column that another remedy of the docket speaks of keeps its name', () => {
  const [finding] = audit(harbourmaster, {}).filter(({ rule }) => rule === 'naming/case');
  if (!finding) throw new Error('nothing is found');
  const other = {
    ...finding,
    id: 'keys/missing:port.vessel' as typeof finding.id,
    proposal: { kind: 'unique', columns: ['grossTons'], index: null } as unknown as typeof finding.proposal,
  };
  const plan = planFor(
    [finding, other].map((one) => ({ finding: one, decision: {} })),
    harbourmaster,
    { label: 'd1', mode: 'plain' },
  );
  expect(plan.problems.map(({ message }) => message)).toEqual([expect.stringMatching(/speaks of grossTons/)]);
});

test('sequences and triggers are named in the house style where one was adopted, and get their names back', () => {
  const drawn = sketch(`port.call: call_no key default=nextval('port.call_call_no_seq'::regclass), berth_no text`);
  const numbers = { type: 'integer', start: '1', increment: '1', maximum: '9', last: null, cycles: false };
  const port = {
    ...drawn,
    sequences: [
      { ...numbers, schema: 'port', name: 'call_call_no_seq', ownedBy: columnId(tableId('port', 'call'), 'call_no') },
      { ...numbers, schema: 'port', name: 'free_seq', ownedBy: null },
    ],
    tables: drawn.tables.map((table) => ({
      ...table,
      triggers: [
        { name: 'audit', function: 'port.note_change', enabled: true },
        { name: 'tr_call_log_it', function: 'log_it', enabled: true },
      ],
    })),
  };
  const adopted = { sequence: 'sq_{table}_{columns}', trigger: 'tr_{table}_{meaning}' };
  expect(audit(port, {}).filter(({ rule }) => rule.startsWith('naming/'))).toEqual([]);
  const found = audit(port, {}, { adopted }).filter(({ rule }) => rule === 'naming/style');
  expect(found.map(({ proposal }) => proposal)).toEqual([
    { kind: 'rename', columns: ['call_no'], from: 'call_call_no_seq', to: 'sq_call_call_no', object: 'sequence' },
    { kind: 'rename', columns: [], from: 'audit', to: 'tr_call_note_change', object: 'trigger' },
  ]);
  const plan = planFor(
    found.map((finding) => ({ finding, decision: {} })),
    port,
    { label: 'd1', mode: 'plain' },
  );
  expect(plan.problems).toEqual([]);
  const after = afterPlan(plan, port);
  expect(after.tables[0]?.columns[0]?.default).toBe(`nextval('port.sq_call_call_no'::regclass)`);
  expect(audit(after, {}, { adopted }).filter(({ rule }) => rule === 'naming/style')).toEqual([]);
  expect(applyAll(plan.back, after)).toEqual(port);
});
