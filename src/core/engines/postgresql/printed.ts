// Open questions as one script that psql runs: read-only, bounded in time, each answer a line of encoded fields. What one
// question is refused keeps no other from its answer.

import { noValue, signs, space } from '../answerLines';
import type { PrintedQuestions } from '../dialect';
import { comment, literal } from './quote';

const settings = [
  'set local search_path = pg_catalog',
  'set local row_security = off',
  "set local timezone = 'UTC'",
  "set local datestyle = 'ISO, YMD'",
  'set local statement_timeout = 600000',
  'set local lock_timeout = 2000',
  'set local max_parallel_workers_per_gather = 0',
  'set local jit = off',
].join('; ');

export function printed({ script, queries, title, answers }: PrintedQuestions): string {
  return [
    comment(`Pawl: ${title}. It only reads: ${queries.length} queries in one read-only transaction.`),
    comment(`Run it with: psql -X -f FILE -d DATABASE. What it answers is written to ${answers}: bring that back.`),
    comment('Answers hold counts and the schema; values of rows only where that was allowed.'),
    '\\set ON_ERROR_STOP off',
    '\\set QUIET on',
    '\\encoding UTF8',
    '\\pset format unaligned',
    '\\pset tuples_only on',
    '\\pset expanded off',
    "\\pset recordsep '\\n'",
    '\\pset footer off',
    '\\pset pager off',
    `\\set settings '${settings.replaceAll("'", "''")};'`,
    `\\o ${answers}`,
    'begin isolation level repeatable read read only;',
    ':settings',
    `select ${literal(`pawl|1|begin|${script}|postgresql|`)} || ${encoded("current_setting('server_version')")} || U&'|\\00E9|\\00D8|' || ${encoded('current_database()')};`,
    'savepoint question;',
    ...queries.flatMap(({ id, query }) => printedQuery(id, query.text, query.columns)),
    'rollback;',
    `\\qecho 'pawl|1|end|${script}'`,
    '\\o',
    `\\echo 'The answers are in ${answers}. Bring that file back to Pawl.'`,
    '',
  ].join('\n');
}

// Whether it failed is asked before the next statement says otherwise.
function printedQuery(id: string, text: string, columns: number): readonly string[] {
  const names = Array.from({ length: columns }, (_, i) => `c${i + 1}`);
  // As the type's own output function spells it, as for any client.
  const texts = names.map((name) => `case when ${name} is not null then format('%s', ${name}) end`);
  return [
    '',
    ':settings',
    `select ${literal(`${id}|`)} || (`,
    `  select string_agg(case when field is null then ${literal(noValue)} else ${encoded('field')} end, '|' order by place)`,
    `  from unnest(array[${texts.join(', ')}]) with ordinality as fields (field, place)`,
    ')',
    `from (${text.trim()}`,
    `) as answer (${names.join(', ')});`,
    '\\set failed :ERROR',
    '\\set code :SQLSTATE',
    '\\set found :ROW_COUNT',
    '\\if :failed',
    'rollback to savepoint question;',
    `\\qecho pawl|1|error|${id}|:code`,
    '\\else',
    `\\qecho pawl|1|count|${id}|:found`,
    '\\endif',
  ];
}

function encoded(text: string): string {
  const inner = signs.reduce((all, [sign, code]) => `replace(${all}, ${literal(sign)}, ${literal(code)})`, text);
  return `regexp_replace(regexp_replace(${inner}, '^ ', ${literal(space)}), ' $', ${literal(space)})`;
}
