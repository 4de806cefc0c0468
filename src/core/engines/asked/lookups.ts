// Texts that are looked up in a list: what is asked of the rows, and how the list is filled, is the same on every engine.

import type { TableId } from '../../catalogue/identifiers';
import type { Check } from '../../operations/check';
import type { LookUp } from '../../operations/lookup';
import type { Spelling } from './spelling';

/** A null as a column that may not be there would be. */
export interface Absent {
  readonly text: string;
  readonly number: string;
}

export interface Lookups {
  /** Each value of a text that a list has not yet; blanks are none. */
  readonly listing: (of: Pick<LookUp, 'table' | 'column' | 'lookup'>, list: TableId) => string;
  readonly notListed: (check: Extract<Check, { kind: 'notListed' }>) => string;
  /** `missing` counts one where the column is not there. */
  readonly notLookedUp: (check: Extract<Check, { kind: 'notLookedUp' }>, missing: string) => string;
}

/** Names that the table of a text has not are those of the row beside it: nothing is counted then. */
export function lookupsBy({ quote, rowsOf, claims }: Spelling, absent: Absent): Lookups {
  const rows = (table: TableId): string => rowsOf(table, false);
  return {
    listing({ table, column, lookup }, list) {
      const label = quote(lookup.label);
      return [
        `insert into ${rows(list)} (${label})`,
        `select distinct ${quote(column)}`,
        `from ${rows(table)} as child`,
        `where ${claims.saysSomething(column)}`,
        `  and not exists (select 1 from ${rows(list)} as known where known.${label} = child.${quote(column)})`,
        'order by 1',
      ].join('\n');
    },

    notListed({ table, column, lookup: { table: list, label }, grows }) {
      const listed = `select ${quote(label)} from ${rows(list)} where ${quote(label)} is not null`;
      return [
        `select (select count(*) from ${rows(table)} where ${claims.blank(column)}`,
        ...(grows ? [] : [`  or ${quote(column)} not in (${listed})`]),
        `) from (select ${absent.text} as ${quote(column)}) as absent`,
      ].join('\n');
    },

    notLookedUp: ({ table, column, lookup, as }, missing) =>
      [
        `select (${missing}) + (`,
        `  select count(*) from ${rows(table)}`,
        `  where ${quote(as)} is null and ${quote(column)} in (select ${quote(lookup.label)} from ${rows(lookup.table)})`,
        ')',
        `from (select ${absent.number} as ${quote(as)}, ${absent.text} as ${quote(column)}) as absent`,
      ].join('\n'),
  };
}
