import { columnsId, tableId, type TableId } from '../catalogue/identifiers';
import { declaredUniques, findTable, foreignKeysOf, getTable, referencesTo } from '../catalogue/lookups';
import type { Catalogue, Column, ForeignKey, ReferentialAction, Table } from '../catalogue/model';
import { counted, plural, rowOf, withArticle } from '../naming/words';
import type { Finding, ProposedParent, Proposal } from '../rules/rule';
import type { Answer, Question } from './question';
import { childrenInWords, rowKeyOf } from './rows';

type ReferenceProposal = Extract<Proposal, { kind: 'foreignKey' }>;

/** Values that stand for "no parent". */
export const noParent: readonly string[] = ['', '0', '-1', '-'];

/** What becomes of children without a parent; no question when there are none. A reference that is declared already cannot be left as it is. */
export function orphanQuestion(
  finding: Pick<Finding, 'facts' | 'proposal'>,
  references: ProposedParent,
  table: Table,
  catalogue: Catalogue,
): readonly Question[] {
  const { orphanRows } = finding.facts as { readonly orphanRows: number | null };
  if (!orphanRows) return [];
  const { columns } = finding.proposal;
  const parent = findTable(catalogue, tableId(references.schema, references.table));
  const thing = rowOf(table.name);
  const parents = plural(rowOf(references.table));
  const many = `${orphanRows.toLocaleString('en-GB')} ${orphanRows === 1 ? thing : plural(thing)}`;
  const mandatory = table.columns.filter((c) => columns.includes(c.name) && !c.nullable).map((c) => c.name);
  const unkeyed = rowKeyOf(table).length === 0 ? 'the table has no key to find the rows again by' : null;
  const notEmpty = mandatory.length > 0 ? `${mandatory.join(', ')} may not be null` : unkeyed;
  const beside = parent ? neededBeside(parent, references.columns) : [];
  const kept = undoable(table);
  return [
    {
      id: 'orphans',
      shape: 'cards',
      title:
        orphanRows === 1 ? 'What becomes of the orphan' : `What becomes of the ${orphanRows.toLocaleString('en-GB')} orphans`,
      answers: [
        {
          id: 'empty',
          title: 'Set aside and empty',
          effect: `${many} kept in a side table, the reference set to null`,
          cost: kept,
          advised: true,
          refused: notEmpty,
        },
        {
          id: 'remove',
          title: 'Set aside and remove',
          effect: `${many} moved whole to a side table`,
          cost: kept,
          advised: false,
          refused: childrenInWords(catalogue, table),
        },
        {
          id: 'parents',
          title: 'Create the missing ones',
          effect: `${parents} are made for them, with ${beside.length > 0 ? `what you type, and` : 'nothing but'} ${references.columns.join(', ')}`,
          cost: parent ? undoable(parent) : 'can be undone',
          advised: false,
          refused: whyNoParents(parent, references),
          ...(beside.length > 0 && {
            asks: {
              label: `${beside.map(({ name }) => name).join(', ')} of each of them${beside.length > 1 ? ', parted by commas' : ''}`,
            },
          }),
        },
        {
          id: 'point',
          title: `Point to one ${rowOf(references.table)}`,
          effect: `${many} get the ${rowOf(references.table)} that you name; what they had is kept`,
          cost: kept,
          advised: false,
          refused: unkeyed,
          asks: {
            label: `${references.columns.join(', ')} of the ${rowOf(references.table)}${columns.length > 1 ? ', parted by commas' : ''}`,
          },
        },
        ...(finding.proposal.kind === 'validate'
          ? []
          : [
              {
                id: 'standIns',
                title: 'Empty what says "none"',
                effect: `References of 0, -1, - or blank set to null; other orphans stay`,
                cost: `${kept}; stays unvalidated`,
                advised: false,
                refused: notEmpty,
              },
            ]),
        {
          id: 'leave',
          title: 'Leave them',
          effect: 'The reference holds for new rows only; the orphans stay to be mended by hand',
          cost: 'stays unvalidated',
          advised: notEmpty !== null,
          refused: null,
        },
      ],
    },
  ];
}

function whyNoParents(parent: Table | null, { columns }: ProposedParent): string | null {
  if (!parent) return 'the parent is not in the catalogue';
  const open = neededBeside(parent, columns);
  const unique = declaredUniques(parent).find((key) => open.some((c) => key.includes(c.name)));
  if (unique) return `${withArticle(rowOf(parent.name))} needs a ${unique.join(', ')} of its own`;
  const made = parent.columns.find((c) => columns.includes(c.name) && (c.generated !== null || c.identity === 'always'));
  return made ? `${made.name} is made by the database` : null;
}

/** Columns that a row needs beside its key. */
export function neededBeside(parent: Table, key: readonly string[]): readonly Column[] {
  return parent.columns.filter((c) => !key.includes(c.name) && isMandatory(c));
}

