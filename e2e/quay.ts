// A database made for one journey: 69 lanes of a quay, each with three things to mend, and a way to spoil five of them.

import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import pg from 'pg';

export const lanes = 69;

/** `home`: of the Pawl whose private server it is made on. Returns how to reach it, and a client that may do all. */
export async function makeQuay(home: string, port: number) {
  const password = readFileSync(join(home, 'postgres.password'), 'utf8').trim();
  const login = { host: '127.0.0.1', port, user: 'pawl', password };
  const server = new pg.Client({ ...login, database: 'postgres' });
  await server.connect();
  await server.query('create database quay');
  await server.end();
  const client = new pg.Client({ ...login, database: 'quay' });
  await client.connect();
  const tables = Array.from({ length: lanes }, (_, i) => {
    const table = `quay.lane_${String(i + 1).padStart(2, '0')}`;
    return `create table ${table} (code text not null, berth_no int);
      insert into ${table} select '${i + 1}-' || n, 1 + n % 40 from generate_series(1, 120) n;`;
  });
  await client.query(`
    create schema quay;
    create table quay.berth (berth_no int primary key, berth_name text not null unique);
    insert into quay.berth select n, 'berth ' || n from generate_series(1, 40) n;
    ${tables.join('\n')}
    analyze;
  `);
  return { ...login, database: 'quay', client };
}

/** What came in since the survey: two keys repeat, two references point nowhere, one column is empty. */
export const spoiled = `
  insert into quay.lane_03 values ('3-7', 2);
  insert into quay.lane_11 values ('11-9', 2);
  insert into quay.lane_20 values ('20-500', 777);
  insert into quay.lane_41 values ('41-500', 888);
  insert into quay.lane_60 values ('60-500', null);
`;

/** And after the rehearsal: one more key repeats. */
export const spoiledLater = `insert into quay.lane_05 values ('5-7', 2)`;
