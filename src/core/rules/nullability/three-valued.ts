import { tableId } from '../../catalogue/identifiers';
import { type How, howInWords, profileOf, rowsLine, sampleOf } from '../../evidence/evidence';
import { wordsOf } from '../../naming/words';
import { counted } from '../../naming/words';
import { amountOf, defineRule } from '../rule';

interface Facts {
  readonly type: string;
  readonly rows: number;
  readonly nulls: number;
  readonly how: How;
}

/** A yes-or-no, or a status, that is sometimes neither and has no default. */
export const threeValued = defineRule<Facts>({
  id: 'nullability/three-valued',
  concern: 'Nullability',
  about: 'A boolean or a status that may be null, is so in some rows, and has no default.',
  *check({ evidence, tables }) {
    for (const table of tables) {
      const profile = profileOf(evidence, table.id);
      if (!profile) continue;
      for (const column of table.columns) {
        const nulls = profile.result.columns[column.name]?.nulls ?? 0;
        const isStatus = column.family === 'text' && ['status', 'state'].includes(wordsOf(column.name).at(-1) ?? '');
        const few = (sampleOf(evidence, table.id)?.result.columns[column.name]?.distinct ?? 99) <= 12;
        if (!column.nullable || column.default !== null || nulls === 0 || nulls === profile.result.rows) continue;
        if (column.family !== 'boolean' && !(isStatus && few)) continue;
        yield {
          table: table.id,
          columns: [column.name],
          severity: 'Minor',
          confidence: column.family === 'boolean' ? 0.8 : 0.65,
          facts: { type: column.declaredType, rows: profile.result.rows, nulls, how: profile.how },
          proposal: { kind: 'nulls', columns: [column.name], rows: nulls },
        };
      }
    }
  },

  rows: (_, { schema, table, columns: [column = ''] }) => ({ kind: 'nulls', table: tableId(schema, table), column }),

  words({ type, rows, nulls, how }, { table, columns }) {
    const name = columns.join(', ');
    const isBoolean = type === 'boolean';
    return {
      title: isBoolean ? 'Yes, no, or neither' : 'Status may be missing',
      message: `${name} of ${table} is ${isBoolean ? 'neither true nor false' : 'without a value'} in ${counted(nulls, 'row')}${how.kind === 'exact' ? '' : ` (${howInWords(how)})`}, and has no default.`,
      consequence: isBoolean
        ? `WHERE ${name} and WHERE NOT ${name} both leave these rows out, and together do not make the table.`
        : `Every list by ${name} leaves these rows out.`,
      ...amountOf(nulls, 'null'),
      evidence: [rowsLine(rows, how), { label: 'neither', text: counted(nulls, 'row'), harm: true }],
      reasons: [isBoolean ? 'a boolean with nulls has three values' : 'a status is something that is always in some state'],
      advice: 'Decide what the missing ones are, and make it NOT NULL; asked for on its table, it gets a default.',
    };
  },
});
