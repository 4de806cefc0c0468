-- ── profile cargo.commodity, sampled
select count(*), count(*), count(*) filter (where commodity_code::text < '!' collate "C" and btrim(commodity_code::text, E' \t\n\r\x0b\x0c') = ''), null, null, max(octet_length(commodity_code)), count(*), count(*) filter (where name::text < '!' collate "C" and btrim(name::text, E' \t\n\r\x0b\x0c') = ''), null, null, max(octet_length(name)) from cargo.commodity
-- columns 11

-- ── profile cargo.commodity, sampled, by files
select count(*), count(*), count(*) filter (where commodity_code::text < '!' collate "C" and btrim(commodity_code::text, E' \t\n\r\x0b\x0c') = ''), null, null, max(octet_length(commodity_code)), count(*), count(*) filter (where name::text < '!' collate "C" and btrim(name::text, E' \t\n\r\x0b\x0c') = ''), null, null, max(octet_length(name)) from cargo.commodity
-- columns 11

-- ── profile cargo.commodity, exact
select count(*), count(*), count(*) filter (where commodity_code::text < '!' collate "C" and btrim(commodity_code::text, E' \t\n\r\x0b\x0c') = ''), null, null, max(octet_length(commodity_code)), count(*), count(*) filter (where name::text < '!' collate "C" and btrim(name::text, E' \t\n\r\x0b\x0c') = ''), null, null, max(octet_length(name)) from cargo.commodity
-- columns 11

-- ── profile cargo.commodity, exact, by files
select count(*), count(*), count(*) filter (where commodity_code::text < '!' collate "C" and btrim(commodity_code::text, E' \t\n\r\x0b\x0c') = ''), null, null, max(octet_length(commodity_code)), count(*), count(*) filter (where name::text < '!' collate "C" and btrim(name::text, E' \t\n\r\x0b\x0c') = ''), null, null, max(octet_length(name)) from cargo.commodity
-- columns 11

-- ── profile cargo.consignment, sampled
select count(*), count(*), null, min(consignment_id)::text, max(consignment_id)::text, null, count(manifest_no), count(*) filter (where manifest_no::text < '!' collate "C" and btrim(manifest_no::text, E' \t\n\r\x0b\x0c') = ''), null, null, null, count(*), null, min(line_no)::text, max(line_no)::text, null, count(*), count(*) filter (where commodity_code::text < '!' collate "C" and btrim(commodity_code::text, E' \t\n\r\x0b\x0c') = ''), null, null, max(octet_length(commodity_code)), count(*), null, min(shipper_id)::text, max(shipper_id)::text, null, count(*), null, null, null, null from cargo.consignment
-- columns 31

-- ── profile cargo.consignment, sampled, by files
select count(*), count(*), null, null, null, null, count(manifest_no), count(*) filter (where manifest_no::text < '!' collate "C" and btrim(manifest_no::text, E' \t\n\r\x0b\x0c') = ''), null, null, null, count(*), null, null, null, null, count(*), count(*) filter (where commodity_code::text < '!' collate "C" and btrim(commodity_code::text, E' \t\n\r\x0b\x0c') = ''), null, null, max(octet_length(commodity_code)), count(*), null, null, null, null, count(*), null, null, null, null from cargo.consignment
-- columns 31

-- ── profile cargo.consignment, exact
select count(*), count(*), null, min(consignment_id)::text, max(consignment_id)::text, null, count(manifest_no), count(*) filter (where manifest_no::text < '!' collate "C" and btrim(manifest_no::text, E' \t\n\r\x0b\x0c') = ''), null, null, null, count(*), null, min(line_no)::text, max(line_no)::text, null, count(*), count(*) filter (where commodity_code::text < '!' collate "C" and btrim(commodity_code::text, E' \t\n\r\x0b\x0c') = ''), null, null, max(octet_length(commodity_code)), count(*), null, min(shipper_id)::text, max(shipper_id)::text, null, count(*), null, null, null, null from cargo.consignment
-- columns 31

-- ── profile cargo.consignment, exact, by files
select count(*), count(*), null, null, null, null, count(manifest_no), count(*) filter (where manifest_no::text < '!' collate "C" and btrim(manifest_no::text, E' \t\n\r\x0b\x0c') = ''), null, null, null, count(*), null, null, null, null, count(*), count(*) filter (where commodity_code::text < '!' collate "C" and btrim(commodity_code::text, E' \t\n\r\x0b\x0c') = ''), null, null, max(octet_length(commodity_code)), count(*), null, null, null, null, count(*), null, null, null, null from cargo.consignment
-- columns 31

