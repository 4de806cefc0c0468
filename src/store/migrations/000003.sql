-- How a docket is carried out: in the shortest way, or beside users at work.

alter table dockets
  add column mode text not null default 'plain' check (mode in ('plain', 'quiet'));
