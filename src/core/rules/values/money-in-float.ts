import { speaksOfMoney } from '../../naming/meaning';
import { byHand } from '../../remedies/by-hand';
import { defineRule } from '../rule';

interface Facts {
  readonly type: string;
}

/** Money kept in a binary fraction. Measures that are no money are left alone. */
export const moneyInFloat = defineRule<Facts>({
  id: 'values/money-in-float',
  concern: 'Values',
  about: 'An amount of money in a floating-point type.',
  *check({ tables }) {
    for (const table of tables) {
      for (const column of table.columns) {
        if (column.family !== 'float' || !speaksOfMoney(column.name)) continue;
        yield {
          table: table.id,
          columns: [column.name],
          severity: 'Serious',
          confidence: 0.9,
          facts: { type: column.declaredType },
          proposal: byHand([column.name]),
        };
      }
    }
  },

  words({ type }, { table, columns }) {
    return {
      title: 'Money in a float',
      message: `${columns.join(', ')} of ${table} keeps an amount of money as ${type}, which cannot hold most decimal fractions exactly.`,
      consequence: 'Sums are off by a cent here and there, and two ways to the same total do not agree.',
      measured: type,
      evidence: [{ label: 'type', text: type }],
      reasons: ['its name speaks of money'],
      advice: 'Change the type to numeric with the decimals that the currency has; compare totals before and after.',
    };
  },
});
