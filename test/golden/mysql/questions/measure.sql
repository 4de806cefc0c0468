-- ── profile slipway.berth_lease, sampled
select count(*), count(*), count(case when `lease_no` < '!' and `lease_no` regexp '^[[:space:]]*$' then 1 end), null, null, null, count(*), null, min(`boat_id`), max(`boat_id`), null, count(*), count(case when `slip_no` < '!' and `slip_no` regexp '^[[:space:]]*$' then 1 end), null, null, null, count(*), null, min(`starts_on`), max(`starts_on`), null, count(`ends_on`), null, min(`ends_on`), max(`ends_on`), null from `slipway`.`berth_lease`
-- columns 26

-- ── profile slipway.berth_lease, sampled, by files
select count(*), count(*), count(case when `lease_no` < '!' and `lease_no` regexp '^[[:space:]]*$' then 1 end), null, null, null, count(*), null, null, null, null, count(*), count(case when `slip_no` < '!' and `slip_no` regexp '^[[:space:]]*$' then 1 end), null, null, null, count(*), null, null, null, null, count(`ends_on`), null, null, null, null from `slipway`.`berth_lease`
-- columns 26

-- ── profile slipway.berth_lease, exact
select count(*), count(*), count(case when `lease_no` < '!' and `lease_no` regexp '^[[:space:]]*$' then 1 end), null, null, null, count(*), null, min(`boat_id`), max(`boat_id`), null, count(*), count(case when `slip_no` < '!' and `slip_no` regexp '^[[:space:]]*$' then 1 end), null, null, null, count(*), null, min(`starts_on`), max(`starts_on`), null, count(`ends_on`), null, min(`ends_on`), max(`ends_on`), null from `slipway`.`berth_lease`
-- columns 26

-- ── profile slipway.berth_lease, exact, by files
select count(*), count(*), count(case when `lease_no` < '!' and `lease_no` regexp '^[[:space:]]*$' then 1 end), null, null, null, count(*), null, null, null, null, count(*), count(case when `slip_no` < '!' and `slip_no` regexp '^[[:space:]]*$' then 1 end), null, null, null, count(*), null, null, null, null, count(`ends_on`), null, null, null, null from `slipway`.`berth_lease`
-- columns 26

-- ── profile slipway.boat, sampled
select count(*), count(*), null, min(`boat_id`), max(`boat_id`), null, count(*), count(case when `hull_no` < '!' and `hull_no` regexp '^[[:space:]]*$' then 1 end), null, null, null, count(*), count(case when `name` < '!' and `name` regexp '^[[:space:]]*$' then 1 end), null, null, null, count(`owner_id`), null, min(`owner_id`), max(`owner_id`), null, count(*), count(case when `class_code` < '!' and `class_code` regexp '^[[:space:]]*$' then 1 end), null, null, null, count(`paint_code`), count(case when `paint_code` < '!' and `paint_code` regexp '^[[:space:]]*$' then 1 end), null, null, null, count(`length_m`), null, null, null, null, count(`launched_on`), null, min(`launched_on`), max(`launched_on`), null, count(*), null, null, null, null, count(*), null, null, null, null, count(`notes`), count(case when `notes` < '!' and `notes` regexp '^[[:space:]]*$' then 1 end), null, null, max(octet_length(`notes`)), count(*), null, min(`changed_at`), max(`changed_at`), null from `slipway`.`boat`
-- columns 61

-- ── profile slipway.boat, sampled, by files
select count(*), count(*), null, null, null, null, count(*), count(case when `hull_no` < '!' and `hull_no` regexp '^[[:space:]]*$' then 1 end), null, null, null, count(*), count(case when `name` < '!' and `name` regexp '^[[:space:]]*$' then 1 end), null, null, null, count(`owner_id`), null, null, null, null, count(*), count(case when `class_code` < '!' and `class_code` regexp '^[[:space:]]*$' then 1 end), null, null, null, count(`paint_code`), count(case when `paint_code` < '!' and `paint_code` regexp '^[[:space:]]*$' then 1 end), null, null, null, count(`length_m`), null, null, null, null, count(`launched_on`), null, null, null, null, count(*), null, null, null, null, count(*), null, null, null, null, count(`notes`), count(case when `notes` < '!' and `notes` regexp '^[[:space:]]*$' then 1 end), null, null, max(octet_length(`notes`)), count(*), null, null, null, null from `slipway`.`boat`
-- columns 61

-- ── profile slipway.boat, exact
select count(*), count(*), null, min(`boat_id`), max(`boat_id`), null, count(*), count(case when `hull_no` < '!' and `hull_no` regexp '^[[:space:]]*$' then 1 end), null, null, null, count(*), count(case when `name` < '!' and `name` regexp '^[[:space:]]*$' then 1 end), null, null, null, count(`owner_id`), null, min(`owner_id`), max(`owner_id`), null, count(*), count(case when `class_code` < '!' and `class_code` regexp '^[[:space:]]*$' then 1 end), null, null, null, count(`paint_code`), count(case when `paint_code` < '!' and `paint_code` regexp '^[[:space:]]*$' then 1 end), null, null, null, count(`length_m`), null, null, null, null, count(`launched_on`), null, min(`launched_on`), max(`launched_on`), null, count(*), null, null, null, null, count(*), null, null, null, null, count(`notes`), count(case when `notes` < '!' and `notes` regexp '^[[:space:]]*$' then 1 end), null, null, max(octet_length(`notes`)), count(*), null, min(`changed_at`), max(`changed_at`), null from `slipway`.`boat`
-- columns 61

