-- ── catalogue
select version(), current_user(), @@global.sql_mode
-- columns 3

select schema_name, default_collation_name from information_schema.schemata where schema_name not in ('information_schema', 'mysql', 'performance_schema', 'sys') order by schema_name
-- columns 2

show grants
-- columns 1

select character_set_name, default_collate_name from information_schema.character_sets
-- columns 2

select table_name, table_type, engine, table_comment, table_collation
    from information_schema.tables where table_schema = 'slipway' order by table_name
-- columns 5

show create table `slipway`.`boat`
-- columns 2

select table_name, column_name, ordinal_position, column_default, is_nullable, column_type, character_set_name, collation_name,
      extra, column_comment, generation_expression
    from information_schema.columns where table_schema = 'slipway' and table_name = 'boat' union all select table_name, column_name, ordinal_position, column_default, is_nullable, column_type, character_set_name, collation_name,
      extra, column_comment, generation_expression
    from information_schema.columns where table_schema = 'slipway' and table_name = 'afloat'
-- columns 11

select event_object_table, trigger_name, lower(concat(action_timing, ' ', event_manipulation)), definer
    from information_schema.triggers where trigger_schema = 'slipway' order by event_object_table, trigger_name
-- columns 4

select table_name, grantee, group_concat(privilege_type order by privilege_type separator ', ')
    from information_schema.table_privileges where table_schema = 'slipway' group by table_name, grantee
-- columns 3

select table_name, n_rows, (clustered_index_size + sum_of_other_index_sizes) * @@innodb_page_size
    from mysql.innodb_table_stats where database_name = 'slipway'
-- columns 3

select table_name, table_rows, data_length + index_length from information_schema.tables where table_schema = 'slipway' and table_name = 'boat'
-- columns 3

select r.routine_name, r.routine_type, r.dtd_identifier, r.is_deterministic, r.sql_data_access, r.security_type, r.definer, r.routine_comment,
      (select group_concat(concat_ws(' ', p.parameter_mode, p.parameter_name, p.dtd_identifier) order by p.ordinal_position separator ', ')
       from information_schema.parameters p where p.specific_schema = r.routine_schema and p.specific_name = r.specific_name and p.ordinal_position > 0)
    from information_schema.routines r where r.routine_schema = 'slipway' order by r.routine_name
-- columns 9

select table_name, index_name, stat_value * @@innodb_page_size
    from mysql.innodb_index_stats where database_name = 'slipway' and stat_name = 'size'
-- columns 3

-- ── catalogue by estimates
select version(), current_user(), @@global.sql_mode
-- columns 3

select schema_name, default_collation_name from information_schema.schemata where schema_name not in ('information_schema', 'mysql', 'performance_schema', 'sys') order by schema_name
-- columns 2

show grants
-- columns 1

select character_set_name, default_collate_name from information_schema.character_sets
-- columns 2

select table_name, table_type, engine, table_comment, table_collation
    from information_schema.tables where table_schema = 'slipway' order by table_name
-- columns 5

show create table `slipway`.`boat`
-- columns 2

select table_name, column_name, ordinal_position, column_default, is_nullable, column_type, character_set_name, collation_name,
      extra, column_comment, generation_expression
    from information_schema.columns where table_schema = 'slipway' and table_name = 'boat' union all select table_name, column_name, ordinal_position, column_default, is_nullable, column_type, character_set_name, collation_name,
      extra, column_comment, generation_expression
    from information_schema.columns where table_schema = 'slipway' and table_name = 'afloat'
-- columns 11

select event_object_table, trigger_name, lower(concat(action_timing, ' ', event_manipulation)), definer
    from information_schema.triggers where trigger_schema = 'slipway' order by event_object_table, trigger_name
-- columns 4

select table_name, grantee, group_concat(privilege_type order by privilege_type separator ', ')
    from information_schema.table_privileges where table_schema = 'slipway' group by table_name, grantee
-- columns 3

