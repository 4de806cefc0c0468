// What a login may do, as it may ask itself: whatever it may not, the server hides without a word.

import { type Asking, rowsOf } from '../../questions';
import * as queries from './catalogue-queries';

export interface Right {
  /** Empty for all. */
  readonly schema: string;
  /** Empty for all of the schema. */
  readonly table: string;
  /** `ALL PRIVILEGES` for all that can be given there. */
  readonly privilege: string;
}

/** Of the login and its roles; `told` by information_schema where an answer is written down: grants tell what is signed in with. */
export function* rightsOf(told: 'by grants' | 'by rights' = 'by grants'): Asking<readonly Right[]> {
  if (told === 'by rights') {
    const rights = yield* rowsOf({ text: queries.privilegesOfLogin, columns: 2 });
    return rights.map(([schema, privilege]) => ({ schema: schema ?? '', table: '', privilege: privilege ?? '' }));
  }
  const rows = yield* rowsOf({ text: queries.grants, columns: 1 });
  return rows.flatMap(([grant]) => rightsIn(grant ?? ''));
}

/** ``GRANT SELECT, SHOW VIEW ON `harbour`.* TO `auditor`@`%` ``; of some columns of a table it gives none of the table. */
export function rightsIn(grant: string): readonly Right[] {
  const found = /^GRANT (.+?) ON (?:TABLE )?(`(?:[^`]|``)+`|\*)\.(`(?:[^`]|``)+`|\*) TO /.exec(grant);
  if (!found) return [];
  const [, privileges = '', schema = '', table = ''] = found;
  return privileges
    .replaceAll(/\w+(?: \w+)* \([^)]*\)(?:, )?/g, '')
    .split(', ')
    .filter((privilege) => privilege !== '')
    .map((privilege) => ({ schema: unquoted(schema), table: unquoted(table), privilege: privilege.toUpperCase() }));
}

function unquoted(name: string): string {
  return name === '*' ? '' : name.slice(1, -1).replaceAll('``', '`');
}

/** Whether a right holds in all of a schema; everywhere, for an empty one. */
export function mayDo(rights: readonly Right[], schema: string, privilege: string): boolean {
  return rights.some(
    (right) =>
      right.table === '' &&
      (right.privilege === privilege || right.privilege === 'ALL PRIVILEGES') &&
      (schema === '' ? right.schema === '' : reaches(right.schema, schema)),
  );
}

// The name in a grant is a pattern, with its wildcards escaped where they stand for themselves.
function reaches(granted: string, schema: string): boolean {
  if (granted === '') return true;
  // Both walked once, back to the last % only: names come from whoever serves the database.
  const [signs, letters] = [granted.match(/\\[%_]|[^]/gu) ?? [], [...schema]];
  let [sign, letter, again, from] = [0, 0, -1, 0];
  while (letter < letters.length) {
    const wanted = signs[sign];
    if (wanted === '%') [again, from] = [sign++, letter];
    else if (wanted === '_' || (wanted !== undefined && wanted.replace(/^\\(?=.)/, '') === letters[letter]))
      [sign, letter] = [sign + 1, letter + 1];
    else if (again >= 0) [sign, letter] = [again + 1, ++from];
    else return false;
  }
  return signs.slice(sign).every((left) => left === '%');
}
