// Scripts for the client of a server of the family. Every ALTER TABLE commits by itself, so there is no transaction around them; rows are
// changed in one each.

import { describeCheck } from '../../operations/check';
import { wayInWords } from '../../plan/cost';
import type { Entry, NotThereBefore } from '../../plan/record';
import type { TableId } from '../../catalogue/identifiers';
import type { Dialect, Stage } from '../dialect';
import { onOneLine, scriptsBy } from '../scripting';
import { byItself } from '../../operations/index';
import { bareBlocks, withoutQuotes } from './bare';
import { spelt } from './operations/writing';
import { comment, literal, note, quote, quoteTable } from './quote';
import type { Variant } from './variant';

/** How a server of the family is told what hangs on something, by its own client. */
export interface Client extends Pick<Dialect, 'stages' | 'check'> {
  readonly variant: Variant;
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
  /** Words that only quotes make a name of. */
  readonly reserved: ReadonlySet<string>;
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

export function scriptsFor(by: Client): Pick<Dialect, 'scripts' | 'statementScripts'> {
  const { stages, check, run, settings } = by;
  return scriptsBy({
    ...{ stages, check, comment, run },
    wayOf: ({ mode }) => (mode === 'plain' ? 'in a window of its own' : 'beside a server at work'),
    lockOf: ({ cost }) => wayInWords(cost),
    rollsBack: () => false,
    whole: (_, head, blocks) => [...head, '', settings, ...by.opens, '', ...blocks, ...by.closes, ''].join('\n'),
    wholeOfChecks: (head, blocks) => [...head, '', settings, '', ...blocks].join('\n'),
    asked: (each) => [`${check(each)};`],
    // Manual, "SIGNAL": a message has 128 characters.
    guards: (checks, outcome) =>
      checks.length === 0
        ? []
        : [checks.map((each) => by.guard(check(each), `${outcome}: ${describeCheck(each)}.`.slice(0, 128))).join('\n')],
    stage: (of, { stays, words }) =>
      by.stage(
        of,
        unlessFound(check(of.todo), stays, by),
        words === null
          ? null
          : {
              done: `${words}: done.`,
              before: `${words}: ${stays.length > 0 ? 'in force already, or there before' : 'in force already'}.`,
            },
      ),
    notes: (table, entries) => notes(table, entries, by),
    remembers: null,
    forgets: (table) => by.plainly(`drop table if exists ${quoteTable(table)}`),
    statementHead: () => [
      comment('Every ALTER TABLE commits by itself. Nothing in it looks at the rows, or at what is done already.'),
      settings,
    ],
    blocks: (operations, { mode }) =>
      mode === 'quiet'
        ? null
        : bareBlocks(operations.map(byItself)).map(({ words, statements }) => ({
            words,
            statements: statements
              .flatMap((statement) => spelt(statement, by.variant))
              .map((text) => by.bare(withoutQuotes(text, by.reserved))),
          })),
    bare: ({ statements, alone }) =>
      (alone ? statements : ['start transaction', ...statements, 'commit']).map((statement) =>
        by.bare(withoutQuotes(statement, by.reserved)),
      ),
  });
}

// In one statement: what is there already, and the table that says so.
function notes(table: TableId, entries: readonly Entry[], by: Client): string {
  const missing = by.check({ kind: 'tableMissing', table });
  const columns = entries.map(({ column, todo, words }) => {
    const text = `, ${recordColumn(column, words)}`;
    return `if((${onLines(by.check(todo))}) = 0, ${literal(text)}, '')`;
  });
  const [begin = '', end = ''] = recordAround(table);
  const made = [literal(begin), ...columns, literal(end)].map((part) => `  ${part}`).join(',\n');
  return [
    by.plainly(`set @pawl_record = if((\n${indent(missing, 2)}\n) > 0, concat(\n${made}\n), 'do 0')`),
    by.plainly('prepare pawl from @pawl_record'),
    by.plainly('execute pawl'),
    by.plainly('deallocate prepare pawl'),
  ].join('\n');
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

function unlessFound(query: string, stays: readonly NotThereBefore[], by: Client): string {
  if (stays.length === 0) return query;
  const free = stays.map((check) => `(\n${indent(by.check(check), 2)}\n) > 0`).join(' and ');
  return `select case when ${free} then (\n${indent(query, 2)}\n) else 0 end`;
}

/** A query within brackets: on one line while that is short. */
export function onLines(query: string): string {
  const line = onOneLine(query);
  return line.includes('\n') ? `\n${indent(query, 2)}\n` : line;
}

/** Further in, line by line; but not within quotes: a name may hold the end of a line. */
export function indent(text: string, by: number): string {
  const margin = ' '.repeat(by);
  return margin + text.replaceAll(quotedOrEnd, (part) => (part === '\n' ? `\n${margin}` : part));
}

const quotedOrEnd = /`(?:[^`]|``)*`|'(?:[^'\\]|\\.|'')*'|"(?:[^"\\]|\\.|"")*"|\n/gs;
