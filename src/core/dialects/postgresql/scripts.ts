// A plan as four readable scripts that `psql -f` runs as they are. Forward and back are one
// transaction each: whatever fails, nothing is left half done.

import { type Check, describeCheck } from '../../plan/checks';
import type { Operation } from '../../plan/operations';
import type { Plan, Step } from '../../plan/plan';
import type { Heading, Scripts } from '../dialect';
import { writeCheck } from './checks';
import { writeOperation } from './operations';
import { comment, literal } from './quote';

const checksAtOnce = 'Each query below counts what speaks against the change; all must return zero.';

export function writeScripts(plan: Plan, heading: Heading): Scripts {
  return {
    forward: transaction(header('Forward', plan, heading), [
      ...section(
        'Checks before: the script stops here, with nothing changed, when one of them fails.',
        guard(plan.before, 'Nothing was changed'),
      ),
      ...plan.steps.flatMap((step, i) =>
        section(`Step ${i + 1} of ${plan.steps.length}: ${stepInWords(step)}`, writeOperation(step.operation)),
      ),
      ...section('Checks after: all is rolled back when one of them fails.', guard(plan.after, 'Everything was rolled back')),
    ]),
    back: transaction(
      header('Back', plan, heading),
      plan.back.flatMap((operation) => section(`Undo: ${operationInWords(operation)}`, writeOperation(operation))),
    ),
    before: checks('Checks before', plan.before, plan, heading),
    after: checks('Checks after', plan.after, plan, heading),
  };
}

/** What an operation does, in words: for script comments and the docket's steps. */
export function operationInWords(operation: Operation): string {
  const { table } = operation;
  switch (operation.kind) {
    case 'addIdentityColumn':
      return `a surrogate column ${operation.column} on ${table} that numbers every row`;
    case 'dropColumn':
      return `drop the column ${operation.column} of ${table}`;
    case 'addPrimaryKey':
      return `${operation.columns.join(', ')} as the primary key of ${table}`;
    case 'addUnique':
      return `${operation.columns.join(', ')} unique in ${table}`;
    case 'addForeignKey':
      return `the reference from ${table} to ${operation.parent}, for new rows`;
    case 'validateConstraint':
      return `the reference ${operation.name} checked for the rows that are there`;
    case 'dropConstraint':
      return `drop the constraint ${operation.name} of ${table}`;
    case 'createIndex':
      return `an index under the reference, on ${operation.columns.join(', ')} of ${table}`;
    case 'dropIndex':
      return `drop the index ${operation.name} of ${table}`;
    case 'setNotNull':
      return `${operation.column} of ${table} never empty`;
    case 'dropNotNull':
      return `${operation.column} of ${table} may be empty again`;
    case 'renameConstraint':
      return `${operation.from} on ${table} named ${operation.to}`;
    case 'setAsideOrphans':
      return `orphans of ${table} set aside in ${operation.sideTable} and ${operation.how === 'empty' ? 'emptied' : 'removed'}`;
    case 'bringBackOrphans':
      return `what was set aside in ${operation.sideTable} put back into ${table}`;
  }
}

function stepInWords({ operation, cost }: Step): string {
  return `${operationInWords(operation)} (${cost.lock} lock, blocks ${cost.blocks}; ${cost.work}).`;
}

function header(direction: string, plan: Plan, { title, source, madeAt }: Heading): readonly string[] {
  return [
    comment(`Pawl: ${title}. ${direction}.`),
    comment(`For ${source}, written ${madeAt}.`),
    comment(`${plan.steps.length} steps. Run with: psql -v ON_ERROR_STOP=1 -f FILE`),
  ];
}

function transaction(head: readonly string[], body: readonly string[]): string {
  return [...head, '', 'begin;', "set local lock_timeout = '5s';", '', ...body, 'commit;', ''].join('\n');
}

function section(title: string, statements: readonly string[]): readonly string[] {
  return statements.length === 0 ? [] : [comment(title), ...statements.flatMap((statement) => [`${statement};`, ''])];
}

function checks(title: string, all: readonly Check[], plan: Plan, heading: Heading): string {
  const body = all.flatMap((check) => [comment(describeCheck(check)), `${writeCheck(check)};`, '']);
  return [...header(title, plan, heading), comment(checksAtOnce), '', ...body].join('\n');
}

// The dollar quote must not occur in what it holds: identifiers can contain anything.
function guard(checks: readonly Check[], outcome: string): readonly string[] {
  if (checks.length === 0) return [];
  const body = ['begin', ...checks.flatMap((check) => refuseUnlessZero(check, outcome)), 'end'].join('\n');
  let tag = '$pawl$';
  for (let n = 1; body.includes(tag); n++) tag = `$pawl${n}$`;
  return [`do ${tag}\n${body}\n${tag}`];
}

function refuseUnlessZero(check: Check, outcome: string): readonly string[] {
  const message = literal(`${outcome}: ${describeCheck(check)}.`);
  return ['  if (', indent(writeCheck(check), 4), '  ) > 0 then', `    raise exception using message = ${message};`, '  end if;'];
}

function indent(text: string, by: number): string {
  return text
    .split('\n')
    .map((line) => ' '.repeat(by) + line)
    .join('\n');
}
