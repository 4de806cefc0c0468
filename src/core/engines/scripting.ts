// A plan as readable scripts for an engine's own client. Each can be run again: what is in force already is left out, and said. What is
// the same for every client stands here; how one is told that something hangs on something is the engine's own (`Scripting`).

import type { TableId } from '../catalogue/identifiers';
import { type Check, describeCheck, stopsScript } from '../operations/check';
import { byItself, type Operation, operationInWords, todoOf } from '../operations/index';
import { blocksInWords } from '../plan/cost';
import { operationsOf } from '../plan/direction';
import { entriesOf, type Entry, type NotThereBefore, stayingBy } from '../plan/record';
import type { Plan, Step } from '../plan/shape';
import { spelt } from '../spelt';
import type { Dialect, Heading, Scripts, Stage, StatementScripts } from './dialect';

export interface Scripting extends Pick<Dialect, 'stages' | 'check'> {
  /** A line for people. */
  readonly comment: (text: string) => string;
  /** How a file is run. */
  readonly run: string;
  /** How it works, behind what it is: `in one transaction`. */
  readonly wayOf: (plan: Plan) => string;
  /** How a step locks, in words. */
  readonly lockOf: (step: Step) => string;
  /** True where all is rolled back when something fails. */
  readonly rollsBack: (plan: Plan) => boolean;
  /** A script of its head and its blocks, with what the meaning of both hangs on. */
  readonly whole: (plan: Plan, head: readonly string[], blocks: readonly string[]) => string;
  /** The same of queries that are read by people. */
  readonly wholeOfChecks: (head: readonly string[], blocks: readonly string[]) => string;
  /** A query of these, with its own line. */
  readonly asked: (check: Check) => readonly string[];
  /** Stops the script, in words, where a check counts anything. */
  readonly guards: (checks: readonly Check[], outcome: string) => readonly string[];
  /** Carries a stage out where its check counts anything, and nothing of it was there before; what is said of the step then. */
  readonly stage: (stage: Stage, how: StageScript) => string;
  /** Notes what is there already, once, in a table of its own. */
  readonly notes: (table: TableId, entries: readonly Entry[]) => string;
  /** Takes the note of what was there before to hand; null where it is asked when it is needed. */
  readonly remembers: ((table: TableId) => string) | null;
  readonly forgets: (table: TableId) => string;
  /** What a script of bare statements says of itself. */
  readonly statementHead: (plan: Plan) => readonly string[];
  /** Bare statements with what they do, where they are not simply those of the stages. */
  readonly blocks?: (operations: readonly Operation[], plan: Plan) => readonly BareBlock[] | null;
  /** A stage of one, as it runs when nothing was interrupted before. */
  readonly bare: (stage: Stage, plan: Plan) => readonly string[];
}

export interface BareBlock {
  readonly words: readonly string[];
  readonly statements: readonly string[];
}

export interface StageScript {
  readonly plan: Plan;
  /** What counts nothing where it was there before. */
  readonly stays: readonly NotThereBefore[];
  /** What the step does, where this stage does it. */
  readonly words: string | null;
}

const checksAtOnce = 'Each query below counts what speaks against the change; all must return zero.';

export function scriptsBy(by: Scripting): Pick<Dialect, 'scripts' | 'statementScripts'> {
  return { scripts: (plan, heading) => scripts(by, plan, heading), statementScripts: (plan, heading) => bare(by, plan, heading) };
}

function scripts(by: Scripting, plan: Plan, heading: Heading): Scripts {
  const section = sectionsBy(by);
  const headed = (title: string): readonly string[] => header(by, title, plan, heading);
  const { record } = plan;
  const remembering = record && by.remembers ? [by.remembers(record.table)] : [];
  const undoing = (operations: readonly Operation[]) => undoingAll(by, plan, operations);
  const checks = (title: string, all: readonly Check[]): string =>
    by.wholeOfChecks(
      [...headed(title), by.comment(checksAtOnce)],
      all.flatMap((check) => [by.comment(describeCheck(check)), ...by.asked(check), '']),
    );
  const remembered = 'What was there before the first run is left.';
  return {
    forward: by.whole(plan, headed('Forward'), [
      ...section(
        'Checks before: the script stops here, with nothing changed, when one of them fails.',
        by.guards(plan.before.filter(stopsScript), 'Nothing was changed'),
      ),
      ...section(remembered, plan.undo ? remembering : []),
      ...undoing(plan.undo ?? []),
      ...section(
        'Once, before the first run: what is there already is noted, for the way back to leave it.',
        record ? [by.notes(record.table, entriesOf(plan))] : [],
      ),
      ...plan.steps.flatMap((step, i) =>
        section(`Step ${i + 1} of ${plan.steps.length}: ${stepInWords(by, step)}`, carryOut(by, step.operation, plan)),
      ),
      ...section(
        `Checks after${by.rollsBack(plan) ? ': all is rolled back when one of them fails' : ''}.`,
        by.guards(plan.after, by.rollsBack(plan) ? 'Everything was rolled back' : 'The steps are done'),
      ),
    ]),
    back: by.whole(plan, headed('Back'), [
      ...section(remembered, remembering),
      ...undoing(operationsOf(plan, 'back')),
      ...section('The note of what was there before.', record ? [by.forgets(record.table)] : []),
    ]),
    before: checks('Checks before', plan.before),
    after: checks('Checks after', plan.after),
  };
}

