// Statements for a ticket or a migration: each operation as anybody would write it, several of one table in one ALTER, names quoted where they
// need it. What makes a step careful (a name of the moment, a count beside the work) stands in the scripts that are run.

import type { TableId } from '../../catalogue/identifiers';
import { type Operation, operationInWords, tablesNeeded, tablesTouched } from '../../operations/index';
import { names } from './names';
import { bareOf } from './operations/index';
import type { Clause, Statement } from './operations/writing';

export interface Block {
  /** What it does, a line each. */
  readonly words: readonly string[];
  readonly statements: readonly Statement[];
}

type Altering = Extract<Statement, { readonly alter: TableId }>;

interface Group {
  readonly operations: Operation[];
  readonly statements: readonly Statement[];
  /** The one ALTER that it is; null of what is more, or something else. */
  readonly clauses: Clause[] | null;
}

/** Operations in an order in which they work, those of one table together where nothing between them hangs on it. */
export function bareBlocks(operations: readonly Operation[]): readonly Block[] {
  const groups: Group[] = [];
  for (const operation of operations) {
    const statements = bareOf(operation);
    const [only] = statements;
    const alter = statements.length === 1 && typeof only === 'object' && 'alter' in only ? only : null;
    const group = alter && joinable(groups, operation, alter);
    if (group?.clauses && alter) {
      group.operations.push(operation);
      group.clauses.push(...alter.clauses);
    } else
      groups.push({
        operations: [operation],
        statements,
        clauses: alter && mergeable.has(operation.kind) ? [...alter.clauses] : null,
      });
  }
  return groups.map(({ operations: own, statements, clauses }) => ({
    words: own.map(operationInWords),
    statements: clauses ? [{ alter: (own[0] as Operation).table, way: null, clauses }] : statements.map(unhinted),
  }));
}

const mergeable: ReadonlySet<Operation['kind']> = new Set([
  'keepBy',
  'retype',
  'addPrimaryKey',
  'addUnique',
  'createIndex',
  'addForeignKey',
  'addCheck',
  'setNotNull',
  'dropNotNull',
  'setDefault',
  'numberItself',
]);

/** The last ALTER of the same table that this can be a part of: nothing behind it touches what this needs. */
function joinable(groups: readonly Group[], operation: Operation, { alter, clauses }: Altering): Group | null {
  if (!mergeable.has(operation.kind)) return null;
  const [needs, touches] = [tablesNeeded([operation]), tablesTouched([operation])];
  const isFree = (others: readonly Operation[]): boolean =>
    [...tablesTouched(others)].every((id) => !needs.has(id)) && [...tablesNeeded(others)].every((id) => !touches.has(id));
  for (let at = groups.length - 1; at >= 0; at--) {
    const group = groups[at] as Group;
    const isSame = group.clauses !== null && group.operations[0]?.table === alter && tablesTouched(group.operations).size === 1;
    // A parent that the table itself is was to be there before; a column is said anew once.
    if (isSame) return group.clauses && fitTogether(group.clauses, clauses) ? group : null;
    if (!isFree(group.operations)) return null;
  }
  return null;
}

function fitTogether(some: readonly Clause[], more: readonly Clause[]): boolean {
  const modified = new Set(some.flatMap(columnModified));
  return more.flatMap(columnModified).every((column) => !modified.has(column));
}

function columnModified(clause: Clause): readonly string[] {
  const [, column] = (typeof clause === 'string' && /^(?:modify|alter) column (`(?:[^`]|``)+`)/.exec(clause)) || [];
  return column === undefined ? [] : [column];
}

function unhinted(statement: Statement): Statement {
  if (typeof statement === 'string') return statement;
  if ('alter' in statement) return { ...statement, way: null };
  if ('unlooked' in statement) return { unlooked: unhinted(statement.unlooked) };
  return 'keyless' in statement ? { keyless: unhinted(statement.keyless) } : statement;
}

/** Names without quotes where the server reads them so. */
export function withoutQuotes(sql: string, reserved: ReadonlySet<string>): string {
  return sql.replaceAll(quoted, (part) => {
    const name = part.slice(1, -1);
    const needs = !part.startsWith('`') || !names.bare.test(name) || reserved.has(name.toLowerCase());
    return needs ? part : name;
  });
}

const quoted = /`(?:[^`]|``)*`|'(?:[^'\\]|\\.|'')*'|"(?:[^"\\]|\\.|"")*"/gs;
