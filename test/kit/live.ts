// The engines that a server is at hand for, a line each: what the contract suites are run on.

import { type EngineName, engineNames } from '../../src/core/engines/name';
import { literal as literalOfMariadb, quote as quoteAsMariadb } from '../../src/core/engines/mariadb/quote';
import { literal, quote } from '../../src/core/engines/postgresql/quote';
import { openSource as openMariadb } from '../../src/sources/mariadb/reader';
import { openSession as openMariadbSession } from '../../src/sources/mariadb/session';
import { openSession } from '../../src/sources/postgresql/session';
import type { Session } from '../../src/sources/run/session';
import type { Source } from '../../src/sources/source';
import { useDatabase } from './database';
import { type TestServer, useMariadb, useMysql } from './mariadb';
import { answersByMariadbClient, byMariadbClient } from './mariadbClient';
import { answersTo, runScript } from './psql';

export interface Live {
  /** A live look; at these schemas, where a server has them of several databases side by side. */
  open(schemas?: readonly string[]): Promise<Source>;
  session(): Promise<Session>;
  /** Runs a script by the engine's own client, as people do; what went wrong, empty when nothing did. */
  byClient(this: void, script: string): Promise<string>;
  /** What a script of questions writes, asked by the engine's own client as a login, or as one who may do all. */
  answersTo(this: void, script: string, as: Login | null, habits?: readonly string[]): Promise<Buffer>;
  /** Options of the client that people have in its settings, or type. */
  readonly habits: readonly (readonly string[])[];
  /** Runs SQL as one who may do all. */
  run(this: void, text: string): Promise<unknown>;
  /** A name as its SQL spells it. */
  quoted(this: void, name: string): string;
  /** A text as its SQL spells it. */
  literal(this: void, text: string): string;
  /** Ways of comparing texts: how a column is declared with one, and a text such that those that count as equal are equal. */
  readonly collations: Readonly<Record<string, Collation>>;
  /** A statement that takes half a minute. */
  readonly slow: string;
  /** Ends every other session in the database. */
  endOthers(): Promise<unknown>;
}

export interface Login {
  readonly user: string;
  readonly password: string;
}

export interface Collation {
  readonly clause: string;
  readonly fold: (text: string) => string;
}

interface LiveEngine {
  /** A database of a suite's own, with a small port in it, or with what `setup` makes. */
  use(this: void, setup?: string): Live;
}

/** Null of an engine that no server can be had of: it is known by its golden scripts and questions, and by its traits. */
const liveEngines: Readonly<Record<EngineName, LiveEngine | null>> = {
  postgresql: {
    use: (setup = smallPort) => {
      const database = useDatabase(setup);
      return {
        collations: { usual: { clause: '', fold: (text) => text } },
        slow: 'select pg_sleep(30)',
        endOthers: () =>
          database.run(
            'select pg_terminate_backend(pid) from pg_stat_activity where datname = current_database() and pid <> pg_backend_pid()',
          ),
        open: () => database.open(),
        session: () => openSession(database.details),
        byClient: (script) => runScript(database.details, script),
        answersTo: (script, as, habits) => answersTo({ ...database.details, ...as }, script, habits),
        habits: [['-a'], ['-e'], ['-H'], ['-x'], ['-P', 'null=none'], ['-v', 'ON_ERROR_STOP=1'], ['-0'], ['-R', ';']],
        run: database.run,
        quoted: quote,
        literal,
      };
    },
  },
  mariadb: {
    use: (setup = smallPortOfMariadb) =>
      liveOf(useMariadb(`create database home;\nuse home;\n${setup}`), {
        collations: collationsOfMariadb,
        slow: 'select count(*) from home.seq_1_to_1000000 a, home.seq_1_to_1000000 b where sha2(a.seq + b.seq, 256) is null',
      }),
  },
  mysql: {
    use: (setup = smallPortOfMariadb) =>
      liveOf(useMysql(`create database home;\nuse home;\n${setup}`), {
        collations: collationsOfMysql,
        slow: 'select count(*) from sys.pawl_numbers a, sys.pawl_numbers b where sha2(a.seq + b.seq, 256) is null',
      }),
  },
};

