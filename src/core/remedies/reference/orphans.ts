// What becomes of children without a parent.

import { traitsOf } from '../../engines/facts';
import { tableId } from '../../catalogue/identifiers';
import { declaredUniques, findTable, getTable } from '../../catalogue/lookups';
import type { Catalogue, Column, Table } from '../../catalogue/model';
import { counted, plural, rowOf, withArticle } from '../../naming/words';
import type { Operation } from '../../operations/index';
import type { FittedReference } from '../../operations/reference';
import { Refusal } from '../../operations/refusal';
import type { Filled, WrongRows } from '../../operations/set-aside';
import { giveSideTable } from '../names';
import { type Answer, type Question, typedWith } from '../question';
import type { Ground, Making } from '../remedy';
import { childrenInWords, constant, emptied, partsOf, rowKeyOf, settingAside, undoable } from '../rows/setting-aside';
import type { ProposedParent, Referring } from './proposed';

/** Values that stand for "no parent". */
const noParent: readonly string[] = ['', '0', '-1', '-'];

/** No question when there are none. Under a reference that is declared already, none may stay that only say "none". */
export function orphanQuestion(
  referring: Referring,
  { table, catalogue }: Ground,
  stay: 'may stay' | 'declared',
): readonly Question[] {
  const { orphanRows, references, columns } = referring;
  if (!orphanRows) return [];
  const parent = findTable(catalogue, tableId(references.schema, references.table));
  const many = counted(orphanRows, rowOf(table.name));
  const mandatory = table.columns.filter(({ name, nullable }) => columns.includes(name) && !nullable).map(({ name }) => name);
  const unkeyed = rowKeyOf(table).length === 0 ? 'the table has no key to find the rows again by' : null;
  const wholeOnly = whyWhole(table, catalogue);
  const notEmpty = mandatory.length > 0 ? `${mandatory.join(', ')} may not be null` : unkeyed;
  const cost = undoable(table);
  const answer = (id: string, title: string, effect: string, more: Partial<Answer>): Answer => ({
    ...{ id, title, effect, cost, advised: false, refused: null },
    ...more,
  });
  return [
    {
      id: 'orphans',
      shape: 'cards',
      title: orphanRows === 1 ? 'What becomes of the orphan' : `What becomes of the ${counted(orphanRows, 'orphan')}`,
      answers: [
        answer('empty', 'Set aside and empty', `${many} kept in a side table, the reference set to null`, {
          advised: true,
          refused: notEmpty,
        }),
        answer('remove', 'Set aside and remove', `${many} moved whole to a side table`, {
          refused: childrenInWords(catalogue, table),
        }),
        parentsAnswer(parent, references),
        answer(
          'point',
          `Point to one ${rowOf(references.table)}`,
          `${many} get the ${rowOf(references.table)} that you name; what they had is kept`,
          {
            refused: unkeyed,
            asks: {
              label: `${references.columns.join(', ')} of the ${rowOf(references.table)}${columns.length > 1 ? ', parted by commas' : ''}`,
            },
          },
        ),
        ...(stay === 'declared'
          ? []
          : [
              answer('standIns', 'Empty what says "none"', 'References of 0, -1, - or blank set to null; other orphans stay', {
                cost: `${cost}; stays unvalidated`,
                refused: notEmpty ?? wholeOnly,
              }),
            ]),
        answer('leave', 'Leave them', 'The reference holds for new rows only; the orphans stay to be mended by hand', {
          cost: 'stays unvalidated',
          advised: notEmpty !== null && wholeOnly === null,
          refused: wholeOnly,
        }),
      ],
    },
  ];
}

function whyWhole(table: Table, catalogue: Catalogue): string | null {
  const unchecked = traitsOf(catalogue).addedUnchecked('foreign key', table);
  return unchecked ? null : 'the reference holds for every row or not at all here';
}

/** Parents are made for those that have none. */
export function parentsAnswer(parent: Table | null, references: ProposedParent): Answer {
  const beside = parent ? neededBeside(parent, references.columns) : [];
  return {
    id: 'parents',
    title: 'Create the missing ones',
    effect: `${plural(rowOf(references.table))} are made for them, with ${beside.length > 0 ? 'what you type, and' : 'nothing but'} ${references.columns.join(', ')}`,
    cost: parent ? undoable(parent) : 'can be undone',
    advised: false,
    refused: whyNoParents(parent, references),
    ...(beside.length > 0 && {
      asks: {
        label: `${beside.map(({ name }) => name).join(', ')} of each of them${beside.length > 1 ? ', parted by commas' : ''}`,
      },
    }),
  };
}

function whyNoParents(parent: Table | null, { columns }: ProposedParent): string | null {
  if (!parent) return 'the parent is not in the catalogue';
  const open = neededBeside(parent, columns);
  const unique = declaredUniques(parent).find((key) => open.some((c) => key.includes(c.name)));
  if (unique) return `${withArticle(rowOf(parent.name))} needs a ${unique.join(', ')} of its own`;
  const made = parent.columns.find((c) => columns.includes(c.name) && (c.generated !== null || c.identity === 'always'));
  return made ? `${made.name} is made by the database` : null;
}

// Columns that a row needs beside its key.
function neededBeside(parent: Table, key: readonly string[]): readonly Column[] {
  return parent.columns.filter(
    (c) => !key.includes(c.name) && !c.nullable && c.default === null && c.identity === null && c.generated === null,
  );
}

/** None when the orphans stay, or there are none. */
export function orphanRepairs(reference: FittedReference, on: Making): readonly Operation[] | Refusal {
  const { table, chosen, naming } = on;
  const orphans: WrongRows = { kind: 'orphans', reference, values: null };
  switch (chosen['orphans']) {
    case 'empty':
      return [settingAside(table, orphans, emptied(reference.columns), naming)];
    case 'remove':
      return [settingAside(table, orphans, { kind: 'remove' }, naming)];
    case 'standIns':
      return [settingAside(table, { ...orphans, values: noParent }, emptied(reference.columns), naming)];
    case 'point':
      return pointed(reference, orphans, on);
    case 'parents':
      return parentsMade(reference, on);
    default:
      return [];
  }
}

function pointed(
  reference: FittedReference,
  orphans: WrongRows,
  { table, chosen, naming }: Making,
): readonly Operation[] | Refusal {
  const { parent, parentColumns } = reference;
  const text = typedWith(chosen, 'orphans', `which row of ${parent} they are pointed to`);
  const values = text instanceof Refusal ? text : partsOf(text, parentColumns, parent);
  if (values instanceof Refusal) return values;
  const columns = reference.columns.map((column, i): Filled => ({
    column,
    with: { kind: 'constant', text: values[i] ?? '', keyOf: null },
  }));
  return [settingAside(table, orphans, { kind: 'fill', columns }, naming)];
}

function parentsMade(reference: FittedReference, { table, catalogue, chosen, naming }: Making): readonly Operation[] | Refusal {
  const parent = getTable(catalogue, reference.parent);
  const needed = neededBeside(parent, reference.parentColumns).map(({ name }) => name);
  const text = needed.length === 0 ? '' : typedWith(chosen, 'orphans', `what stands in ${needed.join(', ')} of each`);
  const texts = text instanceof Refusal ? text : needed.length === 0 ? [] : partsOf(text, needed, parent.id);
  if (texts instanceof Refusal) return texts;
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