-- ── sample cargo.commodity, sampled
select case when length(commodity_code::text) <= 120 then commodity_code::text else left(commodity_code::text, 60) || '…' || md5(commodity_code::text) end, case when length(name::text) <= 120 then name::text else left(name::text, 60) || '…' || md5(name::text) end from only cargo.commodity limit 40001
-- columns 2, data

-- ── sample cargo.commodity, sampled, by files
select count(*), count(commodity_code), count(distinct commodity_code), count(distinct lower(btrim(commodity_code::text))), max(length(commodity_code::text)), count(*) filter (where btrim(commodity_code::text, E' \t\n\r\x0b\x0c') = ''), 0, count(name), count(distinct name), count(distinct lower(btrim(name::text))), max(length(name::text)), count(*) filter (where btrim(name::text, E' \t\n\r\x0b\x0c') = ''), 0 from (select * from only cargo.commodity limit 10001) as part
-- columns 13

-- ── sample cargo.commodity, exact
select case when length(commodity_code::text) <= 120 then commodity_code::text else left(commodity_code::text, 60) || '…' || md5(commodity_code::text) end, case when length(name::text) <= 120 then name::text else left(name::text, 60) || '…' || md5(name::text) end from only cargo.commodity limit 40001
-- columns 2, data

-- ── sample cargo.commodity, exact, by files
select count(*), count(commodity_code), count(distinct commodity_code), count(distinct lower(btrim(commodity_code::text))), max(length(commodity_code::text)), count(*) filter (where btrim(commodity_code::text, E' \t\n\r\x0b\x0c') = ''), 0, count(name), count(distinct name), count(distinct lower(btrim(name::text))), max(length(name::text)), count(*) filter (where btrim(name::text, E' \t\n\r\x0b\x0c') = ''), 0 from (select * from only cargo.commodity limit 10001) as part
-- columns 13

-- ── sample cargo.consignment, sampled
select consignment_id::text, manifest_no::text, line_no::text, case when length(commodity_code::text) <= 120 then commodity_code::text else left(commodity_code::text, 60) || '…' || md5(commodity_code::text) end, shipper_id::text, weight_kg::text from only cargo.consignment limit 40001
-- columns 6, data

-- ── sample cargo.consignment, sampled, by files
select count(*), count(consignment_id), count(distinct consignment_id), null, null, 0, count(*) filter (where consignment_id < 0), count(manifest_no), count(distinct manifest_no), count(distinct lower(btrim(manifest_no::text))), max(length(manifest_no::text)), count(*) filter (where btrim(manifest_no::text, E' \t\n\r\x0b\x0c') = ''), 0, count(line_no), count(distinct line_no), null, null, 0, count(*) filter (where line_no < 0), count(commodity_code), count(distinct commodity_code), count(distinct lower(btrim(commodity_code::text))), max(length(commodity_code::text)), count(*) filter (where btrim(commodity_code::text, E' \t\n\r\x0b\x0c') = ''), 0, count(shipper_id), count(distinct shipper_id), null, null, 0, count(*) filter (where shipper_id < 0), count(weight_kg), count(distinct weight_kg), null, null, 0, count(*) filter (where weight_kg < 0), count(*) filter (where consignment_id is not null and line_no is not null), count(distinct (consignment_id, line_no)) filter (where consignment_id is not null and line_no is not null), count(*) filter (where consignment_id is not null and commodity_code is not null), count(distinct (consignment_id, commodity_code)) filter (where consignment_id is not null and commodity_code is not null), count(*) filter (where consignment_id is not null and shipper_id is not null), count(distinct (consignment_id, shipper_id)) filter (where consignment_id is not null and shipper_id is not null), count(*) filter (where line_no is not null and commodity_code is not null), count(distinct (line_no, commodity_code)) filter (where line_no is not null and commodity_code is not null), count(*) filter (where line_no is not null and shipper_id is not null), count(distinct (line_no, shipper_id)) filter (where line_no is not null and shipper_id is not null), count(*) filter (where commodity_code is not null and shipper_id is not null), count(distinct (commodity_code, shipper_id)) filter (where commodity_code is not null and shipper_id is not null) from (select * from only cargo.consignment limit 10001) as part
-- columns 49

