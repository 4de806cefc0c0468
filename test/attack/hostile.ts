// A database whose owner means harm to whoever audits it: every place where a reader comes by code of theirs writes down
// that it was there, and tries to make the session able to write.

/**
 * `reader` is the login of the audit, which may read all of it; `mallory` owns it. What their code did stands in
 * `public.loot`, and what it could write at all in `public.written`.
 */
export function hostileSchema({ reader, mallory }: { readonly reader: string; readonly mallory: string }): string {
  return `
    set role ${mallory};
    create table public.loot (at timestamptz default clock_timestamp(), who text, what text);
    create sequence public.written;
    grant all on public.loot to public;
    grant all on sequence public.written to public;

    -- Whoever calls it is made to write, if the session can be turned: settings first, then a row, then a number.
    create function public.lure(what text) returns boolean language plpgsql volatile cost 0.0001 as $lure$
    begin
      perform pg_catalog.set_config('default_transaction_read_only', 'off', false);
      perform pg_catalog.set_config('search_path', 'public, pg_catalog', false);
      perform pg_catalog.set_config('row_security', 'on', false);
      perform pg_catalog.set_config('statement_timeout', '0', false);
      begin
        perform pg_catalog.set_config('transaction_read_only', 'off', false);
      exception when others then null;
      end;
      begin
        insert into public.loot (who, what) values (session_user, what);
        perform pg_catalog.nextval('public.written');
      exception when others then null;
      end;
      return true;
    end $lure$;
    create function public.lured(value anyelement) returns anyelement language plpgsql immutable as $$
    begin perform public.lure('index expression'); return value; end $$;

    -- Row security of a table that the reader may read.
    create table public.vessel (vessel_id int primary key, name text, imo_no text);
    insert into public.vessel select n, 'vessel ' || n, 'I' || n from generate_series(1, 500) n;
    create table public.secret (secret_id int, vessel_id int);
    insert into public.secret select n, n from generate_series(1, 400) n;
    alter table public.secret enable row level security;
    create policy lured on public.secret using (public.lure('policy') and secret_id % 2 = 0);

    -- Index predicates and expressions, which the planner tries.
    create table public.call (call_id int, vessel_id int, berth text, kind text);
    insert into public.call select n, n % 500 + 1, 'B' || n % 7, 'kind ' || n % 3 from generate_series(1, 2000) n;
    create function public.lured_flag(value int) returns boolean language plpgsql immutable as $$
    begin return public.lure('index predicate'); end $$;
    create index call_lured on public.call (public.lured(vessel_id)) where public.lured_flag(1);

    -- A view that reads as a table does, a domain and a type that cast by code.
    create view public.looks_harmless as select vessel_id, public.lure('view') as seen from public.vessel;
    create domain public.odd as text check (public.lure('domain') or value <> '');
    create type public.pair as (a int, b int);
    create function public.pair_as_text(public.pair) returns text language plpgsql as $$
    begin perform public.lure('cast'); return 'x'; end $$;
    create cast (public.pair as text) with function public.pair_as_text(public.pair) as implicit;
    create table public.cargo (cargo_id int, label public.odd, place public.pair, vessel_id int);
    insert into public.cargo select n, 'label ' || n, (n, n)::public.pair, n % 500 + 1 from generate_series(1, 300) n;

    -- What stands in for functions and operators of the system, for a session whose search path lets it.
    create function public.count(text) returns bigint language plpgsql as $$ begin perform public.lure('count'); return 0; end $$;
    create function public.btrim(character varying, text) returns text language plpgsql as $$ begin perform public.lure('btrim'); return 'x'; end $$;
    create function public.lower(character varying) returns text language plpgsql as $$ begin perform public.lure('lower'); return 'x'; end $$;
    create function public.same(int, int) returns boolean language plpgsql immutable as $$ begin return public.lure('operator ='); end $$;
    create operator public.= (leftarg = int, rightarg = int, procedure = public.same);
    create function public.same(character varying, character varying) returns boolean language plpgsql immutable as $$ begin return public.lure('operator ='); end $$;
    create operator public.= (leftarg = character varying, rightarg = character varying, procedure = public.same);
    create function public.over(bigint, int) returns boolean language plpgsql immutable as $$ begin return public.lure('operator >'); end $$;
    create operator public.> (leftarg = bigint, rightarg = int, procedure = public.over);
    reset role;

    delete from public.loot;
    select pg_catalog.setval('public.written', 1, false);
    grant usage on schema public to ${reader};
    grant select on all tables in schema public to ${reader};`;
}

/** What its code could do; nothing of it may ever be there. */
export const lootOf = `select (select count(*) from public.loot)::int as rows, (select is_called from public.written) as numbers`;