-- ── profile slipway.boat, exact, by files
select count(*), count(*), null, null, null, null, count(*), count(case when `hull_no` < '!' and `hull_no` regexp '^[[:space:]]*$' then 1 end), null, null, null, count(*), count(case when `name` < '!' and `name` regexp '^[[:space:]]*$' then 1 end), null, null, null, count(`owner_id`), null, null, null, null, count(*), count(case when `class_code` < '!' and `class_code` regexp '^[[:space:]]*$' then 1 end), null, null, null, count(`paint_code`), count(case when `paint_code` < '!' and `paint_code` regexp '^[[:space:]]*$' then 1 end), null, null, null, count(`length_m`), null, null, null, null, count(`launched_on`), null, null, null, null, count(*), null, null, null, null, count(*), null, null, null, null, count(`notes`), count(case when `notes` < '!' and `notes` regexp '^[[:space:]]*$' then 1 end), null, null, max(octet_length(`notes`)), count(*), null, null, null, null from `slipway`.`boat`
-- columns 61

-- ── sample slipway.berth_lease, sampled
select `lease_no`, `boat_id`, `slip_no`, `starts_on`, `ends_on`, hex(weight_string(`lease_no` as char(12))), hex(weight_string(`slip_no` as char(8))) from `slipway`.`berth_lease` limit 40001
-- columns 7, data

-- ── sample slipway.berth_lease, sampled, by files
select count(*), count(`lease_no`), count(distinct `lease_no`), count(distinct lower(trim(`lease_no`))), max(char_length(`lease_no`)), count(case when `lease_no` regexp '^[[:space:]]*$' then 1 end), 0, count(`boat_id`), count(distinct `boat_id`), null, null, 0, count(case when `boat_id` < 0 then 1 end), count(`slip_no`), count(distinct `slip_no`), count(distinct lower(trim(`slip_no`))), max(char_length(`slip_no`)), count(case when `slip_no` regexp '^[[:space:]]*$' then 1 end), 0, count(`starts_on`), count(distinct `starts_on`), null, null, 0, 0, count(`ends_on`), count(distinct `ends_on`), null, null, 0, 0, count(case when `lease_no` is not null and `boat_id` is not null then 1 end), count(distinct `lease_no`, `boat_id`), count(case when `lease_no` is not null and `slip_no` is not null then 1 end), count(distinct `lease_no`, `slip_no`), count(case when `boat_id` is not null and `slip_no` is not null then 1 end), count(distinct `boat_id`, `slip_no`), count(case when `starts_on` is not null and `ends_on` is not null then 1 end), count(case when `starts_on` > `ends_on` then 1 end), count(case when `ends_on` is not null and `starts_on` is not null then 1 end), count(case when `ends_on` > `starts_on` then 1 end) from (select * from `slipway`.`berth_lease` limit 10001) as part
-- columns 41

-- ── sample slipway.berth_lease, exact
select `lease_no`, `boat_id`, `slip_no`, `starts_on`, `ends_on`, hex(weight_string(`lease_no` as char(12))), hex(weight_string(`slip_no` as char(8))) from `slipway`.`berth_lease` limit 40001
-- columns 7, data

-- ── sample slipway.berth_lease, exact, by files
select count(*), count(`lease_no`), count(distinct `lease_no`), count(distinct lower(trim(`lease_no`))), max(char_length(`lease_no`)), count(case when `lease_no` regexp '^[[:space:]]*$' then 1 end), 0, count(`boat_id`), count(distinct `boat_id`), null, null, 0, count(case when `boat_id` < 0 then 1 end), count(`slip_no`), count(distinct `slip_no`), count(distinct lower(trim(`slip_no`))), max(char_length(`slip_no`)), count(case when `slip_no` regexp '^[[:space:]]*$' then 1 end), 0, count(`starts_on`), count(distinct `starts_on`), null, null, 0, 0, count(`ends_on`), count(distinct `ends_on`), null, null, 0, 0, count(case when `lease_no` is not null and `boat_id` is not null then 1 end), count(distinct `lease_no`, `boat_id`), count(case when `lease_no` is not null and `slip_no` is not null then 1 end), count(distinct `lease_no`, `slip_no`), count(case when `boat_id` is not null and `slip_no` is not null then 1 end), count(distinct `boat_id`, `slip_no`), count(case when `starts_on` is not null and `ends_on` is not null then 1 end), count(case when `starts_on` > `ends_on` then 1 end), count(case when `ends_on` is not null and `starts_on` is not null then 1 end), count(case when `ends_on` > `starts_on` then 1 end) from (select * from `slipway`.`berth_lease` limit 10001) as part
-- columns 41

-- ── sample slipway.boat, sampled
select `boat_id`, `hull_no`, `name`, `owner_id`, `class_code`, `paint_code`, `length_m`, `launched_on`, `is_afloat`, `rig`, case when char_length(`notes`) <= 120 then `notes` else concat(left(`notes`, 60), '…', sha2(`notes`, 256)) end, `changed_at`, hex(weight_string(`hull_no` as char(14))), hex(weight_string(`name` as char(60))), hex(weight_string(`class_code` as char(6))), hex(weight_string(`paint_code` as char(12))) from `slipway`.`boat` limit 40001
-- columns 16, data

