// From a finding and what was decided about it to the operations that mend it. Names are given by
// the house style and never collide with what is there or with another remedy of the same plan.

import { tableId, type TableId } from '../catalogue/identifiers';
import { foreignKeysOf, getTable, isIndexed, keyColumnsOf, sideTablePrefix } from '../catalogue/lookups';
import type { Catalogue, ReferentialAction, Table } from '../catalogue/model';
import { isProposable, type KeyCandidate } from '../evidence/keys';
import { freeName, type HouseStyle, type NamedKind, namesTaken } from '../naming/style';
import type { AddForeignKey, Operation } from '../plan/operations';
import { tableOf } from '../rules/audit';
import type { Finding, Proposal } from '../rules/rule';
import { completeDecision, type Decision, naturalAnswer, questionsFor } from './questions';

export interface Naming {
  readonly catalogue: Catalogue;
  readonly style: HouseStyle;
  /** Names given so far, by schema; grows as names are given. */
  readonly taken: Map<string, Set<string>>;
  /** Ends the names of side tables, to tell dockets apart: `d12`. */
  readonly label: string;
}

export function startNaming(catalogue: Catalogue, style: HouseStyle, label: string): Naming {
  return { catalogue, style, taken: new Map(), label };
}

/** The operations that mend a finding. Anything not decided is decided as advised. */
export function operationsFor(finding: Finding, chosen: Decision, naming: Naming): readonly Operation[] {
  const table = getTable(naming.catalogue, tableOf(finding.object));
  const decision = completeDecision(questionsFor(finding, naming.catalogue), chosen);
  const { proposal } = finding;
  switch (proposal.kind) {
    case 'primaryKey':
    case 'surrogateKey':
      return keyOperations(finding, table, decision, naming);
    case 'foreignKey':
      return referenceOperations(proposal, table, decision, naming);
    case 'unique':
      return [
        { kind: 'addUnique', table: table.id, columns: proposal.columns, name: give(naming, 'unique', table, proposal.columns) },
      ];
    case 'notNull':
      return proposal.columns.map((column) => ({ kind: 'setNotNull', table: table.id, column }));
    case 'index':
      return [
        { kind: 'createIndex', table: table.id, columns: proposal.columns, name: give(naming, 'index', table, proposal.columns) },
      ];
    case 'validate': {
      const { columns, name, references } = proposal;
      const reference = { columns, parent: tableId(references.schema, references.table), parentColumns: references.columns };
      return [{ kind: 'validateConstraint', table: table.id, name, reference, before: asItIs(table, name) }];
    }
    case 'byHand':
      throw new Error(`There is no script for ${finding.rule} on ${table.id}: it takes somebody's thought.`);
    case 'rename':
      return [{ kind: 'renameConstraint', table: table.id, from: proposal.from, to: proposal.to }];
  }
}

function keyOperations(finding: Finding, table: Table, decision: Decision, naming: Naming): readonly Operation[] {
  const { candidates, surrogate } = finding.facts as { candidates: readonly KeyCandidate[]; surrogate: string };
  const natural = candidates.find((key) => naturalAnswer(key.columns) === decision['key']);
  const primary = (columns: readonly string[]): Operation => ({
    kind: 'addPrimaryKey',
    table: table.id,
    columns,
    name: give(naming, 'primary key', table, []),
    nullableBefore: table.columns.filter((c) => columns.includes(c.name) && c.nullable).map((c) => c.name),
  });
  if (natural) return [primary(natural.columns)];
  const beside = candidates.find(isProposable);
  const unique: readonly Operation[] = beside
    ? [{ kind: 'addUnique', table: table.id, columns: beside.columns, name: give(naming, 'unique', table, beside.columns) }]
    : [];
  return [{ kind: 'addIdentityColumn', table: table.id, column: surrogate }, primary([surrogate]), ...unique];
}

function referenceOperations(
  proposal: Extract<Proposal, { kind: 'foreignKey' }>,
  table: Table,
  decision: Decision,
  naming: Naming,
): readonly Operation[] {
  const parent = tableId(proposal.references.schema, proposal.references.table);
  const reference = { columns: proposal.columns, parent, parentColumns: proposal.references.columns };
  const name = give(naming, 'foreign key', table, proposal.columns, proposal.references.table);
  const operations: Operation[] = [];
  if (decision['orphans'] === 'empty' || decision['orphans'] === 'remove') {
    operations.push({
      kind: 'setAsideOrphans',
      table: table.id,
      reference,
      how: decision['orphans'],
      rowKey: keyColumnsOf(table),
      columns: table.columns.filter((c) => c.generated === null).map((c) => c.name),
      sideTable: sideTable(naming, table),
    });
  }
  if (!isIndexed(table, proposal.columns)) {
    operations.push({
      kind: 'createIndex',
      table: table.id,
      columns: proposal.columns,
      name: give(naming, 'index', table, proposal.columns),
    });
  }
  operations.push({
    kind: 'addForeignKey',
    table: table.id,
    name,
    ...reference,
    onDelete: (decision['onDelete'] ?? 'no action') as ReferentialAction,
    onUpdate: 'no action',
    match: 'simple',
    deferrable: 'no',
  });
  if (decision['orphans'] !== 'leave')
    operations.push({ kind: 'validateConstraint', table: table.id, name, reference, before: null });
  return operations;
}

/** The operation that would make a foreign key of the table as it is, but for its validation. */
function asItIs(table: Table, name: string): AddForeignKey | null {
  const key = foreignKeysOf(table).find((constraint) => constraint.name === name);
  if (!key) return null;
  const { columns, parent, parentColumns, onDelete, onUpdate, match, deferrable } = key;
  return { kind: 'addForeignKey', table: table.id, name, columns, parent, parentColumns, onDelete, onUpdate, match, deferrable };
}

function give(naming: Naming, kind: NamedKind, table: Table, columns: readonly string[], parent?: string): string {
  const taken = takenIn(naming, table.schema);
  const name = freeName(naming.style, { kind, table: table.name, columns, ...(parent !== undefined && { parent }) }, taken);
  taken.add(name);
  return name;
}

function sideTable(naming: Naming, table: Table): string {
  const taken = takenIn(naming, table.schema);
  let n = 1;
  while (taken.has(`${sideTablePrefix}${naming.label}_${n}`)) n++;
  const name = `${sideTablePrefix}${naming.label}_${n}`;
  taken.add(name);
  return name;
}

function takenIn(naming: Naming, schema: string): Set<string> {
  let taken = naming.taken.get(schema);
  if (!taken) naming.taken.set(schema, (taken = namesTaken(naming.catalogue, schema)));
  return taken;
}

export function tablesTouched(operations: readonly Operation[]): ReadonlySet<TableId> {
  return new Set(operations.map((operation) => operation.table));
}

/** Those touched, and the parents that their references need. */
export function tablesNeeded(operations: readonly Operation[]): ReadonlySet<TableId> {
  const parents = operations.flatMap((operation) =>
    operation.kind === 'addForeignKey'
      ? [operation.parent]
      : operation.kind === 'setAsideOrphans'
        ? [operation.reference.parent]
        : [],
  );
  return new Set([...tablesTouched(operations), ...parents]);
}
