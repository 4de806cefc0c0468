import { engineOf } from '../../src/core/engines/index';
import { Draft } from '../../src/core/catalogue/draft';
import type { Catalogue } from '../../src/core/catalogue/model';
import type { Operation } from '../../src/core/operations/index';
import { Refusal } from '../../src/core/operations/refusal';
import { fitted, groundOf } from '../../src/core/plan/fit';

/** An operation with what it has to know of its tables and their engine, as a plan has it; or why it cannot be done there. */
export function fit(wanted: Operation, catalogue: Catalogue): Operation | Refusal {
  const fixed = engineOf(catalogue).names.fixed?.['primary key'];
  const isKey = wanted.kind === 'addPrimaryKey' || wanted.kind === 'replaceKey';
  const named = isKey && fixed !== undefined ? { ...wanted, name: fixed } : wanted;
  return fitted(named, groundOf(catalogue, new Draft(catalogue)), engineOf(catalogue).dialect.plans);
}

/** The same of what can be done. */
export function fitting(wanted: Operation, catalogue: Catalogue): Operation {
  const operation = fit(wanted, catalogue);
  if (operation instanceof Refusal) throw new Error(operation.message);
  return operation;
}
