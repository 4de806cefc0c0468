import { ValidateBy } from 'class-validator';
import { type ExpressionPart, isExpression } from '../core/evidence/expression';
import { type Claim, forms, patternProblem, plainNumber, zoneName } from '../core/evidence/claims';

/** A claim about values that says enough to be checked. */
export function IsClaim(each = false): PropertyDecorator {
  return ValidateBy(
    { name: 'isClaim', validator: { validate: isClaim, defaultMessage: () => 'says too little to be checked' } },
    { each },
  );
}

function isClaim(value: unknown): value is Claim {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return false;
  const { kind, column, first, second, form, values, least, most, pattern, characters, zone, parts, ...more } = value as Readonly<
    Record<string, unknown>
  >;
  if (Object.keys(more).length > 0) return false;
  switch (kind) {
    case 'ordered':
      return isName(first) && isName(second);
    case 'notNegative':
    case 'notBlank':
      return isName(column);
    case 'ofForm':
    case 'asWritten':
      return isName(column) && forms.some((known) => known === form);
    case 'noneOf':
    case 'oneOf':
      return isName(column) && Array.isArray(values) && values.length > 0 && values.length <= 64 && values.every(isText);
    case 'between':
      return isName(column) && isBound(least) && isBound(most) && (least !== null || most !== null);
    case 'like':
      return isName(column) && isText(pattern) && patternProblem(pattern) === null;
    case 'noLonger':
      return isName(column) && isCount(characters, 1_000_000);
    case 'decimals':
      return isName(column) && isCount(most, 30);
    case 'condition':
      return Array.isArray(parts) && parts.every(isPart) && isExpression(parts);
    case 'inZone':
      return isName(column) && isText(zone) && zoneName.test(zone);
    default:
      return false;
  }
}

function isPart(value: unknown): value is ExpressionPart {
  if (typeof value !== 'object' || value === null) return false;
  const [[key, said] = ['', null], ...more] = Object.entries(value);
  return more.length === 0 && ['column', 'value', 'sign'].includes(key) && isText(said) && said.length <= 4_000;
}

function isBound(value: unknown): boolean {
  return value === null || (isText(value) && plainNumber.test(value));
}

function isCount(value: unknown, most: number): boolean {
  return Number.isInteger(value) && (value as number) >= 0 && (value as number) <= most;
}

function isText(value: unknown): value is string {
  return typeof value === 'string';
}

function isName(value: unknown): value is string {
  return isText(value) && value !== '';
}
