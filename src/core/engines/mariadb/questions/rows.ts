// The rows behind a finding, read live and a page at a time: nothing of them is kept by Pawl.

import type { TableId } from '../../../catalogue/identifiers';
import type { RowsQuestion } from '../../../evidence/rows';
import { type Asking, type Page, type Row, type RowsPage, rowsOf } from '../../questions';
import { brokenCondition, orphanCondition, spelling } from '../spelling';
import { isNull, isTable, literal, quote, quoteTable } from '../quote';
import { readableValue } from './values';

const longestValue = 80;

export function* offenders(question: RowsQuestion, page: Page): Asking<RowsPage> {
  const { text, caption } = queryFor(question, yield* columnsOf(question.table));
  const limited = `${text} limit ${Math.trunc(page.limit) + 1} offset ${Math.trunc(page.offset)}`;
  const [answer] = yield [{ text: limited, columns: 0, givesData: true }];
  const { rows = [], names = [] } = answer ?? {};
  return {
    caption,
    columns: names,
    rows: rows.slice(0, page.limit).map((row: Row) => row.map(shown)),
    more: rows.length > page.limit,
  };
}

interface Told {
  readonly name: string;
  readonly type: string;
}

/** All of them, those too that `select *` leaves out, in their order. */
function* columnsOf(table: TableId): Asking<readonly Told[]> {
  const rows = yield* rowsOf({
    text: `select column_name, column_type from information_schema.columns where ${isTable(table)} order by ordinal_position`,
    columns: 2,
  });
  return rows.map(([name, type]) => ({ name: name ?? '', type: type ?? '' }));
}

interface Looked {
  readonly text: string;
  readonly caption: string;
}

function queryFor(question: RowsQuestion, columns: readonly Told[]): Looked {
  const from = quoteTable(question.table);
  const readable = (name: string): string =>
    `${readableValue(name, columns.find((column) => column.name === name)?.type ?? '')} as ${quote(name)}`;
  const all = columns.map(({ name }) => readable(name)).join(', ');
  const having = (names: readonly string[], values: readonly string[]): string =>
    names.map((name, i) => `${asRead(name, columns)} = ${literal(values[i] ?? '')}`).join(' and ');
  switch (question.kind) {
    case 'orphans': {
      const by = question.columns.map((c) => `child.${quote(c)}`).join(', ');
      return {
        text: `select ${by}, count(*) as ${quote('rows')} from ${from} as child where ${orphanCondition(question)} group by ${by} order by count(*) desc, ${by}`,
        caption: 'Values without a parent, and how many rows carry them',
      };
    }
    case 'repeats':
      return repeating(question, from, columns);
    case 'values': {
      const column = quote(question.column);
      return {
        text: `select ${readable(question.column)}, count(*) as ${quote('rows')} from ${from} group by ${column} order by count(*) desc, ${column}`,
        caption: 'Values, and how many rows carry them',
      };
    }
    case 'nulls':
      return {
        text: `select ${all} from ${from} where ${isNull(quote(question.column))}`,
        caption: `Rows without ${question.column}`,
      };
    case 'blanks':
      return {
        text: `select ${all} from ${from} where ${spelling.claims.blank(question.column)}`,
        caption: `Rows with a blank ${question.column}`,
      };
    case 'breaking':
      return {
        text: `select ${all} from ${from} where ${brokenCondition(question.claim)}`,
        caption: 'Rows that speak against it',
      };
    case 'having':
      return {
        text: `select ${all} from ${from} where ${having(question.columns, question.values)}`,
        caption: `Rows with ${question.columns.map((c, n) => `${c} ${question.values[n]}`).join(', ')}`,
      };
    case 'howMany':
      return {
        text: `select count(*) from (select 1 from ${from} where ${having(question.columns, question.values)} limit ${Math.trunc(question.most)}) as found`,
        caption: 'How many there are',
      };
    case 'rows':
      return {
        text: `select ${question.columns.length > 0 ? question.columns.map(readable).join(', ') : all} from ${from}`,
        caption: 'Rows as they are',
      };
  }
}

// Bytes are read as hexadecimal, and compared so; all else as the server compares it.
function asRead(name: string, columns: readonly Told[]): string {
  return readableValue(name, columns.find((column) => column.name === name)?.type ?? '');
}

function repeating(question: Extract<RowsQuestion, { kind: 'repeats' }>, from: string, columns: readonly Told[]): Looked {
  const key = (of: string) =>
    question.columns.map((name) =>
      question.folded ? spelling.folded({ name }).replace(quote(name), of + quote(name)) : of + quote(name),
    );
  const filled = question.columns.map((c) => `${quote(c)} is not null`).join(' and ');
  const alike = question.folded ? `count(distinct binary ${quote(question.columns[0] ?? '')}) > 1` : 'count(*) > 1';
  const names = question.columns.map((_, n) => `k${n}`);
  const own = columns
    .map(({ name, type }) => `${readableValue(name, type).replace(quote(name), `again.${quote(name)}`)} as ${quote(name)}`)
    .join(', ');
  return {
    text: `select alike.n as ${quote('rows alike')}, ${own}
      from (
        select sql_big_result ${key('')
          .map((by, n) => `${by} as k${n}`)
          .join(', ')}, count(*) as n
        from ${from} where ${filled} group by ${names.join(', ')} having ${alike}
      ) as alike
      join ${from} as again on ${key('again.')
        .map((by, n) => `${by} = alike.k${n}`)
        .join(' and ')}
      order by alike.n desc, ${names.map((name) => `alike.${name}`).join(', ')}, ${question.columns.map((c) => `again.${quote(c)}`).join(', ')}`,
    caption: 'The rows that are alike, group by group',
  };
}

function shown(value: string | null): string | null {
  return value !== null && value.length > longestValue ? `${value.slice(0, longestValue)}…` : value;
}
