// From a finding and what was decided about it to the operations that mend it. Names are given by
// the house style and never collide with what is there or with another remedy of the same plan.

import { tableId, type TableId } from '../catalogue/identifiers';
import { findTable, foreignKeysOf, isIndexed, primaryKeyOf, referencesTo, uniqueIndexOver } from '../catalogue/lookups';
import type { Catalogue, ForeignKey, ReferentialAction, Table } from '../catalogue/model';
import { columnsOfClaim } from '../evidence/claims';
import { isProposable, type KeyCandidate } from '../evidence/keys';
import {
  type AddForeignKey,
  type Operation,
  type Reference,
  type ReplaceKey,
  type ValidateConstraint,
  validations,
} from '../plan/operations';
import { Refusal } from '../plan/refusal';
import { tableOf } from '../rules/audit';
import type { Finding, ProposedParent, Proposal } from '../rules/rule';
import { chosenKey } from './keyQuestions';
import { give, type Naming } from './names';
import { withParent } from './parentQuestion';
import { completeDecision, type Decision } from './question';
import { questionsFor } from './questions';
import { brokenRepairs, nullRepairs, orphanRepairs, repeatRepairs, standInRepairs } from './repairs';

/** The operations that mend a finding. Anything not decided is decided as advised. Throws a Refusal that says why there is nothing to do. */
export function operationsFor(finding: Finding, chosen: Decision, naming: Naming): readonly Operation[] {
  const table = findTable(naming.catalogue, tableOf(finding.object));
  if (!table) throw new Refusal(`${tableOf(finding.object)} is not there any more. Survey again.`);
  const decision = completeDecision(questionsFor(finding, naming.catalogue, chosen), chosen);
  const { proposal } = finding;
  switch (proposal.kind) {
    case 'primaryKey':
    case 'surrogateKey':
      return keyOperations(finding, table, decision, naming);
    case 'replaceKey':
      return replaceOperations(proposal, table, decision, naming);
    case 'foreignKey':
      if (decision['unmeasured'] === 'wait')
        throw new Refusal(
          `Whether ${proposal.columns.join(', ')} of ${table.id} refers to ${proposal.references.table} was not measured. Survey it exactly, or decide to script it all the same.`,
        );
      return referenceOperations(withParent(finding, proposal, naming.catalogue, decision).proposal, table, decision, naming);
    case 'unique':
      return [addUnique(table, proposal.columns, naming)];
    case 'promote':
      return [{ ...addUnique(table, proposal.columns, naming), index: proposal.index }];
    case 'repeats':
      return [...repeatRepairs(proposal, table, decision, naming), addUnique(table, proposal.columns, naming)];
    case 'notNull':
      return proposal.columns.map((column) => ({ kind: 'setNotNull', table: table.id, column }));
    case 'nulls':
      return [
        ...nullRepairs(proposal, table, decision, naming),
        ...proposal.columns.map((column) => ({ kind: 'setNotNull', table: table.id, column }) as const),
      ];
    case 'standIns':
      return [
        ...standInRepairs(proposal, table, naming),
        ...(decision['standIns'] === 'let'
          ? []
          : proposal.claims.flatMap((claim) => checkOperations({ claim }, table, true, naming))),
      ];
    case 'check':
      return [
        ...brokenRepairs(proposal, table, decision, naming),
        ...checkOperations(proposal, table, decision['broken'] !== 'leave', naming),
      ];
    case 'index':
      return [createIndex(table, proposal.columns, naming)];
    case 'validate': {
      const { columns, name, references } = proposal;
      if (!references)
        return [
          {
            kind: 'validateConstraint',
            table: table.id,
            name,
            against: { kind: 'breakingDeclared', name },
            before: { kind: 'declaredCheck' },
          },
        ];
      if (decision['orphans'] === 'leave')
        throw new Refusal(`The orphans under ${name} are left to be mended by hand; until then it cannot be validated.`);
      const reference = referenceOf(columns, references);
      const before = asItIs(table, name);
      const validate: ValidateConstraint = {
        kind: 'validateConstraint',
        table: table.id,
        name,
        against: { kind: 'orphans', reference, values: null },
        before,
      };
      return [...orphanRepairs(reference, table, decision, naming), validate];
    }
    case 'byHand':
      throw new Refusal(`There is no script for ${finding.rule} on ${table.id}: it takes somebody's thought.`);
    case 'rename':
      return [{ kind: 'renameConstraint', table: table.id, from: proposal.from, to: proposal.to }];
  }
}

function keyOperations(finding: Finding, table: Table, decision: Decision, naming: Naming): readonly Operation[] {
  const { candidates, surrogate } = finding.facts as { candidates: readonly KeyCandidate[]; surrogate: string };
  const natural = chosenKey(decision);
  if (decision['key'] === 'leave') throw new Refusal(`${table.id} is left without a key. Waive the finding to say why.`);
  const primary = (columns: readonly string[]): Operation => ({
    kind: 'addPrimaryKey',
    table: table.id,
    columns,
    name: give(naming, 'primary key', table, []),
    nullableBefore: table.columns.filter((c) => columns.includes(c.name) && c.nullable).map((c) => c.name),
    index: promotable(table, columns, naming.catalogue),
  });
  if (natural) return [primary(natural)];
  const beside = candidates.find(isProposable);
  const unique = beside ? [addUnique(table, beside.columns, naming)] : [];
  return [numbering(table, surrogate), primary([surrogate]), ...unique];
}