const asked = process.env['PAWL_TEST_ENGINE'];

/** Those that the suites run on. MySQL's server is in no stable Debian: it is asked for (`npm run test:mysql`), as are other versions. */
export const enginesAtHand = engineNames.filter(
  (name) => liveEngines[name] !== null && (name === asked || (asked === undefined && name !== 'mysql')),
);

export function liveEngine(name: EngineName): LiveEngine {
  const live = liveEngines[name];
  if (live === null) throw new Error(`There is no server of ${name} here.`);
  return live;
}

function liveOf(server: TestServer, of: Pick<Live, 'collations' | 'slow'>): Live {
  return {
    ...of,
    endOthers: async () => {
      const others = await server.run(
        "select id from information_schema.processlist where id <> connection_id() and user <> 'event_scheduler'",
      );
      for (const [id] of others) await server.run(`kill ${id}`);
    },
    open: (schemas) => openMariadb(server.details(schemas)),
    session: () => openMariadbSession(server.details()),
    byClient: (script) => Promise.resolve(byMariadbClient(server, script, 'home')),
    answersTo: (script, as, habits) => Promise.resolve(answersByMariadbClient(server, script, as, habits)),
    habits: [['--skip-column-names', '--raw'], [], ['--raw'], ['--binary-mode'], ['--unbuffered', '--show-warnings']],
    run: server.run,
    quoted: quoteAsMariadb,
    literal: literalOfMariadb,
  };
}

// Trailing spaces count only where nothing is padded (manual, "Pad Attributes").
const padded = (text: string): string => text.replace(/ +$/, '');
const insensitive = (text: string): string => padded(text.normalize('NFD').replaceAll(/\p{M}/gu, '').toLowerCase());
const collationsOfMariadb: Readonly<Record<string, Collation>> = {
  general: { clause: 'character set utf8mb4 collate utf8mb4_general_ci', fold: insensitive },
  unicode: { clause: 'character set utf8mb4 collate utf8mb4_unicode_ci', fold: insensitive },
  binary: { clause: 'character set utf8mb4 collate utf8mb4_bin', fold: padded },
  'not padded': { clause: 'character set utf8mb4 collate utf8mb4_nopad_bin', fold: (text) => text },
  latin: { clause: 'character set latin1 collate latin1_swedish_ci', fold: insensitive },
};

const collationsOfMysql: Readonly<Record<string, Collation>> = {
  ...Object.fromEntries(Object.entries(collationsOfMariadb).filter(([name]) => name !== 'not padded')),
  usual: {
    clause: 'character set utf8mb4 collate utf8mb4_0900_ai_ci',
    fold: (text) => text.normalize('NFD').replaceAll(/\p{M}/gu, '').toLowerCase(),
  },
  'not padded': { clause: 'character set utf8mb4 collate utf8mb4_0900_bin', fold: (text) => text },
};

const smallPortOfMariadb = `
  create schema port;
  create table port.berth (berth_no varchar(20) not null, area varchar(20), depth int);
  insert into port.berth select concat('B', seq), concat('area ', seq % 3), seq from seq_1_to_40;
  create table port.vessel (vessel_id int primary key, name varchar(40), imo_no varchar(20) not null, berth_no varchar(20), tons int);
  insert into port.vessel select seq, case when seq % 9 = 0 then null else concat('v', seq) end, concat('I', seq), case when seq % 10 = 0 then concat('X', seq) else concat('B', 1 + seq % 40) end, seq from seq_1_to_90;
  alter table port.vessel add constraint ck_tons check (tons > 0);
  create table port.\`call\` (call_id int primary key, vessel_id int not null, call_no varchar(20) not null, constraint uq_call_no unique (call_no));
  insert into port.\`call\` select seq, 1 + seq % 90, concat('C', seq) from seq_1_to_200;
  create table port.ticket (ticket_no int auto_increment primary key, text varchar(10));
  create table port.note (text varchar(80));
  insert into port.note select concat('n', seq) from seq_1_to_30;`;

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
