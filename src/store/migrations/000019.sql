-- What a finding was before it went on as another: so that they can be parted again.
alter table finding_events add was jsonb;
