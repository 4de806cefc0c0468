// A plan as four readable scripts for the server's own client. Each can be run again: what is in force already is left out, and
// said. Every ALTER TABLE commits by itself, so there is no transaction around them; rows are changed in one each.

import { type Check, describeCheck, stopsScript } from '../../operations/check';
import { byItself, type Operation, operationInWords, todoOf } from '../../operations/index';
import { blocksInWords, wayInWords } from '../../plan/cost';
import type { Plan, Step } from '../../plan/shape';
import { operationsOf } from '../../plan/direction';
import { entriesOf, type Entry, stayingBy } from '../../plan/record';
import type { TableId } from '../../catalogue/identifiers';
import type { Dialect, Heading, Scripts, Stage, StatementScripts } from '../dialect';
import { comment, literal, note, quote, quoteTable } from './quote';
import { spelt } from '../../spelt';

/** How a server of the family is told what hangs on something, by its own client. */
export interface Scripting {
  readonly stages: Dialect['stages'];
  readonly check: Dialect['check'];
  /** How a file is run. */
  readonly run: string;
  /** What the meaning of all that follows hangs on. */
  readonly settings: string;
  /** Around all that hangs on something. */
  readonly opens: readonly string[];
  readonly closes: readonly string[];
  /** Stops the script, in words, where a query counts anything. */
  guard(query: string, says: string): string;
  /** Carries a stage out where a query counts anything; what is said then, and what else. */
  stage(stage: Stage, query: string, says: Says | null): string;
  /** A statement that hangs on nothing. */
  plainly(statement: string): string;
  /** A statement of those that are only to be read. */
  bare(statement: string): string;
}

export interface Says {
  readonly done: string;
  readonly before: string;
}

/** Strict: without it a NOT NULL turns nulls into zeros. No mode that changes how quotes are read. `own`: rules that only this server has. */
export function settingsWith(...own: readonly string[]): string {
  const rules = [
    'foreign_key_checks = 1',
    'unique_checks = 1',
    ...own,
    'lock_wait_timeout = 10',
    'innodb_lock_wait_timeout = 10',
  ];
  return [
    'set names utf8mb4;',
    `set sql_mode = 'STRICT_TRANS_TABLES,ERROR_FOR_DIVISION_BY_ZERO,NO_ENGINE_SUBSTITUTION,NO_AUTO_VALUE_ON_ZERO', ${rules.join(', ')};`,
    'set session transaction isolation level read committed;',
  ].join('\n');
}

const checksAtOnce = 'Each query below counts what speaks against the change; all must return zero.';

export function scriptsBy(by: Scripting): Pick<Dialect, 'scripts' | 'statementScripts'> {
  return {
    scripts: (plan, heading) => writeScripts(plan, heading, by),
    statementScripts: (plan, heading) => writeStatementScripts(plan, heading, by),
  };
}

function writeScripts(plan: Plan, heading: Heading, by: Scripting): Scripts {
  return {
    forward: whole(header('Forward', plan, heading, by), by, [
      ...section(
        'Checks before: the script stops here, with nothing changed, when one of them fails.',
        guards(plan.before.filter(stopsScript), 'Nothing was changed', by),
      ),
      ...undoing(plan, plan.undo ?? [], by),
      ...noting(plan, by),
      ...plan.steps.flatMap((step, i) =>
        section(`Step ${i + 1} of ${plan.steps.length}: ${stepInWords(step)}`, carryOut(step.operation, plan, by)),
      ),
      ...section('Checks after.', guards(plan.after, 'The steps are done', by)),
    ]),
    back: whole(header('Back', plan, heading, by), by, [
      ...undoing(plan, operationsOf(plan, 'back'), by),
      ...forgetting(plan, by),
    ]),
    before: checks('Checks before', plan.before, header('Checks before', plan, heading, by), by),
    after: checks('Checks after', plan.after, header('Checks after', plan, heading, by), by),
  };
}

function writeStatementScripts(plan: Plan, heading: Heading, by: Scripting): StatementScripts {
  const written = (operations: readonly Operation[]): string =>
    operations
      .map((operation) => {
        const stages = by.stages(operation, plan.mode).filter(({ role }) => role === undefined);
        const statements = stages.flatMap(({ statements: own, alone }) =>
          (alone ? own : ['start transaction', ...own, 'commit']).map((statement) => by.bare(statement)),
        );
        const above = operation.carried ? ': in the rebuild above.' : '';
        return `${comment(`${operationInWords(operation)}${above}`)}\n${statements.join('')}`;
      })
      .join('\n');
  const head = (direction: string, operations: readonly Operation[]): string =>
    [
      comment(`Pawl: ${heading.title}. ${direction}, statements only: ${operations.length} steps.`),
      comment(`For ${heading.source}, written ${heading.madeAt}.`),
      comment('Every ALTER TABLE commits by itself. Nothing in it looks at the rows, or at what is done already.'),
      by.settings,
      '',
    ].join('\n');
  const [forward, back] = [operationsOf(plan, 'forward'), operationsOf(plan, 'back')];
  return {
    forward: `${head('Forward', forward)}\n${written(forward)}`,
    back: `${head('Back', back)}\n${written(back)}`,
  };
}

function undoing(plan: Plan, operations: readonly Operation[], by: Scripting): readonly string[] {
  const stays = stayingBy(plan);
  return operations.flatMap((operation) =>
    section(`Undo: ${operationInWords(operation)}`, [
      ...carryOut(operation, plan, by, staying(operation, stays)),
      // What one rebuild would have undone together is undone by itself where some of it stays.
      ...((operation.also ?? []).some(stays) ? carryOut(byItself(operation), plan, by, staying(byItself(operation), stays)) : []),
    ]),
  );
}

