// What an operation has to know of its tables as they are when its turn comes: whose they are, whether others inherit
// from them, whether they are split. Remedies say what is to be done; this says what that is here.

import type { Draft } from '../catalogue/draft';
import type { Catalogue } from '../catalogue/model';
import { engineOf, traitsOf } from '../engines/index';
import { kindOf, type Operation } from '../operations/index';
import type { Ground } from '../operations/operation';
import { Refusal } from '../operations/refusal';

export function groundOf(catalogue: Catalogue, current: Draft): Ground {
  const traits = traitsOf(catalogue);
  const { names, withNullability = null } = engineOf(catalogue);
  const { shorten, spelt } = names;
  return { current, namedNotNull: traits.namedNotNull, shorten, spelt, traits, withNullability };
}

export function fitted(operation: Operation, on: Ground): Operation | Refusal {
  const fitting = kindOf(operation).fit?.(operation, on) ?? operation;
  const copies = on.current.find(operation.table)?.storage?.clustered === false;
  return copies && !(fitting instanceof Refusal) ? { ...fitting, copies: true } : fitting;
}
