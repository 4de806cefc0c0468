// The rows behind a finding, read live and a page at a time: nothing of them is kept by Pawl.

import type pg from 'pg';
import { tableId } from '../../core/catalogue/identifiers';
import { orphanCondition } from '../../core/dialects/postgresql/checks';
import { quote, quoteList, quoteTable } from '../../core/dialects/postgresql/quote';
import type { OffenderQuestion, Page, RowsPage } from '../source';
import { statementError } from './errors';

const longestValue = 80;

/** Throws SourceError, e.g. when the role may not read the table. */
export async function readOffenders(client: pg.Client, { object, proposal }: OffenderQuestion, page: Page): Promise<RowsPage> {
  const table = tableId(object.schema, object.table);
  const from = quoteTable(table);
  const limits = `limit ${Math.trunc(page.limit) + 1} offset ${Math.trunc(page.offset)}`;
  try {
    if (proposal.kind === 'foreignKey') {
      const columns = proposal.columns.map((c) => `child.${quote(c)}`).join(', ');
      const parent = tableId(proposal.references.schema, proposal.references.table);
      const orphans = orphanCondition({ columns: proposal.columns, parent, parentColumns: proposal.references.columns });
      const text = `select ${columns}, count(*) as "rows" from ${from} as child where ${orphans} group by ${columns} order by count(*) desc, ${columns} ${limits}`;
      return await read(client, text, page, 'Values without a parent, and how many rows carry them');
    }
    if (proposal.kind === 'rename') return { caption: '', columns: [], rows: [], more: false };
    const text = `select ${object.columns.length > 0 ? quoteList(object.columns) : '*'} from ${from} ${limits}`;
    return await read(client, text, page, 'Rows as they are');
  } catch (error) {
    throw statementError(error, `Reading rows of ${table}`);
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