-- ── sample slipway.boat, sampled, by files
select count(*), count(`boat_id`), count(distinct `boat_id`), null, null, 0, count(case when `boat_id` < 0 then 1 end), count(`hull_no`), count(distinct `hull_no`), count(distinct lower(trim(`hull_no`))), max(char_length(`hull_no`)), count(case when `hull_no` regexp '^[[:space:]]*$' then 1 end), 0, count(`name`), count(distinct `name`), count(distinct lower(trim(`name`))), max(char_length(`name`)), count(case when `name` regexp '^[[:space:]]*$' then 1 end), 0, count(`owner_id`), count(distinct `owner_id`), null, null, 0, count(case when `owner_id` < 0 then 1 end), count(`class_code`), count(distinct `class_code`), count(distinct lower(trim(`class_code`))), max(char_length(`class_code`)), count(case when `class_code` regexp '^[[:space:]]*$' then 1 end), 0, count(`paint_code`), count(distinct `paint_code`), count(distinct lower(trim(`paint_code`))), max(char_length(`paint_code`)), count(case when `paint_code` regexp '^[[:space:]]*$' then 1 end), 0, count(`length_m`), count(distinct `length_m`), null, null, 0, count(case when `length_m` < 0 then 1 end), count(`launched_on`), count(distinct `launched_on`), null, null, 0, 0, count(`is_afloat`), count(distinct `is_afloat`), null, null, 0, 0, count(`rig`), count(distinct `rig`), null, null, 0, 0, count(`notes`), count(distinct `notes`), count(distinct lower(trim(`notes`))), max(char_length(`notes`)), count(case when `notes` regexp '^[[:space:]]*$' then 1 end), 0, count(`changed_at`), count(distinct `changed_at`), null, null, 0, 0, count(case when `boat_id` is not null and `hull_no` is not null then 1 end), count(distinct `boat_id`, `hull_no`), count(case when `boat_id` is not null and `class_code` is not null then 1 end), count(distinct `boat_id`, `class_code`), count(case when `hull_no` is not null and `class_code` is not null then 1 end), count(distinct `hull_no`, `class_code`) from (select * from `slipway`.`boat` limit 10001) as part
-- columns 79

-- ── sample slipway.boat, exact
select `boat_id`, `hull_no`, `name`, `owner_id`, `class_code`, `paint_code`, `length_m`, `launched_on`, `is_afloat`, `rig`, case when char_length(`notes`) <= 120 then `notes` else concat(left(`notes`, 60), '…', sha2(`notes`, 256)) end, `changed_at`, hex(weight_string(`hull_no` as char(14))), hex(weight_string(`name` as char(60))), hex(weight_string(`class_code` as char(6))), hex(weight_string(`paint_code` as char(12))) from `slipway`.`boat` limit 40001
-- columns 16, data

-- ── sample slipway.boat, exact, by files
select count(*), count(`boat_id`), count(distinct `boat_id`), null, null, 0, count(case when `boat_id` < 0 then 1 end), count(`hull_no`), count(distinct `hull_no`), count(distinct lower(trim(`hull_no`))), max(char_length(`hull_no`)), count(case when `hull_no` regexp '^[[:space:]]*$' then 1 end), 0, count(`name`), count(distinct `name`), count(distinct lower(trim(`name`))), max(char_length(`name`)), count(case when `name` regexp '^[[:space:]]*$' then 1 end), 0, count(`owner_id`), count(distinct `owner_id`), null, null, 0, count(case when `owner_id` < 0 then 1 end), count(`class_code`), count(distinct `class_code`), count(distinct lower(trim(`class_code`))), max(char_length(`class_code`)), count(case when `class_code` regexp '^[[:space:]]*$' then 1 end), 0, count(`paint_code`), count(distinct `paint_code`), count(distinct lower(trim(`paint_code`))), max(char_length(`paint_code`)), count(case when `paint_code` regexp '^[[:space:]]*$' then 1 end), 0, count(`length_m`), count(distinct `length_m`), null, null, 0, count(case when `length_m` < 0 then 1 end), count(`launched_on`), count(distinct `launched_on`), null, null, 0, 0, count(`is_afloat`), count(distinct `is_afloat`), null, null, 0, 0, count(`rig`), count(distinct `rig`), null, null, 0, 0, count(`notes`), count(distinct `notes`), count(distinct lower(trim(`notes`))), max(char_length(`notes`)), count(case when `notes` regexp '^[[:space:]]*$' then 1 end), 0, count(`changed_at`), count(distinct `changed_at`), null, null, 0, 0, count(case when `boat_id` is not null and `hull_no` is not null then 1 end), count(distinct `boat_id`, `hull_no`), count(case when `boat_id` is not null and `class_code` is not null then 1 end), count(distinct `boat_id`, `class_code`), count(case when `hull_no` is not null and `class_code` is not null then 1 end), count(distinct `hull_no`, `class_code`) from (select * from `slipway`.`boat` limit 10001) as part
-- columns 79

-- ── inclusion slipway.berth_lease(boat_id) in slipway.boat(boat_id), sampled
select /*+ set_var(tmp_table_size = 67108864) set_var(max_heap_table_size = 67108864) */ count(*), count(distinct child.`boat_id`) from `slipway`.`berth_lease` as child where child.`boat_id` is not null
    and not exists (select 1 from `slipway`.`boat` as parent where parent.`boat_id` = child.`boat_id`)
