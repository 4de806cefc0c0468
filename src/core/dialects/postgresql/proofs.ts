import type { TableId } from '../../catalogue/identifiers';
import { getColumn } from '../../catalogue/lookups';
import type { Catalogue, Column } from '../../catalogue/model';
import type { Proof } from '../../plan/proofs';
import { quote, quoteList, quoteTable } from './quote';

export function writeProof(proof: Proof, catalogue: Catalogue): string {
  switch (proof.kind) {
    case 'null':
      return update(proof.table, `${quote(proof.column)} = null`, []);
    case 'repeat': {
      const list = quoteList(proof.columns);
      const first = `(select ${list} from ${quoteTable(proof.table)} ${filled(proof.columns)} order by tableoid, ctid limit 1)`;
      return update(proof.table, proof.columns.length === 1 ? `${list} = ${first}` : `(${list}) = ${first}`, proof.columns, 1);
    }
    case 'orphan': {
      const [child = ''] = proof.reference.columns;
      const [key = ''] = proof.reference.parentColumns;
      const value = valueMissingFrom(
        proof.reference.parent,
        getColumn(catalogue, proof.reference.parent, key),
        getColumn(catalogue, proof.table, child),
      );
      return update(proof.table, `${quote(child)} = ${value}`, proof.reference.columns);
    }
  }
}

// One real row is changed; `skip` takes a later one than the first.
function update(table: TableId, assignment: string, needed: readonly string[], skip = 0): string {
  return [
    `update ${quoteTable(table)}`,
    `set ${assignment}`,
    'where (tableoid, ctid) = (',
    `  select tableoid, ctid from ${quoteTable(table)} ${filled(needed)} order by tableoid, ctid offset ${skip} limit 1`,
    ')',
  ].join('\n');
}

function filled(columns: readonly string[]): string {
  return columns.length === 0 ? '' : `where ${columns.map((c) => `${quote(c)} is not null`).join(' and ')}`;
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