-- ── sample cargo.consignment, exact
select consignment_id::text, manifest_no::text, line_no::text, case when length(commodity_code::text) <= 120 then commodity_code::text else left(commodity_code::text, 60) || '…' || md5(commodity_code::text) end, shipper_id::text, weight_kg::text from only cargo.consignment limit 40001
-- columns 6, data

-- ── sample cargo.consignment, exact, by files
select count(*), count(consignment_id), count(distinct consignment_id), null, null, 0, count(*) filter (where consignment_id < 0), count(manifest_no), count(distinct manifest_no), count(distinct lower(btrim(manifest_no::text))), max(length(manifest_no::text)), count(*) filter (where btrim(manifest_no::text, E' \t\n\r\x0b\x0c') = ''), 0, count(line_no), count(distinct line_no), null, null, 0, count(*) filter (where line_no < 0), count(commodity_code), count(distinct commodity_code), count(distinct lower(btrim(commodity_code::text))), max(length(commodity_code::text)), count(*) filter (where btrim(commodity_code::text, E' \t\n\r\x0b\x0c') = ''), 0, count(shipper_id), count(distinct shipper_id), null, null, 0, count(*) filter (where shipper_id < 0), count(weight_kg), count(distinct weight_kg), null, null, 0, count(*) filter (where weight_kg < 0), count(*) filter (where consignment_id is not null and line_no is not null), count(distinct (consignment_id, line_no)) filter (where consignment_id is not null and line_no is not null), count(*) filter (where consignment_id is not null and commodity_code is not null), count(distinct (consignment_id, commodity_code)) filter (where consignment_id is not null and commodity_code is not null), count(*) filter (where consignment_id is not null and shipper_id is not null), count(distinct (consignment_id, shipper_id)) filter (where consignment_id is not null and shipper_id is not null), count(*) filter (where line_no is not null and commodity_code is not null), count(distinct (line_no, commodity_code)) filter (where line_no is not null and commodity_code is not null), count(*) filter (where line_no is not null and shipper_id is not null), count(distinct (line_no, shipper_id)) filter (where line_no is not null and shipper_id is not null), count(*) filter (where commodity_code is not null and shipper_id is not null), count(distinct (commodity_code, shipper_id)) filter (where commodity_code is not null and shipper_id is not null) from (select * from only cargo.consignment limit 10001) as part
-- columns 49

-- ── repeats cargo.commodity(commodity_code), sampled
select count(*), count(*) filter (where commodity_code is not null), count(distinct hashtextextended(commodity_code::text, 0)) filter (where commodity_code is not null) from only cargo.commodity
-- columns 3

-- ── repeats cargo.commodity(commodity_code), sampled, by files
select count(*), count(*) filter (where commodity_code is not null), count(distinct hashtextextended(commodity_code::text, 0)) filter (where commodity_code is not null) from only cargo.commodity
-- columns 3

select count(*), coalesce(sum(times), 0)
     from (select count(*) as times from only cargo.commodity where commodity_code is not null group by commodity_code having count(*) > 1) as repeated
-- columns 2

-- ── repeats cargo.commodity(commodity_code), exact
select count(*), count(*) filter (where commodity_code is not null), count(distinct hashtextextended(commodity_code::text, 0)) filter (where commodity_code is not null) from only cargo.commodity
-- columns 3

-- ── repeats cargo.commodity(commodity_code), exact, by files
select count(*), count(*) filter (where commodity_code is not null), count(distinct hashtextextended(commodity_code::text, 0)) filter (where commodity_code is not null) from only cargo.commodity
-- columns 3

select count(*), coalesce(sum(times), 0)
     from (select count(*) as times from only cargo.commodity where commodity_code is not null group by commodity_code having count(*) > 1) as repeated
-- columns 2

-- ── repeats cargo.commodity(commodity_code) folded, sampled
select count(*), count(*) filter (where commodity_code is not null), count(distinct hashtextextended(lower(btrim(commodity_code::text)), 0)) filter (where commodity_code is not null) from only cargo.commodity
-- columns 3

-- ── repeats cargo.commodity(commodity_code) folded, sampled, by files
select count(*), count(*) filter (where commodity_code is not null), count(distinct hashtextextended(lower(btrim(commodity_code::text)), 0)) filter (where commodity_code is not null) from only cargo.commodity
-- columns 3

