// The catalogue is read of many tables at once: what one of them cannot say, or wants to be taken for, is nothing of the others.

import { expect, test } from 'vitest';
import { declaredUniques, referableKeys } from '../../core/catalogue/lookups';
import type { Table } from '../../core/catalogue/model';
import { useMariadb } from '../../../test/kit/mariadb';
import { openSource } from './reader';

const server = useMariadb(`
  create database yard;
  create table yard.boat (id int auto_increment primary key, name varchar(20) not null, unique key uq_name (name)) auto_increment = 7;
  create table yard.broken (id int) engine = merge union = (yard.gone);
  create table yard.crane (id int auto_increment primary key, boat_id int, constraint fk_boat foreign key (boat_id) references yard.boat (id))
    comment = 'WITH SYSTEM VERSIONING, AUTO_INCREMENT=99 PARTITION BY RANGE (\`id\`)';
  create table yard.visit (id int, day date not null) partition by range columns (day) (partition p0 values less than ('2026-01-01'), partition p1 values less than maxvalue);
  create table yard.past (id int primary key) with system versioning;
  create table yard.tally (id int) engine = myisam;
  insert into yard.visit select seq, '2025-12-01' + interval seq day from yard.seq_1_to_1000;
  insert into yard.tally values (1), (2), (3);
  analyze table yard.visit;
  create table yard.entry (a int, b int, c varchar(400), d text, primary key (a, b, c(187)), unique key uq_d (d(20)));
  create database other;
  create table other.note (id int)`);

async function tables(): Promise<Readonly<Record<string, Table>>> {
  const source = await openSource(server.details());
  try {
    const { tables: read } = await source.readCatalogue();
    return Object.fromEntries(read.map((table) => [table.name, table]));
  } finally {
    await source.close();
  }
}

test('a table that cannot be shown is told as such, and keeps nothing from those around it', async () => {
  const { boat, broken, crane, note, visit } = await tables();
  expect([broken?.readable, broken?.constraints]).toEqual([false, []]);
  expect([boat, crane, visit, note].map((table) => table?.readable)).toEqual([true, true, true, true]);
  expect(boat?.constraints.map(({ name }) => name)).toEqual(['PRIMARY', 'uq_name']);
  expect(crane?.constraints.map(({ name }) => name)).toEqual(['PRIMARY', 'fk_boat']);
});

test('a primary key over the beginning of a text is one, and no reference can rest on it', async () => {
  const { entry } = await tables();
  expect(entry?.constraints).toMatchObject([{ kind: 'primary key', columns: ['a', 'b', 'c'], prefix: { c: 187 } }]);
  expect(entry && [declaredUniques(entry), referableKeys(entry)]).toEqual([[['a', 'b', 'c']], []]);
});

test('what a comment says is a comment', async () => {
  const { boat, crane, past, visit } = await tables();
  expect([crane?.versioned, crane?.splitBy, crane?.columns[0]?.next]).toEqual([undefined, undefined, '1']);
  expect([past?.versioned, visit?.splitBy, boat?.columns[0]?.next]).toEqual([true, ['day'], '7']);
});

test('rows and bytes are told also of tables that the engine keeps no statistics of', async () => {
  const { tally, visit } = await tables();
  expect(tally?.estimatedRows).toBe(3);
  expect(visit?.estimatedRows).toBeGreaterThan(500);
  expect(visit?.bytes).toBeGreaterThan(0);
});