select table_name, n_rows, (clustered_index_size + sum_of_other_index_sizes) * @@innodb_page_size
    from mysql.innodb_table_stats where database_name = 'slipway'
-- columns 3

select table_name, table_rows, data_length + index_length from information_schema.tables where table_schema = 'slipway' and table_name = 'boat'
-- columns 3

select r.routine_name, r.routine_type, r.dtd_identifier, r.is_deterministic, r.sql_data_access, r.security_type, r.definer, r.routine_comment,
      (select group_concat(concat_ws(' ', p.parameter_mode, p.parameter_name, p.dtd_identifier) order by p.ordinal_position separator ', ')
       from information_schema.parameters p where p.specific_schema = r.routine_schema and p.specific_name = r.specific_name and p.ordinal_position > 0)
    from information_schema.routines r where r.routine_schema = 'slipway' order by r.routine_name
-- columns 9

select table_name, index_name, stat_value * @@innodb_page_size
    from mysql.innodb_index_stats where database_name = 'slipway' and stat_name = 'size'
-- columns 3

-- ── definitions
select schema_name, default_collation_name from information_schema.schemata where schema_name not in ('information_schema', 'mysql', 'performance_schema', 'sys') order by schema_name
-- columns 2

-- ── ddl
show create table `slipway`.`berth_lease`
-- columns 2

-- ── dependents of a table
select lower(routine_type), concat(routine_schema, '.', routine_name), 'names it'
       from information_schema.routines where routine_schema not in ('information_schema', 'mysql', 'performance_schema', 'sys') and routine_definition regexp '(^|[^[:alnum:]_])berth_lease($|[^[:alnum:]_])'
       union all
       select 'view', concat(table_schema, '.', table_name), 'names it'
       from information_schema.views where table_schema not in ('information_schema', 'mysql', 'performance_schema', 'sys') and view_definition regexp '(^|[^[:alnum:]_])berth_lease($|[^[:alnum:]_])'
       union all
       select 'trigger', concat(trigger_name, ' of ', event_object_schema, '.', event_object_table), 'names it'
       from information_schema.triggers where trigger_schema not in ('information_schema', 'mysql', 'performance_schema', 'sys')
         and (action_statement regexp '(^|[^[:alnum:]_])berth_lease($|[^[:alnum:]_])')
       
       order by 1, 2
-- columns 3

-- ── dependents of a column
select lower(routine_type), concat(routine_schema, '.', routine_name), 'names it'
       from information_schema.routines where routine_schema not in ('information_schema', 'mysql', 'performance_schema', 'sys') and routine_definition regexp '(^|[^[:alnum:]_])boat_id($|[^[:alnum:]_])' and routine_definition regexp '(^|[^[:alnum:]_])berth_lease($|[^[:alnum:]_])'
       union all
       select 'view', concat(table_schema, '.', table_name), 'names it'
       from information_schema.views where table_schema not in ('information_schema', 'mysql', 'performance_schema', 'sys') and view_definition regexp '(^|[^[:alnum:]_])boat_id($|[^[:alnum:]_])' and view_definition regexp '(^|[^[:alnum:]_])berth_lease($|[^[:alnum:]_])'
       union all
       select 'trigger', concat(trigger_name, ' of ', event_object_schema, '.', event_object_table), 'names it'
       from information_schema.triggers where trigger_schema not in ('information_schema', 'mysql', 'performance_schema', 'sys')
         and (action_statement regexp '(^|[^[:alnum:]_])boat_id($|[^[:alnum:]_])' and action_statement regexp '(^|[^[:alnum:]_])berth_lease($|[^[:alnum:]_])' or event_object_schema = 'slipway' and event_object_table = 'berth_lease' and action_statement regexp '(^|[^[:alnum:]_])boat_id($|[^[:alnum:]_])')
       union all
       select 'generated column', concat(table_schema, '.', table_name, '.', column_name), 'rests on it'
       from information_schema.columns where table_schema = 'slipway' and table_name = 'berth_lease'
         and generation_expression regexp '(^|[^[:alnum:]_])boat_id($|[^[:alnum:]_])'
       order by 1, 2
