import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, expect, test } from 'vitest';
import { useMariadb } from '../../../test/kit/mariadb';
import { programsOf, started } from './programs';

const server = useMariadb('create database copy');
const folder = mkdtempSync(join(tmpdir(), 'pawl-programs-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

async function loaded(text: string): Promise<number | null> {
  const { load, loading } = programsOf.mariadb;
  const { child, ended } = started(load, { ...server.details(), tls: 'off' }, [...loading, 'copy']);
  child.stdin.end(text);
  return ended;
}

const file = join(folder, 'made');
test.each([
  ['a command of the shell', `\\! touch ${file}\n`],
  ['the same in words', `system touch ${file}\n`],
  ['behind a comment', `/* x */ \\! touch ${file}\n`],
  ['behind a statement', `select 1; \\! touch ${file}\n`],
  ['a file that is written', `tee ${file}\nselect 1;\n`],
  ['within what has a delimiter of its own', `delimiter //\nselect 1//\n\\! touch ${file}\ndelimiter ;\n`],
])('a dump that holds %s has nothing of it done', async (_, text) => {
  await loaded(text);
  expect(existsSync(file)).toBe(false);
});

test('what a dump usually holds is loaded: texts with signs of all kinds, programs with a delimiter of their own', async () => {
  const text = String.raw`create table t (a varchar(40));
insert into t values ('it''s \\! touch'), ('a\r\nb'), (0x5C21);
delimiter ;;
create trigger before_t before insert on t for each row begin set new.a = concat(new.a, ';'); set new.a = trim(new.a); end;;
delimiter ;
insert into t values ('x');
`;
  expect(await loaded(text)).toBe(0);
  const kept = (await server.run('select a from copy.t')).map(([value]) => value);
  expect(new Set(kept)).toEqual(new Set(['x;', '\\!', 'a\r\nb', "it's \\! touch"]));
});
