// From what was decided about rows that stand in the way of a rule to the operations that repair them.

import type { TableId } from '../catalogue/identifiers';
import { foreignKeysOf, getColumn, getTable } from '../catalogue/lookups';
import type { Table } from '../catalogue/model';
import type { Change, Constant, Filled, Filling, Keep, Operation, Reference, SetAside, WrongRows } from '../plan/operations';
import { breaks, claimInWords, columnsOfClaim } from '../evidence/claims';
import { Refusal } from '../plan/refusal';
import type { Proposal } from '../rules/rule';
import { giveSideTable, type Naming } from './names';
import { type Decision, typedName } from './question';
import type { QuestionId } from './questions';
import { neededBeside, noParent } from './referenceQuestions';
import { parentAnswer, parentColumns, repointed } from './repairQuestions';
import { rowKeyOf, writableColumns } from './rows';

type Of<Kind extends Proposal['kind']> = Extract<Proposal, { kind: Kind }>;

export function orphanRepairs(reference: Reference, table: Table, decision: Decision, naming: Naming): readonly Operation[] {
  const orphans: WrongRows = { kind: 'orphans', reference, values: null };
  switch (decision['orphans']) {
    case 'empty':
      return [setAside(table, orphans, emptied(reference.columns), naming)];
    case 'remove':
      return [setAside(table, orphans, { kind: 'remove' }, naming)];
    case 'standIns':
      return [setAside(table, { ...orphans, values: noParent }, emptied(reference.columns), naming)];
    case 'point': {
      const { parent, parentColumns } = reference;
      const values = partsOf(typed(decision, 'orphans', `which row of ${parent} they are pointed to`), parentColumns, parent);
      const columns = reference.columns.map((column, i): Filled => ({
        column,
        with: { kind: 'constant', text: values[i] ?? '', keyOf: null },
      }));
      return [setAside(table, orphans, { kind: 'fill', columns }, naming)];
    }
    case 'parents': {
      const parent = getTable(naming.catalogue, reference.parent);
      const needed = neededBeside(parent, reference.parentColumns).map(({ name }) => name);
      const texts =
        needed.length > 0
          ? partsOf(typed(decision, 'orphans', `what stands in ${needed.join(', ')} of each`), needed, parent.id)
          : [];
      return [
        {
          kind: 'addParents',
          table: parent.id,
          child: table.id,
          reference,
          beside: needed.map((column, i) => ({ column, ...constant(parent, column, texts[i] ?? '') })),
          sideTable: giveSideTable(naming, parent),
        },
      ];
    }
    default:
      return [];
  }
}

export function repeatRepairs(proposal: Of<'repeats'>, table: Table, decision: Decision, naming: Naming): readonly Operation[] {
  const which = decision['repeats'];
  const { columns } = proposal;
  if (which === undefined) return [];
  if (which !== 'first' && which !== 'last' && which !== 'complete')
    throw new Refusal(
      `The repeats of ${columns.join(', ')} in ${table.id} are left to the data's owners; unique it can be once they are gone.`,
    );
  const by = decision['repeatsBy'];
  const comparable = table.columns.filter((c) => c.comparable).map((c) => c.name);
  const keep: Keep = {
    which,
    by: by !== undefined && comparable.includes(by) ? [by] : [],
    thenBy: rowKeyOf(table).filter((c) => c !== by),
    of: table.columns.map((c) => c.name),
  };
  const children = repointed(proposal, table, naming.catalogue).map((child): Operation => {
    const reference = { columns: child.columns, parent: table.id, parentColumns: child.parentColumns };
    const change: Change = {
      kind: 'fill',
      columns: child.columns.map((column, i) => ({ column, with: { kind: 'kept', column: child.parentColumns[i] ?? '' } })),
    };
    return setAside(
      getTable(naming.catalogue, child.table),
      { kind: 'childrenOfRepeats', reference, columns, keep },
      change,
      naming,
    );
  });
  return [...children, setAside(table, { kind: 'repeats', columns, keep }, { kind: 'remove' }, naming)];
}

export function nullRepairs({ columns }: Of<'nulls'>, table: Table, decision: Decision, naming: Naming): readonly Operation[] {
  const [name = ''] = columns;
  const answer = decision['nulls'];
  if (answer === undefined) return [];
  const filling = fillingFor(name, answer, table, decision, naming);
  if (!filling)
    throw new Refusal(
      `${table.id}.${name} is left empty where it is. Choose what these rows get, or waive the finding with its reason.`,
    );
  return [setAside(table, { kind: 'nulls', column: name }, filled(columns, filling), naming)];
}

