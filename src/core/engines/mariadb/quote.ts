// Turning names and values into SQL text that means exactly them, whatever the session's sql_mode says of backslashes.

import type { Shape } from '../../catalogue/edit';
import { tableNames, type TableId } from '../../catalogue/identifiers';
import { unseen, visible } from '../../naming/visible';
import { DialectError } from '../DialectError';

/** An identifier in backticks, as the server itself writes it. */
export function quote(identifier: string): string {
  if (identifier === '' || identifier.includes('\0'))
    throw new DialectError('An identifier has at least one character and no zero byte.');
  return `\`${identifier.replaceAll('`', '``')}\``;
}

export function quoteTable(id: TableId): string {
  const { schema, table } = tableNames(id);
  return `${quote(schema)}.${quote(table)}`;
}

export function quoteList(identifiers: readonly string[]): string {
  return identifiers.map(quote).join(', ');
}

/** A string constant. What backslashes could change, or nobody could see, is written as its bytes (manual, "Hexadecimal Literals"). */
export function literal(text: string): string {
  if (!text.includes('\\') && !unseen.test(text)) return `'${text.replaceAll("'", "''")}'`;
  return `_utf8mb4 x'${bytesOf(text)}'`;
}

/** The comment of a table, for people: it takes a plain string alone, so that what a backslash could change is written with a slash. */
export function note(text: string): string {
  return `'${visible(text).replaceAll('\\', '/').replaceAll("'", "''")}'`;
}

/** True where there is no value. `is null` is true of the day 0000-00-00 too where a column must be filled (manual, "IS NULL"). */
export function isNull(expression: string): string {
  return `${expression} <=> null`;
}

/** Names of tables and their parts as conditions on the catalogue tell them. */
export function isTable(id: TableId): string {
  const { schema, table } = tableNames(id);
  return `table_schema = ${literal(schema)} and table_name = ${literal(table)}`;
}

/**
 * Texts of the catalogue are compared without regard to case, ours with it. Both sides are told to be bytes: of one that is not, MySQL
 * 9.7 finds no name with a sign beyond ASCII.
 */
export function sameName(column: string, name: string): string {
  return `cast(${column} as binary) = cast(${literal(name)} as binary)`;
}

/** Text for a line comment: nothing in it can end the line, or hide. */
export function comment(text: string): string {
  return `-- ${visible(text)}`;
}

// In UTF-8, as hexadecimal.
function bytesOf(text: string): string {
  const whole = text.replaceAll(/\p{Cs}/gu, '\ufffd');
  return encodeURIComponent(whole).replaceAll(/%([0-9A-F]{2})|(.)/g, (_, byte: string | undefined, sign: string) =>
    (byte ?? sign.charCodeAt(0).toString(16).padStart(2, '0')).toLowerCase(),
  );
}

/** A type as the server spells it, of those that need no quotes. Throws DialectError for any other text. */
export function typeText(declaredType: string): string {
  if (/^[a-z][a-z0-9]*(\(\d+(,\d+)?\))?( unsigned)?( zerofill)?$/.test(declaredType)) return declaredType;
  throw new DialectError(`No type is called ${JSON.stringify(declaredType)}, as far as Pawl knows.`);
}

/** An encoding or a collation. Throws as `typeText`. */
export function encodingText(name: string): string {
  if (/^[a-z0-9_]+$/i.test(name)) return name;
  throw new DialectError(`No encoding is called ${JSON.stringify(name)}.`);
}

/** What a column holds, as its definition begins. Throws DialectError as `typeText`. */
export function shapeText({ declaredType, characterSet, collation }: Shape): string {
  const encoded = characterSet === undefined ? '' : ` character set ${encodingText(characterSet)}`;
  return `${typeText(declaredType)}${encoded}${collation === null ? '' : ` collate ${encodingText(collation)}`}`;
}