-- columns 2

select count(*), count(case when `boat_id` is not null then 1 end) from `slipway`.`berth_lease`
-- columns 2

-- ── inclusion slipway.berth_lease(boat_id) in slipway.boat(boat_id), sampled, by files
select /*+ set_var(tmp_table_size = 67108864) set_var(max_heap_table_size = 67108864) */ count(*), count(distinct child.`boat_id`) from `slipway`.`berth_lease` as child where child.`boat_id` is not null
    and not exists (select 1 from `slipway`.`boat` as parent where parent.`boat_id` = child.`boat_id`)
-- columns 2

select count(*), count(case when `boat_id` is not null then 1 end) from `slipway`.`berth_lease`
-- columns 2

-- ── inclusion slipway.berth_lease(boat_id) in slipway.boat(boat_id), exact
select /*+ set_var(tmp_table_size = 67108864) set_var(max_heap_table_size = 67108864) */ count(*), count(distinct child.`boat_id`) from `slipway`.`berth_lease` as child where child.`boat_id` is not null
    and not exists (select 1 from `slipway`.`boat` as parent where parent.`boat_id` = child.`boat_id`)
-- columns 2

select count(*), count(case when `boat_id` is not null then 1 end) from `slipway`.`berth_lease`
-- columns 2

-- ── inclusion slipway.berth_lease(boat_id) in slipway.boat(boat_id), exact, by files
select /*+ set_var(tmp_table_size = 67108864) set_var(max_heap_table_size = 67108864) */ count(*), count(distinct child.`boat_id`) from `slipway`.`berth_lease` as child where child.`boat_id` is not null
    and not exists (select 1 from `slipway`.`boat` as parent where parent.`boat_id` = child.`boat_id`)
-- columns 2

select count(*), count(case when `boat_id` is not null then 1 end) from `slipway`.`berth_lease`
-- columns 2

-- ── inclusion slipway.boat(class_code) in slipway.boat_class(class_code), sampled
select /*+ set_var(tmp_table_size = 67108864) set_var(max_heap_table_size = 67108864) */ count(*), count(distinct child.`class_code`) from `slipway`.`boat` as child where child.`class_code` is not null
    and not exists (select 1 from `slipway`.`boat_class` as parent where parent.`class_code` = child.`class_code`)
-- columns 2

select count(*), count(case when `class_code` is not null then 1 end) from `slipway`.`boat`
-- columns 2

-- ── inclusion slipway.boat(class_code) in slipway.boat_class(class_code), sampled, by files
select /*+ set_var(tmp_table_size = 67108864) set_var(max_heap_table_size = 67108864) */ count(*), count(distinct child.`class_code`) from `slipway`.`boat` as child where child.`class_code` is not null
    and not exists (select 1 from `slipway`.`boat_class` as parent where parent.`class_code` = child.`class_code`)
-- columns 2

select count(*), count(case when `class_code` is not null then 1 end) from `slipway`.`boat`
-- columns 2

-- ── inclusion slipway.boat(class_code) in slipway.boat_class(class_code), exact
select /*+ set_var(tmp_table_size = 67108864) set_var(max_heap_table_size = 67108864) */ count(*), count(distinct child.`class_code`) from `slipway`.`boat` as child where child.`class_code` is not null
    and not exists (select 1 from `slipway`.`boat_class` as parent where parent.`class_code` = child.`class_code`)
-- columns 2

select count(*), count(case when `class_code` is not null then 1 end) from `slipway`.`boat`
-- columns 2

-- ── inclusion slipway.boat(class_code) in slipway.boat_class(class_code), exact, by files
select /*+ set_var(tmp_table_size = 67108864) set_var(max_heap_table_size = 67108864) */ count(*), count(distinct child.`class_code`) from `slipway`.`boat` as child where child.`class_code` is not null
    and not exists (select 1 from `slipway`.`boat_class` as parent where parent.`class_code` = child.`class_code`)
-- columns 2

select count(*), count(case when `class_code` is not null then 1 end) from `slipway`.`boat`
-- columns 2

-- ── probe slipway.berth_lease(boat_id), sampled
select `boat_id` from `slipway`.`berth_lease` limit 8000
-- columns 1, data

select /*+ set_var(tmp_table_size = 67108864) set_var(max_heap_table_size = 67108864) */ looked.value from (select 1 as value) as looked where exists (select 1 from `slipway`.`boat` as parent where parent.`boat_id` = looked.value)
-- columns 1, data

-- ── probe slipway.berth_lease(boat_id), sampled, by files
select /*+ set_var(tmp_table_size = 67108864) set_var(max_heap_table_size = 67108864) */ (select count(*) from (select distinct `boat_id` as value from (select `boat_id` from `slipway`.`berth_lease` limit 8000) as some where `boat_id` is not null limit 2000) as looked), (select count(*) from (select distinct `boat_id` as value from (select `boat_id` from `slipway`.`berth_lease` limit 8000) as some where `boat_id` is not null limit 2000) as looked where not exists (select 1 from `slipway`.`boat` as parent where parent.`boat_id` = looked.value))
-- columns 2

-- ── probe slipway.berth_lease(boat_id), exact
select `boat_id` from `slipway`.`berth_lease` limit 8000
-- columns 1, data