function fillingFor(name: string, answer: string, table: Table, decision: Decision, naming: Naming): Filling | null {
  if (answer === 'default') return { kind: 'default' };
  if (answer === 'constant') return constant(table, name, typed(decision, 'nulls', `what ${name} becomes in these rows`));
  const picked = decision[typedName('nulls')];
  if (answer === 'column' && picked !== undefined) return { kind: 'column', column: picked };
  const column = getColumn(naming.catalogue, table.id, name);
  const parent =
    answer === 'parent'
      ? parentColumns(table, column, naming.catalogue).find((p) => parentAnswer(p.key.name, p.from) === picked)
      : undefined;
  const key = parent && foreignKeysOf(table).find((k) => k.name === parent.key.name);
  if (!parent || !key) return null;
  const reference = { columns: key.columns, parent: key.parent, parentColumns: key.parentColumns };
  return { kind: 'parent', reference, column: parent.from };
}

/** A column that says "none" by values is allowed to be null before it is. */
export function standInRepairs({ columns, claims }: Of<'standIns'>, table: Table, naming: Naming): readonly Operation[] {
  if (rowKeyOf(table).length === 0)
    throw new Refusal(
      `${table.id} has no key to find its rows again by. Add the remedy for its missing key to a docket and run that first.`,
    );
  const inKey = columns.find((c) => rowKeyOf(table).includes(c));
  if (inKey !== undefined) throw new Refusal(`${table.id}.${inKey} is part of the key and cannot be null.`);
  const mandatory = table.columns.filter((c) => columns.includes(c.name) && !c.nullable);
  return [
    ...mandatory.map(({ name }) => ({ kind: 'dropNotNull', table: table.id, column: name }) as const),
    ...claims.map((claim) => setAside(table, { kind: 'breaking', claim }, emptied(columnsOfClaim(claim)), naming)),
  ];
}

export function brokenRepairs({ claim }: Of<'check'>, table: Table, decision: Decision, naming: Naming): readonly Operation[] {
  const rows: WrongRows = { kind: 'breaking', claim };
  const [first = ''] = columnsOfClaim(claim);
  switch (decision['broken']) {
    case 'empty':
      return [setAside(table, rows, emptied([first]), naming)];
    case 'remove':
      return [setAside(table, rows, { kind: 'remove' }, naming)];
    case 'constant': {
      const text = typed(decision, 'broken', `what ${first} becomes in these rows`);
      if (breaks(claim, text)) throw new Refusal(`${JSON.stringify(text)} breaks it too: ${claimInWords(claim)}.`);
      return [setAside(table, rows, filled([first], constant(table, first, text)), naming)];
    }
    default:
      return [];
  }
}

function setAside(table: Table, rows: WrongRows, change: Change, naming: Naming): SetAside {
  return {
    kind: 'setAside',
    table: table.id,
    rows,
    change,
    rowKey: rowKeyOf(table),
    columns: writableColumns(table),
    sideTable: giveSideTable(naming, table),
  };
}

function emptied(columns: readonly string[]): Change {
  return filled(columns, { kind: 'null' });
}

function filled(columns: readonly string[], filling: Filling): Change {
  return { kind: 'fill', columns: columns.map((column) => ({ column, with: filling })) };
}

function constant(table: Table, column: string, text: string): Constant {
  const key = foreignKeysOf(table).find(({ columns }) => columns.length === 1 && columns[0] === column);
  return { kind: 'constant', text, keyOf: key ? { table: key.parent, column: key.parentColumns[0] ?? '' } : null };
}

// Values of several columns are parted by commas, as people write them.
function partsOf(text: string, columns: readonly string[], table: TableId): readonly string[] {
  if (columns.length === 1) return [text];
  const parts = text.split(',').map((part) => part.trim());
  if (parts.length !== columns.length)
    throw new Refusal(`Type a value for each of ${columns.join(', ')} of ${table}: ${columns.length}, parted by commas.`);
  return parts;
}

function typed(decision: Decision, question: QuestionId, what: string): string {
  const text = decision[typedName(question)]?.trim() ?? '';
  if (text === '') throw new Refusal(`Type ${what}.`);
  return text;
}
