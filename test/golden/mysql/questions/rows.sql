-- ── orphans
select column_name, column_type from information_schema.columns where table_schema = 'slipway' and table_name = 'berth_lease' order by ordinal_position
-- columns 2

select child.`boat_id`, count(*) as `rows` from `slipway`.`berth_lease` as child where child.`boat_id` is not null
    and not exists (select 1 from `slipway`.`boat` as parent where parent.`boat_id` = child.`boat_id`) group by child.`boat_id` order by count(*) desc, child.`boat_id` limit 26 offset 50
-- columns 0, data

-- ── repeats
select column_name, column_type from information_schema.columns where table_schema = 'slipway' and table_name = 'berth_lease' order by ordinal_position
-- columns 2

select alike.n as `rows alike`, again.`1` as `1`
      from (
        select sql_big_result `boat_id` as k0, count(*) as n
        from `slipway`.`berth_lease` where `boat_id` is not null group by k0 having count(*) > 1
      ) as alike
      join `slipway`.`berth_lease` as again on again.`boat_id` = alike.k0
      order by alike.n desc, alike.k0, again.`boat_id` limit 26 offset 50
-- columns 0, data

-- ── repeats
select column_name, column_type from information_schema.columns where table_schema = 'slipway' and table_name = 'berth_lease' order by ordinal_position
-- columns 2

select alike.n as `rows alike`, again.`1` as `1`
      from (
        select sql_big_result lower(trim(`boat_id`)) as k0, count(*) as n
        from `slipway`.`berth_lease` where `boat_id` is not null group by k0 having count(distinct binary `boat_id`) > 1
      ) as alike
      join `slipway`.`berth_lease` as again on lower(trim(again.`boat_id`)) = alike.k0
      order by alike.n desc, alike.k0, again.`boat_id` limit 26 offset 50
-- columns 0, data

-- ── values
select column_name, column_type from information_schema.columns where table_schema = 'slipway' and table_name = 'berth_lease' order by ordinal_position
-- columns 2

select `boat_id` as `boat_id`, count(*) as `rows` from `slipway`.`berth_lease` group by `boat_id` order by count(*) desc, `boat_id` limit 26 offset 50
-- columns 0, data

-- ── nulls
select column_name, column_type from information_schema.columns where table_schema = 'slipway' and table_name = 'berth_lease' order by ordinal_position
-- columns 2

select `1` as `1` from `slipway`.`berth_lease` where `boat_id` <=> null limit 26 offset 50
-- columns 0, data

-- ── blanks
select column_name, column_type from information_schema.columns where table_schema = 'slipway' and table_name = 'berth_lease' order by ordinal_position
-- columns 2

select `1` as `1` from `slipway`.`berth_lease` where `boat_id` regexp '^[[:space:]]*$' limit 26 offset 50
-- columns 0, data

-- ── breaking ["ofForm","boat_id","integer"]
select column_name, column_type from information_schema.columns where table_schema = 'slipway' and table_name = 'berth_lease' order by ordinal_position
-- columns 2

select `1` as `1` from `slipway`.`berth_lease` where `boat_id` is not null and not `boat_id` regexp '^[[:space:]]*$' and regexp_replace(`boat_id`, '^[[:space:]]+|[[:space:]]+$', '') not regexp '(?-i)^[+-]?[0-9]{1,18}$' limit 26 offset 50
-- columns 0, data

-- ── breaking ["ofForm","boat_id","decimal"]
select column_name, column_type from information_schema.columns where table_schema = 'slipway' and table_name = 'berth_lease' order by ordinal_position
-- columns 2

select `1` as `1` from `slipway`.`berth_lease` where `boat_id` is not null and not `boat_id` regexp '^[[:space:]]*$' and regexp_replace(`boat_id`, '^[[:space:]]+|[[:space:]]+$', '') not regexp '(?-i)^[+-]?([0-9]{1,18}[.][0-9]{1,18}|[.][0-9]{1,18})$' limit 26 offset 50
-- columns 0, data

-- ── breaking ["ofForm","boat_id","date"]
select column_name, column_type from information_schema.columns where table_schema = 'slipway' and table_name = 'berth_lease' order by ordinal_position
-- columns 2

select `1` as `1` from `slipway`.`berth_lease` where `boat_id` is not null and not `boat_id` regexp '^[[:space:]]*$' and regexp_replace(`boat_id`, '^[[:space:]]+|[[:space:]]+$', '') not regexp '(?-i)^(?!0000)([0-9]{4}-((0[13578]|1[02])-(0[1-9]|[12][0-9]|3[01])|(0[469]|11)-(0[1-9]|[12][0-9]|30)|02-(0[1-9]|1[0-9]|2[0-8]))|([0-9][0-9](0[48]|[2468][048]|[13579][26])|([02468][048]|[13579][26])00)-02-29)$' limit 26 offset 50
-- columns 0, data

