import type { CreateIndex, DropIndex } from '../../../operations/create-index';
import type { RenameIndex } from '../../../operations/rename-index';
import { quote, quoteList } from '../quote';
import { asOne, building, instant } from './writing';

export const createIndex = asOne<CreateIndex>(building, ({ name, columns, unique }) => [
  `add ${unique ? 'unique key' : 'key'} ${quote(name)} (${quoteList(columns)})`,
]);

export const dropIndex = asOne<DropIndex>({ ...building }, ({ name }) => [`drop key ${quote(name)}`]);

export const renameIndex = asOne<RenameIndex>(instant, ({ from, to }) => [`rename index ${quote(from)} to ${quote(to)}`]);