select /*+ set_var(tmp_table_size = 67108864) set_var(max_heap_table_size = 67108864) */ looked.value from (select 1 as value) as looked where exists (select 1 from `slipway`.`boat` as parent where parent.`boat_id` = looked.value)
-- columns 1, data

-- ── probe slipway.berth_lease(boat_id), exact, by files
select /*+ set_var(tmp_table_size = 67108864) set_var(max_heap_table_size = 67108864) */ (select count(*) from (select distinct `boat_id` as value from (select `boat_id` from `slipway`.`berth_lease` limit 8000) as some where `boat_id` is not null limit 2000) as looked), (select count(*) from (select distinct `boat_id` as value from (select `boat_id` from `slipway`.`berth_lease` limit 8000) as some where `boat_id` is not null limit 2000) as looked where not exists (select 1 from `slipway`.`boat` as parent where parent.`boat_id` = looked.value))
-- columns 2

-- ── probe slipway.boat(class_code), sampled
select `class_code` from `slipway`.`boat` limit 8000
-- columns 1, data

select /*+ set_var(tmp_table_size = 67108864) set_var(max_heap_table_size = 67108864) */ looked.value from (select '1' as value) as looked where exists (select 1 from `slipway`.`boat_class` as parent where parent.`class_code` = convert(looked.value using utf8mb4) collate utf8mb4_general_ci)
-- columns 1, data

-- ── probe slipway.boat(class_code), sampled, by files
select /*+ set_var(tmp_table_size = 67108864) set_var(max_heap_table_size = 67108864) */ (select count(*) from (select distinct `class_code` as value from (select `class_code` from `slipway`.`boat` limit 8000) as some where `class_code` is not null limit 2000) as looked), (select count(*) from (select distinct `class_code` as value from (select `class_code` from `slipway`.`boat` limit 8000) as some where `class_code` is not null limit 2000) as looked where not exists (select 1 from `slipway`.`boat_class` as parent where parent.`class_code` = looked.value))
-- columns 2

-- ── probe slipway.boat(class_code), exact
select `class_code` from `slipway`.`boat` limit 8000
-- columns 1, data

select /*+ set_var(tmp_table_size = 67108864) set_var(max_heap_table_size = 67108864) */ looked.value from (select '1' as value) as looked where exists (select 1 from `slipway`.`boat_class` as parent where parent.`class_code` = convert(looked.value using utf8mb4) collate utf8mb4_general_ci)
-- columns 1, data

-- ── probe slipway.boat(class_code), exact, by files
select /*+ set_var(tmp_table_size = 67108864) set_var(max_heap_table_size = 67108864) */ (select count(*) from (select distinct `class_code` as value from (select `class_code` from `slipway`.`boat` limit 8000) as some where `class_code` is not null limit 2000) as looked), (select count(*) from (select distinct `class_code` as value from (select `class_code` from `slipway`.`boat` limit 8000) as some where `class_code` is not null limit 2000) as looked where not exists (select 1 from `slipway`.`boat_class` as parent where parent.`class_code` = looked.value))
-- columns 2

-- ── violations slipway.berth_lease ["ofForm","boat_id","integer"], sampled
select count(*), count(case when `boat_id` is not null and not `boat_id` regexp '^[[:space:]]*$' then 1 end), count(case when `boat_id` is not null and not `boat_id` regexp '^[[:space:]]*$' and regexp_replace(`boat_id`, '^[[:space:]]+|[[:space:]]+$', '') not regexp '(?-i)^[+-]?[0-9]{1,18}$' then 1 end) from `slipway`.`berth_lease`
-- columns 3

-- ── violations slipway.berth_lease ["ofForm","boat_id","integer"], sampled, by files
select count(*), count(case when `boat_id` is not null and not `boat_id` regexp '^[[:space:]]*$' then 1 end), count(case when `boat_id` is not null and not `boat_id` regexp '^[[:space:]]*$' and regexp_replace(`boat_id`, '^[[:space:]]+|[[:space:]]+$', '') not regexp '(?-i)^[+-]?[0-9]{1,18}$' then 1 end) from `slipway`.`berth_lease`
-- columns 3

-- ── violations slipway.berth_lease ["ofForm","boat_id","integer"], exact
select count(*), count(case when `boat_id` is not null and not `boat_id` regexp '^[[:space:]]*$' then 1 end), count(case when `boat_id` is not null and not `boat_id` regexp '^[[:space:]]*$' and regexp_replace(`boat_id`, '^[[:space:]]+|[[:space:]]+$', '') not regexp '(?-i)^[+-]?[0-9]{1,18}$' then 1 end) from `slipway`.`berth_lease`
-- columns 3

-- ── violations slipway.berth_lease ["ofForm","boat_id","integer"], exact, by files
select count(*), count(case when `boat_id` is not null and not `boat_id` regexp '^[[:space:]]*$' then 1 end), count(case when `boat_id` is not null and not `boat_id` regexp '^[[:space:]]*$' and regexp_replace(`boat_id`, '^[[:space:]]+|[[:space:]]+$', '') not regexp '(?-i)^[+-]?[0-9]{1,18}$' then 1 end) from `slipway`.`berth_lease`
-- columns 3

