import { expect, test } from 'vitest';
import { sketch } from '../../../test/kit/sketch';
import { type FindingId, tableId } from '../catalogue/identifiers';
import { engineNamed, engineOf } from '../engines/index';
import { type EngineName, engineNames } from '../engines/name';
import { modes } from '../plan/cost';
import { gistOf } from '../plan/gist';
import { planFor } from '../plan/plan';
import { costInWords } from '../plan/times';
import type { Finding } from '../rules/finding';
import { proposalOf, type Wish, wishProblem } from '../wishes/index';
import { outcomeInWords, questionsFor } from './index';

const drawn = sketch(`
  port.lens: lens_no key, tint text not null, maker text
  port.maker: maker_id key, name text; unique name
  port.tint_of: a, b text
`);
const list: Wish = { kind: 'listed', table: tableId('port', 'lens'), column: 'tint', named: 'lamp_tint' };
const there: Wish = {
  ...{ kind: 'listed', table: tableId('port', 'lens'), column: 'maker' },
  ...{ parent: tableId('port', 'maker'), parentColumns: ['name'] },
};

test.each(engineNames.flatMap((engine) => modes.map((mode) => [engine, mode] as const)))(
  'of a list that is to be made there is all that a docket shows: %s, %s',
  (engine, mode) => {
    const version = engineNamed(engine).tried?.[1] ?? '1.0';
    const tables = drawn.tables.map((table) => ({
      ...table,
      columns: table.columns.map((column) => ({
        ...column,
        definition: 'varchar(9) NOT NULL',
        declaredType: 'varchar(9)',
        length: 9,
      })),
    }));
    const catalogue = { ...drawn, tables, engine: { name: engine, version } };
    expect(wishProblem(list, catalogue)).toBeNull();
    const proposal = proposalOf(list, catalogue, { rows: 4, against: 0, how: null });
    const finding = {
      id: 'x' as FindingId,
      object: { schema: 'port', table: 'lens', columns: ['tint'] },
      proposal,
    } as unknown as Finding;
    const { dialect } = engineOf(catalogue);
    const kinds = ['keep', 'rename', 'drop'].map((text) => {
      const plan = planFor([{ finding, decision: { text } }], catalogue, { label: 'd1', mode });
      expect(plan.problems).toEqual([]);
      expect(outcomeInWords(finding, { text }, catalogue)).toMatch(text === 'keep' ? /as well/ : /written once/);
      const speed = { bytes: 1e6, ms: 100 };
      const all = [...plan.steps.map(({ operation }) => operation), ...plan.back];
      for (const operation of all)
        expect(costInWords(operation, dialect.cost(operation, mode), catalogue, speed).time).toBe('less than a second');
      expect(gistOf(plan, catalogue, new Map()).risk).toBeDefined();
      const { forward, back } = dialect.statementScripts(plan, { title: 't', source: 's', madeAt: '' });
      expect([forward.includes('lamp_tint'), back.includes('drop table')]).toEqual([true, true]);
      return plan.steps.map(({ operation: { kind } }) => kind).filter((kind) => kind !== 'checkRows');
    });
    const [kept, renamed, dropped] = kinds;
    expect(kept).toEqual(['makeLookup', 'addReferring', 'lookUp', 'createIndex', 'addForeignKey']);
    expect(renamed).toEqual([...(kept ?? []), 'setNotNull', 'letEmpty', 'renameColumn']);
    expect(dropped).toEqual(renamed);
  },
);

test('what cannot be is said', () => {
  expect(wishProblem({ ...list, column: 'lens_no' }, drawn)).toMatch(/lists no texts/);
  expect(wishProblem({ ...list, named: 'maker' }, drawn)).toMatch(/is there already/);
  expect(wishProblem({ ...list, named: 'x'.repeat(70) }, drawn)).toMatch(/longer than a name/);
  expect(wishProblem({ ...there, parent: tableId('port', 'tint_of'), parentColumns: ['b'] }, drawn)).toMatch(
    /no key of one column/,
  );
  expect(wishProblem({ ...there, parentColumns: ['nothing'] }, drawn)).toMatch(/has no column nothing/);
});

test('what an index does not take whole, and a type of a schema of its own, is refused in words', () => {
  const of = (declaredType: string, engine: EngineName) => {
    const tables = drawn.tables.map((table) => ({
      ...table,
      columns: table.columns.map((column) => (column.name === 'tint' ? { ...column, declaredType, length: null } : column)),
    }));
    const catalogue = { ...drawn, tables, engine: { name: engine, version: engineNamed(engine).tried?.[1] ?? '' } };
    const proposal = proposalOf(list, catalogue, { rows: 4, against: 0, how: null });
    const finding = {
      id: 'x' as FindingId,
      object: { schema: 'port', table: 'lens', columns: [] },
      proposal,
    } as unknown as Finding;
    return planFor([{ finding, decision: {} }], catalogue, { label: 'd1', mode: 'plain' }).problems.map(({ message }) => message);
  };
  for (const engine of engineNames) {
    // Of some engines an index takes what a column declares, of others what is in it.
    const declared = engineNamed(engine).types.indexedBytes !== undefined;
    expect(of('longtext', engine)).toEqual(declared ? [expect.stringMatching(/takes the beginning only/)] : []);
    if (!declared) expect(of('yard."tint of"', engine)).toEqual([expect.stringMatching(/a type of its own schema/)]);
  }
});

test('rows that are not listed stay without one, or are listed first', () => {
  const proposal = proposalOf(there, drawn, { rows: 9, against: 2, how: null });
  const finding = { object: { schema: 'port', table: 'lens' }, proposal } as const;
  expect(questionsFor(finding, drawn, {}).map(({ id, answers }) => [id, answers.map((answer) => answer.id)])).toEqual([
    ['orphans', ['leave', 'parents']],
    ['text', ['keep', 'rename', 'drop']],
  ]);
});
