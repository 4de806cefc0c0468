// What is said of the rows that a repair changes, and of what they are given: the same wherever they are kept and changed.

import type { Filled, SetAside, WrongRows } from '../../operations/set-aside';
import { DialectError } from '../DialectError';
import type { Conditions } from './conditions';
import type { Spelling } from './spelling';

export interface Repairing {
  /** True of the wrong rows of `child`. Throws DialectError of repeats, which are found by their rank. */
  readonly conditionOf: (rows: WrongRows) => string;
  /** What a row of `child` is given. `own`: the column's default, and the key that children of repeats are pointed to, by its place. */
  readonly valueOf: (filled: Filled, rows: WrongRows, own: OwnValues) => string;
  /** Where what rows are filled from is empty: true of those that a repair leaves as they are. */
  readonly unfilled: (operation: SetAside) => readonly string[];
  readonly matching: (columns: readonly string[], left: string, right: string) => string;
}

interface OwnValues {
  readonly default: (column: string) => string;
  readonly kept: (place: number) => string;
}

export function repairingBy({ quote, literal, isNull, ...by }: Spelling & Conditions): Repairing {
  const parentValue = ({ reference, column }: Extract<Filled['with'], { kind: 'parent' }>): string => {
    const match = reference.columns.map((c, i) => `parent.${quote(reference.parentColumns[i] ?? '')} = child.${quote(c)}`);
    return `(select parent.${quote(column)} from ${by.rowsOf(reference.parent, false)} as parent where ${match.join(' and ')})`;
  };

  function conditionOf(rows: WrongRows): string {
    switch (rows.kind) {
      case 'orphans':
        return by.orphanCondition(rows.reference, rows.values);
      case 'nulls':
        return isNull(`child.${quote(rows.column)}`);
      case 'breaking':
        return by.brokenCondition(rows.claim);
      case 'repeats':
      case 'childrenOfRepeats':
        throw new DialectError('Repeats are found by their rank, not by a condition.');
    }
  }

  function valueOf({ with: filling, column }: Filled, rows: WrongRows, own: OwnValues): string {
    switch (filling.kind) {
      case 'null':
        return 'null';
      case 'default':
        return own.default(column);
      case 'constant':
        return literal(filling.text);
      case 'column':
        return `child.${quote(filling.column)}`;
      case 'parent':
        return parentValue(filling);
      case 'asWritten':
        return by.claims.asWritten(`child.${quote(column)}`, filling.form);
      case 'rounded':
        return by.claims.rounded(`child.${quote(column)}`, filling.decimals);
      case 'kept': {
        const at = rows.kind === 'childrenOfRepeats' ? rows.reference.parentColumns.indexOf(filling.column) : -1;
        if (at < 0)
          throw new DialectError(`Only children of repeated rows are pointed to the one that is kept, by ${filling.column}.`);
        return own.kept(at);
      }
    }
  }

  function unfilled({ rows, change }: SetAside): readonly string[] {
    const empty = (change.kind === 'fill' ? change.columns : []).flatMap(({ with: filling }) => {
      if (filling.kind === 'column') return [isNull(`child.${quote(filling.column)}`)];
      return filling.kind === 'parent' ? [isNull(parentValue(filling))] : [];
    });
    return [`where (${conditionOf(rows)})`, `  and (${empty.join(' or ')})`];
  }

  const matching = (columns: readonly string[], left: string, right: string): string =>
    columns.map((c) => `${left}.${quote(c)} = ${right}.${quote(c)}`).join(' and ');

  return { conditionOf, valueOf, unfilled, matching };
}

/** A list on one line while it is short, else an item a line. */
export function listed(items: readonly string[], indent = 2): string {
  const line = items.join(', ');
  return line.length <= 60 ? line : `\n${items.map((item) => ' '.repeat(indent) + item).join(',\n')}`;
}