-- ── breaking ["ofForm","boat_id","timestamp"]
select column_name, column_type from information_schema.columns where table_schema = 'slipway' and table_name = 'berth_lease' order by ordinal_position
-- columns 2

select `1` as `1` from `slipway`.`berth_lease` where `boat_id` is not null and not `boat_id` regexp '^[[:space:]]*$' and regexp_replace(`boat_id`, '^[[:space:]]+|[[:space:]]+$', '') not regexp '(?-i)^(?!0000)([0-9]{4}-((0[13578]|1[02])-(0[1-9]|[12][0-9]|3[01])|(0[469]|11)-(0[1-9]|[12][0-9]|30)|02-(0[1-9]|1[0-9]|2[0-8]))|([0-9][0-9](0[48]|[2468][048]|[13579][26])|([02468][048]|[13579][26])00)-02-29)[ T]([01][0-9]|2[0-3]):[0-5][0-9](:[0-5][0-9]([.][0-9]+)?)?(Z|[+-][0-9]{2}(:?[0-9]{2})?)?$' limit 26 offset 50
-- columns 0, data

-- ── breaking ["ofForm","boat_id","uuid"]
select column_name, column_type from information_schema.columns where table_schema = 'slipway' and table_name = 'berth_lease' order by ordinal_position
-- columns 2

select `1` as `1` from `slipway`.`berth_lease` where `boat_id` is not null and not `boat_id` regexp '^[[:space:]]*$' and regexp_replace(`boat_id`, '^[[:space:]]+|[[:space:]]+$', '') not regexp '(?i)^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$' limit 26 offset 50
-- columns 0, data

-- ── breaking ["ofForm","boat_id","boolean"]
select column_name, column_type from information_schema.columns where table_schema = 'slipway' and table_name = 'berth_lease' order by ordinal_position
-- columns 2

select `1` as `1` from `slipway`.`berth_lease` where `boat_id` is not null and not `boat_id` regexp '^[[:space:]]*$' and regexp_replace(`boat_id`, '^[[:space:]]+|[[:space:]]+$', '') not regexp '(?i)^(true|false|t|f|yes|no|y|n)$' limit 26 offset 50
-- columns 0, data

-- ── breaking ["notNegative","lease_no"]
select column_name, column_type from information_schema.columns where table_schema = 'slipway' and table_name = 'berth_lease' order by ordinal_position
-- columns 2

select `1` as `1` from `slipway`.`berth_lease` where `lease_no` < 0 limit 26 offset 50
-- columns 0, data

-- ── breaking ["notBlank","boat_id"]
select column_name, column_type from information_schema.columns where table_schema = 'slipway' and table_name = 'berth_lease' order by ordinal_position
-- columns 2

select `1` as `1` from `slipway`.`berth_lease` where `boat_id` regexp '^[[:space:]]*$' limit 26 offset 50
-- columns 0, data

-- ── breaking ["ordered","lease_no","boat_id"]
select column_name, column_type from information_schema.columns where table_schema = 'slipway' and table_name = 'berth_lease' order by ordinal_position
-- columns 2

select `1` as `1` from `slipway`.`berth_lease` where `lease_no` > `boat_id` limit 26 offset 50
-- columns 0, data

-- ── breaking ["noneOf","boat_id",["o'clock","\\",""]]
select column_name, column_type from information_schema.columns where table_schema = 'slipway' and table_name = 'berth_lease' order by ordinal_position
-- columns 2

select `1` as `1` from `slipway`.`berth_lease` where `boat_id` in ('o''clock', _utf8mb4 x'5c', '') limit 26 offset 50
-- columns 0, data

-- ── breaking ["oneOf","boat_id",["1","2"]]
select column_name, column_type from information_schema.columns where table_schema = 'slipway' and table_name = 'berth_lease' order by ordinal_position
-- columns 2

select `1` as `1` from `slipway`.`berth_lease` where `boat_id` is not null and `boat_id` not in ('1', '2') limit 26 offset 50
-- columns 0, data

-- ── rows
select column_name, column_type from information_schema.columns where table_schema = 'slipway' and table_name = 'berth_lease' order by ordinal_position
-- columns 2

select `1` as `1` from `slipway`.`berth_lease` limit 26 offset 50
-- columns 0, data

-- ── having
select column_name, column_type from information_schema.columns where table_schema = 'slipway' and table_name = 'berth_lease' order by ordinal_position
-- columns 2

select `1` as `1` from `slipway`.`berth_lease` where `boat_id` = 'o''clock' limit 26 offset 50
-- columns 0, data

-- ── howMany
select column_name, column_type from information_schema.columns where table_schema = 'slipway' and table_name = 'berth_lease' order by ordinal_position
-- columns 2

select count(*) from (select 1 from `slipway`.`berth_lease` where `boat_id` = '1' limit 10) as found limit 26 offset 50
-- columns 0, data