-- ── violations slipway.berth_lease ["ofForm","boat_id","decimal"], sampled
select count(*), count(case when `boat_id` is not null and not `boat_id` regexp '^[[:space:]]*$' then 1 end), count(case when `boat_id` is not null and not `boat_id` regexp '^[[:space:]]*$' and regexp_replace(`boat_id`, '^[[:space:]]+|[[:space:]]+$', '') not regexp '(?-i)^[+-]?([0-9]{1,18}[.][0-9]{1,18}|[.][0-9]{1,18})$' then 1 end) from `slipway`.`berth_lease`
-- columns 3

-- ── violations slipway.berth_lease ["ofForm","boat_id","decimal"], sampled, by files
select count(*), count(case when `boat_id` is not null and not `boat_id` regexp '^[[:space:]]*$' then 1 end), count(case when `boat_id` is not null and not `boat_id` regexp '^[[:space:]]*$' and regexp_replace(`boat_id`, '^[[:space:]]+|[[:space:]]+$', '') not regexp '(?-i)^[+-]?([0-9]{1,18}[.][0-9]{1,18}|[.][0-9]{1,18})$' then 1 end) from `slipway`.`berth_lease`
-- columns 3

-- ── violations slipway.berth_lease ["ofForm","boat_id","decimal"], exact
select count(*), count(case when `boat_id` is not null and not `boat_id` regexp '^[[:space:]]*$' then 1 end), count(case when `boat_id` is not null and not `boat_id` regexp '^[[:space:]]*$' and regexp_replace(`boat_id`, '^[[:space:]]+|[[:space:]]+$', '') not regexp '(?-i)^[+-]?([0-9]{1,18}[.][0-9]{1,18}|[.][0-9]{1,18})$' then 1 end) from `slipway`.`berth_lease`
-- columns 3

-- ── violations slipway.berth_lease ["ofForm","boat_id","decimal"], exact, by files
select count(*), count(case when `boat_id` is not null and not `boat_id` regexp '^[[:space:]]*$' then 1 end), count(case when `boat_id` is not null and not `boat_id` regexp '^[[:space:]]*$' and regexp_replace(`boat_id`, '^[[:space:]]+|[[:space:]]+$', '') not regexp '(?-i)^[+-]?([0-9]{1,18}[.][0-9]{1,18}|[.][0-9]{1,18})$' then 1 end) from `slipway`.`berth_lease`
-- columns 3

-- ── violations slipway.berth_lease ["notNegative","lease_no"], sampled
select count(*), count(case when `lease_no` is not null then 1 end), count(case when `lease_no` < 0 then 1 end) from `slipway`.`berth_lease`
-- columns 3

-- ── violations slipway.berth_lease ["notNegative","lease_no"], sampled, by files
select count(*), count(case when `lease_no` is not null then 1 end), count(case when `lease_no` < 0 then 1 end) from `slipway`.`berth_lease`
-- columns 3

-- ── violations slipway.berth_lease ["notNegative","lease_no"], exact
select count(*), count(case when `lease_no` is not null then 1 end), count(case when `lease_no` < 0 then 1 end) from `slipway`.`berth_lease`
-- columns 3

-- ── violations slipway.berth_lease ["notNegative","lease_no"], exact, by files
select count(*), count(case when `lease_no` is not null then 1 end), count(case when `lease_no` < 0 then 1 end) from `slipway`.`berth_lease`
-- columns 3

-- ── violations slipway.boat ["notNegative","boat_id"], sampled
select count(*), count(case when `boat_id` is not null then 1 end), count(case when `boat_id` < 0 then 1 end) from `slipway`.`boat`
-- columns 3

-- ── violations slipway.boat ["notNegative","boat_id"], sampled, by files
select count(*), count(case when `boat_id` is not null then 1 end), count(case when `boat_id` < 0 then 1 end) from `slipway`.`boat`
-- columns 3

-- ── violations slipway.boat ["notNegative","boat_id"], exact
select count(*), count(case when `boat_id` is not null then 1 end), count(case when `boat_id` < 0 then 1 end) from `slipway`.`boat`
-- columns 3

-- ── violations slipway.boat ["notNegative","boat_id"], exact, by files
select count(*), count(case when `boat_id` is not null then 1 end), count(case when `boat_id` < 0 then 1 end) from `slipway`.`boat`
-- columns 3

-- ── violations slipway.berth_lease ["notBlank","boat_id"], sampled
select count(*), count(case when `boat_id` is not null then 1 end), count(case when `boat_id` regexp '^[[:space:]]*$' then 1 end) from `slipway`.`berth_lease`
-- columns 3

-- ── violations slipway.berth_lease ["notBlank","boat_id"], sampled, by files
select count(*), count(case when `boat_id` is not null then 1 end), count(case when `boat_id` regexp '^[[:space:]]*$' then 1 end) from `slipway`.`berth_lease`
-- columns 3

-- ── violations slipway.berth_lease ["notBlank","boat_id"], exact
select count(*), count(case when `boat_id` is not null then 1 end), count(case when `boat_id` regexp '^[[:space:]]*$' then 1 end) from `slipway`.`berth_lease`
-- columns 3

-- ── violations slipway.berth_lease ["notBlank","boat_id"], exact, by files
select count(*), count(case when `boat_id` is not null then 1 end), count(case when `boat_id` regexp '^[[:space:]]*$' then 1 end) from `slipway`.`berth_lease`
-- columns 3

-- ── violations slipway.boat ["notBlank","hull_no"], sampled
select count(*), count(case when `hull_no` is not null then 1 end), count(case when `hull_no` regexp '^[[:space:]]*$' then 1 end) from `slipway`.`boat`
-- columns 3

