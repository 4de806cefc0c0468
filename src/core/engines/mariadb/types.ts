import { type Shape, shapeOf } from '../../catalogue/edit';
import type { Column, TypeFamily } from '../../catalogue/model';
import type { TypeRules } from '../engineFacts';

// Manual, "Data Types": sizes and ranges of fixed types.
const integers: Readonly<Record<string, number>> = { tinyint: 1, smallint: 2, mediumint: 3, int: 4, bigint: 8 };
const others: Readonly<Record<string, number>> = { float: 4, double: 8, date: 3, year: 1, uuid: 16, inet6: 16, inet4: 4 };

/** `int(10) unsigned` is an `int`. */
export function baseOf(declaredType: string): string {
  return /^[a-z0-9]+/i.exec(declaredType)?.[0]?.toLowerCase() ?? '';
}

// Manual, "Supported Character Sets": bytes of a character at most.
const characterBytes: Readonly<Record<string, number>> = {
  utf8mb4: 4,
  utf16: 4,
  utf32: 4,
  utf16le: 4,
  utf8mb3: 3,
  utf8: 3,
  ucs2: 2,
};

function shape(declaredType: string, family: TypeFamily, more: Partial<Shape> = {}): Shape {
  return {
    ...{ declaredType, comparedAs: family, family },
    ...{ comparable: true, length: null, precision: null, scale: null, collation: null },
    ...more,
  };
}

/** Whole numbers with more bytes, as wide as this server writes them where it does (manual, "Numeric Data Type Overview"). */
function widerThan(declaredType: string, widths: Readonly<Record<string, string>>): readonly Shape[] {
  const base = baseOf(declaredType);
  const bytes = integers[base] ?? 8;
  const sign = /\bunsigned\b/.test(declaredType) ? ' unsigned' : '';
  const width = (type: string): string =>
    sign !== '' && type === 'int' ? (widths[type] ?? '').replace('11', '10') : (widths[type] ?? '');
  return ['int', 'bigint']
    .filter((type) => (integers[type] ?? 0) > bytes)
    .map((type) => shape(`${type}${width(type)}${sign}`, 'integer', { scale: 0 }));
}

/** As a server of the family spells types: with the widths of whole numbers, or without. */
export function typesBy(widths: Readonly<Record<string, string>>): TypeRules {
  const numbering = `bigint${widths['bigint'] ?? ''}`;
  const forForms: Readonly<Partial<Record<TypeFamily, Shape>>> = {
    integer: shape(numbering, 'integer', { scale: 0 }),
    date: shape('date', 'date'),
    boolean: shape('tinyint(1)', 'boolean'),
  };
  return {
    ...{ ...shared, numbering },
    wider: ({ declaredType }) => widerThan(declaredType, widths),
    typeFor: (form) => forForms[form] ?? null,
  };
}

// The display width of a whole number is no matter, nor is the length of a text.
export function refersAs({ declaredType, family, collation }: Column): string {
  const type = declaredType.replace(/^(\w*int)\(\d+\)/, '$1').replace(' zerofill', '');
  return family === 'text' ? `${type.replace(/^(var)?char\(\d+\)/, 'text')} collate ${collation}` : type;
}

// Manual, "Unicode": three bytes a character, so that none beyond U+FFFF can be stored.
const narrow: readonly string[] = ['utf8mb3', 'utf8', 'ucs2'];

function inUnicode(column: Column): Shape | null {
  const { characterSet, collation, family, values } = column;
  if (family !== 'text' || values || characterSet === undefined || !narrow.includes(characterSet)) return null;
  const wide = collation?.replace(/^[^_]+/, 'utf8mb4') ?? null;
  return { ...shapeOf(column), characterSet: 'utf8mb4', collation: wide };
}

const shared: Omit<TypeRules, 'numbering' | 'wider' | 'typeFor'> = {
  // A text without a length, or a blob, is indexed by a part of it only.
  indexedBytes: ({ declaredType, length, characterSet }) => {
    const base = baseOf(declaredType);
    if (/text$|blob$|^json$/.test(base)) return Infinity;
    if (length !== null) return length * (characterBytes[characterSet ?? ''] ?? 1);
    return Number(/^(?:var)?binary\((\d+)\)/.exec(declaredType)?.[1] ?? 16);
  },
  fixedBytes: ({ declaredType }) => {
    const base = baseOf(declaredType);
    return integers[base] ?? others[base] ?? (/^(datetime|timestamp|time)$/.test(base) ? 8 : null);
  },
  largest: ({ declaredType }) => {
    const bytes = integers[baseOf(declaredType)];
    if (bytes === undefined) return null;
    return 2 ** (8 * bytes - (/\bunsigned\b/.test(declaredType) ? 0 : 1)) - 1;
  },
  smallest: ({ declaredType }) => {
    const bytes = integers[baseOf(declaredType)];
    if (bytes === undefined) return null;
    return /\bunsigned\b/.test(declaredType) ? 0 : -(2 ** (8 * bytes - 1));
  },
  exact: (decimals) => shape(`decimal(18,${decimals})`, 'decimal', { precision: 18, scale: decimals }),
  // One that tells its zone ends in 2038 (manual, "TIMESTAMP").
  zoned: () => null,
  inUnicode,
  refersAs,
  // A timestamp is kept in UTC and told in the session's zone, a datetime tells none (manual, "TIMESTAMP").
  zoneOf: ({ declaredType }) => {
    const base = baseOf(declaredType);
    return base === 'timestamp' ? 'with' : base === 'datetime' ? 'without' : null;
  },
  short: (declaredType) => declaredType.replace(/^((?:tiny|small|medium|big)?int)\((?!1\))\d+\)/, '$1'),
  /** Manual, "InnoDB Limitations": 3,072 bytes with pages of 16 KB. */
  widestIndexed: 3_072,
  casts: /\bcollate\s+\w+|\bcharacter\s+set\s+\w+/gi,
  constantIn: (expression) =>
    /^'((?:[^']|'')*)'$/.exec(expression)?.[1]?.replaceAll("''", "'") ??
    /^-?[\d.]+$|^(?:true|false)$/.exec(expression)?.[0] ??
    null,
};

export const types = typesBy({ int: '(11)', bigint: '(20)' });