function bare(by: Scripting, plan: Plan, heading: Heading): StatementScripts {
  const script = (direction: 'forward' | 'back'): string => {
    const operations = operationsOf(plan, direction);
    const title = direction === 'forward' ? 'Forward' : 'Back';
    const head = [
      by.comment(`Pawl: ${heading.title}. ${title}, statements only: ${operations.length} steps.`),
      by.comment(`For ${heading.source}, written ${heading.madeAt}.`),
      ...by.statementHead(plan),
      '',
    ];
    const blocks = by.blocks?.(operations, plan);
    if (blocks) {
      const text = blocks.map(({ words, statements }) =>
        [...words.map((line) => `${by.comment(line)}\n`), ...statements].join(''),
      );
      return `${head.join('\n')}\n${text.join('\n')}`;
    }
    const written = operations.map((operation) => {
      const stages = by.stages(operation, plan.mode).filter(({ role }) => role === undefined);
      const above = operation.carried ? ': in the rebuild above.' : '';
      return `${by.comment(`${operationInWords(operation)}${above}`)}\n${stages.flatMap((stage) => by.bare(stage, plan)).join('')}`;
    });
    return `${head.join('\n')}\n${written.join('\n')}`;
  };
  return { forward: script('forward'), back: script('back') };
}

/** A query of a script on one line while that is short; as it is where a name or a text goes over the end of a line. */
export function onOneLine(query: string, most = 900): string {
  let within = '';
  for (const sign of query) {
    if (within === '' && (sign === "'" || sign === '"' || sign === '`')) within = sign;
    else if (sign === within) within = '';
    else if (sign === '\n' && within !== '') return query;
  }
  const line = query.replaceAll(/\n\s*/g, ' ');
  return line.length <= most ? line : query;
}

function undoingAll(by: Scripting, plan: Plan, operations: readonly Operation[]): readonly string[] {
  const stays = stayingBy(plan);
  const left = (operation: Operation): readonly NotThereBefore[] =>
    [operation, ...(operation.also ?? [])].flatMap((each) => stays(each) ?? []);
  return operations.flatMap((operation) => {
    // What one rebuild would have undone together is undone by itself where some of it stays.
    const apart = (operation.also ?? []).some(stays) ? [byItself(operation)] : [];
    const blocks = [operation, ...apart].flatMap((each) => carryOut(by, each, plan, left(each)));
    return sectionsBy(by)(`Undo: ${operationInWords(operation)}`, blocks);
  });
}

function carryOut(by: Scripting, operation: Operation, plan: Plan, stays: readonly NotThereBefore[] = []): readonly string[] {
  const stages = by.stages(operation, plan.mode);
  // The stage that does what the step is for; others clear up around it.
  const whole = spelt(todoOf(operation));
  const main = stages.findLastIndex((stage) => spelt(stage.todo) === whole);
  return stages.map((stage, i) => by.stage(stage, { plan, stays, words: i === main ? operationInWords(operation) : null }));
}

function stepInWords(by: Scripting, step: Step): string {
  const { operation, cost } = step;
  return `${operationInWords(operation)} (${by.lockOf(step)}, blocks ${blocksInWords(cost)}; ${cost.work}).`;
}

function header(by: Scripting, direction: string, plan: Plan, { title, source, madeAt }: Heading): readonly string[] {
  return [
    by.comment(`Pawl: ${title}. ${direction}, ${by.wayOf(plan)}.`),
    by.comment(`For ${source}, written ${madeAt}.`),
    by.comment(`${plan.steps.length} steps. Run with: ${by.run}. It can be run again: what is done already is left out.`),
  ];
}

function sectionsBy({ comment }: Scripting): (title: string, blocks: readonly string[]) => readonly string[] {
  return (title, blocks) => (blocks.length === 0 ? [] : [comment(title), ...blocks.flatMap((block) => [block, ''])]);
}
