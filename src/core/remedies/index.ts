// The remedies that there are, a line a kind of proposal: the union of proposals is read off this table.

import { type TableId, tableId } from '../catalogue/identifiers';
import { findTable, getTable } from '../catalogue/lookups';
import type { Catalogue } from '../catalogue/model';
import type { Operation } from '../operations/index';
import { Refusal } from '../operations/refusal';
import { byHandRemedy } from './by-hand';
import { changeRemedy } from './change';
import { checkRemedy } from './check';
import { defaultRemedy } from './default';
import { dropRemedy } from './drop';
import { indexRemedy } from './index-columns';
import { selfNumberingRemedy } from './keys/self-numbering';
import { primaryKeyRemedy, surrogateKeyRemedy } from './keys/primary-key';
import { replaceKeyRemedy } from './keys/replace-key';
import { keepByRemedy } from './keep-by';
import { lookupRemedy } from './lookup';
import type { Naming } from './names';
import { notNullRemedy } from './not-null';
import { completeDecision, type Decision, type Question, refuseUnanswerable, typedName } from './question';
import { foreignKeyRemedy } from './reference/foreign-key';
import type { Remedy, Touching } from './remedy';
import { renameRemedy } from './rename';
import { nullsRemedy } from './rows/nulls';
import { repeatsRemedy } from './rows/repeats';
import { standInsRemedy } from './rows/stand-ins';
import { promoteRemedy, uniqueRemedy } from './unique';
import { switchRemedy } from './switch';
import { retypeRemedy } from './types/retype';
import { validateRemedy } from './validate';

export const remedies = {
  primaryKey: primaryKeyRemedy,
  surrogateKey: surrogateKeyRemedy,
  replaceKey: replaceKeyRemedy,
  selfNumbering: selfNumberingRemedy,
  foreignKey: foreignKeyRemedy,
  validate: validateRemedy,
  unique: uniqueRemedy,
  promote: promoteRemedy,
  repeats: repeatsRemedy,
  notNull: notNullRemedy,
  nulls: nullsRemedy,
  standIns: standInsRemedy,
  check: checkRemedy,
  index: indexRemedy,
  rename: renameRemedy,
  drop: dropRemedy,
  change: changeRemedy,
  default: defaultRemedy,
  retype: retypeRemedy,
  keepBy: keepByRemedy,
  lookup: lookupRemedy,
  switch: switchRemedy,
  byHand: byHandRemedy,
};

/** The change that would mend a finding, before any decision is taken about how. */
export type Proposal = NonNullable<(typeof remedies)[keyof typeof remedies]['of']>;

/** What of a finding is mended: what it proposes for its table. */
export interface Proposed {
  readonly object: { readonly schema: string; readonly table: string };
  readonly proposal: Proposal;
}

function idOf({ object }: Proposed): TableId {
  return tableId(object.schema, object.table);
}

export function remedyOf(proposal: Proposal): Remedy<Proposal> {
  return remedies[proposal.kind];
}

/** Kinds that no script comes of. */
export const unscripted = (Object.keys(remedies) as readonly Proposal['kind'][]).filter(
  (kind) => (remedies[kind] as Remedy<Proposal>).scripted === 'never',
);

/** Whether a script comes of it at all. */
export function isScripted(proposal: Proposal): boolean {
  return !unscripted.includes(proposal.kind);
}

/** The questions of a proposal, as they follow from what was chosen so far. */
export function questionsFor(of: Proposed, catalogue: Catalogue, chosen: Decision): readonly Question[] {
  const table = getTable(catalogue, idOf(of));
  return remedyOf(of.proposal).questions?.(of.proposal, { table, catalogue, chosen }) ?? [];
}

/** The operations that mend it. Anything not decided is decided as advised. */
export function operationsFor(of: Proposed, chosen: Decision, naming: Naming): readonly Operation[] | Refusal {
  const { catalogue } = naming;
  const { proposal } = of;
  const table = findTable(catalogue, idOf(of));
  if (!table) return new Refusal(`${idOf(of)} is not there any more. Survey again.`);
  const questions = questionsFor(of, catalogue, chosen);
  const unanswerable = refuseUnanswerable(questions);
  if (unanswerable) return unanswerable;
  const decision = completeDecision(questions, chosen);
  return remedyOf(proposal).operations(proposal, { table, catalogue, chosen: decision, naming });
}

/** `A port call belongs to exactly one vessel; deleting a vessel is refused while it has port calls.` Null where the script says it all. */
export function outcomeInWords(of: Proposed, decision: Decision, catalogue: Catalogue): string | null {
  const table = getTable(catalogue, idOf(of));
  return remedyOf(of.proposal).outcome?.(of.proposal, { table, catalogue, chosen: decision }) ?? null;
}

/** What it touches that carries another name or key then; null where nobody would notice, or nothing is there any more. */
export function touchingOf({ object, proposal }: Proposed, catalogue: Catalogue): Touching | null {
  const table = findTable(catalogue, tableId(object.schema, object.table));
  return (table && remedyOf(proposal).touches?.(proposal, { table, catalogue })) ?? null;
}

/** What each question is called when many findings share it. */
export const questionTitles: Readonly<Record<string, string>> = Object.fromEntries(
  Object.values(remedies).flatMap(({ asks }) => Object.entries(asks ?? {})),
);

/** The answers in an address or form; only known names are read. */
export function answersIn(values: { get(name: string): unknown }): Decision {
  const names = Object.keys(questionTitles);
  return Object.fromEntries(
    [...names, ...names.map(typedName)].flatMap((name) => {
      const value = values.get(name);
      return typeof value === 'string' && value !== '' && value.length < 2000 ? [[name, value]] : [];
    }),
  );
}
