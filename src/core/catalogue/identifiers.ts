// Identities of database objects. An id is made of the object's own names, each quoted where it
// would be ambiguous, so that any identifier (dots, quotes, spaces, reserved words) keeps its
// place: `port.vessel`, `port."odd.name".id`. It is for looking up and for reading, never for SQL.

declare const kind: unique symbol;
type Id<Kind extends string> = string & { readonly [kind]: Kind };

export type TableId = Id<'table'>;
export type ColumnId = Id<'column'>;
export type ConstraintId = Id<'constraint'>;
/** Stable from survey to survey: made of the rule and the object, not of what was measured. */
export type FindingId = Id<'finding'>;

export function tableId(schema: string, table: string): TableId {
  return join([schema, table]) as TableId;
}

export function columnId(table: TableId, column: string): ColumnId {
  return `${table}.${part(column)}` as ColumnId;
}

/** A table by another name in the schema of one. */
export function besideTable(id: TableId, name: string): TableId {
  return tableId(tableNames(id).schema, name);
}

/** Constraints share a name space with others of the same table only, so the table is part of it. */
export function constraintId(table: TableId, constraint: string): ConstraintId {
  return `${table}#${part(constraint)}` as ConstraintId;
}

/** `port.vessel(imo_no, name)`: a table with some of its columns, as findings are known by. */
export function columnsId(table: TableId, columns: readonly string[]): string {
  return columns.length === 0 ? table : `${table}(${columns.map(part).join(', ')})`;
}

/** The columns that an id from `columnsId` begins with behind its table, and how much of the text says them; null when it says none. */
export function columnNamesIn(text: string): { readonly names: readonly string[]; readonly length: number } | null {
  const said = /^\(((?:"(?:[^"]|"")*"|[^"(),]+)(?:, (?:"(?:[^"]|"")*"|[^"(),]+))*)\)/u.exec(text);
  if (!said) return null;
  const names = [...(said[1] ?? '').matchAll(/"((?:[^"]|"")*)"|([^", ]+)/gu)].map(
    ([, quoted, plain]) => quoted?.replaceAll('""', '"') ?? plain ?? '',
  );
  return { names, length: said[0].length };
}

function join(parts: readonly string[]): string {
  return parts.map(part).join('.');
}

function part(name: string): string {
  return /^[\p{L}_][\p{L}\p{N}_$-]*$/u.test(name) ? name : `"${name.replaceAll('"', '""')}"`;
}

/** The schema and the name that a table's id was made of. */
export function tableNames(id: TableId): { readonly schema: string; readonly table: string } {
  const parts = [...id.matchAll(/"((?:[^"]|"")*)"|([^."]+)/g)].map(
    ([, quoted, plain]) => quoted?.replaceAll('""', '"') ?? plain ?? '',
  );
  return { schema: parts[0] ?? '', table: parts[1] ?? '' };
}
