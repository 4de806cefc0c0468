// A plan as four readable scripts for psql. Each can be run again: what is in force already is left out, and
// said. Plain scripts are one transaction: whatever fails, nothing is left half done. Quiet ones commit step by
// step, and go on where they stopped when they are run again.

import { type Check, describeCheck, stopsScript } from '../../operations/check';
import { type Operation, operationInWords, todoOf } from '../../operations/index';
import { blocksInWords, blocksOthers } from '../../plan/cost';
import type { Plan, Step } from '../../plan/shape';
import { operationsOf } from '../../plan/direction';
import { entriesOf, type NotThereBefore, stayingBy } from '../../plan/record';
import { visible } from '../../naming/visible';
import { type Heading, type Scripts, type Stage, type StatementScripts } from '../dialect';
import { writeCheck } from './checks';
import { stagesOf } from './operations/index';
import { comment, dollarQuoted, literal, quoteTable, tableText } from './quote';
import { recordsOnce } from './record';
import { spelt } from '../../spelt';

const checksAtOnce = 'Each query below counts what speaks against the change; all must return zero.';

export function writeScripts(plan: Plan, heading: Heading): Scripts {
  const failed = plan.mode === 'plain' ? 'Everything was rolled back' : 'The steps are done';
  return {
    forward: inMode(plan, header('Forward', plan, heading), [
      ...section(
        'Checks before: the script stops here, with nothing changed, when one of them fails.',
        guard(plan.before.filter(stopsScript), 'Nothing was changed'),
      ),
      ...(plan.undo ? remembering(plan) : []),
      ...undoing(plan, plan.undo ?? []),
      ...noting(plan),
      ...plan.steps.flatMap((step, i) =>
        section(`Step ${i + 1} of ${plan.steps.length}: ${stepInWords(step)}`, carryOut(step.operation, plan)),
      ),
      ...section(
        `Checks after${plan.mode === 'plain' ? ': all is rolled back when one of them fails' : ''}.`,
        guard(plan.after, failed),
      ),
    ]),
    back: inMode(plan, header('Back', plan, heading), [
      ...remembering(plan),
      ...undoing(plan, operationsOf(plan, 'back')),
      ...forgetting(plan),
    ]),
    before: checks('Checks before', plan.before, plan, heading),
    after: checks('Checks after', plan.after, plan, heading),
  };
}

export function writeStatementScripts(plan: Plan, heading: Heading): StatementScripts {
  const written = (operations: readonly Operation[]): string =>
    operations
      .map((operation) => {
        const statements = bareStatements(operation, plan).map((statement) => `${statement};\n`);
        return `${comment(operationInWords(operation))}\n${statements.join('')}`;
      })
      .join('\n');
  const head = (direction: string, operations: readonly Operation[]): string =>
    [
      comment(`Pawl: ${heading.title}. ${direction}, statements only: ${operations.length} steps.`),
      comment(`For ${heading.source}, written ${heading.madeAt}.`),
      comment(
        plan.mode === 'plain' ? 'All of it belongs into one transaction.' : 'Each by itself: indexes are built beside the work.',
      ),
      comment('Nothing in it looks at the rows, or at what is done already.'),
      '',
    ].join('\n');
  const [forward, back] = [operationsOf(plan, 'forward'), operationsOf(plan, 'back')];
  return {
    forward: `${head('Forward', forward)}\n${written(forward)}`,
    back: `${head('Back', back)}\n${written(back)}`,
  };
}

// As they run when nothing was interrupted before.
function bareStatements(operation: Operation, { mode }: Plan): readonly string[] {
  return stagesOf(operation, mode).flatMap(({ statements, role }) => (role ? [] : statements));
}

function undoing(plan: Plan, operations: readonly Operation[]): readonly string[] {
  const stays = stayingBy(plan);
  return operations.flatMap((operation) =>
    section(`Undo: ${operationInWords(operation)}`, carryOut(operation, plan, stays(operation))),
  );
}

function noting(plan: Plan): readonly string[] {
  const { record } = plan;
  if (!record) return [];
  return section('Once, before the first run: what is there already is noted, for the way back to leave it.', [
    [':settings', recordsOnce(record.table, entriesOf(plan))].join('\n'),
  ]);
}

// psql puts it into each question that follows; empty where there is no note.
function remembering({ record }: Plan): readonly string[] {
  if (!record) return [];
  const columns = `select attname from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass(${tableText(record.table)}) and attnum > 0 and not attisdropped`;
  return section('What was there before the first run is left.', [
    [`select array(${columns})::text as found`, '\\gset'].join('\n'),
  ]);
}

function forgetting({ record }: Plan): readonly string[] {
  return record ? section('The note of what was there before.', [`drop table if exists ${quoteTable(record.table)};`]) : [];
}

