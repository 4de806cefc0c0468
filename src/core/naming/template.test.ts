import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { engines } from '../engines/index';
import { engineNames, firstEngine } from '../engines/name';
import {
  forms,
  type Ingredients,
  inForm,
  isTemplateProblem,
  nameBy,
  parseTemplate,
  placeholders,
  readable,
  render,
  type Template,
} from './template';

const { names: rules } = engines[firstEngine];
const booking: Ingredients = {
  schema: ['port'],
  table: ['berth_booking'],
  columns: ['home_berth_no'],
  parent: ['berth'],
  keys: ['berth_no'],
  role: ['home'],
  meaning: ['home_berth_no'],
  words: ['home_berth_no'],
  n: ['1'],
};

function read(text: string): Template {
  const template = parseTemplate(text);
  if (isTemplateProblem(template)) throw new Error(template.says);
  return template;
}

test.each([
  ['pk_{table}', 'pk_berth_booking', 'pk_berth_booking'],
  ['fk_{table}_{parent}[_{role}]', 'fk_berth_booking_berth', 'fk_berth_booking_berth_home'],
  ['{table:pascal}{parent:pascal}FK', 'BerthBookingBerthFK', 'BerthBookingBerthFK'],
  ['{table:camel}_{columns:camel}', 'berthBooking_homeBerthNo', 'berthBooking_homeBerthNo'],
  ['FK_{table:upper}', 'FK_BERTH_BOOKING', 'FK_BERTH_BOOKING'],
  ['i_{table:initials}_{columns}', 'i_bb_home_berth_no', 'i_bb_home_berth_no'],
  ['{schema}_{table:plural}_{keys}', 'port_berth_bookings_berth_no', 'port_berth_bookings_berth_no'],
  ['{table}_c{n}', 'berth_booking_c1', 'berth_booking_c1'],
])('%s', (text, plain, ambiguous) => {
  expect(render(read(text), booking, { rules, ambiguous: false })).toBe(plain);
  expect(render(read(text), booking, { rules, ambiguous: true })).toBe(ambiguous);
});

test('what has nothing to say is left out with its brackets', () => {
  const mute = { ...booking, role: [''] };
  expect(render(read('fk_{table}_{parent}[_{role}]'), mute, { rules, ambiguous: true })).toBe('fk_berth_booking_berth');
});

test.each([
  ['pk_{tabel}', 4, 'There is no {tabel}. There are schema, table, parent, columns, keys, role, meaning, words, n.'],
  ['pk_{table:loud}', 10, 'There is no form loud.'],
  ['pk_{table', 3, 'The { that begins here is not closed.'],
  ['pk_table}', 8, 'There is no { to this }.'],
  ['pk_{table}[_{role}', 10, 'The [ that begins here is not closed.'],
  ['pk_{table}]', 10, 'There is no [ to this ].'],
  ['pk_[a[b]]{table}', 5, 'Square brackets do not stand within others.'],
  ['pk {table}', 2, 'A name with " " in it would have to be quoted everywhere.'],
  ['pk_all', 0, 'Every name would be the same'],
  ['', 0, 'Every name would be the same'],
])('%s says where and what is wrong', (text, at, says) =>
  expect(parseTemplate(text)).toEqual({ at, says: expect.stringContaining(says) as string }),
);

describe('a name that is too long', () => {
  const long = { ...booking, table: ['harbour_authority_berth_reservation_confirmation_history'], parent: ['reservation'] };

  test('has its longest words shortened first, none cut off, and ends in letters of its own', () => {
    const name = render(read('fk_{table}_{parent}'), long, { rules, ambiguous: false });
    expect(name).toMatch(/^fk_harbou?r?_author?i?t?y?_berth_.*_[0-9a-z]{4}$/);
    expect(name.split('_').every((word) => word.length >= 2)).toBe(true);
  });

  test('differs where the whole names do', () => {
    const other = { ...long, parent: ['reservatiom'] };
    const [one, two] = [long, other].map((of) => render(read('fk_{table}_{parent}'), of, { rules, ambiguous: false }));
    expect(one).not.toBe(two);
  });
});

