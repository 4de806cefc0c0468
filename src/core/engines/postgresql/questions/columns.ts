// Columns as the catalogue has them, and the types that they are of.

import type { Shared } from '../../../records';
import { columnId, type TableId } from '../../../catalogue/identifiers';
import type { Row } from '../../questions';
import type { Column, ColumnStatistics, TypeFamily } from '../../../catalogue/model';

const familyByName: Readonly<Record<string, TypeFamily>> = {
  int2: 'integer',
  int4: 'integer',
  int8: 'integer',
  numeric: 'decimal',
  float4: 'float',
  float8: 'float',
  bool: 'boolean',
  date: 'date',
  timestamp: 'timestamp',
  timestamptz: 'timestamp',
  time: 'time',
  timetz: 'time',
  uuid: 'uuid',
  bytea: 'binary',
  json: 'json',
  jsonb: 'json',
};

export interface Type {
  readonly family: TypeFamily;
  readonly comparable: boolean;
  /** As it is spelt without limits, its domain taken away. */
  readonly comparedAs: string;
  readonly domain: string | null;
  /** The length or precision that a domain gives its base type. */
  readonly modifier: number;
}

/** Types by oid. A domain is of its base type's family. */
export function typesOf(types: readonly Row[]): ReadonlyMap<string, Type> {
  const byOid = new Map(types.map((row) => [row[0] ?? '', row]));
  const resolve = (oid: string, modifier: number): Type => {
    const type = byOid.get(oid);
    if (!type) return { ...unknownType, modifier };
    const [, name, kind, category, base, ownModifier, schema, spelt, sortable, element] = type;
    const own = Number(ownModifier);
    if (kind === 'd') return { ...resolve(base ?? '', own >= 0 ? own : modifier), domain: `${schema}.${name}` };
    const family = familyByName[name ?? ''] ?? (category === 'S' ? 'text' : 'other');
    // Arrays are compared as what they hold is.
    const comparable = element ? resolve(element, -1).comparable : sortable === 't';
    return { family, comparable, comparedAs: spelt ?? '', domain: null, modifier };
  };
  return new Map(types.map(([oid]) => [oid ?? '', resolve(oid ?? '', -1)]));
}

export interface ColumnContext {
  readonly table: TableId;
  readonly types: ReadonlyMap<string, Type>;
  /** Types as they are spelt, by oid and modifier. */
  readonly spelt: ReadonlyMap<string, string>;
  readonly shared: Shared;
  /** The server's null fraction and n_distinct; null when not asked for. */
  readonly statistics: readonly [number, number] | null;
  readonly rows: number | null;
}

// A row type, which somebody may compare, but nobody identifies by.
const unknownType: Type = { family: 'other', comparable: false, comparedAs: '', domain: null, modifier: -1 };

/** A row of the query of columns. */
export function columnOf(row: Row, { table, types, spelt, shared, statistics, rows }: ColumnContext): Column {
  const [
    ,
    number,
    name,
    typeOid,
    modifier,
    notNull,
    identity,
    generated,
    said = null,
    comment = null,
    collation = null,
    ...more
  ] = row;
  const [named = null, validated] = more;
  const own = Number(modifier);
  const type = types.get(typeOid ?? '') ?? unknownType;
  const effective = own >= 0 ? own : type.modifier;
  return {
    id: columnId(table, name ?? ''),
    number: shared(number ?? ''),
    name: shared(name ?? ''),
    declaredType: spelt.get(`${typeOid} ${modifier}`) ?? '',
    comparedAs: type.comparedAs,
    family: type.family,
    comparable: type.comparable,
    domain: type.domain,
    // A type modifier carries 4 bytes of header: pg_type.h, "atttypmod".
    length: type.family === 'text' && effective >= 4 ? effective - 4 : null,
    precision: type.family === 'decimal' && effective >= 4 ? ((effective - 4) >> 16) & 0xffff : null,
    scale: type.family === 'decimal' && effective >= 4 ? (effective - 4) & 0x7ff : type.family === 'integer' ? 0 : null,
    collation,
    nullable: notNull !== 't' || validated === 'f',
    ...(named !== null && { notNull: { name: named, validated: validated === 't' } }),
    default: generated === '' ? said : null,
    fillsItself: identity !== '' || (generated === '' && makesIdentity.test(said ?? '')),
    identity: identity === 'a' ? 'always' : identity === 'd' ? 'by default' : null,
    generated: generated === '' ? null : said,
    comment,
    statistics: columnStatistics(statistics, rows),
  };
}

// A default that gives the next number, or a made-up identifier.
const makesIdentity = /^(pg_catalog\.)?(nextval|gen_random_uuid|uuid_generate_v\d)\(/;

// n_distinct below zero is a share of the rows: pg_stats in the manual.
function columnStatistics(row: readonly [number, number] | null, rows: number | null): ColumnStatistics | null {
  if (!row || rows === null) return null;
  const [nullFraction, distinct] = row;
  return { nullFraction, distinct: distinct < 0 ? Math.round(-distinct * rows) : distinct };
}