// A quiet step has several stages, and may have been interrupted between any two. psql keeps what a query
// returns in a variable, and leaves out what stands under a false condition (its manual, \\gset and \\if).
function carryOut(operation: Operation, plan: Plan, stays: NotThereBefore | null = null): readonly string[] {
  const stages = stagesOf(operation, plan.mode);
  // The stage that does what the step is for; others clear up around it.
  const whole = spelt(todoOf(operation));
  const main = stages.findLastIndex((stage) => spelt(stage.todo) === whole);
  return stages.map((stage, i) =>
    [
      ':settings',
      `select (${onLines(writeCheck(stage.todo))}) > 0${stays ? ` and not ${literal(stays.column)} = any (:'found'::text[])` : ''} as todo`,
      '\\gset',
      '\\if :todo',
      ...inTransaction(stage, plan).flatMap(safely),
      ...(i === main
        ? [
            '\\else',
            `\\echo ${echoed(`${operationInWords(operation)}: ${stays ? 'in force already, or there before' : 'in force already'}.`)}`,
          ]
        : []),
      '\\endif',
    ].join('\n'),
  );
}

function onLines(query: string): string {
  return query.includes('\n') ? `\n${indent(query, 2)}\n` : query;
}

// A line that psql prints: nothing in it can end the line or the text, or hide.
function echoed(text: string): string {
  return `'${visible(text).replaceAll('\\', '\\\\').replaceAll("'", "''")}'`;
}

// What opens or ends a transaction, or sets something, reads no name of the database.
function safely(statement: string): readonly string[] {
  return /^(begin|commit|set )/.test(statement) ? [`${statement};`] : [':settings', `${statement};`];
}

function inTransaction(stage: Stage, { mode }: Plan): readonly string[] {
  if (mode === 'plain') return stage.statements;
  const patience = `set lock_timeout = '${blocksOthers(stage.cost) ? '1s' : '10min'}'`;
  return stage.statements.length === 1 ? [patience, ...stage.statements] : [patience, 'begin', ...stage.statements, 'commit'];
}

/** What an operation does, in words: for script comments and the docket's steps. */
function stepInWords({ operation, cost }: Step): string {
  return `${operationInWords(operation)} (${cost.lock} lock, blocks ${blocksInWords(cost)}; ${cost.work}).`;
}

function header(direction: string, plan: Plan, { title, source, madeAt }: Heading): readonly string[] {
  return [
    comment(
      `Pawl: ${title}. ${direction}, ${plan.mode === 'plain' ? 'in one transaction' : 'step by step beside a server at work'}.`,
    ),
    comment(`For ${source}, written ${madeAt}.`),
    comment(`${plan.steps.length} steps. Run with: psql -f FILE. It can be run again: what is done already is left out.`),
  ];
}

// What is put off to the end of the transaction would keep a table that was repaired from being altered.
const allAtOnce = 'set constraints all immediate;';

function inMode(plan: Plan, head: readonly string[], body: readonly string[]): string {
  const plain = plan.mode === 'plain';
  const start = [...setUp(plan.mode), ...(plain ? ['begin;', "set local lock_timeout = '5s';", allAtOnce] : []), ':settings'];
  return [...head, '', ...start, '', ...body, ...(plain ? ['commit;'] : []), ''].join('\n');
}

// Nothing of the database stands in for a function or operator of the system, and no rows are hidden from a check. Said
// before each statement, where psql puts in what the variable holds: code of the database that the last one came by
// (triggers, expressions of indexes) may have changed it.
function setUp(mode: Plan['mode']): readonly string[] {
  const set = mode === 'plain' ? 'set local' : 'set';
  const settings = `${set} search_path = pg_catalog; ${set} row_security = off; ${set} standard_conforming_strings = on;`;
  return ['\\set ON_ERROR_STOP on', `\\set settings '${settings}'`];
}

function section(title: string, blocks: readonly string[]): readonly string[] {
  return blocks.length === 0 ? [] : [comment(title), ...blocks.flatMap((block) => [block, ''])];
}

function checks(title: string, all: readonly Check[], plan: Plan, heading: Heading): string {
  const body = all.flatMap((check) => [comment(describeCheck(check)), ':settings', `${writeCheck(check)};`, '']);
  return [...header(title, plan, heading), comment(checksAtOnce), '', ...setUp('quiet'), '', ...body].join('\n');
}

function guard(checks: readonly Check[], outcome: string): readonly string[] {
  if (checks.length === 0) return [];
  const body = ['begin', ...checks.flatMap((check) => refuseUnlessZero(check, outcome)), 'end'].join('\n');
  return [`${dollarQuoted(body)};`];
}

function refuseUnlessZero(check: Check, outcome: string): readonly string[] {
  const message = literal(`${outcome}: ${describeCheck(check)}.`);
  return [
    "  perform pg_catalog.set_config('search_path', 'pg_catalog', true);",
    '  if (',
    indent(writeCheck(check), 4),
    '  ) > 0 then',
    `    raise exception using message = ${message};`,
    '  end if;',
  ];
}

function indent(text: string, by: number): string {
  return text
    .split('\n')
    .map((line) => ' '.repeat(by) + line)
    .join('\n');
}
