-- What the people of a source say of their words: what is short for what, and what many of a thing are called.
alter table sources add column dictionary jsonb not null default '{"short": {}, "plurals": {}}';