const word = fc.stringMatching(/^[a-zA-Zäöüßñ0-9_]{1,40}$/);
const ingredients: fc.Arbitrary<Ingredients> = fc.record({
  schema: fc.tuple(word),
  table: fc.tuple(word),
  columns: fc.array(word, { minLength: 1, maxLength: 5 }),
  parent: fc.tuple(word),
  keys: fc.array(word, { minLength: 1, maxLength: 5 }),
  role: fc.tuple(fc.oneof(word, fc.constant(''))),
  meaning: fc.array(word, { minLength: 1, maxLength: 5 }),
  words: fc.tuple(word),
  n: fc.constant(['1']),
});
const part = fc
  .tuple(fc.constantFrom(...placeholders), fc.option(fc.constantFrom(...forms)))
  .map(([by, form]) => `{${by}${form ? `:${form}` : ''}}`);
const templates = fc
  .array(
    fc.oneof(
      part,
      part.map((text) => `[_${text}]`),
      fc.constantFrom('fk_', '_', 'of'),
    ),
    { minLength: 1, maxLength: 6 },
  )
  .map((parts) => `{table}${parts.join('')}`);

test.each(engineNames)('on %s no name is longer than the engine keeps, and each is the same twice', (engine) => {
  const { names } = engines[engine];
  fc.assert(
    fc.property(templates, ingredients, fc.boolean(), (text, of, ambiguous) => {
      const parsed = parseTemplate(text);
      if (isTemplateProblem(parsed)) return expect(text.length).toBeGreaterThan(parsed.at - 1);
      const name = render(parsed, of, { rules: names, ambiguous });
      expect(names.shorten(name)).toBe(name);
      expect(render(parsed, of, { rules: names, ambiguous })).toBe(name);
    }),
    { numRuns: 500 },
  );
});

test.each([
  ['berth_bookings', 'singular', 'berth_booking'],
  ['BerthBooking', 'plural', 'BerthBookings'],
  ['harbour_quay', 'plural', 'harbour_quays'],
  ['tide_data', 'singular', 'tide_datum'],
  ['HTTPServerID', 'pascal', 'HttpServerId'],
  ['berth2Quay', 'lower', 'berth2quay'],
] as const)('%s %s is %s', (name, form, said) => expect(inForm([name], form)).toBe(said));

test.each([
  ['{words:snake}', 'GrossTons', 'gross_tons'],
  ['{words:snake}', '_grossTons', '_gross_tons'],
  ['{words:snake}', 'gross_tons_2', 'gross_tons_2'],
  // In the form already, however its words would be read.
  ['{words:pascal}', 'IMONo', 'IMONo'],
  ['{words:pascal}', 'imo_no', 'ImoNo'],
  ['{words:capitals}', 'imoNo', 'IMO_NO'],
  ['{words:plural:snake}', 'PilotOrder', 'pilot_orders'],
  ['is_{words}', 'paid', 'is_paid'],
  ['is_{words}', 'IS_paid', 'is_paid'],
  ['{words}_at', 'arrived_at', 'arrived_at'],
])('%s calls %s %s', (text, name, wanted) => {
  const { names } = engines[firstEngine];
  const template = readable(text);
  const none = [''];
  const of = {
    schema: none,
    table: none,
    parent: none,
    columns: none,
    keys: none,
    role: none,
    meaning: none,
    n: none,
    words: [name],
  };
  const called = nameBy(template, { name, of, ambiguous: false }, names);
  expect(called).toBe(wanted);
  // What it is called then it is called again.
  expect(nameBy(template, { name: called, of: { ...of, words: [called] }, ambiguous: false }, names)).toBe(called);
});
