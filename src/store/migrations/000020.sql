-- Wrong tries are counted for a name from an address, for a name, and for an address: nobody is locked out by what others try
-- elsewhere. Only hashes: what is typed as a name is a password now and then.
create table sign_in_tries (
  who bytea primary key,
  -- The hash of the name alone, where it is about one.
  name bytea,
  failures integer not null default 0 check (failures >= 0),
  at timestamptz not null default now(),
  locked_until timestamptz,
  succeeded_at timestamptz
);
create index ix_sign_in_tries_name on sign_in_tries (name);
create index ix_sign_in_tries_at on sign_in_tries (at);
alter table people drop column failures, drop column locked_until;

-- Who signs in elsewhere has no password here, and their tokens end some days after they were last there.
alter table people add signed_in_at timestamptz;
update people set password_hash = null, signed_in_at = now() where issuer is not null;
alter table people add constraint ck_people_elsewhere check (issuer is null or password_hash is null);

-- Which Pawl this is: several may make their copies on one server, and each removes its own.
create table installation (
  one boolean primary key default true constraint ck_installation_one check (one),
  code text not null constraint ck_installation_code check (code ~ '^[a-z0-9]{6}$')
);
insert into installation (code) values (substr(md5(random()::text || clock_timestamp()::text || pg_backend_pid()), 1, 6));

-- What the database said with values of rows stands beside its words, for who may see rows; of sensitive sources nowhere.
alter table run_steps add told text;
alter table proofs add told text;
update proofs set told = answer
where answer ~ '(Failing row contains|Key) \(|Duplicate entry ''' and not exists (
  select from runs join dockets on dockets.id = docket_id join sources on sources.id = source_id where runs.id = run_id and sensitive);
update proofs set answer = regexp_replace(regexp_replace(answer, '(Failing row contains|Key) \(.*$', '…'), 'Duplicate entry ''.*'' for key', 'Duplicate entry … for key')
where answer ~ '(Failing row contains|Key) \(|Duplicate entry ''';
update proofs set statement = regexp_replace(statement, '''[^'']*''', '''…''', 'g') where title like 'A row of % deleted that % refers to%' or title like 'The % of a row of % changed that % refers to%';
update run_steps set outcome = regexp_replace(regexp_replace(outcome, '(Failing row contains|Key) \(.*$', '…'), 'Duplicate entry ''.*'' for key', 'Duplicate entry … for key')
where outcome ~ '(Failing row contains|Key) \(|Duplicate entry ''';
update runs set problem = regexp_replace(regexp_replace(problem, '(Failing row contains|Key) \(.*$', '…'), 'Duplicate entry ''.*'' for key', 'Duplicate entry … for key')
where problem ~ '(Failing row contains|Key) \(|Duplicate entry ''';
update refusals set says = regexp_replace(regexp_replace(says, '(Failing row contains|Key) \(.*$', '…'), 'Duplicate entry ''.*'' for key', 'Duplicate entry … for key')
where says ~ '(Failing row contains|Key) \(|Duplicate entry ''';
update rehearsals set report = regexp_replace(regexp_replace(report::text,
    '(Failing row contains|Key) \((\\.|[^"\\])*', '…', 'g'), 'Duplicate entry ''(\\.|[^"\\])*'' for key', 'Duplicate entry … for key', 'g')::jsonb
where report::text ~ '(Failing row contains|Key) \(|Duplicate entry ''';

-- A signature is for a place, by somebody who is known, for a digest. What was signed otherwise does not count any more, and stays on
-- record; so do signatures that came with a source from another Pawl.
alter table dockets add signed_for text, add formerly_signed_by text, add formerly_signed_at timestamptz;
update dockets set
  state = case when signed_by_id is not null and signed_digest is not null then 'Rehearsed' else 'Draft' end, state_at = now(),
  formerly_signed_by = signed_by, formerly_signed_at = signed_at, signed_by = null, signed_by_id = null, signed_digest = null, signed_at = null,
  plan = null, catalogue = null, rows_changed = null, risk = null
where state = 'Signed';