select count(*), coalesce(sum(times), 0)
     from (select count(*) as times from only cargo.commodity where commodity_code is not null group by lower(btrim(commodity_code::text)) having count(*) > 1) as repeated
-- columns 2

-- ── repeats cargo.commodity(commodity_code) folded, exact
select count(*), count(*) filter (where commodity_code is not null), count(distinct hashtextextended(lower(btrim(commodity_code::text)), 0)) filter (where commodity_code is not null) from only cargo.commodity
-- columns 3

-- ── repeats cargo.commodity(commodity_code) folded, exact, by files
select count(*), count(*) filter (where commodity_code is not null), count(distinct hashtextextended(lower(btrim(commodity_code::text)), 0)) filter (where commodity_code is not null) from only cargo.commodity
-- columns 3

select count(*), coalesce(sum(times), 0)
     from (select count(*) as times from only cargo.commodity where commodity_code is not null group by lower(btrim(commodity_code::text)) having count(*) > 1) as repeated
-- columns 2

-- ── violations cargo.commodity ["ofForm","name","integer"], sampled
select count(*), count(*) filter (where name is not null and btrim(name::text, E' \t\n\r\x0b\x0c') <> ''), count(*) filter (where name is not null and btrim(name::text, E' \t\n\r\x0b\x0c') <> '' and btrim(name::text, E' \t\n\r\x0b\x0c') !~ '^[+-]?[0-9]{1,18}$') from cargo.commodity
-- columns 3

-- ── violations cargo.commodity ["ofForm","name","integer"], sampled, by files
select count(*), count(*) filter (where name is not null and btrim(name::text, E' \t\n\r\x0b\x0c') <> ''), count(*) filter (where name is not null and btrim(name::text, E' \t\n\r\x0b\x0c') <> '' and btrim(name::text, E' \t\n\r\x0b\x0c') !~ '^[+-]?[0-9]{1,18}$') from cargo.commodity
-- columns 3

-- ── violations cargo.commodity ["ofForm","name","integer"], exact
select count(*), count(*) filter (where name is not null and btrim(name::text, E' \t\n\r\x0b\x0c') <> ''), count(*) filter (where name is not null and btrim(name::text, E' \t\n\r\x0b\x0c') <> '' and btrim(name::text, E' \t\n\r\x0b\x0c') !~ '^[+-]?[0-9]{1,18}$') from cargo.commodity
-- columns 3

-- ── violations cargo.commodity ["ofForm","name","integer"], exact, by files
select count(*), count(*) filter (where name is not null and btrim(name::text, E' \t\n\r\x0b\x0c') <> ''), count(*) filter (where name is not null and btrim(name::text, E' \t\n\r\x0b\x0c') <> '' and btrim(name::text, E' \t\n\r\x0b\x0c') !~ '^[+-]?[0-9]{1,18}$') from cargo.commodity
-- columns 3

-- ── violations cargo.commodity ["ofForm","name","decimal"], sampled
select count(*), count(*) filter (where name is not null and btrim(name::text, E' \t\n\r\x0b\x0c') <> ''), count(*) filter (where name is not null and btrim(name::text, E' \t\n\r\x0b\x0c') <> '' and btrim(name::text, E' \t\n\r\x0b\x0c') !~ E'^[+-]?([0-9]{1,18}\\.[0-9]{1,18}|\\.[0-9]{1,18})$') from cargo.commodity
-- columns 3

-- ── violations cargo.commodity ["ofForm","name","decimal"], sampled, by files
select count(*), count(*) filter (where name is not null and btrim(name::text, E' \t\n\r\x0b\x0c') <> ''), count(*) filter (where name is not null and btrim(name::text, E' \t\n\r\x0b\x0c') <> '' and btrim(name::text, E' \t\n\r\x0b\x0c') !~ E'^[+-]?([0-9]{1,18}\\.[0-9]{1,18}|\\.[0-9]{1,18})$') from cargo.commodity
-- columns 3

-- ── violations cargo.commodity ["ofForm","name","decimal"], exact
select count(*), count(*) filter (where name is not null and btrim(name::text, E' \t\n\r\x0b\x0c') <> ''), count(*) filter (where name is not null and btrim(name::text, E' \t\n\r\x0b\x0c') <> '' and btrim(name::text, E' \t\n\r\x0b\x0c') !~ E'^[+-]?([0-9]{1,18}\\.[0-9]{1,18}|\\.[0-9]{1,18})$') from cargo.commodity
-- columns 3

