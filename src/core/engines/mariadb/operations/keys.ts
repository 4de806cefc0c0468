import type { AddPrimaryKey } from '../../../operations/add-primary-key';
import type { AddUnique } from '../../../operations/add-unique';
import type { ReplaceKey, RestoreKey } from '../../../operations/replace-key';
import { quote, quoteList } from '../quote';
import { isFilledByCopy } from '../column-text';
import { asOne, building, copying, rebuilding } from './writing';

export const addPrimaryKey = asOne<AddPrimaryKey>(
  ({ definitions = [] }) => (definitions.some(({ before }) => isFilledByCopy(before)) ? copying : rebuilding),
  ({ columns }) => [`add primary key (${quoteList(columns)})`],
);

export const addUnique = asOne<AddUnique>(building, ({ name, columns }) => [
  `add unique key ${quote(name)} (${quoteList(columns)})`,
]);

// In one go: what refers to the former key goes on by the unique key over it.
export const replaceKey = asOne<ReplaceKey>(rebuilding, ({ columns, unique, former, helper }) => [
  'drop primary key',
  `add primary key (${quoteList(columns)})`,
  `add unique key ${quote(unique)} (${quoteList(former)})`,
  ...(helper === undefined ? [] : [`drop key ${quote(helper)}`]),
]);

export const restoreKey = asOne<RestoreKey>(rebuilding, ({ columns, unique, former, helper }) => [
  'drop primary key',
  `add primary key (${quoteList(former)})`,
  `drop key ${quote(unique)}`,
  ...(helper === undefined ? [] : [`add unique key ${quote(helper)} (${quoteList(columns)})`]),
]);
