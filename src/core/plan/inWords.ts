import { claimInWords } from '../evidence/claims';
import { counted } from '../naming/words';
import type { Change, Filling, Operation, ReplaceKey, SetAside, WrongRows } from './operations';

/** What an operation does, in words: for script comments and the docket's steps. */
export function operationInWords(operation: Operation): string {
  const { table } = operation;
  switch (operation.kind) {
    case 'addIdentityColumn':
      return `a surrogate column ${operation.column} on ${table} that numbers every row`;
    case 'dropColumn':
      return `drop the column ${operation.column} of ${table}`;
    case 'addPrimaryKey':
      return `${operation.columns.join(', ')} as the primary key of ${table}${onIndex(operation.index)}`;
    case 'addUnique':
      return `${operation.columns.join(', ')} unique in ${table}${onIndex(operation.index)}`;
    case 'replaceKey':
      return `${operation.columns.join(', ')} as the primary key of ${table} instead of ${operation.former.join(', ')}, which stays unique${remadeInWords(operation)}`;
    case 'restoreKey':
      return `${operation.former.join(', ')} as the primary key of ${table} again${remadeInWords(operation)}`;
    case 'addForeignKey':
      return `the reference from ${table} to ${operation.parent}, for new rows`;
    case 'addCheck':
      return `a check on ${table}, for new rows: ${claimInWords(operation.claim)}`;
    case 'validateConstraint':
      return `the ${operation.against.kind === 'orphans' ? 'reference' : 'check'} ${operation.name} checked for the rows that are there`;
    case 'forgetValidation':
      return `the ${operation.before.kind === 'declaredCheck' ? 'check' : 'reference'} ${operation.name} as it was, not checked for the rows that are there`;
    case 'dropConstraint':
      return `drop the constraint ${operation.name} of ${table}`;
    case 'createIndex':
      return operation.unique
        ? `the unique index ${operation.name} on ${operation.columns.join(', ')} of ${table} again`
        : `an index under the reference, on ${operation.columns.join(', ')} of ${table}`;
    case 'dropIndex':
      return `drop the index ${operation.name} of ${table}`;
    case 'setNotNull':
      return `${operation.column} of ${table} never empty`;
    case 'dropNotNull':
      return `${operation.column} of ${table} may be empty`;
    case 'renameConstraint':
      return `${operation.from} on ${table} named ${operation.to}`;
    case 'setAside':
      return `${rowsInWords(operation)} kept in ${operation.sideTable} and ${changeInWords(operation.change)}`;
    case 'bringBack':
      return `what was kept in ${operation.sideTable} put back into ${table}`;
    case 'addParents':
      return `the missing rows of ${table} that ${operation.child} refers to`;
    case 'dropKept':
      return `drop ${operation.sideTable}, with what was kept of ${table}`;
    case 'removeParents':
      return `remove the rows of ${table} that were made for ${operation.child}`;
  }
}

function remadeInWords({ references }: Pick<ReplaceKey, 'references'>): string {
  const names = references.map(({ reference }) => reference.name);
  return names.length === 0 ? '' : `; in the same moment dropped and made again, for new rows: ${names.join(', ')}`;
}

function onIndex(index: string | null): string {
  return index === null ? '' : `, on the index ${index} that is there`;
}

function rowsInWords({ table, rows }: SetAside): string {
  return `${wrongRowsInWords(rows)} of ${table}`;
}

function wrongRowsInWords(rows: WrongRows): string {
  switch (rows.kind) {
    case 'orphans':
      return rows.values === null ? 'orphans' : `references ${rows.values.map((value) => JSON.stringify(value)).join(', ')}`;
    case 'nulls':
      return `rows without ${rows.column}`;
    case 'breaking':
      return `rows that break "${claimInWords(rows.claim)}"`;
    case 'repeats':
      return `repeats of ${rows.columns.join(', ')}`;
    case 'childrenOfRepeats':
      return `references to repeats of ${rows.columns.join(', ')} in rows`;
  }
}

function changeInWords(change: Change): string {
  if (change.kind === 'remove') return 'removed';
  const [first] = change.columns;
  if (!first) return 'left as they are';
  const more = change.columns.length > 1 ? `, in ${counted(change.columns.length, 'column')}` : '';
  return `${fillingInWords(first.with)}${more}`;
}

function fillingInWords(filling: Filling): string {
  switch (filling.kind) {
    case 'null':
      return 'emptied';
    case 'default':
      return 'filled with the default';
    case 'constant':
      return `filled with ${JSON.stringify(filling.text)}`;
    case 'column':
      return `filled from ${filling.column}`;
    case 'parent':
      return `filled from ${filling.reference.parent}.${filling.column}`;
    case 'kept':
      return 'pointed to the row that is kept';
  }
}
