// What a person decides about a finding before it can be mended: a question or two, each with
// its answers side by side and what each answer costs. The first answer that is not refused and is
// marked as advised is taken when nobody chooses.

import { columnsId } from '../catalogue/identifiers';
import { getTable, keyColumnsOf, referencesTo } from '../catalogue/lookups';
import type { Catalogue, Table } from '../catalogue/model';
import { isProposable, type KeyCandidate } from '../evidence/keys';
import { tableOf } from '../rules/audit';
import type { Finding } from '../rules/rule';
import { counted, plural, spoken, withArticle } from '../naming/words';

export interface Question {
  readonly id: 'key' | 'orphans' | 'onDelete';
  readonly title: string;
  readonly answers: readonly Answer[];
}

export interface Answer {
  readonly id: string;
  readonly title: string;
  /** What it does, in words. */
  readonly effect: string;
  /** What it costs, or what can be undone. */
  readonly cost: string;
  readonly advised: boolean;
  /** Why it cannot be chosen here; null when it can. */
  readonly refused: string | null;
}

/** The answer chosen to each question, by the question's id. */
export type Decision = Readonly<Record<string, string>>;

/** The questions of a finding; none when there is only one way to mend it. */
export function questionsFor(finding: Finding, catalogue: Catalogue): readonly Question[] {
  const table = getTable(catalogue, tableOf(finding.object));
  switch (finding.proposal.kind) {
    case 'primaryKey':
    case 'surrogateKey':
      return [keyQuestion(finding, table)];
    case 'foreignKey':
      return [...orphanQuestion(finding, table, catalogue), deleteQuestion(finding, table)];
    case 'unique':
    case 'notNull':
    case 'rename':
    case 'index':
    case 'validate':
    case 'byHand':
      return [];
  }
}

/** A complete decision: what was chosen where that is allowed, what is advised elsewhere. */
export function completeDecision(questions: readonly Question[], chosen: Decision): Decision {
  return Object.fromEntries(questions.map((question) => [question.id, chosenAnswer(question, chosen).id]));
}

export function chosenAnswer(question: Question, chosen: Decision): Answer {
  const allowed = question.answers.filter((answer) => answer.refused === null);
  const answer = allowed.find((a) => a.id === chosen[question.id]) ?? allowed.find((a) => a.advised) ?? allowed[0];
  if (!answer) throw new Error(`No answer to "${question.title}" is possible here.`);
  return answer;
}

interface MissingKeyFacts {
  readonly rows: number | null;
  readonly candidates: readonly KeyCandidate[];
  readonly surrogate: string;
}

function keyQuestion(finding: Finding, table: Table): Question {
  const { rows, candidates, surrogate } = finding.facts as MissingKeyFacts;
  const natural = candidates
    .filter((key) => key.score > -1.5)
    .slice(0, 3)
    .map((key, i): Answer => ({
      id: naturalAnswer(key.columns),
      title: key.columns.join(', '),
      effect: `Natural key: ${key.reasons.slice(0, 2).join(', ')}`,
      cost: 'builds an index, no row changes',
      advised: i === 0 && isProposable(key),
      refused: key.nullRows > 0 ? `${counted(key.nullRows, 'row')} without it` : null,
    }));
  const best = candidates.find(isProposable);
  const beside = best ? `; ${best.columns.join(', ')} kept unique beside it` : '; nothing else in the table is unique';
  return {
    id: 'key',
    title: `What identifies ${withArticle(spoken(table.name))}`,
    answers: [
      ...natural,
      {
        id: 'surrogate',
        title: surrogate,
        effect: `Surrogate: a new column that numbers the rows by itself${beside}`,
        cost: `rewrites the table${rows === null ? '' : ` (${counted(rows, 'row')})`}`,
        advised: best === undefined,
        refused: null,
      },
    ],
  };
}

export function naturalAnswer(columns: readonly string[]): string {
  return `natural ${JSON.stringify(columns)}`;
}

interface ReferenceFacts {
  readonly orphanRows: number | null;
  readonly how: { readonly kind: string } | null;
}

function orphanQuestion(finding: Finding, table: Table, catalogue: Catalogue): readonly Question[] {
  const { orphanRows } = finding.facts as ReferenceFacts;
  if (!orphanRows) return [];
  const thing = spoken(table.name);
  const many = `${orphanRows.toLocaleString('en-GB')} ${orphanRows === 1 ? thing : plural(thing)}`;
  const mandatory = table.columns.filter((c) => finding.object.columns.includes(c.name) && !c.nullable).map((c) => c.name);
  const noKey = keyColumnsOf(table).length === 0;
  // The delete would be refused, or take children along that nobody set aside.
  const children = [...new Set(referencesTo(catalogue, table.id).map(({ child }) => child.id))];
  const whyNotEmpty =
    mandatory.length > 0
      ? `${mandatory.join(', ')} may not be null`
      : noKey
        ? 'the table has no key to find the rows again by'
        : null;
  return [
    {
      id: 'orphans',
      title:
        orphanRows === 1 ? 'What becomes of the orphan' : `What becomes of the ${orphanRows.toLocaleString('en-GB')} orphans`,
      answers: [
        {
          id: 'empty',
          title: 'Set aside and empty',
          effect: `${many} kept in a side table, the reference set to null`,
          cost: 'can be undone',
          advised: true,
          refused: whyNotEmpty,
        },
        {
          id: 'remove',
          title: 'Set aside and remove',
          effect: `${many} moved whole to a side table`,
          cost: 'can be undone',
          advised: false,
          refused: children.length > 0 ? `rows of ${children.join(', ')} refer to them` : null,
        },
        {
          id: 'leave',
          title: 'Leave them',
          effect: 'The reference holds for new rows only; the orphans stay to be mended by hand',
          cost: 'stays unvalidated',
          advised: whyNotEmpty !== null,
          refused: null,
        },
      ],
    },
  ];
}

function deleteQuestion(finding: Finding, table: Table): Question {
  if (finding.proposal.kind !== 'foreignKey') throw new Error(`${finding.id} proposes no reference.`);
  const parent = spoken(finding.proposal.references.table);
  const children = plural(spoken(table.name));
  const mandatory = table.columns.some((c) => finding.object.columns.includes(c.name) && !c.nullable);
  return {
    id: 'onDelete',
    title: `When ${withArticle(parent)} goes`,
    answers: [
      { id: 'no action', title: 'Refuse', effect: `while it has ${children}`, cost: 'NO ACTION', advised: true, refused: null },
      {
        id: 'cascade',
        title: 'Take along',
        effect: `its ${children} are deleted with it`,
        cost: 'CASCADE',
        advised: false,
        refused: null,
      },
      {
        id: 'set null',
        title: 'Empty the reference',
        effect: `${children} stay without ${withArticle(parent)}`,
        cost: 'SET NULL',
        advised: false,
        refused: mandatory ? `${columnsId(table.id, finding.object.columns)} may not be null` : null,
      },
    ],
  };
}
