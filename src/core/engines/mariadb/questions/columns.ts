// Columns as the catalogue has them.

import { columnId, type TableId } from '../../../catalogue/identifiers';
import type { Column, TypeFamily } from '../../../catalogue/model';
import type { Row } from '../../questions';
import type { ColumnSaid } from '../column-text';

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
  readonly shared: (text: string) => string;
}

/** A row of the query of columns: what is known of those of views, and of tables that cannot be shown. */
export function saidInRow(row: Row): ColumnSaid {
  const [, , , given = null, nullable, type, characterSet = null, collation = null, extra, comment, expression] = row;
  const said = (extra ?? '').toLowerCase();
  return {
    declaredType: type ?? '',
    characterSet,
    collation,
    nullable: nullable === 'YES',
    given,
    generated: /\b(virtual|stored|persistent)\b/.test(said) ? (expression ?? '') : null,
    counts: said.includes('auto_increment'),
    onUpdate: /on update (\S+)/.exec(said)?.[1] ?? null,
    invisible: /\binvisible\b/.test(said),
    comment: comment === '' || comment === undefined ? null : comment,
  };
}

/** What a definition leaves out is as the table has it; where it names an encoding alone, as that has it. */
export function withCharacters(said: ColumnSaid, ofTable: string | null, usual: ReadonlyMap<string, string>): ColumnSaid {
  if (!/^(char|varchar|tinytext|text|mediumtext|longtext|enum|set)\b/.test(said.declaredType)) return said;
  const collation = said.collation ?? (said.characterSet === null ? ofTable : (usual.get(said.characterSet) ?? null));
  return { ...said, collation, characterSet: said.characterSet ?? collation?.split('_')[0] ?? null };
}

export function columnOf(name: string, said: ColumnSaid, { table, definition, holdsJson, next, shared }: ColumnContext): Column {
  const { declaredType, characterSet, collation, given, generated, counts, onUpdate } = said;
  const { type, sizes } = typeIn(declaredType);
  const truth = declaredType === 'tinyint(1)' || declaredType === 'bit(1)';
  const family = holdsJson ? 'json' : truth ? 'boolean' : (familyByType[type] ?? 'other');
  const standard = given === null || given.toUpperCase() === 'NULL' || generated !== null ? null : given;
  const values = valuesOf(type, declaredType);
  return {
    id: columnId(table, name),
    name: shared(name),
    declaredType: shared(declaredType),
    // Kinds of one family can be compared; which of them a reference can join is a stricter matter (`refersAlike`).
    comparedAs: family,
    family,
    comparable: family !== 'json' && !shapes.test(type) && !type.endsWith('blob'),
    domain: null,
    length: type === 'char' || type === 'varchar' ? (sizes[0] ?? null) : null,
    precision: family === 'decimal' ? (sizes[0] ?? null) : null,
    scale: family === 'decimal' ? (sizes[1] ?? 0) : family === 'integer' ? 0 : null,
    collation: collation === null ? null : shared(collation),
    nullable: said.nullable,
    default: standard,
    fillsItself: counts || makesIdentity.test(standard ?? ''),
    identity: counts ? 'by default' : null,
    generated,
    comment: said.comment,
    statistics: null,
    ...(definition !== null && { definition: shared(definition) }),
    ...(characterSet !== null && { characterSet: shared(characterSet) }),
    ...(onUpdate !== null && { onUpdate }),
    ...(said.invisible && { invisible: true as const }),
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