/** What counts nothing where something of it was there before. */
function staying(operation: Operation, stays: (back: Operation) => Check | null): readonly Check[] {
  return [operation, ...(operation.also ?? [])].flatMap((each) => stays(each) ?? []);
}

// In one statement: what is there already, and the table that says so.
function noting(plan: Plan, by: Scripting): readonly string[] {
  const { record } = plan;
  if (!record) return [];
  const missing = by.check({ kind: 'tableMissing', table: record.table });
  const columns = entriesOf(plan).map(({ column, todo, words }) => {
    const text = `, ${recordColumn(column, words)}`;
    return `if((\n${indent(by.check(todo), 4)}\n  ) = 0, ${literal(text)}, '')`;
  });
  const [begin = '', end = ''] = recordAround(record.table);
  const made = [literal(begin), ...columns, literal(end)].map((part) => `  ${part}`).join(',\n');
  return section('Once, before the first run: what is there already is noted, for the way back to leave it.', [
    [
      by.plainly(`set @pawl_record = if((\n${indent(missing, 2)}\n) > 0, concat(\n${made}\n), 'do 0')`),
      by.plainly('prepare pawl from @pawl_record'),
      by.plainly('execute pawl'),
      by.plainly('deallocate prepare pawl'),
    ].join('\n'),
  ]);
}

function forgetting({ record }: Plan, by: Scripting): readonly string[] {
  if (!record) return [];
  return section('The note of what was there before.', [by.plainly(`drop table if exists ${quoteTable(record.table)}`)]);
}

/** The record of what was there before a docket's first run: a table without rows, a column for each thing that was. */
export function makesRecord(table: TableId, found: readonly Pick<Entry, 'column' | 'words'>[]): readonly string[] {
  const [begin = '', end = ''] = recordAround(table);
  return [[begin, ...found.map(({ column, words }) => `, ${recordColumn(column, words)}`), end].join('')];
}

function recordAround(table: TableId): readonly string[] {
  return [`create table ${quoteTable(table)} (pawl int primary key`, ') engine = InnoDB'];
}

function recordColumn(column: string, words: string): string {
  return `${quote(column)} int comment ${note(`There before: ${words}`.slice(0, 250))}`;
}

function carryOut(operation: Operation, plan: Plan, by: Scripting, stays: readonly Check[] = []): readonly string[] {
  const stages = by.stages(operation, plan.mode);
  const all = spelt(todoOf(operation));
  const main = stages.findLastIndex((stage) => spelt(stage.todo) === all);
  const words = operationInWords(operation);
  const already = `${words}: ${stays.length > 0 ? 'in force already, or there before' : 'in force already'}.`;
  return stages.map((stage, i) =>
    by.stage(
      stage,
      unlessFound(by.check(stage.todo), stays, by),
      i === main ? { done: `${words}: done.`, before: already } : null,
    ),
  );
}

function unlessFound(query: string, stays: readonly Check[], by: Scripting): string {
  if (stays.length === 0) return query;
  const free = stays.map((check) => `(\n${indent(by.check(check), 2)}\n) > 0`).join(' and ');
  return `select case when ${free} then (\n${indent(query, 2)}\n) else 0 end`;
}

function stepInWords({ operation, cost }: Step): string {
  return `${operationInWords(operation)} (${wayInWords(cost)}, blocks ${blocksInWords(cost)}; ${cost.work}).`;
}

function header(direction: string, plan: Plan, { title, source, madeAt }: Heading, { run }: Scripting): readonly string[] {
  return [
    comment(`Pawl: ${title}. ${direction}, ${plan.mode === 'plain' ? 'in a window of its own' : 'beside a server at work'}.`),
    comment(`For ${source}, written ${madeAt}.`),
    comment(`${plan.steps.length} steps. Run with: ${run}. It can be run again: what is done already is left out.`),
  ];
}

function whole(head: readonly string[], { settings, opens, closes }: Scripting, body: readonly string[]): string {
  return [...head, '', settings, ...opens, '', ...body, ...closes, ''].join('\n');
}

function section(title: string, blocks: readonly string[]): readonly string[] {
  return blocks.length === 0 ? [] : [comment(title), ...blocks.flatMap((block) => [block, ''])];
}

function checks(title: string, all: readonly Check[], head: readonly string[], by: Scripting): string {
  const body = all.flatMap((check) => [comment(describeCheck(check)), `${by.check(check)};`, '']);
  return [...head, comment(checksAtOnce), '', by.settings, '', ...body].join('\n');
}

function guards(all: readonly Check[], outcome: string, by: Scripting): readonly string[] {
  // Manual, "SIGNAL": a message has 128 characters.
  return all.map((check) => by.guard(by.check(check), `${outcome}: ${describeCheck(check)}.`.slice(0, 128)));
}

/** Further in, line by line; but not within quotes: a name may hold the end of a line. */
export function indent(text: string, by: number): string {
  const margin = ' '.repeat(by);
  return margin + text.replaceAll(quotedOrEnd, (part) => (part === '\n' ? `\n${margin}` : part));
}

const quotedOrEnd = /`(?:[^`]|``)*`|'(?:[^'\\]|\\.|'')*'|"(?:[^"\\]|\\.|"")*"|\n/gs;
