-- ── orphans
select (select relkind <> 'p' from pg_catalog.pg_class where oid = 'cargo.consignment'::regclass), (select relkind <> 'p' from pg_catalog.pg_class where oid = 'cargo.commodity'::regclass)
-- columns 2

select child.commodity_code, count(*) as "rows" from cargo.consignment as child where child.commodity_code is not null
    and not exists (select 1 from cargo.commodity as parent where parent.commodity_code = child.commodity_code) group by child.commodity_code order by count(*) desc, child.commodity_code limit 26 offset 50
-- columns 0, data

-- ── repeats
select (select relkind <> 'p' from pg_catalog.pg_class where oid = 'cargo.consignment'::regclass), (select relkind <> 'p' from pg_catalog.pg_class where oid = 'cargo.consignment'::regclass)
-- columns 2

with alike as (
        select commodity_code as k0, count(*) as n
        from cargo.consignment where commodity_code is not null group by k0 having count(*) > 1
      )
      select alike.n as "rows alike", repeat.* from alike join cargo.consignment as repeat on repeat.commodity_code = alike.k0
      order by alike.n desc, alike.k0, repeat.commodity_code limit 26 offset 50
-- columns 0, data

-- ── repeats
select (select relkind <> 'p' from pg_catalog.pg_class where oid = 'cargo.consignment'::regclass), (select relkind <> 'p' from pg_catalog.pg_class where oid = 'cargo.consignment'::regclass)
-- columns 2

with alike as (
        select lower(btrim(commodity_code::text)) as k0, count(*) as n
        from cargo.consignment where commodity_code is not null group by k0 having count(distinct commodity_code) > 1
      )
      select alike.n as "rows alike", repeat.* from alike join cargo.consignment as repeat on lower(btrim(repeat.commodity_code::text)) = alike.k0
      order by alike.n desc, alike.k0, repeat.commodity_code limit 26 offset 50
-- columns 0, data

-- ── values
select commodity_code, count(*) as "rows" from cargo.consignment group by commodity_code order by count(*) desc, commodity_code limit 26 offset 50
-- columns 0, data

-- ── nulls
select * from cargo.consignment where commodity_code is null limit 26 offset 50
-- columns 0, data

-- ── blanks
select * from cargo.consignment where btrim(commodity_code::text, E' \t\n\r\x0b\x0c') = '' limit 26 offset 50
-- columns 0, data

-- ── breaking ["ofForm","manifest_no","integer"]
select * from cargo.consignment where manifest_no is not null and btrim(manifest_no::text, E' \t\n\r\x0b\x0c') <> '' and btrim(manifest_no::text, E' \t\n\r\x0b\x0c') !~ '^[+-]?[0-9]{1,18}$' limit 26 offset 50
-- columns 0, data

-- ── breaking ["ofForm","manifest_no","decimal"]
select * from cargo.consignment where manifest_no is not null and btrim(manifest_no::text, E' \t\n\r\x0b\x0c') <> '' and btrim(manifest_no::text, E' \t\n\r\x0b\x0c') !~ E'^[+-]?([0-9]{1,18}\\.[0-9]{1,18}|\\.[0-9]{1,18})$' limit 26 offset 50
-- columns 0, data

-- ── breaking ["ofForm","manifest_no","date"]
select * from cargo.consignment where manifest_no is not null and btrim(manifest_no::text, E' \t\n\r\x0b\x0c') <> '' and btrim(manifest_no::text, E' \t\n\r\x0b\x0c') !~ '^(?!0000)([0-9]{4}-((0[13578]|1[02])-(0[1-9]|[12][0-9]|3[01])|(0[469]|11)-(0[1-9]|[12][0-9]|30)|02-(0[1-9]|1[0-9]|2[0-8]))|([0-9][0-9](0[48]|[2468][048]|[13579][26])|([02468][048]|[13579][26])00)-02-29)$' limit 26 offset 50
-- columns 0, data

-- ── breaking ["ofForm","manifest_no","timestamp"]
select * from cargo.consignment where manifest_no is not null and btrim(manifest_no::text, E' \t\n\r\x0b\x0c') <> '' and btrim(manifest_no::text, E' \t\n\r\x0b\x0c') !~ E'^(?!0000)([0-9]{4}-((0[13578]|1[02])-(0[1-9]|[12][0-9]|3[01])|(0[469]|11)-(0[1-9]|[12][0-9]|30)|02-(0[1-9]|1[0-9]|2[0-8]))|([0-9][0-9](0[48]|[2468][048]|[13579][26])|([02468][048]|[13579][26])00)-02-29)[ T]([01][0-9]|2[0-3]):[0-5][0-9](:[0-5][0-9](\\.[0-9]+)?)?(Z|[+-][0-9]{2}(:?[0-9]{2})?)?$' limit 26 offset 50
-- columns 0, data

-- ── breaking ["ofForm","manifest_no","uuid"]
select * from cargo.consignment where manifest_no is not null and btrim(manifest_no::text, E' \t\n\r\x0b\x0c') <> '' and btrim(manifest_no::text, E' \t\n\r\x0b\x0c') !~* '^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$' limit 26 offset 50
-- columns 0, data

-- ── breaking ["ofForm","manifest_no","boolean"]
select * from cargo.consignment where manifest_no is not null and btrim(manifest_no::text, E' \t\n\r\x0b\x0c') <> '' and btrim(manifest_no::text, E' \t\n\r\x0b\x0c') !~* '^(true|false|t|f|yes|no|y|n)$' limit 26 offset 50
-- columns 0, data

-- ── breaking ["notNegative","consignment_id"]
select * from cargo.consignment where consignment_id < 0 limit 26 offset 50
-- columns 0, data

-- ── breaking ["notBlank","manifest_no"]
select * from cargo.consignment where btrim(manifest_no::text, E' \t\n\r\x0b\x0c') = '' limit 26 offset 50
-- columns 0, data

-- ── breaking ["ordered","consignment_id","manifest_no"]
select * from cargo.consignment where consignment_id > manifest_no limit 26 offset 50
-- columns 0, data

-- ── breaking ["noneOf","manifest_no",["o'clock","\\",""]]
select * from cargo.consignment where manifest_no::text = any (array['o''clock', E'\\', '']::text[]) limit 26 offset 50
-- columns 0, data

-- ── breaking ["oneOf","manifest_no",["1","2"]]
select * from cargo.consignment where manifest_no is not null and manifest_no::text <> all (array['1', '2']::text[]) limit 26 offset 50
-- columns 0, data

-- ── rows
select * from cargo.consignment limit 26 offset 50
-- columns 0, data

-- ── having
select * from cargo.consignment where commodity_code = $1 limit 26 offset 50
-- values ["o'clock"], columns 0, data

-- ── howMany
select count(*) from (select 1 from cargo.consignment where commodity_code = $1 limit 10) as found limit 26 offset 50
-- values ["1"], columns 0, data
