import type { CreateIndex, DropIndex } from '../../../operations/create-index';
import type { RenameIndex } from '../../../operations/rename-index';
import { quote, quoteList } from '../quote';
import { asOne } from './writing';

export const createIndex = asOne<CreateIndex>('builds an index', ({ name, columns, unique }) => [
  `add ${unique ? 'unique key' : 'key'} ${quote(name)} (${quoteList(columns)})`,
]);

export const dropIndex = asOne<DropIndex>('builds an index', ({ name }) => [`drop key ${quote(name)}`]);

export const renameIndex = asOne<RenameIndex>('changes references and names', ({ from, to }) => [renaming(from, to)]);

export function renaming(from: string, to: string): string {
  return `rename index ${quote(from)} to ${quote(to)}`;
}