-- ── violations cargo.commodity ["ofForm","name","decimal"], exact, by files
select count(*), count(*) filter (where name is not null and btrim(name::text, E' \t\n\r\x0b\x0c') <> ''), count(*) filter (where name is not null and btrim(name::text, E' \t\n\r\x0b\x0c') <> '' and btrim(name::text, E' \t\n\r\x0b\x0c') !~ E'^[+-]?([0-9]{1,18}\\.[0-9]{1,18}|\\.[0-9]{1,18})$') from cargo.commodity
-- columns 3

-- ── violations cargo.commodity ["notNegative","commodity_code"], sampled
select count(*), count(*) filter (where commodity_code is not null), count(*) filter (where commodity_code < 0) from cargo.commodity
-- columns 3

-- ── violations cargo.commodity ["notNegative","commodity_code"], sampled, by files
select count(*), count(*) filter (where commodity_code is not null), count(*) filter (where commodity_code < 0) from cargo.commodity
-- columns 3

-- ── violations cargo.commodity ["notNegative","commodity_code"], exact
select count(*), count(*) filter (where commodity_code is not null), count(*) filter (where commodity_code < 0) from cargo.commodity
-- columns 3

-- ── violations cargo.commodity ["notNegative","commodity_code"], exact, by files
select count(*), count(*) filter (where commodity_code is not null), count(*) filter (where commodity_code < 0) from cargo.commodity
-- columns 3

-- ── violations cargo.consignment ["notNegative","consignment_id"], sampled
select count(*), count(*) filter (where consignment_id is not null), count(*) filter (where consignment_id < 0) from cargo.consignment
-- columns 3

-- ── violations cargo.consignment ["notNegative","consignment_id"], sampled, by files
select count(*), count(*) filter (where consignment_id is not null), count(*) filter (where consignment_id < 0) from cargo.consignment
-- columns 3

-- ── violations cargo.consignment ["notNegative","consignment_id"], exact
select count(*), count(*) filter (where consignment_id is not null), count(*) filter (where consignment_id < 0) from cargo.consignment
-- columns 3

-- ── violations cargo.consignment ["notNegative","consignment_id"], exact, by files
select count(*), count(*) filter (where consignment_id is not null), count(*) filter (where consignment_id < 0) from cargo.consignment
-- columns 3

-- ── violations cargo.commodity ["notBlank","name"], sampled
select count(*), count(*) filter (where name is not null), count(*) filter (where btrim(name::text, E' \t\n\r\x0b\x0c') = '') from cargo.commodity
-- columns 3

-- ── violations cargo.commodity ["notBlank","name"], sampled, by files
select count(*), count(*) filter (where name is not null), count(*) filter (where btrim(name::text, E' \t\n\r\x0b\x0c') = '') from cargo.commodity
-- columns 3

-- ── violations cargo.commodity ["notBlank","name"], exact
select count(*), count(*) filter (where name is not null), count(*) filter (where btrim(name::text, E' \t\n\r\x0b\x0c') = '') from cargo.commodity
-- columns 3

-- ── violations cargo.commodity ["notBlank","name"], exact, by files
select count(*), count(*) filter (where name is not null), count(*) filter (where btrim(name::text, E' \t\n\r\x0b\x0c') = '') from cargo.commodity
-- columns 3

-- ── violations cargo.consignment ["notBlank","manifest_no"], sampled
select count(*), count(*) filter (where manifest_no is not null), count(*) filter (where btrim(manifest_no::text, E' \t\n\r\x0b\x0c') = '') from cargo.consignment
-- columns 3

-- ── violations cargo.consignment ["notBlank","manifest_no"], sampled, by files
select count(*), count(*) filter (where manifest_no is not null), count(*) filter (where btrim(manifest_no::text, E' \t\n\r\x0b\x0c') = '') from cargo.consignment
-- columns 3

-- ── violations cargo.consignment ["notBlank","manifest_no"], exact
select count(*), count(*) filter (where manifest_no is not null), count(*) filter (where btrim(manifest_no::text, E' \t\n\r\x0b\x0c') = '') from cargo.consignment
-- columns 3

