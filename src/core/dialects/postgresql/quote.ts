// Turning names and values into SQL text that means exactly them.

import { tableNames, type TableId } from '../../catalogue/identifiers';

/** An identifier, quoted unless it is plain lower case and no key word. */
export function quote(identifier: string): string {
  if (identifier === '' || identifier.includes('\0'))
    throw new Error('An identifier in PostgreSQL has at least one character and no zero byte.');
  return /^[a-z_][a-z0-9_]*$/.test(identifier) && !keyWords.has(identifier)
    ? identifier
    : `"${identifier.replaceAll('"', '""')}"`;
}

export function quoteTable(id: TableId): string {
  const { schema, table } = tableNames(id);
  return `${quote(schema)}.${quote(table)}`;
}

export function quoteList(identifiers: readonly string[]): string {
  return identifiers.map(quote).join(', ');
}

/** A string constant, whatever standard_conforming_strings says. */
export function literal(text: string): string {
  const doubled = text.replaceAll("'", "''");
  return text.includes('\\') ? `E'${doubled.replaceAll('\\', '\\\\')}'` : `'${doubled}'`;
}

/** A DO block of a body in which anything may occur. */
export function dollarQuoted(body: string): string {
  let tag = '$pawl$';
  for (let n = 1; body.includes(tag); n++) tag = `$pawl${n}$`;
  return `do ${tag}\n${body}\n${tag}`;
}

/** Text for a line comment: nothing in it can end the line. */
export function comment(text: string): string {
  return `-- ${text.replaceAll(/[\p{Cc}\u2028\u2029]/gu, ' ')}`;
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
