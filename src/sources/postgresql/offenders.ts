// The rows behind a finding, read live and a page at a time: nothing of them is kept by Pawl.

import type pg from 'pg';
import { blankCondition, brokenCondition } from '../../core/engines/postgresql/claims';
import { orphanCondition, rowsOf } from '../../core/engines/postgresql/conditions';
import { quote, quoteList, tableText } from '../../core/engines/postgresql/quote';
import type { RowsQuestion } from '../../core/evidence/rows';
import type { Page, RowsPage } from '../source';
import { statementError } from './errors';

const longestValue = 80;

/** Throws SourceError, e.g. when the role may not read the table. */
export async function readOffenders(client: pg.Client, question: RowsQuestion, page: Page): Promise<RowsPage> {
  try {
    const { text, caption } = queryFor(question, await whoseRows(client, question));
    return await read(client, `${text} limit ${Math.trunc(page.limit) + 1} offset ${Math.trunc(page.offset)}`, page, caption);
  } catch (error) {
    throw statementError(error, `Reading rows of ${question.table}`);
  }
}

/** Keys and references look at a table's own rows: those of tables that inherit from it are left out, but for partitions. */
async function whoseRows(client: pg.Client, question: RowsQuestion): Promise<Whose> {
  if (question.kind !== 'orphans' && question.kind !== 'repeats') return { own: false, parents: false };
  const parent = question.kind === 'orphans' ? question.parent : question.table;
  const { rows } = await client.query<Whose>(
    `select ${[question.table, parent].map((id) => `(select relkind <> 'p' from pg_catalog.pg_class where oid = ${tableText(id)}::regclass)`).join(' as own, ')} as parents`,
  );
  return rows[0] ?? { own: false, parents: false };
}

interface Whose {
  readonly own: boolean;
  readonly parents: boolean;
}

function queryFor(question: RowsQuestion, { own, parents }: Whose): { readonly text: string; readonly caption: string } {
  const from = rowsOf(question.table, own);
  switch (question.kind) {
    case 'orphans': {
      const columns = question.columns.map((c) => `child.${quote(c)}`).join(', ');
      return {
        text: `select ${columns}, count(*) as "rows" from ${from} as child where ${orphanCondition({ ...question, ...(parents && { only: 'parent' }) })} group by ${columns} order by count(*) desc, ${columns}`,
        caption: 'Values without a parent, and how many rows carry them',
      };
    }
    case 'repeats': {
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
        text: `select * from ${from} where ${blankCondition(question.column)}`,
        caption: `Rows with a blank ${question.column}`,
      };
    case 'breaking':
      return { text: `select * from ${from} where ${brokenCondition(question.claim)}`, caption: 'Rows that speak against it' };
    case 'rows':
      return {
        text: `select ${question.columns.length > 0 ? quoteList(question.columns) : '*'} from ${from}`,
        caption: 'Rows as they are',
      };
  }
}

async function read(client: pg.Client, text: string, page: Page, caption: string): Promise<RowsPage> {
  const result = await client.query<(string | null)[]>({ text, rowMode: 'array', types: asText });
  return {
    caption,
    columns: result.fields.map((field) => field.name),
    rows: result.rows.slice(0, page.limit).map((row) => row.map(shown)),
    more: result.rows.length > page.limit,
  };
}

// Every value as the server spells it: these are shown, not computed with.
const asText = { getTypeParser: () => (value: string) => value };

function shown(value: string | null): string | null {
  return value !== null && value.length > longestValue ? `${value.slice(0, longestValue)}…` : value;
}
