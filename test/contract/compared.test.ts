// What two engines only spell otherwise, and what is declared otherwise.

import { expect, test } from 'vitest';
import { sketch } from '../kit/sketch';
import type { Catalogue, Column, Constraint } from '../../src/core/catalogue/model';
import type { EngineName } from '../../src/core/engines/name';
import { differenceInWords, differencesBetween } from '../../src/core/ratchet/differences';

const port = sketch(`
  port.berth: berth_no text key, area text, depth
  port.stay: stay_id key, berth_no text -> port.berth.berth_no, since; check stay_id > 0
`);

interface Spelling {
  readonly column: (column: Column) => Partial<Column>;
  readonly constraint?: (constraint: Constraint) => Partial<Constraint>;
}

/** The same schema as another engine spells it. */
function as(engine: EngineName, version: string, { column, constraint = () => ({}) }: Spelling): Catalogue {
  return {
    ...port,
    engine: { name: engine, version },
    tables: port.tables.map((table) => ({
      ...table,
      columns: table.columns.map((one) => ({ ...one, ...column(one) })),
      constraints: table.constraints.map((one) => ({ ...one, ...constraint(one) }) as Constraint),
    })),
  };
}

const whole = { family: 'integer', length: null, scale: 0 } as const;
const number = (declaredType: string, standard: string | null): Partial<Column> => ({
  ...whole,
  declaredType,
  default: standard,
});
const postgresql = as('postgresql', '15.1', {
  column: ({ name }) => (name === 'depth' ? number('integer', "'0'::integer") : {}),
});
const mariadb = as('mariadb', '10.11.2-MariaDB', {
  column: ({ name }) => (name === 'depth' ? number('int(11)', '0') : {}),
  constraint: ({ kind }) =>
    kind === 'primary key' ? { name: 'PRIMARY' } : kind === 'foreign key' ? { onDelete: 'restrict', onUpdate: 'restrict' } : {},
});
const mysql = as('mysql', '8.4.0', { column: ({ name }) => (name === 'depth' ? number('int', "'0'") : {}) });
const told = (before: Catalogue, after: Catalogue) => differencesBetween(before, after).map(differenceInWords);

test.each([
  ['MariaDB and MySQL', mariadb, mysql],
  ['MySQL and MariaDB', mysql, mariadb],
  ['PostgreSQL and MariaDB', postgresql, mariadb],
  ['MariaDB and PostgreSQL', mariadb, postgresql],
])('what %s only spell otherwise is no difference', (_, before, after) => {
  expect(told(before, after)).toEqual([]);
});

test('what is declared otherwise is told, as each spells it', () => {
  const other = { ...mysql, tables: mysql.tables.map((table) => ({ ...table, columns: table.columns.map(wider) })) };
  expect(told(mariadb, other)).toEqual([
    expect.stringMatching(/port\.berth: column depth is bigint .*default '0', was int\(11\) .*default 0$/),
  ]);
});

test('of one engine a spelling is told: there somebody wrote it', () => {
  const other = { ...mysql, engine: mariadb.engine };
  expect(told(mariadb, other).length).toBeGreaterThan(0);
});

test('a database that is called otherwise on the other server is the same one', () => {
  const elsewhere = JSON.parse(
    JSON.stringify(mysql).replaceAll('"port.', '"yard.').replaceAll('"schema":"port"', '"schema":"yard"'),
  ) as Catalogue;
  expect(told(mariadb, elsewhere)).toEqual([]);
  expect(told({ ...mysql }, elsewhere).length).toBeGreaterThan(0);
});

test('checks are the same whatever each puts around names and numbers', () => {
  const check = (expression: string) => ({
    constraint: (one: Constraint): Partial<Constraint> => (one.kind === 'check' ? { expression } : {}),
    column: () => ({}),
  });
  expect(
    told(as('mysql', '8.4.0', check('(`stay_id` > 0)')), as('postgresql', '15.1', check('(stay_id > (0)::numeric)'))),
  ).toEqual([]);
  expect(told(as('mysql', '8.4.0', check('(`stay_id` > 0)')), as('postgresql', '15.1', check('stay_id > 1')))).toHaveLength(1);
});

function wider(column: Column): Column {
  return column.name === 'depth' ? { ...column, declaredType: 'bigint' } : column;
}
