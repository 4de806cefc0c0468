import { expect, test } from 'vitest';
import { sketch } from '../../../../test/kit/sketch';
import type { Catalogue } from '../../catalogue/model';
import type { EngineName } from '../name';
import { namesTaken } from '../../naming/taken';

const drawn = sketch('port.berth: berth_no text key; unique índice+area');
const key = 'berth_índice_area_key';

test.each<[EngineName, string, boolean]>([
  ['postgresql', 'BERTH_Índice_area_KEY', true],
  ['postgresql', 'berth_indice_area_key', false],
  ['mariadb', 'BERTH_ÍNDICE_AREA_KEY', true],
  ['mariadb', 'berth_indice_area_key', false],
  ['mysql', 'Berth_Índice_Area_Key', true],
  ['mysql', 'berth_índice_area_key2', false],
])('to %s, %s is taken where berth_índice_area_key is: %s', (name, asked, taken) => {
  const catalogue: Catalogue = { ...drawn, engine: { name, version: '11.0' } };
  expect(namesTaken(catalogue, 'port').has(key)).toBe(true);
  expect(namesTaken(catalogue, 'port').has(asked)).toBe(taken);
});

test('what was given is taken as well', () => {
  const names = namesTaken(drawn, 'port');
  names.add('Pier_pkey');
  expect([names.has('pier_pkey'), names.has('pier_fkey')]).toEqual([true, false]);
});
