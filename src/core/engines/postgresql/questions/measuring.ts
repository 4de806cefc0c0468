// What is measured in a way of its own here, as was found to be fast: a block sample read once; uniqueness by sorting 64-bit hashes,
// several columns in one pass; parents of unknown name by looking up a few values first, where the server follows an index or
// hashes the values as it chooses.

import type { Column } from '../../../catalogue/model';
import { mayBeTooWide, measure as measureBy } from '../../asked/measure';
import type { ColumnSet, Measuring } from '../../asked/measuring';
import type { Questions } from '../../questions';
import { quote } from '../quote';
import { conditions, spelling } from '../spelling';
import { types } from '../types';
import { fromClause, ownRows } from './extent';
import { inclusion } from './inclusion';
import { hashOf, sampledValue } from './values';

const { claims } = spelling;
const text = (name: string): string => spelling.asText(quote(name));

const measuring: Measuring = {
  ...spelling,
  ...conditions,
  ...{ inclusion, sampledValue },
  // eslint-disable-next-line require-yield -- others have to ask for it
  *extentOf(table, depth, options) {
    return fromClause(table, depth, options);
  },
  bounded: ['date'],
  bound: (which, name) => `${which}(${quote(name)})::text`,
  // Few values sort before '!': the guard spares the trim of all others.
  guardedBlank: (name) => `${text(name)} < '!' collate "C" and ${claims.blank(name)}`,
  // Told from its header, not by reading it, where a value is stored elsewhere.
  width(column) {
    const { name, family, declaredType, comparable } = column;
    if (mayBeTooWide(column, types.widestIndexed)) return `octet_length(${quote(name)})`;
    return comparable && family === 'other' && !fixed.includes(declaredType) ? `pg_column_size(${quote(name)})` : null;
  },
  weightOf: () => null,
  repeatsTogether: true,
  countsOf(set) {
    const { request, columns, live } = set;
    return [
      live === null ? 'count(*)' : spelling.countWhere(live),
      spelling.countWhere(whereOf(set)),
      `count(distinct ${hashOf(columns, request.folded === true)}) filter (where ${whereOf(set)})`,
    ];
  },
  groupsOf(from, set) {
    const by = set.columns.map((column) => (set.request.folded ? spelling.folded(column) : quote(column.name))).join(', ');
    return `select count(*), coalesce(sum(times), 0)
     from (select count(*) as times from ${from} where ${whereOf(set)} group by ${by} having count(*) > 1) as repeated`;
  },
  readable: ({ name }) => text(name),
  lookedUpAs: typeFor,
  findAmong: ({ parent, key, of, values }) => ({
    text: `select distinct looked.value
     from unnest($1::text[]) as looked (value)
     join ${ownRows(parent)} as parent on parent.${quote(key.name)} = looked.value::${typeFor(of)}`,
    values: [values],
  }),
  countMissing({ from, rows, most, column, parents }) {
    const missing = parents.map(({ table, key }) => {
      // A join of its own for each: the server hashes, where it would look up value by value otherwise.
      const found = `exists (select 1 from ${ownRows(table)} as parent where parent.${quote(key.name)} = looked.value)`;
      return `(select count(*) from looked${table.readable ? ` where not ${found}` : ''})`;
    });
    const some = `select ${quote(column.name)} as value from ${from} limit ${rows}`;
    return `with looked as materialized (
       select distinct value::${typeFor(column)} as value from (${some}) as part where value is not null limit ${most})
     select ${['(select count(*) from looked)', ...missing].join(', ')}`;
  },
};

export const measure: Questions['measure'] = (...asked) => measureBy(measuring, ...asked);

function whereOf({ columns, live }: ColumnSet): string {
  return [...columns.map(({ name }) => `${quote(name)} is not null`), ...(live === null ? [] : [live])].join(' and ');
}

const fixed = ['interval', 'inet', 'cidr', 'money', 'macaddr', 'oid'];

// Wide enough for every value of the child, and comparable with any key of its family by an index.
function typeFor({ family }: Column): string {
  switch (family) {
    case 'integer':
      return 'int8';
    case 'decimal':
      return 'numeric';
    case 'uuid':
      return 'uuid';
    case 'binary':
      return 'bytea';
    default:
      return 'text';
  }
}
