// What an operation has to know of its tables as they are when its turn comes: whose they are, whether others inherit
// from them, whether they are split. Remedies say what is to be done; this says what that is here.

import type { Draft } from '../catalogue/draft';
import type { Catalogue } from '../catalogue/model';
import { factsOf, traitsOf } from '../engines/facts';
import { kindOf, type Operation } from '../operations/index';
import type { Ground } from '../operations/operation';
import { Refusal } from '../operations/refusal';
import type { OwnPlanning } from './ownPlanning';

export function groundOf(catalogue: Catalogue, current: Draft): Ground {
  const { shorten, spelt } = factsOf(catalogue).names;
  return { current, shorten, spelt, traits: traitsOf(catalogue) };
}

export function fitted(operation: Operation, on: Ground, own?: OwnPlanning): Operation | Refusal {
  const fitting = kindOf(operation).fit?.(operation, on) ?? operation;
  return fitting instanceof Refusal || !own ? fitting : own.fit(fitting, on);
}