-- columns 3

-- ── dependents of a constraint
select lower(routine_type), concat(routine_schema, '.', routine_name), 'names it'
       from information_schema.routines where routine_schema not in ('information_schema', 'mysql', 'performance_schema', 'sys') and routine_definition regexp '(^|[^[:alnum:]_])fk_lease_boat($|[^[:alnum:]_])'
       union all
       select 'view', concat(table_schema, '.', table_name), 'names it'
       from information_schema.views where table_schema not in ('information_schema', 'mysql', 'performance_schema', 'sys') and view_definition regexp '(^|[^[:alnum:]_])fk_lease_boat($|[^[:alnum:]_])'
       union all
       select 'trigger', concat(trigger_name, ' of ', event_object_schema, '.', event_object_table), 'names it'
       from information_schema.triggers where trigger_schema not in ('information_schema', 'mysql', 'performance_schema', 'sys')
         and (action_statement regexp '(^|[^[:alnum:]_])fk_lease_boat($|[^[:alnum:]_])')
       
       order by 1, 2
-- columns 3

-- ── reach of the row with the most
select column_name, column_type, column_key from information_schema.columns where table_schema = 'slipway' and table_name = 'boat' order by ordinal_position
-- columns 3

select column_name, column_type, column_key from information_schema.columns where table_schema = 'slipway' and table_name = 'berth_lease' order by ordinal_position
-- columns 3

select column_name, column_type, column_key from information_schema.columns where table_schema = 'slipway' and table_name = 'boat_class' order by ordinal_position
-- columns 3

select column_name, column_type, column_key from information_schema.columns where table_schema = 'slipway' and table_name = 'gate_pass' order by ordinal_position
-- columns 3

select column_name, column_type, column_key from information_schema.columns where table_schema = 'slipway' and table_name = 'worker' order by ordinal_position
-- columns 3

select column_name, column_type, column_key from information_schema.columns where table_schema = 'slipway' and table_name = 'haul_out' order by ordinal_position
-- columns 3

select column_name, column_type, column_key from information_schema.columns where table_schema = 'slipway' and table_name = 'invoice' order by ordinal_position
-- columns 3

select column_name, column_type, column_key from information_schema.columns where table_schema = 'slipway' and table_name = 'job' order by ordinal_position
-- columns 3

select column_name, column_type, column_key from information_schema.columns where table_schema = 'slipway' and table_name = 'trade' order by ordinal_position
-- columns 3

select column_name, column_type, column_key from information_schema.columns where table_schema = 'slipway' and table_name = 'job_part' order by ordinal_position
-- columns 3

select column_name, column_type, column_key from information_schema.columns where table_schema = 'slipway' and table_name = 'plan_file' order by ordinal_position
-- columns 3

select column_name, column_type, column_key from information_schema.columns where table_schema = 'slipway' and table_name = 'quote' order by ordinal_position
-- columns 3

select column_name, column_type, column_key from information_schema.columns where table_schema = 'slipway' and table_name = 'slip' order by ordinal_position
-- columns 3

select column_name, column_type, column_key from information_schema.columns where table_schema = 'slipway' and table_name = 'yard' order by ordinal_position
-- columns 3

select column_name, column_type, column_key from information_schema.columns where table_schema = 'slipway_stores' and table_name = 'part' order by ordinal_position
-- columns 3

select column_name, column_type, column_key from information_schema.columns where table_schema = 'slipway_stores' and table_name = 'supplier' order by ordinal_position
-- columns 3

select sql_big_result `boat_id` from `slipway`.`berth_lease` as child where `boat_id` is not null
       and exists (select 1 from `slipway`.`boat` as parent where parent.`boat_id` = child.`boat_id`)
     group by `boat_id` order by count(*) desc, `boat_id` limit 1
