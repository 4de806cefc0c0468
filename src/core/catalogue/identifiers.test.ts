import fc from 'fast-check';
import { expect, test } from 'vitest';
import { columnId, columnsId, constraintId, tableId, tableNames } from './identifiers';

const name = fc.oneof(
  fc.string({ minLength: 1, maxLength: 20 }),
  fc.constantFrom('a.b', 'a"b', '"', '.', 'select', 'Ünï', 'a b', '(', ')', '#', ', '),
);

test('plain names stay readable', () => {
  expect(columnId(tableId('port', 'vessel'), 'imo_no')).toBe('port.vessel.imo_no');
  expect(columnsId(tableId('port', 'call'), ['a', 'b'])).toBe('port.call(a, b)');
  expect(constraintId(tableId('port', 'call'), 'pk call')).toBe('port.call#"pk call"');
});

test('a table can be told from its id, whatever it is called', () => {
  fc.assert(
    fc.property(name, name, (schema, table) => {
      expect(tableNames(tableId(schema, table))).toEqual({ schema, table });
    }),
  );
});

test('different objects never share an id', () => {
  fc.assert(
    fc.property(name, name, name, name, (a, b, c, d) => {
      if (a !== c || b !== d) expect(tableId(a, b)).not.toBe(tableId(c, d));
    }),
  );
});
