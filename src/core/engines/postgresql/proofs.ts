import type { TableId } from '../../catalogue/identifiers';
import { foreignKeysOf, getColumn, getTable, referencesTo } from '../../catalogue/lookups';
import type { Catalogue, Column, Table } from '../../catalogue/model';
import { type Claim, columnsOfClaim } from '../../evidence/claims';
import { type ActionProof, type BreakingProof, isRefusing } from '../../operations/proof';
import type { ActionTry } from '../dialect';
import { childRows, rowsOf } from './conditions';
import { literal, quote, quoteList, quoteTable } from './quote';

export function writeProof(proof: BreakingProof, catalogue: Catalogue): string {
  switch (proof.kind) {
    case 'null':
      return update(proof.table, `${quote(proof.column)} = null`, []);
    case 'repeat': {
      const list = quoteList(proof.columns);
      const first = `(select ${list} from ${rowsOf(proof.table, proof.only === true)} ${filled(proof.columns)} order by tableoid, ctid limit 1)`;
      const assignment = proof.columns.length === 1 ? `${list} = ${first}` : `(${list}) = ${first}`;
      return update(proof.table, assignment, proof.columns, { skip: 1, only: proof.only === true });
    }
    case 'check':
      return update(proof.table, againstClaim(proof.claim, proof.table, catalogue), columnsOfClaim(proof.claim));
    case 'orphan': {
      const at = freestOf(proof.reference.columns, proof.constraint, getTable(catalogue, proof.table));
      const child = proof.reference.columns[at] ?? '';
      const key = proof.reference.parentColumns[at] ?? '';
      const value = valueMissingFrom(
        proof.reference.parent,
        getColumn(catalogue, proof.reference.parent, key),
        getColumn(catalogue, proof.table, child),
      );
      const { only } = proof.reference;
      return update(proof.table, `${quote(child)} = ${value}`, proof.reference.columns, {
        only: only === 'child' || only === 'both',
      });
    }
  }
}

export function writeActionProof({ event, table, reference, constraint }: ActionProof, catalogue: Catalogue): ActionTry {
  const { columns, parent, parentColumns, only } = reference;
  const parents = rowsOf(parent, only === 'parent' || only === 'both');
  const children = childRows(table, reference);
  const isRow = (of: string, names: readonly string[], key: readonly string[]): string =>
    names.map((c, i) => `${of}${quote(c)} = ${literal(key[i] ?? '')}`).join(' and ');
  const match = columns.map((c, i) => `child.${quote(c)} = parent.${quote(parentColumns[i] ?? '')}`).join(' and ');
  const others = referencesTo(catalogue, parent)
    .filter(({ child, key }) => !(child.id === table && key.name === constraint))
    .filter(({ key }) => isRefusing(event === 'delete' ? key.onDelete : key.onUpdate))
    .map(({ child, key }) => {
      const match = key.columns.map((c, i) => `other.${quote(c)} = parent.${quote(key.parentColumns[i] ?? '')}`).join(' and ');
      return `select 1 from ${quoteTable(child.id)} as other where ${match}`;
    });
  return {
    pick: [
      `select ${parentColumns.map((c) => `parent.${quote(c)}::text`).join(', ')}`,
      `from ${children} as child`,
      `join ${parents} as parent on ${match}`,
      // Where another reference refuses, this one has nothing to show.
      ...otherwiseFree(others),
      'limit 1',
    ].join('\n'),
    statement: (key) => {
      const where = `where ${isRow('', parentColumns, key)}`;
      if (event === 'delete') return [`delete from ${parents}`, where].join('\n');
      const [changed = ''] = parentColumns;
      const column = getColumn(catalogue, parent, changed);
      const [child = ''] = columns;
      const value = valueMissingFrom(parent, column, getColumn(catalogue, table, child));
      return [`update ${parents}`, `set ${quote(changed)} = ${value}`, where].join('\n');
    },
    left: (key) => [`select count(*)`, `from ${children}`, `where ${isRow('', columns, key)}`].join('\n'),
  };
}

// Asked one after the other of each parent: joined all at once, a hundred children would keep the planner busy for seconds.
function otherwiseFree(others: readonly string[]): readonly string[] {
  if (others.length === 0) return [];
  return ['where case', ...others.map((query) => `  when exists (${query}) then false`), '  else true', 'end'];
}

// Of several columns, one that no other reference holds as well.
function freestOf(columns: readonly string[], constraint: string, table: Table): number {
  const held = foreignKeysOf(table).filter((key) => key.name !== constraint);
  const free = columns.findIndex((column) => !held.some((key) => key.columns.includes(column)));
  return Math.max(0, free);
}

function againstClaim(claim: Claim, table: TableId, catalogue: Catalogue): string {
  switch (claim.kind) {
    case 'notNegative':
      return `${quote(claim.column)} = -1`;
    case 'notBlank':
      return `${quote(claim.column)} = ' '`;
    case 'ofForm':
      return `${quote(claim.column)} = 'x'`;
    case 'noneOf':
      return `${quote(claim.column)} = ${literal(claim.values[0] ?? '')}`;
    case 'oneOf': {
      const { length } = getColumn(catalogue, table, claim.column);
      const strange = ['pawl', '~', '?', '!', '#'].find((text) => text.length <= (length ?? 9) && !claim.values.includes(text));
      return `${quote(claim.column)} = ${literal(strange ?? '')}`;
    }
    case 'ordered': {
      const { family } = getColumn(catalogue, table, claim.second);
      return `${quote(claim.first)} = ${quote(claim.second)} + ${family === 'timestamp' || family === 'time' ? "interval '1 hour'" : '1'}`;
    }
  }
}

// One real row is changed; `skip` takes a later one than the first.
function update(
  table: TableId,
  assignment: string,
  needed: readonly string[],
  { skip = 0, only = false }: { readonly skip?: number; readonly only?: boolean } = {},
): string {
  const rows = rowsOf(table, only);
  return [
    `update ${rows}`,
    `set ${assignment}`,
    'where (tableoid, ctid) = (',
    `  select tableoid, ctid from ${rows} ${filled(needed)} order by tableoid, ctid offset ${skip} limit 1`,
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