// The natural key stays, and what refers to it; only that it is no longer what identifies a row.
function replaceOperations(
  { columns, name, surrogate }: Extract<Proposal, { kind: 'replaceKey' }>,
  table: Table,
  decision: Decision,
  naming: Naming,
): readonly Operation[] {
  if (decision['key'] !== 'surrogate')
    throw new Refusal(
      `${name} of ${table.id} is left as it is. Choose what takes its place, or waive the finding with its reason.`,
    );
  const comment = primaryKeyOf(table)?.comment;
  const references = referencesTo(naming.catalogue, table.id)
    .filter(({ key }) => key.index === primaryKeyOf(table)?.index)
    .flatMap(({ child, key }) => {
      const reference = asItIs(child, key.name);
      return reference ? [{ reference, validated: key.validated }] : [];
    });
  const replace: ReplaceKey = {
    kind: 'replaceKey',
    table: table.id,
    name,
    columns: [surrogate],
    former: columns,
    unique: give(naming, 'unique', table, columns),
    references,
    ...(comment !== undefined && { comment }),
  };
  return [numbering(table, surrogate), replace, ...validations(replace)];
}

function numbering(table: Table, column: string): Operation {
  const free = table.triggers.every((trigger) => !trigger.enabled) && !table.unidentified && !table.rewritten;
  const batches = table.kind === 'table' && free;
  return { kind: 'addIdentityColumn', table: table.id, column, batches };
}

// An index that a reference rests on cannot be given to a key and taken away again.
function promotable(table: Table, columns: readonly string[], catalogue: Catalogue): string | null {
  const index = uniqueIndexOver(table, columns);
  return referencesTo(catalogue, table.id).some(({ key }) => key.index === index) ? null : index;
}

function addUnique(table: Table, columns: readonly string[], naming: Naming) {
  return { kind: 'addUnique', table: table.id, columns, name: give(naming, 'unique', table, columns), index: null } as const;
}

function createIndex(table: Table, columns: readonly string[], naming: Naming): Operation {
  return { kind: 'createIndex', table: table.id, columns, name: give(naming, 'index', table, columns), unique: false };
}

function checkOperations(
  { claim }: Pick<Extract<Proposal, { kind: 'check' }>, 'claim'>,
  table: Table,
  validated: boolean,
  naming: Naming,
): readonly Operation[] {
  const name = give(naming, 'check', table, columnsOfClaim(claim));
  const add: Operation = { kind: 'addCheck', table: table.id, name, claim };
  if (!validated) return [add];
  return [add, { kind: 'validateConstraint', table: table.id, name, against: { kind: 'breaking', claim }, before: null }];
}

function referenceOperations(
  { columns, references }: Extract<Proposal, { kind: 'foreignKey' }>,
  table: Table,
  decision: Decision,
  naming: Naming,
): readonly Operation[] {
  const reference = referenceOf(columns, references);
  const name = give(naming, 'foreign key', table, columns, references.table);
  const add: AddForeignKey = {
    kind: 'addForeignKey',
    table: table.id,
    name,
    ...reference,
    onDelete: (decision['onDelete'] ?? 'no action') as ReferentialAction,
    onUpdate: (decision['onUpdate'] ?? 'no action') as ReferentialAction,
    match: 'simple',
    deferrable: (decision['deferrable'] ?? 'no') as ForeignKey['deferrable'],
  };
  const whole = decision['orphans'] !== 'leave' && decision['orphans'] !== 'standIns';
  if (!whole && table.kind === 'partitioned')
    throw new Refusal(
      `${table.id} is partitioned: its reference is checked against every row when it is added. Choose what becomes of the orphans.`,
    );
  return [
    ...orphanRepairs(reference, table, decision, naming),
    ...(isIndexed(table, columns) ? [] : [createIndex(table, columns, naming)]),
    add,
    ...(whole
      ? [
          {
            kind: 'validateConstraint',
            table: table.id,
            name,
            against: { kind: 'orphans', reference, values: null },
            before: null,
          } as const,
        ]
      : []),
  ];
}

function referenceOf(columns: readonly string[], { schema, table, columns: parentColumns }: ProposedParent): Reference {
  return { columns, parent: tableId(schema, table), parentColumns };
}

/** The operation that would make a foreign key of the table as it is, but for its validation. */
export function asItIs(table: Table, name: string): AddForeignKey | null {
  const key = foreignKeysOf(table).find((constraint) => constraint.name === name);
  if (!key) return null;
  const { columns, parent, parentColumns, onDelete, onUpdate, match, deferrable, comment } = key;
  return {
    kind: 'addForeignKey',
    table: table.id,
    name,
    columns,
    parent,
    parentColumns,
    onDelete,
    onUpdate,
    match,
    deferrable,
    ...(comment !== undefined && { comment }),
  };
}

export function tablesTouched(operations: readonly Operation[]): ReadonlySet<TableId> {
  return new Set(
    operations.flatMap((operation) => [
      operation.table,
      ...(operation.kind === 'replaceKey' || operation.kind === 'restoreKey'
        ? operation.references.map(({ reference }) => reference.table)
        : []),
    ]),
  );
}

/** Those touched, and the parents that their references need. */
export function tablesNeeded(operations: readonly Operation[]): ReadonlySet<TableId> {
  const parents = operations.flatMap((operation): readonly TableId[] => {
    if (operation.kind === 'addForeignKey') return [operation.parent];
    if (operation.kind === 'addParents') return [operation.child];
    if (operation.kind !== 'setAside') return [];
    return 'reference' in operation.rows ? [operation.rows.reference.parent] : [];
  });
  return new Set([...tablesTouched(operations), ...parents]);
}
