import { expect, test } from 'vitest';
import { tableId } from '../../catalogue/identifiers';
import { postgresql } from './index';
import { comment, quote } from './quote';

const table = tableId('port', 'call');

test('writes a reference over several lines, with its name', () => {
  expect(
    postgresql.dialect
      .stages(
        {
          kind: 'addForeignKey',
          table,
          name: 'fk_call_berth',
          columns: ['berth_no'],
          parent: tableId('port', 'berth'),
          parentColumns: ['berth_no'],
          onDelete: 'no action',
          onUpdate: 'no action',
          match: 'simple',
          deferrable: 'no',
          rows: 'new only',
        },
        'plain',
      )
      .flatMap((stage) => stage.statements),
  ).toEqual([
    'alter table port.call\n  add constraint fk_call_berth\n  foreign key (berth_no)\n  references port.berth (berth_no)\n  on delete no action\n  on update no action\n  not valid',
  ]);
});

test.each([
  ['vessel', 'vessel'],
  ['order', '"order"'],
  ['Vessel', '"Vessel"'],
  ['a"b', '"a""b"'],
  ['"; drop table x; --', '"""; drop table x; --"'],
  ['é', '"é"'],
  ['1st', '"1st"'],
])('quotes %s', (name, quoted) => {
  expect(quote(name)).toBe(quoted);
});

test('no comment can be ended by what it says', () => {
  expect(comment('a\nb\r\u2028c')).toBe('-- a\\u{a}b\\u{d}\\u{2028}c');
});