-- ── violations slipway.boat ["notBlank","hull_no"], sampled, by files
select count(*), count(case when `hull_no` is not null then 1 end), count(case when `hull_no` regexp '^[[:space:]]*$' then 1 end) from `slipway`.`boat`
-- columns 3

-- ── violations slipway.boat ["notBlank","hull_no"], exact
select count(*), count(case when `hull_no` is not null then 1 end), count(case when `hull_no` regexp '^[[:space:]]*$' then 1 end) from `slipway`.`boat`
-- columns 3

-- ── violations slipway.boat ["notBlank","hull_no"], exact, by files
select count(*), count(case when `hull_no` is not null then 1 end), count(case when `hull_no` regexp '^[[:space:]]*$' then 1 end) from `slipway`.`boat`
-- columns 3

-- ── violations slipway.berth_lease ["ordered","lease_no","boat_id"], sampled
select count(*), count(case when `lease_no` is not null and `boat_id` is not null then 1 end), count(case when `lease_no` > `boat_id` then 1 end) from `slipway`.`berth_lease`
-- columns 3

-- ── violations slipway.berth_lease ["ordered","lease_no","boat_id"], sampled, by files
select count(*), count(case when `lease_no` is not null and `boat_id` is not null then 1 end), count(case when `lease_no` > `boat_id` then 1 end) from `slipway`.`berth_lease`
-- columns 3

-- ── violations slipway.berth_lease ["ordered","lease_no","boat_id"], exact
select count(*), count(case when `lease_no` is not null and `boat_id` is not null then 1 end), count(case when `lease_no` > `boat_id` then 1 end) from `slipway`.`berth_lease`
-- columns 3

-- ── violations slipway.berth_lease ["ordered","lease_no","boat_id"], exact, by files
select count(*), count(case when `lease_no` is not null and `boat_id` is not null then 1 end), count(case when `lease_no` > `boat_id` then 1 end) from `slipway`.`berth_lease`
-- columns 3

-- ── violations slipway.boat ["ordered","boat_id","hull_no"], sampled
select count(*), count(case when `boat_id` is not null and `hull_no` is not null then 1 end), count(case when `boat_id` > `hull_no` then 1 end) from `slipway`.`boat`
-- columns 3

-- ── violations slipway.boat ["ordered","boat_id","hull_no"], sampled, by files
select count(*), count(case when `boat_id` is not null and `hull_no` is not null then 1 end), count(case when `boat_id` > `hull_no` then 1 end) from `slipway`.`boat`
-- columns 3

-- ── violations slipway.boat ["ordered","boat_id","hull_no"], exact
select count(*), count(case when `boat_id` is not null and `hull_no` is not null then 1 end), count(case when `boat_id` > `hull_no` then 1 end) from `slipway`.`boat`
-- columns 3

-- ── violations slipway.boat ["ordered","boat_id","hull_no"], exact, by files
select count(*), count(case when `boat_id` is not null and `hull_no` is not null then 1 end), count(case when `boat_id` > `hull_no` then 1 end) from `slipway`.`boat`
-- columns 3

-- ── violations slipway.berth_lease ["noneOf","boat_id",["o'clock","\\",""]], sampled
select count(*), count(case when `boat_id` is not null then 1 end), count(case when `boat_id` in ('o''clock', _utf8mb4 x'5c', '') then 1 end) from `slipway`.`berth_lease`
-- columns 3

-- ── violations slipway.berth_lease ["noneOf","boat_id",["o'clock","\\",""]], sampled, by files
select count(*), count(case when `boat_id` is not null then 1 end), count(case when `boat_id` in ('o''clock', _utf8mb4 x'5c', '') then 1 end) from `slipway`.`berth_lease`
-- columns 3

-- ── violations slipway.berth_lease ["noneOf","boat_id",["o'clock","\\",""]], exact
select count(*), count(case when `boat_id` is not null then 1 end), count(case when `boat_id` in ('o''clock', _utf8mb4 x'5c', '') then 1 end) from `slipway`.`berth_lease`
-- columns 3

-- ── violations slipway.berth_lease ["noneOf","boat_id",["o'clock","\\",""]], exact, by files
select count(*), count(case when `boat_id` is not null then 1 end), count(case when `boat_id` in ('o''clock', _utf8mb4 x'5c', '') then 1 end) from `slipway`.`berth_lease`
-- columns 3

-- ── violations slipway.boat ["noneOf","hull_no",["o'clock","\\",""]], sampled
select count(*), count(case when `hull_no` is not null then 1 end), count(case when `hull_no` in ('o''clock', _utf8mb4 x'5c', '') then 1 end) from `slipway`.`boat`
-- columns 3

-- ── violations slipway.boat ["noneOf","hull_no",["o'clock","\\",""]], sampled, by files
select count(*), count(case when `hull_no` is not null then 1 end), count(case when `hull_no` in ('o''clock', _utf8mb4 x'5c', '') then 1 end) from `slipway`.`boat`
-- columns 3

-- ── violations slipway.boat ["noneOf","hull_no",["o'clock","\\",""]], exact
select count(*), count(case when `hull_no` is not null then 1 end), count(case when `hull_no` in ('o''clock', _utf8mb4 x'5c', '') then 1 end) from `slipway`.`boat`
-- columns 3

