import type { DefaultValue } from '../../../operations/default-value';
import type { DropColumn, NumberItself, NumberNoMore, NumberRows } from '../../../operations/number-rows';
import type { RenameColumn } from '../../../operations/rename-column';
import type { SetDefault } from '../../../operations/set-default';
import type { DropNotNull, SetNotNull } from '../../../operations/set-not-null';
import { DialectError } from '../../DialectError';
import { hasCheck, isFilledByExpression } from '../column-text';
import type { KeepBy } from '../../../operations/keep-by';
import { encodingText, literal, quote } from '../quote';
import { onePart } from '../shown';
import { todoOf } from '../../../operations/index';
import type { Way } from '../variant';
import { alone, alter, altering, asOne, type Writing } from './writing';

/** The whole definition is said again, with one thing changed: what is left out would be gone. */
export const setNotNull = asOne<SetNotNull>(
  ({ definition }) => wayFor(definition?.before),
  ({ column, definition }) => [`modify column ${quote(column)} ${known(column, definition?.after)}`],
);

export const dropNotNull = asOne<DropNotNull>(
  ({ definition }) => wayToEmpty(definition),
  ({ column, definition }) => [`modify column ${quote(column)} ${known(column, definition)}`],
);

/** The way that a column that is never empty becomes one that may be. */
export function wayToEmpty(definition: string | undefined): Way {
  return definition !== undefined && hasCheck(definition) ? 'copies' : 'rebuilds';
}

/** The way that a column that may be empty becomes one that may not. */
export function wayFor(definition: string | undefined): Way {
  if (definition !== undefined && hasCheck(definition)) return 'copies';
  return definition !== undefined && isFilledByExpression(definition) ? 'fills by an expression' : 'rebuilds';
}

export function known(column: string, definition: string | undefined): string {
  if (definition === undefined) throw new DialectError(`The definition of ${column} is not known. Survey again.`);
  return onePart(definition, column);
}

/** A column that numbers rows has to be a key from its first moment on. */
export const numberRows = asOne<NumberRows>('numbers', ({ column, key }) => [
  `add column ${quote(column)} bigint not null auto_increment`,
  key === undefined || key === 'PRIMARY'
    ? `add primary key (${quote(column)})`
    : `add unique key ${quote(key)} (${quote(column)})`,
]);

/**
 * That a column counts can be changed by copying only (10.11, 9.7: 1846); where something refers to it, MySQL wants references not to be
 * looked at for it (1833): their values stay as they are.
 */
const counting: Writing<NumberItself | NumberNoMore> = {
  stages(operation) {
    const { table, column, definition } = operation;
    const clause = `modify column ${quote(column)} ${known(column, definition?.after)}`;
    return [alone({ unlooked: alter(table, 'copies', clause) }, todoOf(operation), 'copies')];
  },
  cost: () => 'copies',
};
export const numberItself: Writing<NumberItself> = counting;
export const numberNoMore: Writing<NumberNoMore> = counting;

export const dropColumn: Writing<DropColumn> = {
  stages(operation) {
    const { table, column, key } = operation;
    const way = instantUnlessKey(operation);
    const dropped = alter(table, way, `drop column ${quote(column)}`);
    return [alone(key === 'PRIMARY' ? { keyless: dropped } : dropped, todoOf(operation), way)];
  },
  cost: instantUnlessKey,
};

// With its key the rows are put in another order.
function instantUnlessKey({ key }: DropColumn): Way {
  if (key === undefined) return 'changes the catalogue';
  return key === 'PRIMARY' ? 'copies' : 'numbers';
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
      alone({ opensAnew: table }, todo, 'changes the catalogue'),
      altering(table, 'changes references and names', [`rename column ${quote(from)} to ${quote(to)}`], todo),
    ];
  },
  cost: () => 'changes references and names',
};

export const setDefault = asOne<SetDefault>('changes the catalogue', ({ column, value }) => [
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

/** Every row is written anew; who writes waits meanwhile. */
export const keepBy = asOne<KeepBy>('copies', ({ after }) => [`engine = ${encodingText(after.engine)}`]);
