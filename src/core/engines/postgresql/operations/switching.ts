import type { DefaultValue } from '../../../operations/default-value';
import type { SetDefault } from '../../../operations/set-default';
import type { RenameSequence } from '../../../operations/rename-others';
import type { RenameTrigger } from '../../../operations/rename-others';
import type { SwitchReference } from '../../../operations/switching';
import type { SwitchTrigger } from '../../../operations/switching';
import { literal, quote, quoteTable } from '../quote';
import { alter, exclusive, type Writing } from './writing';

// Of this table alone: what inherits from it may have another (manual, "ALTER TABLE").
export const setDefault: Writing<SetDefault> = {
  statements: ({ table, column, value }) => [
    [`alter table only ${quoteTable(table)}`, `  alter column ${quote(column)} ${clause(value)}`].join('\n'),
  ],
  cost: () => exclusive('catalogue only'),
};

function clause(value: DefaultValue): string {
  return value.kind === 'none' ? 'drop default' : `set default ${expression(value)}`;
}

function expression(value: Exclude<DefaultValue, { kind: 'none' }>): string {
  switch (value.kind) {
    case 'constant':
      return literal(value.text);
    // As the server spelt it: `refuseDefault` lets nothing else come here.
    case 'expression':
      return `(${value.text})`;
    case 'now':
      return 'current_timestamp';
    case 'today':
      return 'current_date';
    case 'newId':
      return 'pg_catalog.gen_random_uuid()';
  }
}

export const switchTrigger: Writing<SwitchTrigger> = {
  statements: ({ table, trigger, on }) => [alter(table, `${on ? 'enable' : 'disable'} trigger ${quote(trigger)}`)],
  cost: () => ({ lock: 'SHARE ROW EXCLUSIVE', blocks: 'writers', work: 'catalogue only' }),
};

// Manual of PostgreSQL 18, "ALTER TABLE": what is enforced again is validated at once.
export const switchReference: Writing<SwitchReference> = {
  statements: ({ table, name, on }) => [alter(table, `alter constraint ${quote(name)} ${on ? 'enforced' : 'not enforced'}`)],
  cost: ({ on }) => exclusive(on ? 'reads every row' : 'catalogue only'),
};

export const renameTrigger: Writing<RenameTrigger> = {
  statements: ({ table, from, to }) => [`alter trigger ${quote(from)} on ${quoteTable(table)}\n  rename to ${quote(to)}`],
  cost: () => exclusive('catalogue only'),
};

// Manual, "ALTER SEQUENCE": what names it in a default follows.
export const renameSequence: Writing<RenameSequence> = {
  statements: ({ schema, from, to }) => [`alter sequence ${quote(schema)}.${quote(from)}\n  rename to ${quote(to)}`],
  cost: () => exclusive('catalogue only'),
};
