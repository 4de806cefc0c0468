import { ValidateBy } from 'class-validator';
import { type Claim, forms } from '../core/evidence/claims';

/** A claim about values that says enough to be checked. */
export function IsClaim(each = false): PropertyDecorator {
  return ValidateBy(
    { name: 'isClaim', validator: { validate: isClaim, defaultMessage: () => 'says too little to be checked' } },
    { each },
  );
}

function isClaim(value: unknown): value is Claim {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return false;
  const { kind, column, first, second, form, values, ...more } = value as Readonly<Record<string, unknown>>;
  if (Object.keys(more).length > 0) return false;
  switch (kind) {
    case 'ordered':
      return isName(first) && isName(second);
    case 'notNegative':
    case 'notBlank':
      return isName(column);
    case 'ofForm':
      return isName(column) && forms.some((known) => known === form);
    case 'noneOf':
    case 'oneOf':
      return isName(column) && Array.isArray(values) && values.length > 0 && values.length <= 64 && values.every(isText);
    default:
      return false;
  }
}

function isText(value: unknown): value is string {
  return typeof value === 'string';
}

function isName(value: unknown): value is string {
  return isText(value) && value !== '';
}
