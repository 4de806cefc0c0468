import { expect, test } from 'vitest';
import type { EngineName } from '../name';
import { notTriedInWords } from '../facts';

test.each<[EngineName, string, string | null]>([
  ['mysql', '9.7.4', null],
  ['mysql', '8.4.3', 'tried on MySQL 9.7, not on 8.4'],
  ['mysql', '8.0.36-28 log', 'tried on MySQL 9.7, not on 8.0'],
  ['mariadb', '10.5.23-MariaDB-0+deb11u1', null],
  ['mariadb', '10.11.19-MariaDB', null],
  ['mariadb', '11.8.9-MariaDB', null],
  ['mariadb', '12.1.2-MariaDB', 'tried on MariaDB 10.5 to 11.8, not on 12.1'],
])('whether somebody has tried %s %s', (name, version, words) => {
  const said = notTriedInWords({ name, version });
  if (words === null) expect(said).toBeNull();
  else expect(said).toContain(words);
});
