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

export const types: TypeRules = {
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
  // A timestamp is kept in UTC and told in the session's zone, a datetime tells none (manual, "TIMESTAMP").
  zoneOf: ({ declaredType }) => {
    const base = baseOf(declaredType);
    return base === 'timestamp' ? 'with' : base === 'datetime' ? 'without' : null;
  },
  numbering: 'bigint(20)',
  short: (declaredType) => declaredType.replace(/^((?:tiny|small|medium|big)?int)\((?!1\))\d+\)/, '$1'),
  /** Manual, "InnoDB Limitations": 3,072 bytes with pages of 16 KB. */
  widestIndexed: 3_072,
  casts: /\bcollate\s+\w+|\bcharacter\s+set\s+\w+/gi,
  constantIn: (expression) =>
    /^'((?:[^']|'')*)'$/.exec(expression)?.[1]?.replaceAll("''", "'") ??
    /^-?[\d.]+$|^(?:true|false)$/.exec(expression)?.[0] ??
    null,
};
