// What new rows take where they say nothing, and how servers spell it.

import { isWhole } from '../catalogue/expressions';
import type { Catalogue, Column, Table, TypeFamily } from '../catalogue/model';
import type { TypeRules } from '../engines/engineFacts';
import { traitsOf } from '../engines/facts';
import { Refusal } from './refusal';

export type DefaultValue =
  | { readonly kind: 'none' }
  | { readonly kind: 'constant'; readonly text: string }
  | { readonly kind: 'now' | 'today' | 'newId' }
  /** As a server spelt it: only ever a way back. */
  | { readonly kind: 'expression'; readonly text: string };

/** The ones that a person can ask for, in words. */
export const askedDefaults = {
  constant: 'this value',
  now: 'the moment of writing',
  today: 'the day of writing',
  newId: 'an identifier of its own',
  none: 'nothing: no default',
} as const;

export function defaultInWords(value: DefaultValue): string {
  switch (value.kind) {
    case 'constant':
      return JSON.stringify(value.text);
    case 'expression':
      return value.text;
    case 'none':
      return 'empty';
    default:
      return askedDefaults[value.kind];
  }
}

const families: Readonly<Record<'now' | 'today' | 'newId', readonly TypeFamily[]>> = {
  now: ['timestamp'],
  today: ['date'],
  newId: ['uuid'],
};

// What a server spells as it was given; of others nobody could tell afterwards whether it is that.
const constants: Readonly<Partial<Record<TypeFamily, RegExp>>> = {
  integer: /^(0|-?[1-9]\d{0,18})$/,
  decimal: /^-?(0|[1-9]\d{0,30})(\.\d{1,30})?$/,
  float: /^-?(0|[1-9]\d{0,14})(\.\d{0,14}[1-9])?$/,
  boolean: /^(true|false)$/,
  date: /^\d{4}-\d\d-\d\d$/,
  uuid: /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/,
  text: /^\P{Cc}{0,1000}$/u,
  other: /^\P{Cc}{1,200}$/u,
};

/** Why a column cannot have such a default; null when it can. */
export function refuseDefault(
  table: Table,
  name: string,
  value: DefaultValue,
  catalogue: Pick<Catalogue, 'engine'>,
): Refusal | null {
  const column = table.columns.find((one) => one.name === name);
  if (!column) return new Refusal(`${table.id} has no column ${name} any more. Survey again.`);
  if (column.identity !== null || column.generated !== null)
    return new Refusal(`The server fills ${name} of ${table.id} by itself: a default would never be used.`);
  if (column.default !== null && !isWhole(column.default))
    return new Refusal(`The default of ${name} was not read as one expression: its way back cannot be written.`);
  if (value.kind === 'constant' && value.text === '' && traitsOf(catalogue).emptyTextIsNull)
    return new Refusal(`An empty text is null to this server: ${name} would have no default.`);
  if (value.kind === 'constant')
    return constants[column.family]?.test(value.text)
      ? null
      : new Refusal(`${JSON.stringify(value.text)} is no plain value of ${name}, which is ${column.declaredType}.`);
  if (value.kind === 'none' || value.kind === 'expression') return null;
  return families[value.kind].includes(column.family)
    ? null
    : new Refusal(`${name} is ${column.declaredType}: it cannot take ${askedDefaults[value.kind]}.`);
}

const spellings: Readonly<Record<'now' | 'today' | 'newId', RegExp>> = {
  now: /^\(?(current_timestamp|now\(\))/i,
  today: /^\(?(current_date|curdate\(\))/i,
  newId: /^\(?(gen_random_uuid|uuid(_generate_v4)?)\(\)\)?$/i,
};

/** True when a column has such a default, as far as its spelling shows. */
export function isDefault(
  { default: has }: Pick<Column, 'default'>,
  value: DefaultValue,
  { constantIn }: Pick<TypeRules, 'constantIn'>,
): boolean {
  if (value.kind === 'none' || has === null) return value.kind === 'none' && has === null;
  if (value.kind === 'expression') return has === value.text;
  return value.kind === 'constant' ? constantIn(has) === value.text : spellings[value.kind].test(has);
}

/** How a catalogue that was not read spells it. */
export function foretold(value: DefaultValue): string | null {
  switch (value.kind) {
    case 'none':
      return null;
    case 'constant':
      return `'${value.text.replaceAll("'", "''")}'`;
    case 'expression':
      return value.text;
    case 'now':
      return 'CURRENT_TIMESTAMP';
    case 'today':
      return 'CURRENT_DATE';
    case 'newId':
      return 'gen_random_uuid()';
  }
}
