import type { DefaultValue } from '../../../operations/default-value';
import type { DropColumn, NumberRows } from '../../../operations/number-rows';
import type { RenameColumn } from '../../../operations/rename-column';
import type { SetDefault } from '../../../operations/set-default';
import type { DropNotNull, SetNotNull } from '../../../operations/set-not-null';
import { DialectError } from '../../DialectError';
import { hasCheck, isFilledByCopy } from '../column-text';
import { literal, quote } from '../quote';
import { onePart } from '../shown';
import { todoOf } from '../../../operations/index';
import {
  alone,
  altering,
  asOne,
  cleansUp,
  copying,
  costAs,
  instant,
  numbering,
  opensAnew,
  rebuilding,
  type Writing,
} from './writing';

/** The whole definition is said again, with one thing changed: what is left out would be gone. */
export const setNotNull = asOne<SetNotNull>(
  ({ definition }) => wayFor(definition?.before),
  ({ column, definition }) => [`modify column ${quote(column)} ${known(column, definition?.after)}`],
);

export const dropNotNull = asOne<DropNotNull>(
  ({ definition }) => (hasCheck(definition ?? '') ? copying : rebuilding),
  ({ column, definition }) => [`modify column ${quote(column)} ${known(column, definition)}`],
);

function wayFor(definition: string | undefined) {
  return definition !== undefined && isFilledByCopy(definition) ? copying : rebuilding;
}

function known(column: string, definition: string | undefined): string {
  if (definition === undefined) throw new DialectError(`The definition of ${column} is not known. Survey again.`);
  return onePart(definition, column);
}

/** A column that numbers rows has to be a key from its first moment on. */
export const numberRows = asOne<NumberRows>(numbering, ({ column, key }) => [
  `add column ${quote(column)} bigint not null auto_increment`,
  key === undefined || key === 'PRIMARY'
    ? `add primary key (${quote(column)})`
    : `add unique key ${quote(key)} (${quote(column)})`,
]);

export const dropColumn = asOne<DropColumn>(instantUnlessKey, ({ column }) => [`drop column ${quote(column)}`]);

// With its key the rows are put in another order.
function instantUnlessKey({ key }: DropColumn) {
  if (key === undefined) return instant;
  return key === 'PRIMARY' ? copying : numbering;
}

/**
 * A table that was only read since it was opened does not know the columns of its own checks (10.11: 1054, "Unknown column in
 * CHECK"; it is right the second time): so it is opened anew first.
 */
export const renameColumn: Writing<RenameColumn> = {
  stages: (operation) => {
    const { table, from, to } = operation;
    const todo = todoOf(operation);
    return [
      cleansUp(alone(opensAnew(table), todo, costAs(instant))),
      altering(table, instant, [`rename column ${quote(from)} to ${quote(to)}`], todo),
    ];
  },
  cost: () => costAs(instant),
};

export const setDefault = asOne<SetDefault>(instant, ({ column, value }) => [
  `alter column ${quote(column)} ${value.kind === 'none' ? 'drop default' : `set default ${expression(value)}`}`,
]);

function expression(value: Exclude<DefaultValue, { kind: 'none' }>): string {
  switch (value.kind) {
    case 'constant':
      return literal(value.text);
    // As the server spelt it: `refuseDefault` lets nothing else come here.
    case 'expression':
      return /^'|^-?[\d.]+$|^NULL$/i.test(value.text)
        ? onePart(value.text, 'a default')
        : `(${onePart(value.text, 'a default')})`;
    case 'now':
      return 'current_timestamp()';
    case 'today':
      return '(curdate())';
    case 'newId':
      return '(uuid())';
  }
}