-- columns 1, data

select `1`, `boat_id`, `boat_id`, `boat_id`, `boat_id` from `slipway`.`boat` where `boat_id` in ('1')
-- columns 5, data

select `1` from `slipway`.`berth_lease` where `boat_id` in ('1')
-- columns 1, data

select `1`, `haul_id` from `slipway`.`haul_out` where `boat_id` in ('1')
-- columns 2, data

select `1` from `slipway`.`plan_file` where `boat_id` in ('1')
-- columns 1, data

select `1` from `slipway`.`quote` where `boat_id` in ('1')
-- columns 1, data

-- ── reach of a row
select column_name, column_type, column_key from information_schema.columns where table_schema = 'slipway' and table_name = 'boat' order by ordinal_position
-- columns 3

select column_name, column_type, column_key from information_schema.columns where table_schema = 'slipway' and table_name = 'berth_lease' order by ordinal_position
-- columns 3

select column_name, column_type, column_key from information_schema.columns where table_schema = 'slipway' and table_name = 'boat_class' order by ordinal_position
-- columns 3

select column_name, column_type, column_key from information_schema.columns where table_schema = 'slipway' and table_name = 'gate_pass' order by ordinal_position
-- columns 3

select column_name, column_type, column_key from information_schema.columns where table_schema = 'slipway' and table_name = 'worker' order by ordinal_position
-- columns 3

select column_name, column_type, column_key from information_schema.columns where table_schema = 'slipway' and table_name = 'haul_out' order by ordinal_position
-- columns 3

select column_name, column_type, column_key from information_schema.columns where table_schema = 'slipway' and table_name = 'invoice' order by ordinal_position
-- columns 3

select column_name, column_type, column_key from information_schema.columns where table_schema = 'slipway' and table_name = 'job' order by ordinal_position
-- columns 3

select column_name, column_type, column_key from information_schema.columns where table_schema = 'slipway' and table_name = 'trade' order by ordinal_position
-- columns 3

select column_name, column_type, column_key from information_schema.columns where table_schema = 'slipway' and table_name = 'job_part' order by ordinal_position
-- columns 3

select column_name, column_type, column_key from information_schema.columns where table_schema = 'slipway' and table_name = 'plan_file' order by ordinal_position
-- columns 3

select column_name, column_type, column_key from information_schema.columns where table_schema = 'slipway' and table_name = 'quote' order by ordinal_position
-- columns 3

select column_name, column_type, column_key from information_schema.columns where table_schema = 'slipway' and table_name = 'slip' order by ordinal_position
-- columns 3

select column_name, column_type, column_key from information_schema.columns where table_schema = 'slipway' and table_name = 'yard' order by ordinal_position
-- columns 3

select column_name, column_type, column_key from information_schema.columns where table_schema = 'slipway_stores' and table_name = 'part' order by ordinal_position
-- columns 3

select column_name, column_type, column_key from information_schema.columns where table_schema = 'slipway_stores' and table_name = 'supplier' order by ordinal_position
-- columns 3

select `1`, `boat_id`, `boat_id`, `boat_id`, `boat_id` from `slipway`.`boat` where `boat_id` in ('o''clock')
-- columns 5, data

select `1` from `slipway`.`berth_lease` where `boat_id` in ('1')
-- columns 1, data

select `1`, `haul_id` from `slipway`.`haul_out` where `boat_id` in ('1')
-- columns 2, data

select `1` from `slipway`.`plan_file` where `boat_id` in ('1')
-- columns 1, data

select `1` from `slipway`.`quote` where `boat_id` in ('1')
-- columns 1, data

-- ── login
select version(), current_user(), @@global.sql_mode
-- columns 3

show grants
-- columns 1

select schema_name, default_collation_name from information_schema.schemata where schema_name not in ('information_schema', 'mysql', 'performance_schema', 'sys') order by schema_name
-- columns 2