-- ── violations cargo.consignment ["notBlank","manifest_no"], exact, by files
select count(*), count(*) filter (where manifest_no is not null), count(*) filter (where btrim(manifest_no::text, E' \t\n\r\x0b\x0c') = '') from cargo.consignment
-- columns 3

-- ── violations cargo.commodity ["ordered","commodity_code","name"], sampled
select count(*), count(*) filter (where commodity_code is not null and name is not null), count(*) filter (where commodity_code > name) from cargo.commodity
-- columns 3

-- ── violations cargo.commodity ["ordered","commodity_code","name"], sampled, by files
select count(*), count(*) filter (where commodity_code is not null and name is not null), count(*) filter (where commodity_code > name) from cargo.commodity
-- columns 3

-- ── violations cargo.commodity ["ordered","commodity_code","name"], exact
select count(*), count(*) filter (where commodity_code is not null and name is not null), count(*) filter (where commodity_code > name) from cargo.commodity
-- columns 3

-- ── violations cargo.commodity ["ordered","commodity_code","name"], exact, by files
select count(*), count(*) filter (where commodity_code is not null and name is not null), count(*) filter (where commodity_code > name) from cargo.commodity
-- columns 3

-- ── violations cargo.consignment ["ordered","consignment_id","manifest_no"], sampled
select count(*), count(*) filter (where consignment_id is not null and manifest_no is not null), count(*) filter (where consignment_id > manifest_no) from cargo.consignment
-- columns 3

-- ── violations cargo.consignment ["ordered","consignment_id","manifest_no"], sampled, by files
select count(*), count(*) filter (where consignment_id is not null and manifest_no is not null), count(*) filter (where consignment_id > manifest_no) from cargo.consignment
-- columns 3

-- ── violations cargo.consignment ["ordered","consignment_id","manifest_no"], exact
select count(*), count(*) filter (where consignment_id is not null and manifest_no is not null), count(*) filter (where consignment_id > manifest_no) from cargo.consignment
-- columns 3

-- ── violations cargo.consignment ["ordered","consignment_id","manifest_no"], exact, by files
select count(*), count(*) filter (where consignment_id is not null and manifest_no is not null), count(*) filter (where consignment_id > manifest_no) from cargo.consignment
-- columns 3

-- ── violations cargo.commodity ["noneOf","name",["o'clock","\\",""]], sampled
select count(*), count(*) filter (where name is not null), count(*) filter (where name::text = any (array['o''clock', E'\\', '']::text[])) from cargo.commodity
-- columns 3

-- ── violations cargo.commodity ["noneOf","name",["o'clock","\\",""]], sampled, by files
select count(*), count(*) filter (where name is not null), count(*) filter (where name::text = any (array['o''clock', E'\\', '']::text[])) from cargo.commodity
-- columns 3

-- ── violations cargo.commodity ["noneOf","name",["o'clock","\\",""]], exact
select count(*), count(*) filter (where name is not null), count(*) filter (where name::text = any (array['o''clock', E'\\', '']::text[])) from cargo.commodity
-- columns 3

-- ── violations cargo.commodity ["noneOf","name",["o'clock","\\",""]], exact, by files
select count(*), count(*) filter (where name is not null), count(*) filter (where name::text = any (array['o''clock', E'\\', '']::text[])) from cargo.commodity
-- columns 3

-- ── violations cargo.consignment ["noneOf","manifest_no",["o'clock","\\",""]], sampled
select count(*), count(*) filter (where manifest_no is not null), count(*) filter (where manifest_no::text = any (array['o''clock', E'\\', '']::text[])) from cargo.consignment
-- columns 3

-- ── violations cargo.consignment ["noneOf","manifest_no",["o'clock","\\",""]], sampled, by files
select count(*), count(*) filter (where manifest_no is not null), count(*) filter (where manifest_no::text = any (array['o''clock', E'\\', '']::text[])) from cargo.consignment
-- columns 3

-- ── violations cargo.consignment ["noneOf","manifest_no",["o'clock","\\",""]], exact
select count(*), count(*) filter (where manifest_no is not null), count(*) filter (where manifest_no::text = any (array['o''clock', E'\\', '']::text[])) from cargo.consignment
-- columns 3

-- ── violations cargo.consignment ["noneOf","manifest_no",["o'clock","\\",""]], exact, by files
select count(*), count(*) filter (where manifest_no is not null), count(*) filter (where manifest_no::text = any (array['o''clock', E'\\', '']::text[])) from cargo.consignment
-- columns 3

