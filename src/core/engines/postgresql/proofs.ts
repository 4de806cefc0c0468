import type { TableId } from '../../catalogue/identifiers';
import type { Column } from '../../catalogue/model';
import { filled, proofsBy } from '../asked/proofs';
import { quote, quoteList, quoteTable } from './quote';
import { livesOn, rowsOf, spelling } from './spelling';

export const { proof, actionProof } = proofsBy({
  ...spelling,
  valueMissingFrom,
  update: ({ id }, assignment, needed, only) => update(rowsOf(id, only), assignment, filled(spelling, needed), 0),
  repeat({ id }, { columns, only = false, among }) {
    const [list, rows] = [quoteList(columns), rowsOf(id, only)];
    const where = `${filled(spelling, columns)}${among?.live ? ` and ${livesOn(among.live)}` : ''}`;
    const first = `(select ${list} from ${rows} ${where} order by tableoid, ctid limit 1)`;
    return update(rows, columns.length === 1 ? `${list} = ${first}` : `(${list}) = ${first}`, where, 1);
  },
  later: ({ family }) => (family === 'timestamp' || family === 'time' ? "interval '1 hour'" : '1'),
  // Asked one after the other of each parent: joined all at once, a hundred children would keep the planner busy for seconds.
  noneOf: (queries) =>
    queries.length === 0
      ? []
      : ['where case', ...queries.map((query) => `  when exists (${query}) then false`), '  else true', 'end'],
});

// One real row is changed; `skip` takes a later one than the first.
function update(rows: string, assignment: string, where: string, skip: number): string {
  return [
    `update ${rows}`,
    `set ${assignment}`,
    'where (tableoid, ctid) = (',
    `  select tableoid, ctid from ${rows} ${where} order by tableoid, ctid offset ${skip} limit 1`,
    ')',
  ].join('\n');
}

function valueMissingFrom(parent: TableId, key: Column, child: Column): string {
  const table = quoteTable(parent);
  const name = quote(key.name);
  if (key.family === 'uuid') return 'pg_catalog.gen_random_uuid()';
  if (key.family === 'text') {
    const length = Math.min(child.length ?? 32, key.length ?? 32, 32);
    return `(select guess from (select pg_catalog.left(pg_catalog.md5(n::text), ${length}) as guess from pg_catalog.generate_series(1, 5000) as n) as guesses where not exists (select 1 from ${table} where ${name}::text = guess) limit 1)`;
  }
  return `(select pg_catalog.max(${name}) + 1 from ${table})`;
}
