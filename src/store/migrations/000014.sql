-- What surveys knew a finding by before its table or columns were renamed: plans that were frozen then still say it.
alter table findings add column formerly text[] not null default '{}';