function isMandatory(column: Column): boolean {
  return !column.nullable && column.default === null && column.identity === null && column.generated === null;
}

export function undoable(table: Table): string {
  const firing = table.triggers.filter((trigger) => trigger.enabled);
  return firing.length === 0 ? 'can be undone' : `can be undone; fires ${firing.map((t) => t.name).join(', ')}`;
}

export function deleteQuestion({ columns, references }: ReferenceProposal, table: Table, catalogue: Catalogue): Question {
  const parent = rowOf(references.table);
  const children = plural(rowOf(table.name));
  return {
    id: 'onDelete',
    shape: 'cards',
    title: `When ${withArticle(parent)} goes`,
    answers: [
      actionAnswer('no action', 'Refuse', `at the end of the statement, while it has ${children}`),
      actionAnswer('restrict', 'Refuse at once', `before anything else of the statement could take its ${children} along`),
      actionAnswer('cascade', 'Take along', takenAlong(table, parent, catalogue)),
      actionAnswer(
        'set null',
        'Empty the reference',
        `${children} stay without ${withArticle(parent)}`,
        whyNotNull(table, columns),
      ),
      actionAnswer(
        'set default',
        'Give the default',
        `${children} go over to the default ${parent}`,
        whyNoDefault(table, columns),
      ),
    ],
  };
}

export function updateQuestion({ columns, references }: ReferenceProposal, table: Table): Question {
  const key = references.columns.join(', ');
  const children = plural(rowOf(table.name));
  const rows = table.estimatedRows === null ? '' : `, up to ${counted(table.estimatedRows, 'row')}`;
  return {
    id: 'onUpdate',
    shape: 'list',
    title: `When the ${key} of ${withArticle(rowOf(references.table))} changes`,
    answers: [
      actionAnswer('no action', 'Refuse', `while it has ${children}`),
      actionAnswer('restrict', 'Refuse at once', `before the statement is through`),
      actionAnswer('cascade', 'Follow', `its ${children} take the new value${rows}`),
      actionAnswer('set null', 'Empty the reference', `${children} stay without one${rows}`, whyNotNull(table, columns)),
      actionAnswer('set default', 'Give the default', `${children} go over to the default`, whyNoDefault(table, columns)),
    ],
  };
}

export function deferrableQuestion(): Question {
  const answer = (id: ForeignKey['deferrable'], title: string, effect: string): Answer => ({
    id,
    title,
    effect,
    cost: id === 'no' ? 'NOT DEFERRABLE' : `DEFERRABLE ${id.toUpperCase()}`,
    advised: id === 'no',
    refused: null,
  });
  return {
    id: 'deferrable',
    shape: 'list',
    title: 'When it is checked',
    answers: [
      answer('no', 'At each statement', 'a parent has to be there before its children'),
      answer('initially immediate', 'At each statement, unless put off', 'a transaction can put it off by SET CONSTRAINTS'),
      answer(
        'initially deferred',
        'At the end of the transaction',
        'rows that refer to each other can be written in any order; a mistake is told late',
      ),
    ],
  };
}

function actionAnswer(id: ReferentialAction, title: string, effect: string, refused: string | null = null): Answer {
  return { id, title, effect, cost: id.toUpperCase(), advised: id === 'no action', refused };
}

function whyNotNull(table: Table, columns: readonly string[]): string | null {
  const mandatory = table.columns.filter((c) => columns.includes(c.name) && !c.nullable).map((c) => c.name);
  return mandatory.length > 0 ? `${columnsId(table.id, mandatory)} may not be null` : null;
}

function whyNoDefault(table: Table, columns: readonly string[]): string | null {
  const without = table.columns.filter((c) => columns.includes(c.name) && c.default === null).map((c) => c.name);
  return without.length > 0 ? `${columnsId(table.id, without)} has no default` : null;
}

// What one delete can take at most, by the estimates of the server: exactly is counted on request, from one parent.
function takenAlong(table: Table, parent: string, catalogue: Catalogue): string {
  const reached = cascadeFrom(table, catalogue);
  const rows = [...reached].reduce((sum, id) => sum + (getTable(catalogue, id).estimatedRows ?? 0), 0);
  return `deleting one ${parent} takes up to ${counted(rows, 'row')} in ${counted(reached.size, 'table')}`;
}

/** The tables that lose rows when a row of one goes, by CASCADE through every level; that one is among them. */
export function cascadeFrom(table: Table, catalogue: Catalogue): ReadonlySet<TableId> {
  const reached = new Set<TableId>([table.id]);
  for (const id of reached)
    for (const { child } of referencesTo(catalogue, id))
      if (foreignKeysOf(child).some((key) => key.parent === id && key.onDelete === 'cascade')) reached.add(child.id);
  return reached;
}
