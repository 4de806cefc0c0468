// Values of columns as expressions: hashed for comparing, shortened for a sample.

import type { Column } from '../../../catalogue/model';
import { quote } from '../quote';
import { spelling } from '../spelling';

/**
 * A 64-bit hash of several columns such that equal values have equal hashes, whatever their spelling
 * (1.0 and 1.00); a single column that the server compares in a way of its own stands for itself.
 */
export function hashOf(columns: readonly Column[], folded: boolean): string {
  const [only] = columns;
  if (columns.length === 1 && only) {
    if (folded) return `hashtextextended(${spelling.folded(only)}, 0)`;
    return only.family === 'text' && hasPlainEquality(only) ? hashed(only, '0') : quote(only.name);
  }
  if (columns.some((column) => !canHash(column)) && !folded) return `(${columns.map((c) => quote(c.name)).join(', ')})`;
  return columns.reduce(
    (seed, column) => (folded ? `hashtextextended(${spelling.folded(column)}, ${seed})` : hashed(column, seed)),
    '0',
  );
}

/** A value as text for a sample: long ones shortened so that different ones stay different. */
export function sampledValue(column: Column): string {
  const name = quote(column.name);
  if (!column.comparable) return `case when ${name} is not null then '' end`;
  if (column.family === 'binary') return `md5(${name})`;
  const limited = column.family !== 'text' || (column.length !== null && column.length <= 120);
  if (limited && column.family !== 'other') return `${name}::text`;
  return `case when length(${name}::text) <= 120 then ${name}::text else left(${name}::text, 60) || '…' || md5(${name}::text) end`;
}

const hashable = ['integer', 'text', 'uuid', 'date', 'timestamp', 'boolean', 'decimal'];

function canHash(column: Column): boolean {
  return hashable.includes(column.family) && (column.family !== 'text' || hasPlainEquality(column));
}

// Text whose collation or type compares otherwise than by bytes must not be hashed by bytes.
function hasPlainEquality({ declaredType, collation, domain }: Column): boolean {
  return collation === null && (domain !== null || /^(text|character|bpchar|name|"char")/.test(declaredType));
}

function hashed(column: Column, seed: string): string {
  const name = quote(column.name);
  if (column.family === 'integer') return `hashint8extended(${name}::int8, ${seed})`;
  if (column.family === 'decimal') return `hash_numeric_extended(${name}::numeric, ${seed})`;
  return `hashtextextended(${name}::text, ${seed})`;
}
