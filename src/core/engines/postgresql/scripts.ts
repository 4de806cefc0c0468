// Scripts for psql. Plain ones are one transaction: whatever fails, nothing is left half done. Quiet ones commit step by step, and go on
// where they stopped when they are run again.

import { type Check, describeCheck } from '../../operations/check';
import { blocksOthers } from '../../plan/cost';
import type { Plan } from '../../plan/shape';
import { visible } from '../../naming/visible';
import type { Stage } from '../dialect';
import { onOneLine, type StageScript, scriptsBy } from '../scripting';
import { writeCheck } from './checks';
import { stagesOf } from './operations/index';
import { comment, dollarQuoted, literal, quoteTable, tableText } from './quote';
import { recordsOnce } from './record';

// What is put off to the end of the transaction would keep a table that was repaired from being altered.
const allAtOnce = 'set constraints all immediate;';

export const { scripts, statementScripts } = scriptsBy({
  stages: stagesOf,
  check: writeCheck,
  comment,
  run: 'psql -f FILE',
  wayOf: ({ mode }) => (mode === 'plain' ? 'in one transaction' : 'step by step beside a server at work'),
  lockOf: ({ cost }) => `${cost.lock} lock`,
  rollsBack: ({ mode }) => mode === 'plain',
  whole(plan, head, blocks) {
    const plain = plan.mode === 'plain';
    const start = [...setUp(plan.mode), ...(plain ? ['begin;', "set local lock_timeout = '5s';", allAtOnce] : []), ':settings'];
    return [...head, '', ...start, '', ...blocks, ...(plain ? ['commit;'] : []), ''].join('\n');
  },
  wholeOfChecks: (head, blocks) => [...head, '', ...setUp('quiet'), '', ...blocks].join('\n'),
  asked: (check) => [':settings', `${writeCheck(check)};`],
  guards(checks, outcome) {
    if (checks.length === 0) return [];
    const body = ['begin', ...checks.flatMap((check) => refuseUnlessZero(check, outcome)), 'end'].join('\n');
    return [`${dollarQuoted(body)};`];
  },
  stage,
  notes: (table, entries) => [':settings', recordsOnce(table, entries)].join('\n'),
  // psql puts it into each question that follows; empty where there is no note.
  remembers(table) {
    const columns = `select attname from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass(${tableText(table)}) and attnum > 0 and not attisdropped`;
    return [`select array(${columns})::text as found`, '\\gset'].join('\n');
  },
  forgets: (table) => `drop table if exists ${quoteTable(table)};`,
  statementHead: ({ mode }) => [
    comment(mode === 'plain' ? 'All of it belongs into one transaction.' : 'Each by itself: indexes are built beside the work.'),
    comment('Nothing in it looks at the rows, or at what is done already.'),
  ],
  bare: ({ statements }) => statements.map((statement) => `${statement};\n`),
});

// A quiet step has several stages, and may have been interrupted between any two. psql keeps what a query
// returns in a variable, and leaves out what stands under a false condition (its manual, \gset and \if).
function stage(of: Stage, { plan, stays, words }: StageScript): string {
  const [before] = stays;
  const found = before ? ` and not ${literal(before.column)} = any (:'found'::text[])` : '';
  return [
    `:settings select (${onLines(writeCheck(of.todo))}) > 0${found} as todo \\gset`,
    '\\if :todo',
    ...inTransaction(of, plan).flatMap(safely),
    ...(words === null
      ? []
      : [`\\else \\echo ${echoed(`${words}: ${before ? 'in force already, or there before' : 'in force already'}.`)}`]),
    '\\endif',
  ].join('\n');
}

function onLines(query: string): string {
  const line = onOneLine(query);
  return line.includes('\n') ? `\n${indent(line, 2)}\n` : line;
}

// A line that psql prints: nothing in it can end the line or the text, or hide.
function echoed(text: string): string {
  return `'${visible(text).replaceAll('\\', '\\').replaceAll("'", "''")}'`;
}

// What opens or ends a transaction, or sets something, reads no name of the database.
function safely(statement: string): readonly string[] {
  return [/^(begin|commit|set )/.test(statement) ? `${statement};` : `:settings ${statement};`];
}

function inTransaction(stage: Stage, { mode }: Plan): readonly string[] {
  if (mode === 'plain') return stage.statements;
  const patience = `set lock_timeout = '${blocksOthers(stage.cost) ? '1s' : '10min'}'`;
  return stage.statements.length === 1 ? [patience, ...stage.statements] : [patience, 'begin', ...stage.statements, 'commit'];
}

// Nothing of the database stands in for a function or operator of the system, and no rows are hidden from a check. Said
// before each statement, where psql puts in what the variable holds: code of the database that the last one came by
// (triggers, expressions of indexes) may have changed it.
function setUp(mode: Plan['mode']): readonly string[] {
  const set = mode === 'plain' ? 'set local' : 'set';
  const settings = `${set} search_path = pg_catalog; ${set} row_security = off; ${set} standard_conforming_strings = on;`;
  return ['\\set ON_ERROR_STOP on', `\\set settings '${settings}'`];
}

function refuseUnlessZero(check: Check, outcome: string): readonly string[] {
  const message = literal(`${outcome}: ${describeCheck(check)}.`);
  const query = onLines(writeCheck(check)).replaceAll('\n', '\n  ');
  return [
    `  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (${query}) > 0 then`,
    `    raise exception using message = ${message}; end if;`,
  ];
}

function indent(text: string, by: number): string {
  return text
    .split('\n')
    .map((line) => ' '.repeat(by) + line)
    .join('\n');
}
