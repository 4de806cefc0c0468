import type { AddPrimaryKey } from '../../../operations/add-primary-key';
import type { AddUnique } from '../../../operations/add-unique';
import { todoOf } from '../../../operations/index';
import type { AddedKey } from '../../../operations/keys';
import type { ReplaceKey, RestoreKey } from '../../../operations/replace-key';
import type { Cost } from '../../../plan/cost';
import type { Stage } from '../../dialect';
import { shorten } from '../names';
import { quote, quoteList } from '../quote';
import { addReference, commented } from './constraints';
import { buildIndex, dropIndexBeside } from './indexes';
import { fillForGood } from './nullability';
import { alter, buildingIndexes, cleansUp, does, dropConstraintOf, exclusive, moment, stage, type Writing } from './writing';

export const addPrimaryKey: Writing<AddPrimaryKey> = {
  statements: (key) => [addKey('primary key', key)],
  cost: (key) => keyCost(key, 'everyone'),
  quiet: {
    stages: (key, whole) =>
      key.rows === 'partitioned'
        ? [whole]
        : [
            ...key.nullableBefore.flatMap((column) => fillForGood(key.table, column)),
            ...(key.index === null ? buildIndex(key.table, key.name, key.columns, true) : []),
            useIndex(key, 'primary key'),
          ],
    cost: (key) => keyCost(key, key.rows === 'partitioned' ? 'everyone' : 'others for a moment'),
  },
  bytesPassed: (key, cost, catalogue) => buildingIndexes(key, [key.columns], cost, catalogue),
};

export const addUnique: Writing<AddUnique> = {
  statements: (key) => [addKey('unique', key)],
  cost: (key) => keyCost(key, 'everyone'),
  quiet: {
    stages: (key, whole) =>
      key.index !== null || key.rows === 'partitioned'
        ? [whole]
        : [...buildIndex(key.table, key.name, key.columns, true), useIndex(key, 'unique')],
    cost: (key) => keyCost(key, key.rows === 'partitioned' ? 'everyone' : 'others for a moment'),
  },
  bytesPassed: (key, cost, catalogue) => buildingIndexes(key, [key.columns], cost, catalogue),
};

// An index that is there already has only to be named.
function keyCost({ index }: AddedKey, blocks: Cost['blocks']): Cost {
  return exclusive(index === null ? 'builds an index' : 'catalogue only', blocks);
}

function addKey(kind: 'primary key' | 'unique', { table, name, columns, index }: AddedKey): string {
  return alter(
    table,
    `add constraint ${quote(name)}`,
    index === null ? `${kind} (${quoteList(columns)})` : `${kind} using index ${quote(index)}`,
  );
}

function useIndex(key: AddPrimaryKey | AddUnique, kind: 'primary key' | 'unique'): Stage {
  return does(key, [addKey(kind, { ...key, index: key.index ?? key.name })], moment);
}

export const replaceKey: Writing<ReplaceKey> = {
  statements: (key) =>
    swapKey(key, [
      addKey('primary key', { ...key, index: null }),
      addKey('unique', { table: key.table, name: key.unique, columns: key.former, index: null }),
    ]),
  cost: () => exclusive('builds an index'),
  quiet: {
    stages(key) {
      const { name, unique, columns, former } = key;
      const next = builtFor(name);
      return [
        ...buildForKey(key, next, columns, columns),
        ...buildForKey(key, unique, former, columns),
        stage(
          swapKey(key, [takeIndex('primary key', key, name, next), takeIndex('unique', key, unique, unique)]),
          todoOf(key),
          moment,
        ),
        // What was built for the other way, when that was interrupted.
        cleansUp(dropIndexBeside(key.table, builtFor(name, 'former'))),
      ];
    },
    cost: () => exclusive('builds an index', 'others for a moment'),
  },
  bytesPassed: (key, cost, catalogue) => buildingIndexes(key, [key.columns, key.former], cost, catalogue),
};

export const restoreKey: Writing<RestoreKey> = {
  statements: (key) => swapKey(key, [addKey('primary key', { ...key, columns: key.former, index: null })]),
  cost: () => exclusive('builds an index'),
  quiet: {
    stages(key) {
      const { name, unique, former } = key;
      const before = builtFor(name, 'former');
      return [
        ...buildForKey(key, before, former, former),
        stage(swapKey(key, [takeIndex('primary key', key, name, before)]), todoOf(key), moment),
        ...[builtFor(name), unique].map((index) => cleansUp(dropIndexBeside(key.table, index))),
      ];
    },
    cost: () => exclusive('builds an index', 'others for a moment'),
  },
  bytesPassed: (key, cost, catalogue) => buildingIndexes(key, [key.former], cost, catalogue),
};

function builtFor(key: string, which: 'next' | 'former' = 'next'): string {
  return shorten(`pawl_${key}_${which}`);
}

// Both indexes are built beside the work; then all that takes a lock is done in one moment, so that no row slips in unheld.
function buildForKey(
  { table }: Pick<ReplaceKey, 'table'>,
  index: string,
  over: readonly string[],
  keyColumns: readonly string[],
): readonly Stage[] {
  return buildIndex(table, index, over, true).map((build) =>
    build.todo.kind === 'indexMissing'
      ? { ...build, todo: { kind: 'keyIndexMissing', table, name: index, columns: keyColumns } }
      : build,
  );
}

function takeIndex(kind: 'primary key' | 'unique', { table }: Pick<ReplaceKey, 'table'>, name: string, index: string): string {
  return addKey(kind, { table, name, columns: [], index });
}

/** The references that rest on a key are dropped, its constraints replaced, the references made again. */
function swapKey(key: ReplaceKey | RestoreKey, keys: readonly string[]): readonly string[] {
  const { table, name, unique, references } = key;
  const back = key.kind === 'restoreKey';
  return [
    ...references.map(({ reference }) => dropConstraintOf(reference.table, reference.name)),
    dropConstraintOf(table, name),
    ...(back ? [dropConstraintOf(table, unique)] : []),
    ...keys,
    ...(back ? commented(table, name, key.comment) : []),
    ...references.flatMap(({ reference }) => addReference(reference)),
  ];
}
