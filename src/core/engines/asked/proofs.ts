// Rules that are tried on purpose, of rows that are there; what is tried is the same on every engine, how a row is taken is its own.

import type { TableId } from '../../catalogue/identifiers';
import { columnOf, foreignKeysOf, getColumn, getTable, referencesTo } from '../../catalogue/lookups';
import type { Catalogue, Column, Table } from '../../catalogue/model';
import { type Claim, columnsOfClaim } from '../../evidence/claims';
import { type ActionProof, type BreakingProof, isRefusing } from '../../operations/proof';
import type { ActionTry, Dialect } from '../dialect';
import { DialectError } from '../DialectError';
import type { Spelling } from './spelling';

export interface Proving extends Spelling {
  /** Changes one real row of those that have all that is needed. */
  readonly update: (table: Table, assignment: string, needed: readonly string[], only: boolean) => string;
  /** Gives one row what another has. */
  readonly repeat: (table: Table, proof: Extract<BreakingProof, { kind: 'repeat' }>) => string;
  /** A value that no parent has, and the child can hold. */
  readonly valueMissingFrom: (parent: TableId, key: Column, child: Column) => string;
  /** What is added to a value for a later one. */
  readonly later: (column: Column) => string;
  /** A condition that none of these queries finds anything; nothing where there are none. */
  readonly noneOf: (queries: readonly string[]) => readonly string[];
}

const onlyChild = ({ only }: BreakingOrphan['reference']): boolean => only === 'child' || only === 'both';
type BreakingOrphan = Extract<BreakingProof, { kind: 'orphan' }>;

export function proofsBy(by: Proving): Pick<Dialect, 'proof' | 'actionProof'> {
  return {
    proof: (proof, catalogue) => breaking(by, proof, catalogue),
    actionProof: (proof, catalogue) => acting(by, proof, catalogue),
  };
}

function breaking(by: Proving, proof: BreakingProof, catalogue: Catalogue): string {
  const table = getTable(catalogue, proof.table);
  switch (proof.kind) {
    case 'null':
      return by.update(table, `${by.quote(proof.column)} = null`, [], false);
    case 'repeat':
      return by.repeat(table, proof);
    case 'check':
      return by.update(table, againstClaim(by, proof.claim, table), columnsOfClaim(proof.claim), false);
    case 'orphan': {
      const { columns, parent, parentColumns } = proof.reference;
      const at = freestOf(columns, proof.constraint, table);
      const child = getColumn(catalogue, table.id, columns[at] ?? '');
      const value = by.valueMissingFrom(parent, getColumn(catalogue, parent, parentColumns[at] ?? ''), child);
      return by.update(table, `${by.quote(child.name)} = ${value}`, columns, onlyChild(proof.reference));
    }
  }
}

function acting(by: Proving, { event, table, reference, constraint }: ActionProof, catalogue: Catalogue): ActionTry {
  const { quote } = by;
  const { columns, parent, parentColumns, only } = reference;
  const parents = by.rowsOf(parent, only === 'parent' || only === 'both');
  const children = by.rowsOf(table, onlyChild(reference));
  const isRow = (names: readonly string[], key: readonly string[]): string =>
    names.map((c, i) => `${quote(c)} = ${by.literal(key[i] ?? '')}`).join(' and ');
  const matching = (of: string, own: readonly string[], keys: readonly string[]): string =>
    own.map((c, i) => `${of}.${quote(c)} = parent.${quote(keys[i] ?? '')}`).join(' and ');
  const others = referencesTo(catalogue, parent)
    .filter(({ child, key }) => !(child.id === table && key.name === constraint))
    .filter(({ key }) => isRefusing(event === 'delete' ? key.onDelete : key.onUpdate))
    .map(
      ({ child, key }) =>
        `select 1 from ${by.rowsOf(child.id, false)} as other where ${matching('other', key.columns, key.parentColumns)}`,
    );
  return {
    pick: [
      `select ${parentColumns.map((c) => by.asText(`parent.${quote(c)}`)).join(', ')}`,
      `from ${children} as child`,
      `join ${parents} as parent on ${matching('child', columns, parentColumns)}`,
      // Where another reference refuses, this one has nothing to show.
      ...by.noneOf(others),
      'limit 1',
    ].join('\n'),
    statement: (key) => {
      const where = `where ${isRow(parentColumns, key)}`;
      if (event === 'delete') return [`delete from ${parents}`, where].join('\n');
      const [[changed = ''], [child = '']] = [parentColumns, columns];
      const value = by.valueMissingFrom(parent, getColumn(catalogue, parent, changed), getColumn(catalogue, table, child));
      return [`update ${parents}`, `set ${quote(changed)} = ${value}`, where].join('\n');
    },
    left: (key) => ['select count(*)', `from ${children}`, `where ${isRow(columns, key)}`].join('\n'),
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

function againstClaim({ quote, literal, later }: Proving, claim: Claim, table: Table): string {
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
      const { length } = columnOf(table, claim.column);
      const known = claim.values.map((value) => value.toLowerCase());
      const strange = ['pawl', '~', '?', '!', '#'].find((text) => text.length <= (length ?? 9) && !known.includes(text));
      return `${quote(claim.column)} = ${literal(strange ?? '')}`;
    }
    case 'ordered':
      return `${quote(claim.first)} = ${quote(claim.second)} + ${later(columnOf(table, claim.second))}`;
    case 'between':
      return `${quote(claim.column)} = ${claim.most === null ? `${claim.least} - 1` : `${claim.most} + 1`}`;
    case 'like':
      return `${quote(claim.column)} = ''`;
    case 'noLonger':
      return `${quote(claim.column)} = repeat('x', ${claim.characters + 1})`;
    case 'asWritten':
      return `${quote(claim.column)} = '007'`;
    case 'condition':
      throw new DialectError('What breaks a condition of somebody’s own, nobody can tell from it.');
    case 'decimals':
      return `${quote(claim.column)} = 0.${'0'.repeat(claim.most)}1`;
    // Clocks were put forward on that night nearly everywhere where they are.
    case 'inZone':
      return `${quote(claim.column)} = '2024-03-31 02:30:00'`;
  }
}

/** Of rows that have all of these. */
export function filled({ quote }: Pick<Spelling, 'quote'>, columns: readonly string[]): string {
  return columns.length === 0 ? '' : `where ${columns.map((c) => `${quote(c)} is not null`).join(' and ')}`;
}