-- ── violations cargo.commodity ["oneOf","name",["1","2"]], sampled
select count(*), count(*) filter (where name is not null), count(*) filter (where name is not null and name::text <> all (array['1', '2']::text[])) from cargo.commodity
-- columns 3

-- ── violations cargo.commodity ["oneOf","name",["1","2"]], sampled, by files
select count(*), count(*) filter (where name is not null), count(*) filter (where name is not null and name::text <> all (array['1', '2']::text[])) from cargo.commodity
-- columns 3

-- ── violations cargo.commodity ["oneOf","name",["1","2"]], exact
select count(*), count(*) filter (where name is not null), count(*) filter (where name is not null and name::text <> all (array['1', '2']::text[])) from cargo.commodity
-- columns 3

-- ── violations cargo.commodity ["oneOf","name",["1","2"]], exact, by files
select count(*), count(*) filter (where name is not null), count(*) filter (where name is not null and name::text <> all (array['1', '2']::text[])) from cargo.commodity
-- columns 3

-- ── violations cargo.consignment ["oneOf","manifest_no",["1","2"]], sampled
select count(*), count(*) filter (where manifest_no is not null), count(*) filter (where manifest_no is not null and manifest_no::text <> all (array['1', '2']::text[])) from cargo.consignment
-- columns 3

-- ── violations cargo.consignment ["oneOf","manifest_no",["1","2"]], sampled, by files
select count(*), count(*) filter (where manifest_no is not null), count(*) filter (where manifest_no is not null and manifest_no::text <> all (array['1', '2']::text[])) from cargo.consignment
-- columns 3

-- ── violations cargo.consignment ["oneOf","manifest_no",["1","2"]], exact
select count(*), count(*) filter (where manifest_no is not null), count(*) filter (where manifest_no is not null and manifest_no::text <> all (array['1', '2']::text[])) from cargo.consignment
-- columns 3

-- ── violations cargo.consignment ["oneOf","manifest_no",["1","2"]], exact, by files
select count(*), count(*) filter (where manifest_no is not null), count(*) filter (where manifest_no is not null and manifest_no::text <> all (array['1', '2']::text[])) from cargo.consignment
-- columns 3

-- ── inclusion cargo.consignment(commodity_code) in cargo.commodity(commodity_code), sampled
select orphans.*, counted.* from (
    select count(*), count(distinct child.commodity_code)
    from only cargo.consignment as child
    where child.commodity_code is not null
    and not exists (select 1 from cargo.commodity as parent where parent.commodity_code = child.commodity_code)) as orphans, (select count(*), count(*) from only cargo.consignment) as counted
-- columns 4

-- ── inclusion cargo.consignment(commodity_code) in cargo.commodity(commodity_code), sampled, by files
select orphans.*, counted.* from (
    select count(*), count(distinct child.commodity_code)
    from only cargo.consignment as child
    where child.commodity_code is not null
    and not exists (select 1 from cargo.commodity as parent where parent.commodity_code = child.commodity_code)) as orphans, (select count(*), count(*) from only cargo.consignment) as counted
-- columns 4

-- ── inclusion cargo.consignment(commodity_code) in cargo.commodity(commodity_code), exact
select orphans.*, counted.* from (
    select count(*), count(distinct child.commodity_code)
    from only cargo.consignment as child
    where child.commodity_code is not null
    and not exists (select 1 from cargo.commodity as parent where parent.commodity_code = child.commodity_code)) as orphans, (select count(*), count(*) from only cargo.consignment) as counted
-- columns 4

-- ── inclusion cargo.consignment(commodity_code) in cargo.commodity(commodity_code), exact, by files
select orphans.*, counted.* from (
    select count(*), count(distinct child.commodity_code)
    from only cargo.consignment as child
    where child.commodity_code is not null
    and not exists (select 1 from cargo.commodity as parent where parent.commodity_code = child.commodity_code)) as orphans, (select count(*), count(*) from only cargo.consignment) as counted
-- columns 4

-- ── inclusion cargo.consignment(shipper_id) in cargo.shipper(shipper_id), sampled
select orphans.*, counted.* from (
    select count(*), count(distinct child.shipper_id)
    from only cargo.consignment as child
    where child.shipper_id is not null
    and not exists (select 1 from cargo.shipper as parent where parent.shipper_id = child.shipper_id)) as orphans, (select count(*), count(*) from only cargo.consignment) as counted
