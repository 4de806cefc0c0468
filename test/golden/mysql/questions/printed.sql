-- Pawl: open questions, round 1. It only reads: 14 queries, each by itself.
-- Run it with: mysql --batch --skip-column-names --force DATABASE < FILE > pawl-45ea1ff7ab07.txt
-- What it answers is then in pawl-45ea1ff7ab07.txt: bring that back.
-- Answers hold counts and the schema; values of rows only where that was allowed.
set names utf8mb4;
set sql_mode = 'STRICT_TRANS_TABLES,ERROR_FOR_DIVISION_BY_ZERO,NO_ENGINE_SUBSTITUTION', time_zone = '+00:00', group_concat_max_len = 1048576;
set lock_wait_timeout = 2, innodb_lock_wait_timeout = 2, tmp_table_size = 67108864, max_heap_table_size = 67108864;
set max_execution_time = 600000;
set session transaction isolation level repeatable read, read only;
set @pawl_once = uuid();
select concat_ws('|', 'pawl|1|begin|45ea1ff7ab07|mysql', regexp_replace(regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(convert(version() using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), ',', '%2C'), ';', '%3B'), '"', '%22'), _utf8mb4 x'09', '%09'), _utf8mb4 x'0d', '%0D'), _utf8mb4 x'0a', '%0A'), _utf8mb4 x'5c', '%5C'), '^ ', '%20'), ' $', '%20'), 'é', 'Ø', regexp_replace(regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(convert(ifnull(database(), '') using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), ',', '%2C'), ';', '%3B'), '"', '%22'), _utf8mb4 x'09', '%09'), _utf8mb4 x'0d', '%0D'), _utf8mb4 x'0a', '%0A'), _utf8mb4 x'5c', '%5C'), '^ ', '%20'), ' $', '%20')) as pawl;

