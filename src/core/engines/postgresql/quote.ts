// Turning names and values into SQL text that means exactly them.

import { DialectError } from '../DialectError';
import { tableNames, type TableId } from '../../catalogue/identifiers';
import { unseen, visible } from '../../naming/visible';

/**
 * An identifier, quoted unless it is plain lower case and no key word. What cannot be seen in it is written as an escape
 * (manual, 4.1.1), so that a script shows what it names and can be indented.
 */
export function quote(identifier: string): string {
  return unseen.test(identifier)
    ? `U&"${inPieces(identifier.replaceAll('\\', '\\\\').replaceAll('"', '""'), (code) => (code > 0xffff ? `\\+${hex(code, 6)}` : `\\${hex(code, 4)}`))}"`
    : quoteAsText(identifier);
}

/** As the server's functions read a name out of a text, `to_regclass` and the like: they know no escapes. */
export function quoteAsText(identifier: string): string {
  if (identifier === '' || identifier.includes('\0'))
    throw new DialectError('An identifier in PostgreSQL has at least one character and no zero byte.');
  return /^[a-z_][a-z0-9_]*$/.test(identifier) && !keyWords.has(identifier)
    ? identifier
    : `"${identifier.replaceAll('"', '""')}"`;
}

export function quoteTable(id: TableId): string {
  const { schema, table } = tableNames(id);
  return `${quote(schema)}.${quote(table)}`;
}

/** A string constant that names a relation, for what takes names as texts. */
export function relationText(schema: string, relation: string): string {
  return literal(`${quoteAsText(schema)}.${quoteAsText(relation)}`);
}

export function tableText(id: TableId): string {
  const { schema, table } = tableNames(id);
  return relationText(schema, table);
}

export function quoteList(identifiers: readonly string[]): string {
  return identifiers.map(quote).join(', ');
}

/** A string constant, whatever standard_conforming_strings says, on one line and with nothing unseen in it. */
export function literal(text: string): string {
  const doubled = text.replaceAll("'", "''");
  if (!text.includes('\\') && !unseen.test(text)) return `'${doubled}'`;
  return `E'${inPieces(doubled.replaceAll('\\', '\\\\'), (code) => {
    if (code < 0x80) return { 9: '\\t', 10: '\\n', 13: '\\r' }[code] ?? `\\x${hex(code, 2)}`;
    return code > 0xffff ? `\\U${hex(code, 8)}` : `\\u${hex(code, 4)}`;
  })}'`;
}

// What is unseen in a text that is quoted already, written by `escape`.
function inPieces(text: string, escape: (code: number) => string): string {
  return Array.from(text, (sign) => (unseen.test(sign) ? escape(sign.codePointAt(0) ?? 0) : sign)).join('');
}

function hex(code: number, digits: number): string {
  return code.toString(16).padStart(digits, '0');
}

/** A DO block of a body in which anything may occur. */
export function dollarQuoted(body: string): string {
  let tag = '$pawl$';
  for (let n = 1; body.includes(tag); n++) tag = `$pawl${n}$`;
  return `do ${tag}\n${body}\n${tag}`;
}

/** Text for a line comment: nothing in it can end the line, or hide. */
export function comment(text: string): string {
  return `-- ${visible(text)}`;
}

// PostgreSQL manual, appendix C: reserved words, and those that may not name a function or type.
const keyWords = new Set(
  `all analyse analyze and any array as asc asymmetric authorization between bigint binary bit boolean both case cast char character check
  coalesce collate collation column concurrently constraint create cross current_catalog current_date current_role current_schema
  current_time current_timestamp current_user dec decimal default deferrable desc distinct do else end except exists extract false fetch
  float for foreign freeze from full grant greatest group grouping having ilike in initially inner inout int integer intersect interval
  into is isnull join json json_array json_arrayagg json_object json_objectagg lateral leading least left like limit localtime
  localtimestamp merge_action national natural nchar none normalize not notnull null nullif numeric offset on only or order out outer
  overlaps overlay placing position precision primary real references returning right row select session_user setof similar smallint
  some substring symmetric system_user table tablesample then time timestamp to trailing treat trim true union unique user using values
  varchar variadic verbose when where window with xmlattributes xmlconcat xmlelement xmlexists xmlforest xmlnamespaces xmlparse xmlpi
  xmlroot xmlserialize xmltable`.split(/\s+/),
);

/** A type as the server spells it, of those that need no quotes. Throws DialectError for any other text. */
export function typeText(declaredType: string): string {
  if (/^[a-z][a-z0-9_]*( (varying|precision))?(\(\d+(,\d+)?\))?( (with|without) time zone)?$/.test(declaredType))
    return declaredType;
  throw new DialectError(`No type is called ${JSON.stringify(declaredType)}, as far as Pawl knows.`);
}
