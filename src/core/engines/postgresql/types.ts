import type { Shape } from '../../catalogue/edit';
import type { TypeFamily } from '../../catalogue/model';
import type { TypeRules } from '../engineFacts';

// Manual, chapter 8: sizes and ranges of fixed types.
const bytes: Readonly<Record<string, number>> = {
  smallint: 2,
  integer: 4,
  bigint: 8,
  uuid: 16,
  date: 4,
  real: 4,
  'double precision': 8,
  boolean: 1,
};

const largest: Readonly<Record<string, number>> = { smallint: 32_767, integer: 2_147_483_647, bigint: 2 ** 63 };

const sequenceEnds: Readonly<Record<string, string>> = {
  smallint: '32767',
  integer: '2147483647',
  bigint: '9223372036854775807',
};

const wholes = ['smallint', 'integer', 'bigint'];
const ofForms: Readonly<Partial<Record<TypeFamily, Shape>>> = {
  integer: whole('bigint'),
  decimal: shape('numeric', 'decimal'),
  date: shape('date', 'date'),
  uuid: shape('uuid', 'uuid'),
  boolean: shape('boolean', 'boolean'),
};

function shape(declaredType: string, family: TypeFamily, more: Partial<Shape> = {}): Shape {
  return {
    ...{ declaredType, comparedAs: declaredType, family },
    ...{ comparable: true, length: null, precision: null, scale: null, collation: null },
    ...more,
  };
}

function whole(declaredType: string): Shape {
  return shape(declaredType, 'integer', { scale: 0 });
}

export const types: TypeRules = {
  fixedBytes: ({ declaredType }) => bytes[declaredType] ?? (/^time/.test(declaredType) ? 8 : null),
  largest: ({ declaredType }) => largest[declaredType] ?? null,
  smallest: ({ declaredType }) => (largest[declaredType] === undefined ? null : -largest[declaredType] - 1),
  sequenceEnd: (declaredType) => sequenceEnds[declaredType],
  wider: ({ declaredType }) => {
    const at = wholes.indexOf(declaredType);
    return at < 0 ? [] : wholes.slice(at + 1).map(whole);
  },
  exact: (decimals) => shape(`numeric(18,${decimals})`, 'decimal', { comparedAs: 'numeric', precision: 18, scale: decimals }),
  zoned: ({ declaredType }) => {
    const zoned = declaredType.replace('without time zone', 'with time zone');
    return zoned === declaredType ? null : shape(zoned, 'timestamp', { comparedAs: 'timestamp with time zone' });
  },
  typeFor: (form) => ofForms[form] ?? null,
  inUnicode: () => null,
  zoneOf: ({ declaredType }) =>
    (/^timestamp(?:\(\d\))? (with|without) time zone$/.exec(declaredType)?.[1] ?? null) as 'with' | 'without' | null,
  numbering: 'bigint',
  // Manual, table 8.1: aliases.
  short: (declaredType) =>
    declaredType
      .replace(/^character varying\b/, 'varchar')
      .replace(/^character\b/, 'char')
      .replace(/^(timestamp|time)(\(\d\))? with time zone/, '$1tz$2')
      .replace(/^(timestamp|time)(\(\d\))? without time zone/, '$1$2')
      .replace(/^double precision\b/, 'float8')
      .replace(/^real\b/, 'float4'),
  /** Manual, 67.4.1 "B-Tree Structure": an entry takes a third of a page at most, 2,704 bytes with its header. */
  widestIndexed: 2_690,
  casts:
    /::\s*(?:character varying|double precision|timestamp with(?:out)? time zone|"?[\w.]+"?)(?:\(\d+(?:,\s*\d+)?\))?(?:\[\])?/gi,
  constantIn,
};

function constantIn(expression: string): string | null {
  const quoted = /^(E?)'((?:[^']|'')*)'(::[\w ."[\](),]+)?$/.exec(expression);
  if (quoted) {
    const text = (quoted[2] ?? '').replaceAll("''", "'");
    return quoted[1] === 'E' ? text.replaceAll('\\\\', '\\') : text;
  }
  return /^\(?(-?[\d.]+|true|false)\)?(::[\w ."[\](),]+)?$/.exec(expression)?.[1] ?? null;
}
