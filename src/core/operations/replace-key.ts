// Another primary key takes the place of the one that is there, and the way back. What refers to the key is dropped
// and made again in the same moment, for new rows only; `checkRows` looks at the rows.

import type { Draft } from '../catalogue/draft';
import { mapConstraint, newConstraint, withKey, withoutConstraint } from '../catalogue/edit';
import type { TableId } from '../catalogue/identifiers';
import { keyColumnsOf, primaryKeyOf, sameColumns } from '../catalogue/lookups';
import type { Constraint } from '../catalogue/model';
import { traitsOf } from '../engines/facts';
import { type AddForeignKey, referenceProofs } from './add-foreign-key';
import type { CheckRows } from './check-rows';
import type { Kind } from './operation';
import { fittedReference, keepsOwnRows, referenceIn } from './reference';
import { Refusal } from './refusal';

/**
 * Another primary key, over columns that are filled and unique, takes the place and the name of the one that is
 * there. The former columns stay unique by a constraint of their own.
 */
export interface ReplaceKey {
  readonly kind: 'replaceKey';
  readonly table: TableId;
  readonly name: string;
  readonly columns: readonly string[];
  readonly former: readonly string[];
  /** The constraint that keeps the former columns unique. */
  readonly unique: string;
  readonly references: readonly Remade[];
  /** What people said of the former key. */
  readonly comment?: string;
  /** The key that the numbered column had until it became the primary one. */
  readonly helper?: string;
}

/** The former primary key put back, with what refers to it. */
export interface RestoreKey extends Omit<ReplaceKey, 'kind'> {
  readonly kind: 'restoreKey';
}

/** A reference that is made again as it was, and whether its rows were checked before. */
export interface Remade {
  readonly reference: AddForeignKey;
  readonly validated: boolean;
}

/** What looks at the rows again under the references that a replaced key had made anew. */
export function checksOfRemade({ references }: Pick<ReplaceKey, 'references'>): readonly CheckRows[] {
  return references
    .filter(({ validated }) => validated)
    .map(({ reference }) => ({
      kind: 'checkRows',
      table: reference.table,
      name: reference.name,
      against: { kind: 'orphans', reference: referenceIn(reference), values: null },
      before: null,
    }));
}

function tablesOf({ references }: Pick<ReplaceKey, 'references'>): readonly TableId[] {
  return references.map(({ reference }) => reference.table);
}

function remadeInWords({ references }: Pick<ReplaceKey, 'references'>): string {
  const names = references.map(({ reference }) => reference.name);
  return names.length === 0 ? '' : `; in the same moment dropped and made again, for new rows: ${names.join(', ')}`;
}

export const replaceKey: Kind<ReplaceKey> = {
  rank: 2.5,
  makes: true,
  indexed: ({ columns, former }) => [columns, former],
  words: (key) =>
    `${key.columns.join(', ')} as the primary key of ${key.table} instead of ${key.former.join(', ')}, which stays unique${remadeInWords(key)}`,

  inverse: (key) => [{ ...key, kind: 'restoreKey' }, ...checksOfRemade(key)],

  apply(key, draft) {
    const { table: id, name, unique, columns, former, helper } = key;
    const whole = helper === undefined ? draft.get(id) : withoutConstraint(draft.get(id), helper);
    const table = mapConstraint(whole, name, ({ comment: _, ...constraint }) => ({ ...constraint, columns }));
    const indexes = table.indexes.map((index) => (index.name === name ? { ...index, columns } : index));
    draft.put(
      withKey(
        { ...table, indexes },
        { kind: 'unique', ...newConstraint(table, unique), columns: former, index: unique, nulls: traitsOf(draft).nullsInUnique },
      ),
    );
    restReferences(key, unique, draft);
  },

  todo: ({ table, columns }) => ({ kind: 'keyMissing', table, columns }),
  before: ({ table, former, unique }) => [
    { kind: 'keyMissing', table, columns: former },
    { kind: 'constraintPresent', table, name: unique },
  ],
  after: ({ table, columns, unique }) => [
    { kind: 'keyMissing', table, columns },
    { kind: 'constraintMissing', table, name: unique, validated: true },
  ],
  proofs: ({ table, columns, former, name, unique, references }) => [
    { kind: 'repeat', table, columns, constraint: name },
    { kind: 'repeat', table, columns: former, constraint: unique },
    ...references.flatMap(({ reference }) => referenceProofs(reference)),
  ],

  changesAlso: tablesOf,

  fit(key, { current }) {
    if (primaryKeyOf(current.get(key.table))?.prefix)
      return new Refusal(
        `The primary key of ${key.table} takes the beginnings of texts: how it gives way takes somebody's thought.`,
      );
    if (keepsOwnRows(current.get(key.table), current))
      return new Refusal(`${key.table} has tables that inherit from it: its key cannot give way to a numbered column.`);
    return {
      ...key,
      references: key.references.map(({ reference, validated }) => ({
        reference: fittedReference(reference, reference.table, current),
        validated,
      })),
    };
  },

  refuse: ({ table, former }, current) =>
    sameColumns(keyColumnsOf(current.get(table)), former)
      ? null
      : new Refusal(
          `The primary key of ${table} is no longer ${former.join(', ')}, or another remedy of this docket replaces it.`,
        ),
};

export const restoreKey: Kind<RestoreKey> = {
  rank: 9,
  words: (key) => `${key.former.join(', ')} as the primary key of ${key.table} again${remadeInWords(key)}`,
  inverse: () => null,

  apply(key, draft) {
    const { table: id, name, unique, columns, former, comment, helper } = key;
    const table = mapConstraint(draft.get(id), name, ({ comment: _, ...constraint }) => ({
      ...constraint,
      columns: former,
      ...(comment !== undefined && { comment }),
    }));
    const indexes = table.indexes.map((index) => (index.name === name ? { ...index, columns: former } : index));
    const restored = withoutConstraint({ ...table, indexes }, unique);
    const numbered = {
      kind: 'unique',
      ...newConstraint(table, helper ?? ''),
      columns,
      index: helper ?? '',
      nulls: traitsOf(draft).nullsInUnique,
    } as const;
    draft.put(helper === undefined ? restored : withKey(restored, numbered));
    restReferences(key, name, draft);
  },

  todo: ({ table, former }) => ({ kind: 'keyMissing', table, columns: former }),
  changesAlso: tablesOf,
};

// The references to the key rest on another index afterwards.
function restReferences({ references }: Pick<ReplaceKey, 'references'>, index: string, draft: Draft): void {
  for (const { reference } of references)
    draft.put(
      mapConstraint(draft.get(reference.table), reference.name, (c) => ({ ...c, validated: false, index }) as Constraint),
    );
}
