// Open questions as one script for the client of a server of the family: each statement only reads, by itself, so that no table is held
// between two. What one question is refused keeps no other from its answer where the client is told to go on (--force).

import { letters, noValue, signs, space } from '../answerLines';
import type { Printable, PrintedQuestions } from '../dialect';
import type { EngineName } from '../name';
import { comment, literal } from './quote';
import { memory, type Variant } from './variant';

const statementMs = 600_000;

export interface Printing {
  readonly engine: EngineName;
  /** The command that runs a file there, and keeps what it writes. */
  readonly asks: (file: string, answers: string) => string;
}

export function printedFor(variant: Variant, { engine, asks }: Printing): (printed: PrintedQuestions) => string {
  const begin = `pawl|1|begin|__|${engine}|`;
  return ({ script, queries, title, answers }) =>
    [
      comment(`Pawl: ${title}. It only reads: ${queries.length} queries, each by itself.`),
      comment(`Run it with: ${asks('FILE', answers)}`),
      comment(`What it answers is then in ${answers}: bring that back.`),
      comment('Answers hold counts and the schema; values of rows only where that was allowed.'),
      'set names utf8mb4;',
      "set sql_mode = 'STRICT_TRANS_TABLES,ERROR_FOR_DIVISION_BY_ZERO,NO_ENGINE_SUBSTITUTION', time_zone = '+00:00', group_concat_max_len = 1048576;",
      `set lock_wait_timeout = 2, innodb_lock_wait_timeout = 2, tmp_table_size = ${memory}, max_heap_table_size = ${memory};`,
      `set ${variant.boundedBy(statementMs)};`,
      'set session transaction isolation level repeatable read, read only;',
      // Nobody who named a table could know it.
      'set @pawl_once = uuid();',
      line(begin.replace('__', script), [
        encoded('version()'),
        ...letters.map((letter) => literal(letter)),
        encoded("ifnull(database(), '')"),
      ]),
      ...queries.flatMap(({ id, query }) => ['', ...(query.runs ? runsEach(id, query, variant) : printedQuery(id, query))]),
      '',
      line(`pawl|1|end|${script}`, []),
      '',
    ].join('\n');
}

function line(start: string, fields: readonly string[]): string {
  return `select concat_ws('|', ${[literal(start.replace(/\|$/, '')), ...fields].join(', ')}) as pawl;`;
}

// A number of an error alone tells that there was one: without it, asking for it is the error.
function printedQuery(id: string, { text, columns }: Printable): readonly string[] {
  const names = Array.from({ length: columns }, (_, i) => `c${i + 1}`);
  const [, before = '', query = ''] = /^(set statement [\w =,]+ for )?(.*)$/s.exec(text.trim()) ?? [];
  return [
    'set @pawl_code = null;',
    `${before}with answer (${names.join(', ')}) as (${inOrder(query)})`,
    `select ${rowOf(id, names)} as pawl from answer;`,
    'get diagnostics condition 1 @pawl_code = mysql_errno;',
    'set @pawl_failed = @@error_count;',
    'set @pawl_rows = found_rows();',
    `select if(@pawl_failed > 0 and @pawl_code is not null, concat('pawl|1|error|${id}|', @pawl_code), concat('pawl|1|count|${id}|', @pawl_rows)) as pawl;`,
  ];
}

// The order of a query that another is made of is kept where it has a limit alone (manual, "ORDER BY in a derived table").
function inOrder(query: string): string {
  return /\border by [^()]*$/.test(query) && !/\blimit \d+( offset \d+)?$/.test(query)
    ? `${query} limit 18446744073709551615`
    : query;
}

function runsEach(id: string, { text }: Printable, variant: Variant): readonly string[] {
  const of = (name: string): string => `concat_ws('|', 'pawl|1|says|${id}', @pawl_once, ${encoded(name)}, ${literal('\t')})`;
  return [
    ...variant.runEach({ query: text, before: of, after: "concat('pawl|1|said|', @pawl_once)" }),
    `select concat('pawl|1|count|${id}|', @pawl_rows) as pawl;`,
  ];
}

const [percent, bar, ...others] = signs;

// Field by field only what could be taken for a field's end: the rest in the row as a whole.
function rowOf(id: string, names: readonly string[]): string {
  const fields = names.map((name) => `ifnull(${replaced(asText(name), [percent, bar])}, ${literal(noValue)})`);
  const spaced: Signs = [
    ['| ', `|${space}`],
    [' |', `${space}|`],
  ];
  const row = replaced(`concat_ws('|', '${id}', ${fields.join(', ')})`, [...others, ...spaced]);
  return `regexp_replace(${row}, ' $', ${literal(space)})`;
}

function encoded(text: string): string {
  const inner = replaced(asText(text), signs);
  return `regexp_replace(regexp_replace(${inner}, '^ ', ${literal(space)}), ' $', ${literal(space)})`;
}

type Signs = readonly (readonly [sign: string, code: string] | undefined)[];

function replaced(text: string, all: Signs): string {
  return all.reduce((inner, pair) => (pair ? `replace(${inner}, ${pair.map(literal).join(', ')})` : inner), text);
}

function asText(expression: string): string {
  return `convert(${expression} using utf8mb4) collate utf8mb4_bin`;
}
