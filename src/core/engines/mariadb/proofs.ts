import type { TableId } from '../../catalogue/identifiers';
import { foreignKeysOf, getColumn, getTable, primaryKeyOf, referencesTo } from '../../catalogue/lookups';
import type { Catalogue, Column, Table } from '../../catalogue/model';
import { type Claim, columnsOfClaim } from '../../evidence/claims';
import { type ActionProof, type BreakingProof, isRefusing, type Proof } from '../../operations/proof';
import type { ActionTry } from '../dialect';
import { literal, quote, quoteList, quoteTable } from './quote';
import { baseOf } from './types';

/** By changing rows only: a row that is added uses up a number, whether it is refused or not. */
export function writeProof(proof: BreakingProof, catalogue: Catalogue): string {
  const table = getTable(catalogue, proof.table);
  switch (proof.kind) {
    case 'null':
      return update(table, `${quote(proof.column)} = null`, []);
    case 'repeat': {
      // A derived table: what is changed may not be asked in the same breath otherwise.
      const values = proof.columns.map(
        (c) =>
          `${quote(c)} = (select first.${quote(c)} from (select ${quoteList(proof.columns)} from ${quoteTable(proof.table)} ${filled(proof.columns)}${inOrder(table)} limit 1) as first)`,
      );
      return updateAnother(table, values.join(', '), proof.columns);
    }
    case 'check':
      return update(table, againstClaim(proof.claim, proof.table, catalogue), columnsOfClaim(proof.claim));
    case 'orphan': {
      const { columns, parent, parentColumns } = proof.reference;
      const at = freestOf(columns, proof.constraint, table);
      const [child, key] = [
        getColumn(catalogue, proof.table, columns[at] ?? ''),
        getColumn(catalogue, parent, parentColumns[at] ?? ''),
      ];
      return update(table, `${quote(child.name)} = ${valueMissingFrom(parent, key, child)}`, columns);
    }
  }
}

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

export function writeActionProof({ event, table, reference, constraint }: ActionProof, catalogue: Catalogue): ActionTry {
  const { columns, parent, parentColumns } = reference;
  const isRow = (names: readonly string[], key: readonly string[]): string =>
    names.map((c, i) => `${quote(c)} = ${literal(key[i] ?? '')}`).join(' and ');
  const match = columns.map((c, i) => `child.${quote(c)} = parent.${quote(parentColumns[i] ?? '')}`).join(' and ');
  const others = referencesTo(catalogue, parent)
    .filter(({ child, key }) => !(child.id === table && key.name === constraint))
    .filter(({ key }) => isRefusing(event === 'delete' ? key.onDelete : key.onUpdate))
    .map(({ child, key }) => {
      const own = key.columns.map((c, i) => `other.${quote(c)} = parent.${quote(key.parentColumns[i] ?? '')}`).join(' and ');
      return `not exists (select 1 from ${quoteTable(child.id)} as other where ${own})`;
    });
  return {
    pick: [
      `select ${parentColumns.map((c) => `parent.${quote(c)}`).join(', ')}`,
      `from ${quoteTable(table)} as child`,
      `join ${quoteTable(parent)} as parent on ${match}`,
      // Where another reference refuses, this one has nothing to show.
      ...(others.length > 0 ? [`where ${others.join('\n  and ')}`] : []),
      'limit 1',
    ].join('\n'),
    statement: (key) => {
      const where = `where ${isRow(parentColumns, key)}`;
      if (event === 'delete') return [`delete from ${quoteTable(parent)}`, where].join('\n');
      const [changed = ''] = parentColumns;
      const [child = ''] = columns;
      const value = valueMissingFrom(parent, getColumn(catalogue, parent, changed), getColumn(catalogue, table, child));
      return [`update ${quoteTable(parent)}`, `set ${quote(changed)} = ${value}`, where].join('\n');
    },
    left: (key) => ['select count(*)', `from ${quoteTable(table)}`, `where ${isRow(columns, key)}`].join('\n'),
  };
}

// Of several columns, one that no other reference holds as well.
function freestOf(columns: readonly string[], constraint: string, table: Table): number {
  const held = foreignKeysOf(table).filter((key) => key.name !== constraint);
  return Math.max(
    0,
    columns.findIndex((column) => !held.some((key) => key.columns.includes(column))),
  );
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
      const known = claim.values.map((value) => value.toLowerCase());
      const strange = ['pawl', '~', '?', '!', '#'].find((text) => text.length <= (length ?? 9) && !known.includes(text));
      return `${quote(claim.column)} = ${literal(strange ?? '')}`;
    }
    case 'ordered': {
      const { family } = getColumn(catalogue, table, claim.second);
      const later = family === 'integer' || family === 'decimal' || family === 'float' ? '1' : 'interval 1 day';
      return `${quote(claim.first)} = ${quote(claim.second)} + ${later}`;
    }
  }
}

// One real row is changed, the first by the key.
function update(table: Table, assignment: string, needed: readonly string[]): string {
  const where = filled(needed);
  return [
    `update ${quoteTable(table.id)}`,
    `set ${assignment}`,
    ...(where === '' ? [] : [where]),
    `${inOrder(table).trim()}${inOrder(table) === '' ? '' : ' '}limit 1`,
  ].join('\n');
}

// The last by the key: another than the first where there are two.
function updateAnother(table: Table, assignment: string, needed: readonly string[]): string {
  const key = primaryKeyOf(table)?.columns ?? needed;
  const order = key.map((c) => `${quote(c)} desc`).join(', ');
  return [`update ${quoteTable(table.id)}`, `set ${assignment}`, filled(needed), `order by ${order} limit 1`].join('\n');
}

function inOrder(table: Table): string {
  const key = primaryKeyOf(table)?.columns ?? [];
  return key.length === 0 ? '' : ` order by ${quoteList(key)}`;
}

function filled(columns: readonly string[]): string {
  return columns.length === 0 ? '' : `where ${columns.map((c) => `${quote(c)} is not null`).join(' and ')}`;
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
