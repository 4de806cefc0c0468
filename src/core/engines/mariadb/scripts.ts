// A plan as four readable scripts for the server's own client. Each can be run again: what is in force already is left out, and
// said. Every ALTER TABLE commits by itself, so there is no transaction around them; rows are changed in one each.

import { type Check, describeCheck } from '../../operations/check';
import { type Operation, operationInWords, todoOf } from '../../operations/index';
import { blocksInWords } from '../../plan/cost';
import type { Plan, Step } from '../../plan/plan';
import { operationsOf } from '../../plan/direction';
import type { Heading, Scripts, Stage, StatementScripts } from '../dialect';
import { writeCheck } from './checks';
import { stagesOf } from './operations/index';
import { comment, literal } from './quote';

const checksAtOnce = 'Each query below counts what speaks against the change; all must return zero.';

export function writeScripts(plan: Plan, heading: Heading): Scripts {
  return {
    forward: whole(header('Forward', plan, heading), [
      ...section(
        'Checks before: the script stops here, with nothing changed, when one of them fails.',
        guards(plan.before.filter(isOfRows), 'Nothing was changed'),
      ),
      ...undoing(plan, plan.undo ?? []),
      ...plan.steps.flatMap((step, i) =>
        section(`Step ${i + 1} of ${plan.steps.length}: ${stepInWords(step)}`, carryOut(step.operation, plan)),
      ),
      ...section('Checks after.', guards(plan.after, 'The steps are done')),
    ]),
    back: whole(header('Back', plan, heading), undoing(plan, operationsOf(plan, 'back'))),
    before: checks('Checks before', plan.before, plan, heading),
    after: checks('Checks after', plan.after, plan, heading),
  };
}

export function writeStatementScripts(plan: Plan, heading: Heading): StatementScripts {
  const written = (operations: readonly Operation[]): string =>
    operations
      .map((operation) => {
        const stages = stagesOf(operation, plan.mode).filter(({ role }) => role !== 'cleans up');
        const statements = stages.flatMap(({ statements: own, alone }) =>
          (alone ? own : ['start transaction', ...own, 'commit']).map(delimited),
        );
        return `${comment(operationInWords(operation))}\n${statements.join('')}`;
      })
      .join('\n');
  const head = (direction: string, operations: readonly Operation[]): string =>
    [
      comment(`Pawl: ${heading.title}. ${direction}, statements only: ${operations.length} steps.`),
      comment(`For ${heading.source}, written ${heading.madeAt}.`),
      comment('Every ALTER TABLE commits by itself. Nothing in it looks at the rows, or at what is done already.'),
      settings,
      '',
    ].join('\n');
  const [forward, back] = [operationsOf(plan, 'forward'), operationsOf(plan, 'back')];
  return {
    forward: `${head('Forward', forward)}\n${written(forward)}`,
    back: `${head('Back', back)}\n${written(back)}`,
  };
}

// A block has semicolons of its own.
function delimited(statement: string): string {
  return statement.startsWith('begin not atomic') ? `delimiter //\n${statement}//\ndelimiter ;\n` : `${statement};\n`;
}

function undoing(plan: Plan, operations: readonly Operation[]): readonly string[] {
  return operations.flatMap((operation) => section(`Undo: ${operationInWords(operation)}`, carryOut(operation, plan)));
}

/** What speaks against it in the rows; whether a step is in force already is asked beside the step. */
function isOfRows({ kind }: Check): boolean {
  return ['notAllowed', 'nulls', 'repeats', 'orphans', 'breaking', 'unfilled', 'rowMissing'].includes(kind);
}

// A block a stage: the server runs what stands under a condition outside of programs too (manual, "Using Compound Statements
// Outside of Stored Programs").
function carryOut(operation: Operation, plan: Plan): readonly string[] {
  const stages = stagesOf(operation, plan.mode);
  const whole = JSON.stringify(todoOf(operation));
  const main = stages.findLastIndex((stage) => JSON.stringify(stage.todo) === whole);
  return stages.map((stage, i) => {
    const say = (what: string): string => `  select ${literal(`${operationInWords(operation)}: ${what}.`)} as pawl;`;
    return [
      'begin not atomic',
      ...(stage.alone ? [] : ['declare exit handler for sqlexception begin rollback; resignal; end;']),
      'if (',
      indent(writeCheck(stage.todo), 2),
      ') > 0 then',
      ...statementsOf(stage).map((statement) => `${indent(statement.replace(/^begin not atomic/, 'begin'), 2)};`),
      ...(i === main ? [say('done'), 'else', say('in force already')] : []),
      'end if;',
      'end//',
    ].join('\n');
  });
}

function statementsOf({ statements, alone }: Stage): readonly string[] {
  return alone ? statements : ['start transaction', ...statements, 'commit'];
}

function stepInWords({ operation, cost }: Step): string {
  return `${operationInWords(operation)} (${cost.lock}, blocks ${blocksInWords(cost)}; ${cost.work}).`;
}

function header(direction: string, plan: Plan, { title, source, madeAt }: Heading): readonly string[] {
  return [
    comment(`Pawl: ${title}. ${direction}, ${plan.mode === 'plain' ? 'in a window of its own' : 'beside a server at work'}.`),
    comment(`For ${source}, written ${madeAt}.`),
    comment(
      `${plan.steps.length} steps. Run with: mariadb --abort-source-on-error --show-warnings DATABASE < FILE. It can be run again: what is done already is left out.`,
    ),
  ];
}

// Strict: without it a NOT NULL turns nulls into zeros. No mode that changes how quotes are read.
const settings = [
  'set names utf8mb4;',
  "set sql_mode = 'STRICT_TRANS_TABLES,ERROR_FOR_DIVISION_BY_ZERO,NO_ENGINE_SUBSTITUTION,NO_AUTO_VALUE_ON_ZERO', foreign_key_checks = 1, unique_checks = 1, check_constraint_checks = 1, lock_wait_timeout = 10, innodb_lock_wait_timeout = 10;",
  'set session transaction isolation level read committed;',
].join('\n');

function whole(head: readonly string[], body: readonly string[]): string {
  return [...head, '', settings, 'delimiter //', '', ...body, 'delimiter ;', ''].join('\n');
}

function section(title: string, blocks: readonly string[]): readonly string[] {
  return blocks.length === 0 ? [] : [comment(title), ...blocks.flatMap((block) => [block, ''])];
}

function checks(title: string, all: readonly Check[], plan: Plan, heading: Heading): string {
  const body = all.flatMap((check) => [comment(describeCheck(check)), `${writeCheck(check)};`, '']);
  return [...header(title, plan, heading), comment(checksAtOnce), '', settings, '', ...body].join('\n');
}

function guards(all: readonly Check[], outcome: string): readonly string[] {
  return all.map((check) =>
    [
      'if (',
      indent(writeCheck(check), 2),
      ') > 0 then',
      // Manual, "SIGNAL": a message has 128 characters.
      `  signal sqlstate '45000' set message_text = ${literal(`${outcome}: ${describeCheck(check)}.`.slice(0, 128))};`,
      'end if//',
    ].join('\n'),
  );
}

function indent(text: string, by: number): string {
  return text
    .split('\n')
    .map((line) => ' '.repeat(by) + line)
    .join('\n');
}
