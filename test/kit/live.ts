// The engines that a server is at hand for, a line each: what the contract suites are run on.

import type { EngineName } from '../../src/core/engines/index';
import { quote } from '../../src/core/engines/postgresql/quote';
import { openSession } from '../../src/sources/postgresql/session';
import type { Session } from '../../src/sources/run/session';
import type { Source } from '../../src/sources/source';
import { useDatabase } from './database';

export interface Live {
  open(): Promise<Source>;
  session(): Promise<Session>;
  /** Runs SQL as one who may do all. */
  run(this: void, text: string): Promise<unknown>;
  /** A name as its SQL spells it. */
  quoted(this: void, name: string): string;
  /** A statement that takes half a minute. */
  readonly slow: string;
  /** Ends every other session in the database. */
  endOthers(): Promise<unknown>;
}

interface LiveEngine {
  /** A database of a suite's own, with a small port in it, or with what `setup` makes. */
  use(this: void, setup?: string): Live;
}

export const liveEngines: Readonly<Record<EngineName, LiveEngine>> = {
  postgresql: {
    use: (setup = smallPort) => {
      const database = useDatabase(setup);
      return {
        slow: 'select pg_sleep(30)',
        endOthers: () =>
          database.run(
            'select pg_terminate_backend(pid) from pg_stat_activity where datname = current_database() and pid <> pg_backend_pid()',
          ),
        open: () => database.open(),
        session: () => openSession(database.details),
        run: database.run,
        quoted: quote,
      };
    },
  },
};

// Standard SQL as far as it goes: what another engine spells otherwise it says itself.
const smallPort = `
  create schema port;
  create table port.berth (berth_no varchar(20) not null, area varchar(20), depth int);
  insert into port.berth select 'B' || n, 'area ' || n % 3, n from generate_series(1, 40) n;
  create table port.vessel (vessel_id int primary key, name varchar(40), imo_no varchar(20) not null, berth_no varchar(20), tons int);
  insert into port.vessel select n, case when n % 9 = 0 then null else 'v' || n end, 'I' || n, case when n % 10 = 0 then 'X' || n else 'B' || 1 + n % 40 end, n from generate_series(1, 90) n;
  alter table port.vessel add constraint ck_tons check (tons > 0) not valid;
  create table port.call (call_id int primary key, vessel_id int not null, call_no varchar(20) not null, constraint uq_call_no unique (call_no));
  insert into port.call select n, 1 + n % 90, 'C' || n from generate_series(1, 200) n;
  create function port.noted() returns trigger language plpgsql as 'begin return new; end';
  create trigger noted before update on port.call for each row execute function port.noted();
  create table port.ticket (ticket_no serial primary key, text varchar(10));
  create table port.note (text varchar(80));
  insert into port.note select 'n' || n from generate_series(1, 30) n;
  analyze;`;
