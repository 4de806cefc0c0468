// Columns as the catalogue has them.

import { columnId, type TableId } from '../../../catalogue/identifiers';
import type { Column, TypeFamily } from '../../../catalogue/model';
import type { Row } from '../../questions';
import { defaultIn } from '../column-text';

const familyByType: Readonly<Record<string, TypeFamily>> = {
  tinyint: 'integer',
  smallint: 'integer',
  mediumint: 'integer',
  int: 'integer',
  bigint: 'integer',
  decimal: 'decimal',
  float: 'float',
  double: 'float',
  char: 'text',
  varchar: 'text',
  tinytext: 'text',
  text: 'text',
  mediumtext: 'text',
  longtext: 'text',
  date: 'date',
  datetime: 'timestamp',
  timestamp: 'timestamp',
  time: 'time',
  uuid: 'uuid',
  binary: 'binary',
  varbinary: 'binary',
  tinyblob: 'binary',
  blob: 'binary',
  mediumblob: 'binary',
  longblob: 'binary',
  json: 'json',
};

const shapes = /^(geometry|point|linestring|polygon|multi\w+|geom\w*collection)$/;
/** A default that makes an identifier which is like no other. */
const makesIdentity = /^\(?(uuid|uuid_short|sys_guid|nextval|uuid_v[47])\(|^nextval|^next value for/i;

export interface ColumnContext {
  readonly table: TableId;
  /** What SHOW CREATE TABLE says of it; null where that was not to be had. */
  readonly definition: string | null;
  /** True where a check of the column's own keeps it to JSON: the type is a text (manual, "JSON Data Type"). */
  readonly holdsJson: boolean;
  /** The next number of the table. */
  readonly next: string | null;
  readonly barerDefaults: boolean;
  readonly shared: (text: string) => string;
}

/** A row of the query of columns. */
export function columnOf(row: Row, { table, definition, holdsJson, next, barerDefaults, shared }: ColumnContext): Column {
  const [, name, , told = null, nullable, spelt, characterSet = null, collation = null, extra, comment, expression] = row;
  const said = (extra ?? '').toLowerCase();
  const declaredType = shared(spelt ?? '');
  const { type, sizes } = typeIn(declaredType);
  const truth = declaredType === 'tinyint(1)' || declaredType === 'bit(1)';
  const family = holdsJson ? 'json' : truth ? 'boolean' : (familyByType[type] ?? 'other');
  const counts = said.includes('auto_increment');
  const generated = /\b(virtual|stored|persistent)\b/.test(said);
  const given = barerDefaults && definition !== null ? defaultIn(definition) : told;
  const standard = given === null || given.toUpperCase() === 'NULL' || generated ? null : given;
  const onUpdate = /on update (\S+)/.exec(said)?.[1];
  const values = valuesOf(type, declaredType);
  return {
    id: columnId(table, name ?? ''),
    name: shared(name ?? ''),
    declaredType,
    // Kinds of one family can be compared; which of them a reference can join is a stricter matter (`refersAlike`).
    comparedAs: family,
    family,
    comparable: family !== 'json' && !shapes.test(type) && !type.endsWith('blob'),
    domain: null,
    length: type === 'char' || type === 'varchar' ? (sizes[0] ?? null) : null,
    precision: family === 'decimal' ? (sizes[0] ?? null) : null,
    scale: family === 'decimal' ? (sizes[1] ?? 0) : family === 'integer' ? 0 : null,
    collation: collation === null ? null : shared(collation),
    nullable: nullable === 'YES',
    default: standard,
    fillsItself: counts || makesIdentity.test(standard ?? ''),
    identity: counts ? 'by default' : null,
    generated: generated ? (expression ?? '') : null,
    comment: comment === '' || comment === undefined ? null : comment,
    statistics: null,
    ...(definition !== null && { definition: shared(definition) }),
    ...(characterSet !== null && { characterSet: shared(characterSet) }),
    ...(onUpdate !== undefined && { onUpdate }),
    ...(/\binvisible\b/.test(said) && { invisible: true as const }),
    ...(values && { values }),
    ...(counts && next !== null && { next }),
  };
}

/** `decimal(9,2) unsigned` is a decimal of 9 and 2; of what lists its values there are no sizes. */
function typeIn(declaredType: string): { readonly type: string; readonly sizes: readonly number[] } {
  const [, type = '', sizes = ''] = /^(\w+)(?:\((\d+(?:,\d+)?)\))?/.exec(declaredType) ?? [];
  return { type, sizes: sizes === '' ? [] : sizes.split(',').map(Number) };
}

// Texts between quotes, a quote in them doubled.
function valuesOf(type: string, declaredType: string): readonly string[] | null {
  if (type !== 'enum' && type !== 'set') return null;
  return [...declaredType.matchAll(/'((?:[^']|'')*)'/g)].map(([, value = '']) => value.replaceAll("''", "'"));
}
