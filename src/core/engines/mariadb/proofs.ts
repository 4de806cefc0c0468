import type { TableId } from '../../catalogue/identifiers';
import { getColumn, getTable, primaryKeyOf } from '../../catalogue/lookups';
import type { Catalogue, Column, Table } from '../../catalogue/model';
import type { Proof } from '../../operations/proof';
import { filled, proofsBy } from '../asked/proofs';
import { quote, quoteList, quoteTable } from './quote';
import { spelling } from './spelling';
import { baseOf } from './types';

/** By changing rows only: a row that is added uses up a number, whether it is refused or not. */
export const { proof, actionProof } = proofsBy({
  ...spelling,
  valueMissingFrom,
  // The first by the key.
  update(table, assignment, needed) {
    const where = filled(spelling, needed);
    const one = `${inOrder(table)} limit 1`.trim();
    return [`update ${quoteTable(table.id)}`, `set ${assignment}`, ...(where === '' ? [] : [where]), one].join('\n');
  },
  // The last by the key: another than the first where there are two.
  repeat(table, { columns }) {
    const [from, where] = [quoteTable(table.id), filled(spelling, columns)];
    // A derived table: what is changed may not be asked in the same breath otherwise.
    const values = columns.map(
      (c) =>
        `${quote(c)} = (select first.${quote(c)} from (select ${quoteList(columns)} from ${from} ${where}${inOrder(table)} limit 1) as first)`,
    );
    const order = (primaryKeyOf(table)?.columns ?? columns).map((c) => `${quote(c)} desc`).join(', ');
    return [`update ${from}`, `set ${values.join(', ')}`, where, `order by ${order} limit 1`].join('\n');
  },
  later: ({ family }) => (family === 'integer' || family === 'decimal' || family === 'float' ? '1' : 'interval 1 day'),
  noneOf: (queries) =>
    queries.length === 0 ? [] : [`where ${queries.map((query) => `not exists (${query})`).join('\n  and ')}`],
});

/** What a trigger does cannot be known, nor what an engine without transactions would take back. */
export function whyNotTried(proof: Proof, catalogue: Catalogue): string | null {
  // Manual, "TIMESTAMP": what is given nothing takes the present moment, refused or not.
  if (proof.kind === 'null' && baseOf(getColumn(catalogue, proof.table, proof.column).declaredType) === 'timestamp')
    return `${proof.column} is a timestamp, which takes the present moment where it is given nothing: so it was not tried.`;
  const ids = proof.kind === 'action' ? [proof.reference.parent, proof.table] : [proof.table];
  for (const id of new Set(ids)) {
    const { storage, triggers, versioned } = getTable(catalogue, id);
    if (storage?.transactional === false)
      return `${id} is kept by ${storage.engine}: what is tried there would stay, so it was not tried.`;
    const [trigger] = triggers;
    if (trigger)
      return `${trigger.name} fires on ${id}, and what it writes to tables without transactions would stay: so it was not tried.`;
    if (versioned) return `${id} keeps its former rows: what is tried there would be among them, so it was not tried.`;
  }
  if (catalogue.unknown.includes('triggers'))
    return 'This login cannot see triggers, and what they do could stay: so it was not tried.';
  return null;
}

function inOrder(table: Table): string {
  const key = primaryKeyOf(table)?.columns ?? [];
  return key.length === 0 ? '' : ` order by ${quoteList(key)}`;
}

function valueMissingFrom(parent: TableId, key: Column, child: Column): string {
  const table = quoteTable(parent);
  const name = quote(key.name);
  if (key.family === 'uuid') return 'uuid()';
  if (key.family === 'text') {
    const length = Math.min(child.length ?? 32, key.length ?? 32, 32);
    // A derived table: what is changed may not be asked in the same breath otherwise.
    return `(select free.text from (with recursive n (i) as (select 1 union all select i + 1 from n where i < 900) select left(sha2(i, 256), ${length}) as text from n where not exists (select 1 from ${table} where ${name} = left(sha2(i, 256), ${length})) limit 1) as free)`;
  }
  if (key.family === 'date' || key.family === 'timestamp')
    return `(select most + interval 1 day from (select max(${name}) as most from ${table}) as known)`;
  return `(select most + 1 from (select max(${name}) as most from ${table}) as known)`;
}
