// What is measured in a way of its own here, as was found to be fast: distinct values by `count(distinct …)`, which is right in each
// column's own collation; groups only by sorting; orphans by anti-join with memory for the parent's keys.

import { mayBeTooWide, measure } from '../../asked/measure';
import type { ColumnSet, Measuring, Sought } from '../../asked/measuring';
import type { Questions } from '../../questions';
import { comparedWith, conditions, spelling } from '../spelling';
import { literal, quote, quoteTable } from '../quote';
import { types } from '../types';
import type { Variant } from '../variant';
import { extentOf } from './extent';
import { inclusion } from './inclusion';
import { readableValue, sampledValue, weightOf } from './values';

export function measureFor({ withMemory }: Pick<Variant, 'withMemory'>): Questions['measure'] {
  const measuring: Measuring = {
    ...spelling,
    ...conditions,
    ...{ extentOf, sampledValue, weightOf },
    inclusion: (request, catalogue, options) => inclusion(request, catalogue, { ...options, withMemory }),
    // Days and moments may be none (0000-00-00).
    bounded: ['date', 'timestamp'],
    bound: (which, name) => `${which}(${quote(name)})`,
    // Few values sort before '!': the guard spares the pattern of all others.
    guardedBlank: (name) => `${quote(name)} < '!' and ${spelling.claims.blank(name)}`,
    width: (column) => (mayBeTooWide(column, types.widestIndexed) ? `octet_length(${quote(column.name)})` : null),
    // Each set by itself: several in one pass take longer than one after the other.
    repeatsTogether: false,
    countsOf(set) {
      const { live } = set;
      const one = (value: string): string => `case when ${whereOf(set)} then ${value} end`;
      return [
        live === null ? 'count(*)' : spelling.countWhere(live),
        `count(${one('1')})`,
        `count(distinct ${keyOf(set)
          .map((value) => (live === null ? value : one(value)))
          .join(', ')})`,
      ];
    },
    groupsOf: (from, set) =>
      `select count(*), coalesce(sum(times), 0) from (select sql_big_result count(*) as times from ${from} where ${whereOf(set)} group by ${keyOf(set).join(', ')} having count(*) > 1) as repeated`,
    readable: ({ name, declaredType }) => readableValue(name, declaredType),
    lookedUpAs: ({ family }) => family,
    findAmong: (sought) => ({ text: withMemory(findAmong(sought)) }),
    countMissing({ from, rows, most, column, parents }) {
      const name = quote(column.name);
      const looked = `(select distinct ${name} as value from (select ${name} from ${from} limit ${rows}) as some where ${name} is not null limit ${most}) as looked`;
      const missing = parents.map(({ table, key }) => {
        const value = comparedWith('looked.value', column, key);
        const found = `exists (select 1 from ${quoteTable(table.id)} as parent where parent.${quote(key.name)} = ${value})`;
        return `(select count(*) from ${looked}${table.readable ? ` where not ${found}` : ''})`;
      });
      return withMemory(`select ${[`(select count(*) from ${looked})`, ...missing].join(', ')}`);
    },
  };
  return (requests, catalogue, options) => measure(measuring, requests, catalogue, options);
}

function keyOf({ request, columns }: ColumnSet): readonly string[] {
  return columns.map((column) => (request.folded ? spelling.folded(column) : quote(column.name)));
}

function whereOf(set: ColumnSet): string {
  return [...keyOf(set).map((value) => `${value} is not null`), ...(set.live === null ? [] : [set.live])].join(' and ');
}

// The values are a table of their own, so that each is told as it was spelt, however the parent spells it.
function findAmong({ parent, key, of, values }: Sought): string {
  const numeric = of.family === 'integer' || of.family === 'decimal';
  const spelt = (value: string): string =>
    numeric && /^-?\d+(\.\d+)?$/.test(value)
      ? value
      : of.family === 'binary'
        ? `x'${/^[0-9a-f]*$/i.test(value) ? value : ''}'`
        : literal(value);
  const [first = '', ...rest] = values;
  const sought = [`select ${spelt(first)} as value`, ...rest.map((value) => `select ${spelt(value)}`)].join(' union all ');
  const told = of.family === 'binary' ? 'hex(looked.value)' : 'looked.value';
  const compared =
    key.family === 'text' && key.collation !== null
      ? `convert(looked.value using ${key.characterSet ?? 'utf8mb4'}) collate ${key.collation}`
      : 'looked.value';
  return `select ${told} from (${sought}) as looked where exists (select 1 from ${quoteTable(parent.id)} as parent where parent.${quote(key.name)} = ${compared})`;
}
