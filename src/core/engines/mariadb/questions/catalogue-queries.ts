// The queries over information_schema that a catalogue is made of, schema by schema: `table_schema = '…'` is a look-up, where
// anything else lists every schema's files first. What SHOW CREATE TABLE says is asked of each table: it shows constraints
// to whoever may read a table, where TABLE_CONSTRAINTS and others stay empty without a word, and costs less.

import { literal, quote } from '../quote';

/** What is read before all else. */
export const server = 'select version(), current_user(), @@global.sql_mode';

/** Those that are the server's own, as a list. */
export const ownSchemas = "('information_schema', 'mysql', 'performance_schema', 'sys')";

export const schemas = `select schema_name, default_collation_name from information_schema.schemata where schema_name not in ${ownSchemas} order by schema_name`;

/** What the server knows without opening a table. */
export function tables(schema: string): string {
  return `select table_name, table_type, engine, table_comment, table_collation
    from information_schema.tables where table_schema = ${literal(schema)} order by table_name`;
}

/** Opens each table that it tells of: of all of them where nobody names some. */
export function sizes(schema: string, names: readonly string[] | null): string {
  return byName(
    `select table_name, table_rows, data_length + index_length from information_schema.tables where table_schema = ${literal(schema)}`,
    names,
  );
}

/** A few tables are looked up, many told with all others of their schema. */
function byName(query: string, names: readonly string[] | null): string {
  return names === null || names.length > 100
    ? query
    : names.map((name) => `${query} and table_name = ${literal(name)}`).join(' union all ');
}

/** What no statement shows, by name as long as that is few; null for views, and whatever has a column that the login may not select. */
export function columns(schema: string, names: readonly string[] | null): string {
  const own = literal(schema);
  const of = `select table_name, column_name, ordinal_position, column_default, is_nullable, column_type, character_set_name, collation_name,
      extra, column_comment, generation_expression
    from information_schema.columns where table_schema = ${own}`;
  const unshown = ` and (table_name in (select table_name from information_schema.tables where table_schema = ${own} and ${isView})
      or table_name in (select table_name from information_schema.columns where table_schema = ${own} and privileges not like '%select%'))`;
  return names === null ? `${of}${unshown}` : byName(of, names);
}

const isView = "table_type in ('VIEW', 'SYSTEM VIEW')";

/** How texts of each encoding are compared that says nothing of it. */
export const usualCollations = 'select character_set_name, default_collate_name from information_schema.character_sets';

export function triggers(schema: string): string {
  return `select event_object_table, trigger_name, lower(concat(action_timing, ' ', event_manipulation)), definer
    from information_schema.triggers where trigger_schema = ${literal(schema)} order by event_object_table, trigger_name`;
}

/** Definitions are empty for whoever has no SHOW VIEW. */
export function views(schema: string): string {
  return `select table_name, view_definition, security_type from information_schema.views where table_schema = ${literal(schema)}`;
}

export function routines(schema: string): string {
  return `select r.routine_name, r.routine_type, r.dtd_identifier, r.is_deterministic, r.sql_data_access, r.security_type, r.definer, r.routine_comment,
      (select group_concat(concat_ws(' ', p.parameter_mode, p.parameter_name, p.dtd_identifier) order by p.ordinal_position separator ', ')
       from information_schema.parameters p where p.specific_schema = r.routine_schema and p.specific_name = r.specific_name and p.ordinal_position > 0)
    from information_schema.routines r where r.routine_schema = ${literal(schema)} order by r.routine_name`;
}

/** What the engine believes of its tables: cheap, where the login may look. */
export function statistics(schema: string): string {
  return `select table_name, n_rows, (clustered_index_size + sum_of_other_index_sizes) * @@innodb_page_size
    from mysql.innodb_table_stats where database_name = ${literal(schema)}`;
}

/** Distinct values, where an index counts them; -- a hint. */
export function indexSizes(schema: string): string {
  return `select table_name, index_name, stat_value * @@innodb_page_size
    from mysql.innodb_index_stats where database_name = ${literal(schema)} and stat_name = 'size'`;
}

export function privileges(schema: string): string {
  return `select table_name, grantee, group_concat(privilege_type order by privilege_type separator ', ')
    from information_schema.table_privileges where table_schema = ${literal(schema)} group by table_name, grantee`;
}

export function shown(schema: string, table: string): string {
  return `show create table ${quote(schema)}.${quote(table)}`;
}

export function sequence(schema: string, name: string): string {
  return `${ofSequence} ${quote(schema)}.${quote(name)}`;
}

const ofSequence = 'select start_value, increment, minimum_value, maximum_value, next_not_cached_value, cycle_option from';

/** Names of tables and sequences, some at a time, and statements that say what they are made of, for a client to run each. */
export function shownEach(schema: string, most: number, from: number): string {
  const [shows, asks] = ['show create table', ofSequence].map((verb) => literal(`${verb} ${quote(schema)}.`));
  return `select table_name as name, concat(case table_type when 'SEQUENCE' then ${asks} else ${shows} end, '\`', replace(table_name, '\`', '\`\`'), '\`') as statement
    from information_schema.tables where table_schema = ${literal(schema)} and not ${isView} order by table_name limit ${most} offset ${from}`;
}

const [userOf, hostOf] = [
  "left(current_user(), char_length(current_user()) - char_length(substring_index(current_user(), '@', -1)) - 1)",
  "substring_index(current_user(), '@', -1)",
];

/** Rights as information_schema tells them: without those of roles, and without what signs in. */
export const privilegesOfLogin = ['user', 'schema']
  .map(
    (of) =>
      `select ${of === 'user' ? "''" : 'table_schema'}, privilege_type from information_schema.${of}_privileges where grantee = concat('''', ${userOf}, '''@''', ${hostOf}, '''')`,
  )
  .join(' union all ');

/** The rights of whoever asks, and of the roles that are switched on: information_schema tells those of roles to nobody. */
export const grants = 'show grants';

/** What views, programs and triggers say; `most` characters of each. */
export function definitions(schema: string, most: number): string {
  const named = literal(schema);
  return `select left(view_definition, ${most}) from information_schema.views where table_schema = ${named}
    union all select left(routine_definition, ${most}) from information_schema.routines where routine_schema = ${named}
    union all select left(action_statement, ${most}) from information_schema.triggers where trigger_schema = ${named}`;
}

/** The statements called most often, where the server counts them. */
export function statements(schema: string): string {
  return `select left(digest_text, 100000) from performance_schema.events_statements_summary_by_digest
    where schema_name = ${literal(schema)} and digest_text rlike '(^|[^a-z])(join|from|update)([^a-z]|$)' order by count_star desc limit 2000`;
}
