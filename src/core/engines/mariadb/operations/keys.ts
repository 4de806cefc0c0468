import type { AddPrimaryKey } from '../../../operations/add-primary-key';
import type { AddUnique } from '../../../operations/add-unique';
import type { ReplaceKey, RestoreKey } from '../../../operations/replace-key';
import { quote, quoteList } from '../quote';
import type { Way } from '../variant';
import { wayFor } from './columns';
import { asOne } from './writing';

export const addPrimaryKey = asOne<AddPrimaryKey>(
  ({ definitions = [] }) => dearest(definitions.map(({ before }) => wayFor(before))),
  ({ columns }) => [`add primary key (${quoteList(columns)})`],
);

function dearest(ways: readonly Way[]): Way {
  return ways.find((way) => way === 'copies') ?? ways.find((way) => way !== 'rebuilds') ?? 'rebuilds';
}

export const addUnique = asOne<AddUnique>('builds an index', ({ name, columns }) => [
  `add unique key ${quote(name)} (${quoteList(columns)})`,
]);

// In one go: what refers to the former key goes on by the unique key over it.
export const replaceKey = asOne<ReplaceKey>('rebuilds', ({ columns, unique, former, helper }) => [
  'drop primary key',
  `add primary key (${quoteList(columns)})`,
  `add unique key ${quote(unique)} (${quoteList(former)})`,
  ...(helper === undefined ? [] : [`drop key ${quote(helper)}`]),
]);

export const restoreKey = asOne<RestoreKey>('rebuilds', ({ columns, unique, former, helper }) => [
  'drop primary key',
  `add primary key (${quoteList(former)})`,
  `drop key ${quote(unique)}`,
  ...(helper === undefined ? [] : [`add unique key ${quote(helper)} (${quoteList(columns)})`]),
]);