set @pawl_code = null;
with answer (c1, c2, c3) as (select version(), current_user(), @@global.sql_mode)
select regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(concat_ws('|', 'qde35c6ae15aa0deb', ifnull(replace(replace(convert(c1 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c2 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c3 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-')), ',', '%2C'), ';', '%3B'), '"', '%22'), _utf8mb4 x'09', '%09'), _utf8mb4 x'0d', '%0D'), _utf8mb4 x'0a', '%0A'), _utf8mb4 x'5c', '%5C'), '| ', '|%20'), ' |', '%20|'), ' $', '%20') as pawl from answer;
get diagnostics condition 1 @pawl_code = mysql_errno;
set @pawl_failed = @@error_count;
set @pawl_rows = found_rows();
select if(@pawl_failed > 0 and @pawl_code is not null, concat('pawl|1|error|qde35c6ae15aa0deb|', @pawl_code), concat('pawl|1|count|qde35c6ae15aa0deb|', @pawl_rows)) as pawl;

set @pawl_code = null;
with answer (c1, c2) as (select schema_name, default_collation_name from information_schema.schemata where schema_name not in ('information_schema', 'mysql', 'performance_schema', 'sys') order by schema_name limit 18446744073709551615)
select regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(concat_ws('|', 'q5c27a5b09dc7f1c2', ifnull(replace(replace(convert(c1 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c2 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-')), ',', '%2C'), ';', '%3B'), '"', '%22'), _utf8mb4 x'09', '%09'), _utf8mb4 x'0d', '%0D'), _utf8mb4 x'0a', '%0A'), _utf8mb4 x'5c', '%5C'), '| ', '|%20'), ' |', '%20|'), ' $', '%20') as pawl from answer;
get diagnostics condition 1 @pawl_code = mysql_errno;
set @pawl_failed = @@error_count;
set @pawl_rows = found_rows();
select if(@pawl_failed > 0 and @pawl_code is not null, concat('pawl|1|error|q5c27a5b09dc7f1c2|', @pawl_code), concat('pawl|1|count|q5c27a5b09dc7f1c2|', @pawl_rows)) as pawl;

set @pawl_code = null;
with answer (c1, c2) as (select '', privilege_type from information_schema.user_privileges where grantee = concat('''', left(current_user(), char_length(current_user()) - char_length(substring_index(current_user(), '@', -1)) - 1), '''@''', substring_index(current_user(), '@', -1), '''') union all select table_schema, privilege_type from information_schema.schema_privileges where grantee = concat('''', left(current_user(), char_length(current_user()) - char_length(substring_index(current_user(), '@', -1)) - 1), '''@''', substring_index(current_user(), '@', -1), ''''))
select regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(concat_ws('|', 'qce0d5721b352f78c', ifnull(replace(replace(convert(c1 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c2 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-')), ',', '%2C'), ';', '%3B'), '"', '%22'), _utf8mb4 x'09', '%09'), _utf8mb4 x'0d', '%0D'), _utf8mb4 x'0a', '%0A'), _utf8mb4 x'5c', '%5C'), '| ', '|%20'), ' |', '%20|'), ' $', '%20') as pawl from answer;
get diagnostics condition 1 @pawl_code = mysql_errno;
set @pawl_failed = @@error_count;
set @pawl_rows = found_rows();
select if(@pawl_failed > 0 and @pawl_code is not null, concat('pawl|1|error|qce0d5721b352f78c|', @pawl_code), concat('pawl|1|count|qce0d5721b352f78c|', @pawl_rows)) as pawl;

set @pawl_code = null;
with answer (c1, c2) as (select character_set_name, default_collate_name from information_schema.character_sets)
select regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(concat_ws('|', 'q2d668a288135ffad', ifnull(replace(replace(convert(c1 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c2 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-')), ',', '%2C'), ';', '%3B'), '"', '%22'), _utf8mb4 x'09', '%09'), _utf8mb4 x'0d', '%0D'), _utf8mb4 x'0a', '%0A'), _utf8mb4 x'5c', '%5C'), '| ', '|%20'), ' |', '%20|'), ' $', '%20') as pawl from answer;
get diagnostics condition 1 @pawl_code = mysql_errno;
set @pawl_failed = @@error_count;
set @pawl_rows = found_rows();
select if(@pawl_failed > 0 and @pawl_code is not null, concat('pawl|1|error|q2d668a288135ffad|', @pawl_code), concat('pawl|1|count|q2d668a288135ffad|', @pawl_rows)) as pawl;

set @pawl_code = null;
with answer (c1, c2, c3, c4, c5) as (select table_name, table_type, engine, table_comment, table_collation
    from information_schema.tables where table_schema = 'slipway' order by table_name limit 18446744073709551615)
select regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(concat_ws('|', 'q38686ba671e33bca', ifnull(replace(replace(convert(c1 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c2 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c3 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c4 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c5 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-')), ',', '%2C'), ';', '%3B'), '"', '%22'), _utf8mb4 x'09', '%09'), _utf8mb4 x'0d', '%0D'), _utf8mb4 x'0a', '%0A'), _utf8mb4 x'5c', '%5C'), '| ', '|%20'), ' |', '%20|'), ' $', '%20') as pawl from answer;
get diagnostics condition 1 @pawl_code = mysql_errno;
set @pawl_failed = @@error_count;
set @pawl_rows = found_rows();
select if(@pawl_failed > 0 and @pawl_code is not null, concat('pawl|1|error|q38686ba671e33bca|', @pawl_code), concat('pawl|1|count|q38686ba671e33bca|', @pawl_rows)) as pawl;

set @pawl_each = (select json_arrayagg(json_array(name, statement)) from (select table_name as name, concat(case table_type when 'SEQUENCE' then 'select start_value, increment, minimum_value, maximum_value, next_not_cached_value, cycle_option from `slipway`.' else 'show create table `slipway`.' end, '`', replace(table_name, '`', '``'), '`') as statement
    from information_schema.tables where table_schema = 'slipway' and not table_type in ('VIEW', 'SYSTEM VIEW') order by table_name limit 1000 offset 0) as part);
set @pawl_rows = ifnull(json_length(@pawl_each), 0);
prepare pawl_next from 'set @pawl_name = json_unquote(json_extract(@pawl_each, concat(''$['', @pawl_at, ''][0]''))), @pawl_do = ifnull(json_unquote(json_extract(@pawl_each, concat(''$['', @pawl_at, ''][1]''))), ''do 0'')';
prepare pawl_before from 'select concat_ws(''|'', ''pawl|1|says|qe095ae2b6b2c1d76'', @pawl_once, regexp_replace(regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(convert(@pawl_name using utf8mb4) collate utf8mb4_bin, ''%'', ''%25''), ''|'', ''%7C''), '','', ''%2C''), '';'', ''%3B''), ''"'', ''%22''), _utf8mb4 x''09'', ''%09''), _utf8mb4 x''0d'', ''%0D''), _utf8mb4 x''0a'', ''%0A''), _utf8mb4 x''5c'', ''%5C''), ''^ '', ''%20''), '' $'', ''%20''), _utf8mb4 x''09'') as pawl from dual where @pawl_name is not null';
prepare pawl_after from 'select concat(''pawl|1|said|'', @pawl_once) as pawl from dual where @pawl_name is not null';
set @pawl_at = 0; execute pawl_next; prepare pawl from @pawl_do; execute pawl_before; execute pawl; execute pawl_after;
select concat('pawl|1|count|qe095ae2b6b2c1d76|', @pawl_rows) as pawl;

set @pawl_code = null;
with answer (c1, c2, c3, c4, c5, c6, c7, c8, c9, c10, c11) as (select table_name, column_name, ordinal_position, column_default, is_nullable, column_type, character_set_name, collation_name,
      extra, column_comment, generation_expression
    from information_schema.columns where table_schema = 'slipway' and (table_name in (select table_name from information_schema.tables where table_schema = 'slipway' and table_type in ('VIEW', 'SYSTEM VIEW'))
      or table_name in (select table_name from information_schema.columns where table_schema = 'slipway' and privileges not like '%select%')))
select regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(concat_ws('|', 'q2e846da543fae8d7', ifnull(replace(replace(convert(c1 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c2 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c3 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c4 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c5 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c6 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c7 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c8 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c9 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c10 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c11 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-')), ',', '%2C'), ';', '%3B'), '"', '%22'), _utf8mb4 x'09', '%09'), _utf8mb4 x'0d', '%0D'), _utf8mb4 x'0a', '%0A'), _utf8mb4 x'5c', '%5C'), '| ', '|%20'), ' |', '%20|'), ' $', '%20') as pawl from answer;
get diagnostics condition 1 @pawl_code = mysql_errno;
set @pawl_failed = @@error_count;
set @pawl_rows = found_rows();
select if(@pawl_failed > 0 and @pawl_code is not null, concat('pawl|1|error|q2e846da543fae8d7|', @pawl_code), concat('pawl|1|count|q2e846da543fae8d7|', @pawl_rows)) as pawl;

set @pawl_code = null;
with answer (c1, c2, c3, c4) as (select event_object_table, trigger_name, lower(concat(action_timing, ' ', event_manipulation)), definer
    from information_schema.triggers where trigger_schema = 'slipway' order by event_object_table, trigger_name limit 18446744073709551615)
select regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(concat_ws('|', 'q83197d3972c3a143', ifnull(replace(replace(convert(c1 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c2 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c3 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c4 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-')), ',', '%2C'), ';', '%3B'), '"', '%22'), _utf8mb4 x'09', '%09'), _utf8mb4 x'0d', '%0D'), _utf8mb4 x'0a', '%0A'), _utf8mb4 x'5c', '%5C'), '| ', '|%20'), ' |', '%20|'), ' $', '%20') as pawl from answer;
get diagnostics condition 1 @pawl_code = mysql_errno;
set @pawl_failed = @@error_count;
set @pawl_rows = found_rows();
select if(@pawl_failed > 0 and @pawl_code is not null, concat('pawl|1|error|q83197d3972c3a143|', @pawl_code), concat('pawl|1|count|q83197d3972c3a143|', @pawl_rows)) as pawl;

set @pawl_code = null;
with answer (c1, c2, c3) as (select table_name, grantee, group_concat(privilege_type order by privilege_type separator ', ')
    from information_schema.table_privileges where table_schema = 'slipway' group by table_name, grantee)
select regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(concat_ws('|', 'q531fd5bf9c77c9c0', ifnull(replace(replace(convert(c1 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c2 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c3 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-')), ',', '%2C'), ';', '%3B'), '"', '%22'), _utf8mb4 x'09', '%09'), _utf8mb4 x'0d', '%0D'), _utf8mb4 x'0a', '%0A'), _utf8mb4 x'5c', '%5C'), '| ', '|%20'), ' |', '%20|'), ' $', '%20') as pawl from answer;
get diagnostics condition 1 @pawl_code = mysql_errno;
set @pawl_failed = @@error_count;
set @pawl_rows = found_rows();
select if(@pawl_failed > 0 and @pawl_code is not null, concat('pawl|1|error|q531fd5bf9c77c9c0|', @pawl_code), concat('pawl|1|count|q531fd5bf9c77c9c0|', @pawl_rows)) as pawl;

set @pawl_code = null;
with answer (c1, c2, c3) as (select table_name, n_rows, (clustered_index_size + sum_of_other_index_sizes) * @@innodb_page_size
    from mysql.innodb_table_stats where database_name = 'slipway')
select regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(concat_ws('|', 'q08a9ea835895bf5e', ifnull(replace(replace(convert(c1 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c2 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c3 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-')), ',', '%2C'), ';', '%3B'), '"', '%22'), _utf8mb4 x'09', '%09'), _utf8mb4 x'0d', '%0D'), _utf8mb4 x'0a', '%0A'), _utf8mb4 x'5c', '%5C'), '| ', '|%20'), ' |', '%20|'), ' $', '%20') as pawl from answer;
get diagnostics condition 1 @pawl_code = mysql_errno;
set @pawl_failed = @@error_count;
set @pawl_rows = found_rows();
select if(@pawl_failed > 0 and @pawl_code is not null, concat('pawl|1|error|q08a9ea835895bf5e|', @pawl_code), concat('pawl|1|count|q08a9ea835895bf5e|', @pawl_rows)) as pawl;

set @pawl_code = null;
with answer (c1, c2, c3) as (select table_name, table_rows, data_length + index_length from information_schema.tables where table_schema = 'slipway')
select regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(concat_ws('|', 'qdc7e2ada4fa189b7', ifnull(replace(replace(convert(c1 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c2 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c3 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-')), ',', '%2C'), ';', '%3B'), '"', '%22'), _utf8mb4 x'09', '%09'), _utf8mb4 x'0d', '%0D'), _utf8mb4 x'0a', '%0A'), _utf8mb4 x'5c', '%5C'), '| ', '|%20'), ' |', '%20|'), ' $', '%20') as pawl from answer;
get diagnostics condition 1 @pawl_code = mysql_errno;
set @pawl_failed = @@error_count;
set @pawl_rows = found_rows();
select if(@pawl_failed > 0 and @pawl_code is not null, concat('pawl|1|error|qdc7e2ada4fa189b7|', @pawl_code), concat('pawl|1|count|qdc7e2ada4fa189b7|', @pawl_rows)) as pawl;

set @pawl_code = null;
with answer (c1, c2, c3, c4, c5, c6, c7, c8, c9) as (select r.routine_name, r.routine_type, r.dtd_identifier, r.is_deterministic, r.sql_data_access, r.security_type, r.definer, r.routine_comment,
      (select group_concat(concat_ws(' ', p.parameter_mode, p.parameter_name, p.dtd_identifier) order by p.ordinal_position separator ', ')
       from information_schema.parameters p where p.specific_schema = r.routine_schema and p.specific_name = r.specific_name and p.ordinal_position > 0)
    from information_schema.routines r where r.routine_schema = 'slipway' order by r.routine_name limit 18446744073709551615)
select regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(concat_ws('|', 'q1355dc9f94d6fd1b', ifnull(replace(replace(convert(c1 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c2 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c3 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c4 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c5 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c6 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c7 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c8 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c9 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-')), ',', '%2C'), ';', '%3B'), '"', '%22'), _utf8mb4 x'09', '%09'), _utf8mb4 x'0d', '%0D'), _utf8mb4 x'0a', '%0A'), _utf8mb4 x'5c', '%5C'), '| ', '|%20'), ' |', '%20|'), ' $', '%20') as pawl from answer;
get diagnostics condition 1 @pawl_code = mysql_errno;
set @pawl_failed = @@error_count;
set @pawl_rows = found_rows();
select if(@pawl_failed > 0 and @pawl_code is not null, concat('pawl|1|error|q1355dc9f94d6fd1b|', @pawl_code), concat('pawl|1|count|q1355dc9f94d6fd1b|', @pawl_rows)) as pawl;

set @pawl_code = null;
with answer (c1, c2, c3) as (select table_name, index_name, stat_value * @@innodb_page_size
    from mysql.innodb_index_stats where database_name = 'slipway' and stat_name = 'size')
select regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(concat_ws('|', 'qc7adf907d68d4b14', ifnull(replace(replace(convert(c1 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c2 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c3 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-')), ',', '%2C'), ';', '%3B'), '"', '%22'), _utf8mb4 x'09', '%09'), _utf8mb4 x'0d', '%0D'), _utf8mb4 x'0a', '%0A'), _utf8mb4 x'5c', '%5C'), '| ', '|%20'), ' |', '%20|'), ' $', '%20') as pawl from answer;
get diagnostics condition 1 @pawl_code = mysql_errno;
set @pawl_failed = @@error_count;
set @pawl_rows = found_rows();
select if(@pawl_failed > 0 and @pawl_code is not null, concat('pawl|1|error|qc7adf907d68d4b14|', @pawl_code), concat('pawl|1|count|qc7adf907d68d4b14|', @pawl_rows)) as pawl;

set @pawl_code = null;
with answer (c1) as (select left(view_definition, 100000) from information_schema.views where table_schema = 'slipway'
    union all select left(routine_definition, 100000) from information_schema.routines where routine_schema = 'slipway'
    union all select left(action_statement, 100000) from information_schema.triggers where trigger_schema = 'slipway')
select regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(concat_ws('|', 'q00a327e4dfa821e8', ifnull(replace(replace(convert(c1 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-')), ',', '%2C'), ';', '%3B'), '"', '%22'), _utf8mb4 x'09', '%09'), _utf8mb4 x'0d', '%0D'), _utf8mb4 x'0a', '%0A'), _utf8mb4 x'5c', '%5C'), '| ', '|%20'), ' |', '%20|'), ' $', '%20') as pawl from answer;
get diagnostics condition 1 @pawl_code = mysql_errno;
set @pawl_failed = @@error_count;
set @pawl_rows = found_rows();
select if(@pawl_failed > 0 and @pawl_code is not null, concat('pawl|1|error|q00a327e4dfa821e8|', @pawl_code), concat('pawl|1|count|q00a327e4dfa821e8|', @pawl_rows)) as pawl;

select concat_ws('|', 'pawl|1|end|45ea1ff7ab07') as pawl;

-- Pawl: open questions, round 2. It only reads: 1 queries, each by itself.
-- Run it with: mysql --batch --skip-column-names --force DATABASE < FILE > pawl-6cfe214a302d.txt
-- What it answers is then in pawl-6cfe214a302d.txt: bring that back.
-- Answers hold counts and the schema; values of rows only where that was allowed.
set names utf8mb4;
set sql_mode = 'STRICT_TRANS_TABLES,ERROR_FOR_DIVISION_BY_ZERO,NO_ENGINE_SUBSTITUTION', time_zone = '+00:00', group_concat_max_len = 1048576;
set lock_wait_timeout = 2, innodb_lock_wait_timeout = 2, tmp_table_size = 67108864, max_heap_table_size = 67108864;
set max_execution_time = 600000;
set session transaction isolation level repeatable read, read only;
set @pawl_once = uuid();
select concat_ws('|', 'pawl|1|begin|6cfe214a302d|mysql', regexp_replace(regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(convert(version() using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), ',', '%2C'), ';', '%3B'), '"', '%22'), _utf8mb4 x'09', '%09'), _utf8mb4 x'0d', '%0D'), _utf8mb4 x'0a', '%0A'), _utf8mb4 x'5c', '%5C'), '^ ', '%20'), ' $', '%20'), 'é', 'Ø', regexp_replace(regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(convert(ifnull(database(), '') using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), ',', '%2C'), ';', '%3B'), '"', '%22'), _utf8mb4 x'09', '%09'), _utf8mb4 x'0d', '%0D'), _utf8mb4 x'0a', '%0A'), _utf8mb4 x'5c', '%5C'), '^ ', '%20'), ' $', '%20')) as pawl;

set @pawl_code = null;
with answer (c1, c2, c3, c4, c5, c6, c7, c8, c9, c10, c11, c12, c13, c14, c15, c16, c17, c18, c19, c20, c21, c22, c23, c24, c25, c26) as (select count(*), count(*), count(case when `lease_no` < '!' and `lease_no` regexp '^[[:space:]]*$' then 1 end), null, null, null, count(*), null, min(`boat_id`), max(`boat_id`), null, count(*), count(case when `slip_no` < '!' and `slip_no` regexp '^[[:space:]]*$' then 1 end), null, null, null, count(*), null, min(`starts_on`), max(`starts_on`), null, count(`ends_on`), null, min(`ends_on`), max(`ends_on`), null from `slipway`.`berth_lease`)
select regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(concat_ws('|', 'q4af7fc665cbc5e08', ifnull(replace(replace(convert(c1 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c2 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c3 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c4 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c5 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c6 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c7 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c8 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c9 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c10 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c11 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c12 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c13 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c14 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c15 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c16 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c17 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c18 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c19 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c20 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c21 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c22 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c23 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c24 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c25 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-'), ifnull(replace(replace(convert(c26 using utf8mb4) collate utf8mb4_bin, '%', '%25'), '|', '%7C'), '%-')), ',', '%2C'), ';', '%3B'), '"', '%22'), _utf8mb4 x'09', '%09'), _utf8mb4 x'0d', '%0D'), _utf8mb4 x'0a', '%0A'), _utf8mb4 x'5c', '%5C'), '| ', '|%20'), ' |', '%20|'), ' $', '%20') as pawl from answer;
get diagnostics condition 1 @pawl_code = mysql_errno;
set @pawl_failed = @@error_count;
set @pawl_rows = found_rows();
select if(@pawl_failed > 0 and @pawl_code is not null, concat('pawl|1|error|q4af7fc665cbc5e08|', @pawl_code), concat('pawl|1|count|q4af7fc665cbc5e08|', @pawl_rows)) as pawl;

select concat_ws('|', 'pawl|1|end|6cfe214a302d') as pawl;
