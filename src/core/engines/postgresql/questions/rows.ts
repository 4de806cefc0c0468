// The rows behind a finding, read live and a page at a time: nothing of them is kept by Pawl.

import type { RowsQuestion } from '../../../evidence/rows';
import { type Asking, oneOf, type Page, type Row, type RowsPage } from '../../questions';
import { brokenCondition, orphanCondition, rowsOf, spelling } from '../spelling';
import { quote, quoteList, tableText } from '../quote';

const longestValue = 80;

export function* offenders(question: RowsQuestion, page: Page): Asking<RowsPage> {
  const { text, caption, values } = queryFor(question, yield* whoseRows(question));
  const limited = `${text} limit ${Math.trunc(page.limit) + 1} offset ${Math.trunc(page.offset)}`;
  const [answer] = yield [{ text: limited, columns: 0, givesData: true, ...(values && { values }) }];
  const { rows = [], names = [] } = answer ?? {};
  return {
    caption,
    columns: names,
    rows: rows.slice(0, page.limit).map((row: Row) => row.map(shown)),
    more: rows.length > page.limit,
  };
}

/** Keys and references look at a table's own rows: those of tables that inherit from it are left out, but for partitions. */
function* whoseRows(question: RowsQuestion): Asking<Whose> {
  if (question.kind !== 'orphans' && question.kind !== 'repeats') return { own: false, parents: false };
  const parent = question.kind === 'orphans' ? question.parent : question.table;
  const isOwn = [question.table, parent].map(
    (id) => `(select relkind <> 'p' from pg_catalog.pg_class where oid = ${tableText(id)}::regclass)`,
  );
  const [own, parents] = yield* oneOf({ text: `select ${isOwn.join(', ')}`, columns: 2 });
  return { own: own === 't', parents: parents === 't' };
}

interface Whose {
  readonly own: boolean;
  readonly parents: boolean;
}

interface Looked {
  readonly text: string;
  readonly caption: string;
  readonly values?: readonly string[];
}

function queryFor(question: RowsQuestion, { own, parents }: Whose): Looked {
  const from = rowsOf(question.table, own);
  switch (question.kind) {
    case 'orphans': {
      const columns = question.columns.map((c) => `child.${quote(c)}`).join(', ');
      return {
        text: `select ${columns}, count(*) as "rows" from ${from} as child where ${orphanCondition({ ...question, ...(parents && { only: 'parent' }) })} group by ${columns} order by count(*) desc, ${columns}`,
        caption: 'Values without a parent, and how many rows carry them',
      };
    }
    case 'repeats':
      return repeating(question, from);
    case 'values': {
      const column = quote(question.column);
      return {
        text: `select ${column}, count(*) as "rows" from ${from} group by ${column} order by count(*) desc, ${column}`,
        caption: 'Values, and how many rows carry them',
      };
    }
    case 'nulls':
      return {
        text: `select * from ${from} where ${quote(question.column)} is null`,
        caption: `Rows without ${question.column}`,
      };
    case 'blanks':
      return {
        text: `select * from ${from} where ${spelling.claims.blank(question.column)}`,
        caption: `Rows with a blank ${question.column}`,
      };
    case 'breaking':
      return { text: `select * from ${from} where ${brokenCondition(question.claim)}`, caption: 'Rows that speak against it' };
    case 'having':
      // The value takes the type of its column, so that an index serves.
      return {
        text: `select * from ${from} where ${equals(question.columns)}`,
        values: question.values,
        caption: `Rows with ${question.columns.map((c, n) => `${c} ${question.values[n]}`).join(', ')}`,
      };
    case 'howMany':
      return {
        text: `select count(*) from (select 1 from ${from} where ${equals(question.columns)} limit ${Math.trunc(question.most)}) as found`,
        values: question.values,
        caption: 'How many there are',
      };
    case 'rows':
      return {
        text: `select ${question.columns.length > 0 ? quoteList(question.columns) : '*'} from ${from}`,
        caption: 'Rows as they are',
      };
  }
}

function equals(columns: readonly string[]): string {
  return columns.map((column, n) => `${quote(column)} = $${n + 1}`).join(' and ');
}

function repeating(question: Extract<RowsQuestion, { kind: 'repeats' }>, from: string): Looked {
  const key = (of: string) =>
    question.columns.map((c) => (question.folded ? `lower(btrim(${of}${quote(c)}::text))` : of + quote(c)));
  const filled = question.columns.map((c) => `${quote(c)} is not null`).join(' and ');
  const alike = question.folded ? `count(distinct ${quote(question.columns[0] ?? '')}) > 1` : 'count(*) > 1';
  const names = question.columns.map((_, n) => `k${n}`);
  return {
    text: `with alike as (
        select ${key('')
          .map((by, n) => `${by} as k${n}`)
          .join(', ')}, count(*) as n
        from ${from} where ${filled} group by ${names.join(', ')} having ${alike}
      )
      select alike.n as "rows alike", repeat.* from alike join ${from} as repeat on ${key('repeat.')
        .map((by, n) => `${by} = alike.k${n}`)
        .join(' and ')}
      order by alike.n desc, ${names.map((name) => `alike.${name}`).join(', ')}, ${question.columns.map((c) => `repeat.${quote(c)}`).join(', ')}`,
    caption: 'The rows that are alike, group by group',
  };
}

function shown(value: string | null): string | null {
  return value !== null && value.length > longestValue ? `${value.slice(0, longestValue)}…` : value;
}
