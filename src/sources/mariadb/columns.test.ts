// Columns are read from what SHOW CREATE TABLE says of them. The server says the same in information_schema, slower: whatever a
// definition may hold, both have to agree.

import { expect, test } from 'vitest';
import type { Column } from '../../core/catalogue/model';
import { columnOf, saidInRow } from '../../core/engines/mariadb/questions/columns';
import * as queries from '../../core/engines/mariadb/questions/catalogue-queries';
import { tableId } from '../../core/catalogue/identifiers';
import { useMariadb, useMysql } from '../../../test/kit/mariadb';
import { openSource } from './reader';

const isMysql = process.env['PAWL_TEST_ENGINE'] === 'mysql';
const useServer = isMysql ? useMysql : useMariadb;

const everywhere = [
  ...['tinyint unsigned', 'smallint', 'mediumint default -3', 'bigint unsigned default 18446744073709551615', 'year'],
  ...[
    'decimal(10)',
    'decimal(65, 30) default -1.5',
    'numeric',
    'float',
    'double',
    'double(9, 2)',
    'bit',
    "bit(9) default b'101'",
  ],
  ...['bool', 'bool not null default true', 'char', 'char(0)', 'nchar(4)', 'varchar(9)', "varchar(9) default 'it''s'"],
  ...[
    "varchar(9) default 'NULL'",
    'varchar(9) not null',
    "varchar(30) not null default 'NOT NULL, ('",
    'varchar(9) default null',
  ],
  ...[
    'varchar(10) character set utf8mb4 collate utf8mb4_bin',
    'varchar(10) character set ascii',
    'varchar(10) collate latin1_bin',
  ],
  ...[
    'tinytext',
    'text character set utf8mb3',
    'mediumtext',
    'longtext',
    'binary',
    'varbinary(20)',
    'tinyblob',
    'blob',
    'longblob',
  ],
  ...["enum('a', 'b''c', 'd,e', '(f)') default 'd,e'", "set('x', 'y') not null default 'x,y'", 'json'],
  ...[
    'date default (curdate())',
    'time(3)',
    'datetime(6) default now(6) on update now(6)',
    'timestamp null',
    'datetime on update now()',
  ],
  ...['timestamp not null default current_timestamp', "timestamp not null default '2026-01-02 03:04:05'"],
  ...['geometry', 'point not null', 'polygon', 'int invisible', 'int not null default 4 invisible'],
  ...['int as (i + 1) virtual', "varchar(20) as (concat(v, 'x,(')) stored", 'int as (i * 2) stored comment \'made, "so"\''],
  ...[
    'int default (1 + 2)',
    'varchar(40) default (uuid())',
    "int comment 'it''s \"x\", NOT NULL DEFAULT 3'",
    "int comment 'two\nlines'",
  ],
];
const ofMariadb = [
  ...['int(4) unsigned zerofill', "text default 'x'", 'inet6', "int check (c <> 'CHECK (')", 'float(7, 4)'],
  ...['varchar(30) compressed', 'int without system versioning', 'int default (i + 1)', "varchar(9) check (json_valid('1'))"],
];
const types = [...everywhere, ...(isMysql ? [] : ofMariadb)].map((type, i) => `c${i} ${type.replaceAll('(c ', `(c${i} `)}`);

const server = useServer(`
  create database yard character set latin1;
  create table yard.kinds (i int, v varchar(9), ${types.join(', ')});
  create table yard.other (i int, v varchar(9) collate utf8mb4_bin, w text, e enum('x'), b varchar(9) character set latin1) character set utf8mb4;
  ${isMysql ? '' : 'create table yard.past (id int primary key, born timestamp(6) generated always as row start, gone timestamp(6) generated always as row end, period for system_time (born, gone)) with system versioning;'}
  create table yard.counted (id bigint auto_increment primary key) auto_increment = 12`);

test('what a statement shows of a column is what information_schema says of it', async () => {
  const source = await openSource(server.details(['yard']));
  const { tables } = await source.readCatalogue();
  await source.close();
  const seen = tables.flatMap(({ name, columns }) => columns.map((column) => [`${name}.${column.name}`, told(column)] as const));
  const names = tables.map(({ name }) => name);
  const said = (await server.run(queries.columns('yard', names))).map((row) => {
    const [table = '', name = ''] = row;
    const own = tables.find((one) => one.name === table)?.columns.find((one) => one.name === name);
    const context = { definition: own?.definition ?? null, holdsJson: own?.family === 'json', next: own?.next ?? null };
    const column = columnOf(name ?? '', saidInRow(row), {
      ...{ table: tableId('yard', table ?? ''), shared: (text) => text },
      ...context,
    });
    return [`${table}.${name}`, told(column)] as const;
  });
  expect(seen.length).toBeGreaterThan(60);
  expect(Object.fromEntries(seen)).toEqual(Object.fromEntries(said));
});

// MySQL writes defaults without their quotes into information_schema, and expressions with one more before each.
function told(column: Column): Partial<Column> {
  return isMysql ? { ...column, default: null, fillsItself: false, generated: column.generated === null ? null : '' } : column;
}
