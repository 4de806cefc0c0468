import type { Column, Table } from '../../catalogue/model';
import { findFact } from '../../evidence/evidence';
import type { ViolationsRequest } from '../../evidence/requests';
import { speaksOfMoney } from '../../naming/meaning';
import { defineRule } from '../rule';

interface Facts {
  readonly type: string;
}

/** Money kept in a binary fraction. Measures that are no money are left alone. */
export const moneyInFloat = defineRule<Facts>({
  id: 'values/money-in-float',
  concern: 'Values',
  about: 'An amount of money in a floating-point type.',
  *asks({ tables }) {
    for (const table of tables) for (const column of suspects(table)) yield requestFor(table, column);
  },
  *check({ tables, evidence }) {
    for (const table of tables) {
      for (const column of suspects(table)) {
        const fact = findFact(evidence, requestFor(table, column));
        yield {
          table: table.id,
          columns: [column.name],
          severity: 'Serious',
          confidence: 0.9,
          facts: { type: column.declaredType },
          proposal: { kind: 'retype', columns: [column.name], to: 'exact', otherwise: fact?.result.broken ?? null },
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

function suspects({ columns }: Table): readonly Column[] {
  return columns.filter(({ family, name }) => family === 'float' && speaksOfMoney(name));
}

/** Amounts that the decimals of most currencies do not hold. */
function requestFor(table: Table, { name }: Column): ViolationsRequest {
  return { kind: 'violations', table: table.id, claim: { kind: 'decimals', column: name, most: 2 } };
}