-- ── violations slipway.boat ["noneOf","hull_no",["o'clock","\\",""]], exact, by files
select count(*), count(case when `hull_no` is not null then 1 end), count(case when `hull_no` in ('o''clock', _utf8mb4 x'5c', '') then 1 end) from `slipway`.`boat`
-- columns 3

-- ── violations slipway.berth_lease ["oneOf","boat_id",["1","2"]], sampled
select count(*), count(case when `boat_id` is not null then 1 end), count(case when `boat_id` is not null and `boat_id` not in ('1', '2') then 1 end) from `slipway`.`berth_lease`
-- columns 3

-- ── violations slipway.berth_lease ["oneOf","boat_id",["1","2"]], sampled, by files
select count(*), count(case when `boat_id` is not null then 1 end), count(case when `boat_id` is not null and `boat_id` not in ('1', '2') then 1 end) from `slipway`.`berth_lease`
-- columns 3

-- ── violations slipway.berth_lease ["oneOf","boat_id",["1","2"]], exact
select count(*), count(case when `boat_id` is not null then 1 end), count(case when `boat_id` is not null and `boat_id` not in ('1', '2') then 1 end) from `slipway`.`berth_lease`
-- columns 3

-- ── violations slipway.berth_lease ["oneOf","boat_id",["1","2"]], exact, by files
select count(*), count(case when `boat_id` is not null then 1 end), count(case when `boat_id` is not null and `boat_id` not in ('1', '2') then 1 end) from `slipway`.`berth_lease`
-- columns 3

-- ── violations slipway.boat ["oneOf","hull_no",["1","2"]], sampled
select count(*), count(case when `hull_no` is not null then 1 end), count(case when `hull_no` is not null and `hull_no` not in ('1', '2') then 1 end) from `slipway`.`boat`
-- columns 3

-- ── violations slipway.boat ["oneOf","hull_no",["1","2"]], sampled, by files
select count(*), count(case when `hull_no` is not null then 1 end), count(case when `hull_no` is not null and `hull_no` not in ('1', '2') then 1 end) from `slipway`.`boat`
-- columns 3

-- ── violations slipway.boat ["oneOf","hull_no",["1","2"]], exact
select count(*), count(case when `hull_no` is not null then 1 end), count(case when `hull_no` is not null and `hull_no` not in ('1', '2') then 1 end) from `slipway`.`boat`
-- columns 3

-- ── violations slipway.boat ["oneOf","hull_no",["1","2"]], exact, by files
select count(*), count(case when `hull_no` is not null then 1 end), count(case when `hull_no` is not null and `hull_no` not in ('1', '2') then 1 end) from `slipway`.`boat`
-- columns 3

-- ── repeats slipway.boat(boat_id), sampled
select count(*), count(case when `boat_id` is not null then 1 end), count(distinct `boat_id`) from `slipway`.`boat`
-- columns 3

-- ── repeats slipway.boat(boat_id), sampled, by files
select count(*), count(case when `boat_id` is not null then 1 end), count(distinct `boat_id`) from `slipway`.`boat`
-- columns 3

select count(*), coalesce(sum(times), 0) from (select sql_big_result count(*) as times from `slipway`.`boat` where `boat_id` is not null group by `boat_id` having count(*) > 1) as repeated
-- columns 2

-- ── repeats slipway.boat(boat_id), exact
select count(*), count(case when `boat_id` is not null then 1 end), count(distinct `boat_id`) from `slipway`.`boat`
-- columns 3

-- ── repeats slipway.boat(boat_id), exact, by files
select count(*), count(case when `boat_id` is not null then 1 end), count(distinct `boat_id`) from `slipway`.`boat`
-- columns 3

select count(*), coalesce(sum(times), 0) from (select sql_big_result count(*) as times from `slipway`.`boat` where `boat_id` is not null group by `boat_id` having count(*) > 1) as repeated
-- columns 2

-- ── repeats slipway.boat(boat_id) folded, sampled
select count(*), count(case when lower(trim(`boat_id`)) is not null then 1 end), count(distinct lower(trim(`boat_id`))) from `slipway`.`boat`
-- columns 3

-- ── repeats slipway.boat(boat_id) folded, sampled, by files
select count(*), count(case when lower(trim(`boat_id`)) is not null then 1 end), count(distinct lower(trim(`boat_id`))) from `slipway`.`boat`
-- columns 3

select count(*), coalesce(sum(times), 0) from (select sql_big_result count(*) as times from `slipway`.`boat` where lower(trim(`boat_id`)) is not null group by lower(trim(`boat_id`)) having count(*) > 1) as repeated
-- columns 2

-- ── repeats slipway.boat(boat_id) folded, exact
select count(*), count(case when lower(trim(`boat_id`)) is not null then 1 end), count(distinct lower(trim(`boat_id`))) from `slipway`.`boat`
-- columns 3

-- ── repeats slipway.boat(boat_id) folded, exact, by files
select count(*), count(case when lower(trim(`boat_id`)) is not null then 1 end), count(distinct lower(trim(`boat_id`))) from `slipway`.`boat`
-- columns 3

select count(*), coalesce(sum(times), 0) from (select sql_big_result count(*) as times from `slipway`.`boat` where lower(trim(`boat_id`)) is not null group by lower(trim(`boat_id`)) having count(*) > 1) as repeated
-- columns 2
