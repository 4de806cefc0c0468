import { expect, test } from 'vitest';
import { sketch } from '../../../test/kit/sketch';
import type { Catalogue } from '../catalogue/model';
import { conventionsOf, inferConventions, rememberConventions } from './infer';
import { type Adopted, styleOf } from './style';
import { byTemplates, onNames, styleChange } from './styleChange';

const port: Catalogue = sketch(`
  port.berth: berth_id key, Code text unique, select text; index Code
  port.call: id key, berth_id -> port.berth.berth_id, vesselName text, is_open bool; check id > 0
  port.Tug: tug_id key, vessel_name text, code varchar(9), owner_of_the_tug_that_was_once_registered_in_the_book_of_the_old_harbour text
  port.agent: agent_id key, code text, is_open bool, vessel_name text
`);
const templates: readonly Adopted[] = [
  {},
  {
    'primary key': 'pk_{table}',
    'foreign key': 'fk_{table}_{parent}',
    unique: 'uq_{table}_{columns}',
    index: 'ix_{table}_{columns}',
  },
  { column: '{words:camel}', table: '{words:plural:snake}', check: 'ck_{table}_{columns}' },
  { 'key column': 'id', 'truth column': 'has_{words}' },
];

test.each(templates)('what would come and go under %o is what the whole audit of names tells', (after) => {
  const ids = (adopted: Adopted) => new Set(onNames(port, {}, adopted).map(({ id }) => id));
  const [was, is] = [ids({}), ids(after)];
  const change = styleChange(port, {}, {}, after);
  expect(change.come.map(({ id }) => id).sort()).toEqual([...is].filter((id) => !was.has(id)).sort());
  expect(change.go.map(({ id }) => id).sort()).toEqual([...was].filter((id) => !is.has(id)).sort());
});

test('most rules on names find the same whatever was adopted', () => {
  expect(onNames(port, {}, {}).filter(({ rule }) => !byTemplates.has(rule)).length).toBeGreaterThan(2);
});

test('what is remembered of a catalogue gives the style that would be learnt', () => {
  const again = { ...port };
  rememberConventions(
    again,
    inferConventions(port).map(({ kind, template, names, follow }) => ({ kind, template, names, follow })),
  );
  expect(styleOf(again)).toEqual(styleOf(port));
  rememberConventions(again, []);
  expect(conventionsOf(again)).toEqual([]);
});
