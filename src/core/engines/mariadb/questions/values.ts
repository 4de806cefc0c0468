// Values of columns as expressions: as text, shortened for a sample.

import type { Column } from '../../../catalogue/model';
import { baseOf } from '../types';
import { quote } from '../quote';

const bytes = /^(binary|varbinary|tinyblob|blob|mediumblob|longblob|bit)$/;
const shapes = /^(geometry|point|linestring|polygon|multi\w+|geom\w*collection)$/;

/** As people can read it: bytes in hexadecimal, shapes by their points. */
export function readableValue(name: string, declaredType: string): string {
  const base = baseOf(declaredType);
  if (declaredType === 'bit(1)') return `${quote(name)} + 0`;
  if (bytes.test(base)) return `hex(${quote(name)})`;
  return shapes.test(base) ? `st_astext(${quote(name)})` : quote(name);
}

/** Longer texts are shortened such that different ones stay different. */
const longest = 120;

/** A value as text for a sample. */
export function sampledValue(column: Column): string {
  const name = quote(column.name);
  if (!column.comparable) return `case when ${name} is not null then '' end`;
  if (column.family === 'binary') return `sha2(${name}, 256)`;
  if (column.family !== 'text') return readableValue(column.name, column.declaredType);
  if (column.length !== null && column.length <= longest) return name;
  return `case when char_length(${name}) <= ${longest} then ${name} else concat(left(${name}, 60), '…', sha2(${name}, 256)) end`;
}

/**
 * What two values have in common when the server takes them for equal, as bytes: right for collations that pad and those that do
 * not when it is asked for the whole length (measured on five). Null where the text says it itself.
 */
export function weightOf(column: Column): string | null {
  if (column.family !== 'text' || column.length === null || column.length > longest || column.values) return null;
  return `hex(weight_string(${quote(column.name)} as char(${Math.max(1, column.length)})))`;
}
