// An engine on paper, whose traits are the contrary of PostgreSQL's wherever there is one, over a database as large as the demo: a remedy,
// a plan or a sentence that speaks of what only another engine has would lie for it. What rules say is looked at by `test/architecture`.

import { describe, expect, test, vi } from 'vitest';
import { describeCheck } from '../src/core/operations/check';
import { operationInWords } from '../src/core/operations/index';
import type { EngineFacts, Traits } from '../src/core/engines/engineFacts';
import { planFor } from '../src/core/plan/plan';
import type { Question } from '../src/core/remedies/question';
import { wishes } from '../src/core/wishes/index';
import { keptSurvey } from './golden/kept';
import { type Choice, decidedBy } from './kit/answered';

const contrary: Traits = {
  transactionalDdl: false,
  outlivesCrashes: false,
  addedUnchecked: () => false,
  namedNotNull: true,
  viewsActForCallers: false,
  switchesReferences: true,
  defersReferences: false,
  actions: { delete: ['no action', 'cascade'], update: ['no action'] },
  feigned: [],
  nullsInUnique: 'alike',
  emptyTextIsNull: true,
  changesTriggers: false,
  renamesConstraints: false,
  renamesCheckedColumns: false,
  trustsWriters: true,
  ordersIndexes: true,
  indexesSome: false,
  nullsAlike: false,
};

vi.mock('../src/core/engines/facts', async (original) => {
  const real = await original<typeof import('../src/core/engines/facts')>();
  const paper = (facts: EngineFacts): EngineFacts => ({ ...facts, title: 'Paper', tried: null, traits: () => contrary });
  return {
    ...real,
    factsOf: (of: Parameters<typeof real.factsOf>[0]) => paper(real.factsOf(of)),
    traitsOf: () => contrary,
    notTriedInWords: () => real.untried(paper(real.factsOf({ engine: { name: 'postgresql', version: '15.0' } })), '1'),
  };
});

/** Words of some engine's own, none of which Paper knows. */
const strange =
  /\b(NOT VALID|DEFERRABLE|DEFERRED|InnoDB|sql_mode|REINDEX|CONCURRENTLY|VALIDATE CONSTRAINT|AUTO_INCREMENT|IDENTITY|USING INDEX|psql|PostgreSQL|MariaDB|MySQL|lock_timeout|pg_\w+|utf8mb4)\b/;

const survey = keptSurvey('postgresql');

const choices: Readonly<Record<string, Choice>> = {
  first: (allowed) => allowed[0],
  last: (allowed) => allowed.at(-1),
  'one after the other': (allowed, n) => allowed[n % allowed.length],
};

describe.each(Object.entries(choices))('of the remedies, with the answers: %s', (_, choose) => {
  test('nothing is offered that the engine has not, and nothing is said of others', async () => {
    const { catalogue, findings } = await survey;
    const told: string[] = [];
    const offered = new Set<string>();
    const chosen = findings.filter(({ proposal }) => proposal.kind !== 'byHand');
    const look = (questions: readonly Question[]): void => {
      for (const { id, title, answers } of questions) {
        told.push(title, ...answers.flatMap((answer) => [answer.title, answer.cost, answer.effect, answer.refused ?? '']));
        for (const answer of answers) if (answer.refused === null) offered.add(`${id} ${answer.id}`);
      }
    };
    const decided = chosen.map((finding, n) => ({
      finding,
      decision: decidedBy(finding, catalogue, (allowed) => choose(allowed, n), look),
    }));
    const plan = planFor(decided, catalogue, { label: 'paper', mode: 'plain' });
    expect(plan.steps.length).toBeGreaterThan(30);
    told.push(
      ...plan.steps.map(({ operation }) => operationInWords(operation)),
      ...plan.problems.map(({ message }) => message),
      ...[...plan.before, ...plan.after].map(describeCheck),
    );
    expect([...new Set(told.filter((text) => strange.test(text)))]).toEqual([]);
    expect([...offered].filter((one) => /^(onDelete|onUpdate|defer|rows)/.test(one)).sort()).toEqual([
      'onDelete cascade',
      'onDelete no action',
      'onUpdate no action',
    ]);
    for (const { operation } of plan.steps) {
      if (operation.kind === 'addForeignKey') {
        expect(contrary.actions.delete).toContain(operation.onDelete);
        expect(contrary.actions.update).toContain(operation.onUpdate);
        expect(operation.rows).toBe('checked');
        expect(operation.deferrable).toBe('no');
      }
    }
  });
});

test('an empty text is no default where it is no value', async () => {
  const { catalogue } = await survey;
  const [table] = catalogue.tables.filter(({ columns }) =>
    columns.some(({ family, default: given }) => family === 'text' && given === null),
  );
  const column = table?.columns.find(({ family, default: given }) => family === 'text' && given === null);
  const why = (text: string) =>
    wishes.default.problem(
      { kind: 'default', table: table!.id, column: column!.name, value: { kind: 'constant', text } },
      {
        table: table!,
        catalogue,
      },
    );
  expect([why(''), why('open')]).toEqual([`An empty text is null to this server: ${column?.name} would have no default.`, null]);
});
