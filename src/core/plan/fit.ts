// What an operation has to know of its tables as they are when its turn comes: whose they are, whether others inherit
// from them, whether they are split. Remedies say what is to be done; this says what that is here.

import type { Draft } from '../catalogue/draft';
import type { Catalogue, Table } from '../catalogue/model';
import { factsOf, traitsOf } from '../engines/facts';
import { kindOf, type Operation } from '../operations/index';
import type { Ground } from '../operations/operation';
import { Refusal } from '../operations/refusal';

export function groundOf(catalogue: Catalogue, current: Draft): Ground {
  const traits = traitsOf(catalogue);
  const { names, withNullability = null } = factsOf(catalogue);
  const { shorten, spelt } = names;
  return { current, namedNotNull: traits.namedNotNull, shorten, spelt, traits, withNullability };
}

export function fitted(operation: Operation, on: Ground): Operation | Refusal {
  const fitting = kindOf(operation).fit?.(operation, on) ?? operation;
  if (fitting instanceof Refusal) return fitting;
  const table = on.current.find(operation.table);
  const copies = table?.storage?.clustered === false;
  const besides = on.traits.indexesReferences ? likeThoseOfReferences(fitting, table ?? null) : [];
  return copies || besides.length > 0
    ? { ...fitting, ...(copies && { copies: true }), ...(besides.length > 0 && { besides }) }
    : fitting;
}

/** Plain indexes over what another that is made begins with: which of them a reference brought, the server does not tell. */
function likeThoseOfReferences(operation: Operation, table: Table | null): readonly string[] {
  const made = kindOf(operation).indexed?.(operation) ?? [];
  return (
    (table?.indexes ?? [])
      // What a docket makes has no line of the server's yet: no reference brought it.
      .filter(({ unique, plain, prefix, definition }) => !unique && plain && !prefix && definition !== undefined)
      .filter(({ columns }) => made.some((over) => columns.every((column, i) => column === over[i])))
      .map(({ name }) => name)
  );
}
