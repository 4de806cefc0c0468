import { isFilledByServer } from '../../catalogue/lookups';
import { capital, rowOf, withArticle } from '../../naming/words';
import type { Remedy } from '../remedy';

/** A key of whole numbers that is to count by itself. */
export interface SelfNumberingProposal {
  readonly kind: 'selfNumbering';
  /** One. */
  readonly columns: readonly string[];
}

export const selfNumberingRemedy: Remedy<SelfNumberingProposal> = {
  operations: ({ columns: [column = ''] }, { table }) => [{ kind: 'numberItself', table: table.id, column }],
  holds: ({ columns: [name] }, { table }) => table.columns.some((one) => one.name === name && isFilledByServer(one)),
  outcome: ({ columns: [column = ''] }, { table }) =>
    `${capital(withArticle(rowOf(table.name)))} that comes without ${column} takes the next number; programs that bring numbers of their own have to stop, or the two will meet.`,
};