-- columns 4

-- ── inclusion cargo.consignment(shipper_id) in cargo.shipper(shipper_id), sampled, by files
select orphans.*, counted.* from (
    select count(*), count(distinct child.shipper_id)
    from only cargo.consignment as child
    where child.shipper_id is not null
    and not exists (select 1 from cargo.shipper as parent where parent.shipper_id = child.shipper_id)) as orphans, (select count(*), count(*) from only cargo.consignment) as counted
-- columns 4

-- ── inclusion cargo.consignment(shipper_id) in cargo.shipper(shipper_id), exact
select orphans.*, counted.* from (
    select count(*), count(distinct child.shipper_id)
    from only cargo.consignment as child
    where child.shipper_id is not null
    and not exists (select 1 from cargo.shipper as parent where parent.shipper_id = child.shipper_id)) as orphans, (select count(*), count(*) from only cargo.consignment) as counted
-- columns 4

-- ── inclusion cargo.consignment(shipper_id) in cargo.shipper(shipper_id), exact, by files
select orphans.*, counted.* from (
    select count(*), count(distinct child.shipper_id)
    from only cargo.consignment as child
    where child.shipper_id is not null
    and not exists (select 1 from cargo.shipper as parent where parent.shipper_id = child.shipper_id)) as orphans, (select count(*), count(*) from only cargo.consignment) as counted
-- columns 4

-- ── probe cargo.consignment(commodity_code), sampled
select commodity_code::text from only cargo.consignment limit 8000
-- columns 1, data

select distinct looked.value
     from unnest($1::text[]) as looked (value)
     join only cargo.commodity as parent on parent.commodity_code = looked.value::text
-- values [["1"]], columns 1, data

-- ── probe cargo.consignment(commodity_code), sampled, by files
with looked as materialized (
       select distinct value::text as value from (select commodity_code as value from only cargo.consignment limit 8000) as part where value is not null limit 2000)
     select (select count(*) from looked), (select count(*) from looked where not exists (select 1 from only cargo.commodity as parent where parent.commodity_code = looked.value))
-- columns 2

-- ── probe cargo.consignment(commodity_code), exact
select commodity_code::text from only cargo.consignment limit 8000
-- columns 1, data

select distinct looked.value
     from unnest($1::text[]) as looked (value)
     join only cargo.commodity as parent on parent.commodity_code = looked.value::text
-- values [["1"]], columns 1, data

-- ── probe cargo.consignment(commodity_code), exact, by files
with looked as materialized (
       select distinct value::text as value from (select commodity_code as value from only cargo.consignment limit 8000) as part where value is not null limit 2000)
     select (select count(*) from looked), (select count(*) from looked where not exists (select 1 from only cargo.commodity as parent where parent.commodity_code = looked.value))
-- columns 2

-- ── probe cargo.consignment(shipper_id), sampled
select shipper_id::text from only cargo.consignment limit 8000
-- columns 1, data

select distinct looked.value
     from unnest($1::text[]) as looked (value)
     join only cargo.shipper as parent on parent.shipper_id = looked.value::int8
-- values [["1"]], columns 1, data

-- ── probe cargo.consignment(shipper_id), sampled, by files
with looked as materialized (
       select distinct value::int8 as value from (select shipper_id as value from only cargo.consignment limit 8000) as part where value is not null limit 2000)
     select (select count(*) from looked), (select count(*) from looked where not exists (select 1 from only cargo.shipper as parent where parent.shipper_id = looked.value))
-- columns 2

-- ── probe cargo.consignment(shipper_id), exact
select shipper_id::text from only cargo.consignment limit 8000
-- columns 1, data

select distinct looked.value
     from unnest($1::text[]) as looked (value)
     join only cargo.shipper as parent on parent.shipper_id = looked.value::int8
-- values [["1"]], columns 1, data

-- ── probe cargo.consignment(shipper_id), exact, by files
with looked as materialized (
       select distinct value::int8 as value from (select shipper_id as value from only cargo.consignment limit 8000) as part where value is not null limit 2000)
     select (select count(*) from looked), (select count(*) from looked where not exists (select 1 from only cargo.shipper as parent where parent.shipper_id = looked.value))
-- columns 2
