import { tableId } from '../../catalogue/identifiers';
import { sentinels } from '../../evidence/claims';
import { findFact, type How, howInWords, profileOf, rowsLine, sampleOf } from '../../evidence/evidence';
import type { ViolationsRequest } from '../../evidence/requests';
import type { Column, Table } from '../../catalogue/model';
import { namesAMeasure } from '../../naming/meaning';
import { counted, spoken } from '../../naming/words';
import { referencesFrom } from '../../evidence/references/weigh';
import { amountOf, type Audit, defineRule } from '../rule';

interface Facts {
  readonly rows: number;
  readonly nulls: number;
  readonly blanks: number;
  /** Values that stand for "none", with the rows that carry any of them. */
  readonly sentinels: readonly string[];
  readonly sentinelRows: number;
  readonly how: How;
}

/** Blanks, and values such as N/A or 9999-12-31, that say what null would. */
export const blankForNull = defineRule<Facts>({
  id: 'nullability/blank-for-null',
  concern: 'Nullability',
  about: 'Blank texts, and values such as N/A or 9999-12-31, in place of null.',
  alsoReads: { values: 'Values such as N/A or 9999-12-31 in place of null.' },
  *asks(audit) {
    for (const table of audit.tables) for (const { request } of suspects(audit, table)) yield request;
  },
  *check(audit) {
    for (const table of audit.tables) {
      const profile = profileOf(audit.evidence, table.id);
      if (!profile) continue;
      const standIns = new Map(suspects(audit, table).map((suspect) => [suspect.column.name, suspect]));
      for (const column of table.columns) {
        const seen = profile.result.columns[column.name];
        const suspect = standIns.get(column.name);
        const counts = suspect ? findFact(audit.evidence, suspect.request) : null;
        const blanks = seen?.blanks ?? 0;
        const sentinelRows = counts?.result.broken ?? 0;
        if (!seen || blanks + sentinelRows === 0) continue;
        yield {
          table: table.id,
          columns: [column.name],
          severity: blanks + sentinelRows >= 100 ? 'Moderate' : 'Minor',
          confidence: blanks > 0 ? 0.9 : 0.7,
          facts: {
            rows: profile.result.rows,
            nulls: seen.nulls,
            blanks,
            sentinels: sentinelRows > 0 ? (suspect?.values ?? []) : [],
            sentinelRows,
            how: profile.how,
          },
          proposal: {
            kind: 'standIns',
            columns: [column.name],
            claims: [
              ...(blanks > 0 ? [{ kind: 'notBlank', column: column.name } as const] : []),
              ...(sentinelRows > 0 ? [{ kind: 'noneOf', column: column.name, values: suspect?.values ?? [] } as const] : []),
            ],
          },
        };
      }
    }
  },

  rows: ({ blanks, sentinels: values }, { schema, table, columns: [column = ''] }) =>
    blanks > 0
      ? { kind: 'blanks', table: tableId(schema, table), column }
      : { kind: 'breaking', table: tableId(schema, table), claim: { kind: 'noneOf', column, values } },

  words({ rows, nulls, blanks, sentinels: values, sentinelRows, how }, { table, columns }) {
    const name = columns.join(', ');
    const parts = [
      ...(blanks > 0 ? [`${counted(blanks, 'row')} blank`] : []),
      ...(sentinelRows > 0 ? [`${counted(sentinelRows, 'row')} with ${values.join(' or ')}`] : []),
    ];
    return {
      title: blanks > 0 ? 'Blank stands for empty' : 'A value stands for empty',
      message: `${name} of ${table} says "none" in ${nulls > 0 ? 'several ways' : 'a way of its own'}: ${[...parts, ...(nulls > 0 ? [`${counted(nulls, 'row')} null`] : [])].join(', ')}${how.kind === 'exact' ? '' : ` (${howInWords(how)})`}.`,
      consequence: `NOT NULL, counts and comparisons take these for a ${spoken(name)}, and every query has to know better.`,
      ...amountOf(blanks + sentinelRows, 'row'),
      evidence: [
        rowsLine(rows, how),
        ...(blanks > 0 ? [{ label: 'blank', text: counted(blanks, 'row'), harm: true }] : []),
        ...(sentinelRows > 0 ? [{ label: values.join(', '), text: counted(sentinelRows, 'row'), harm: true }] : []),
        { label: 'null', text: nulls === 0 ? 'none' : counted(nulls, 'row') },
      ],
      reasons: [blanks > 0 ? 'a blank text is no value' : 'such values are known to stand for "none"'],
      advice: 'Turn them into null, and keep blanks out by a check.',
    };
  },
});

interface Suspect {
  readonly column: Column;
  readonly values: readonly string[];
  readonly request: ViolationsRequest;
}

// Only values that a sample shows are counted, and numbers only where they stick out.
function suspects({ evidence, references }: Audit, table: Table): readonly Suspect[] {
  const sample = sampleOf(evidence, table.id)?.result;
  if (!sample) return [];
  const referring = new Set([
    ...referencesFrom(references, table.id)
      .filter((r) => r.confidence >= 0.5)
      .flatMap((r) => r.columns),
    ...table.constraints.filter((c) => c.kind === 'foreign key' || c.kind === 'primary key').flatMap((c) => c.columns),
  ]);
  return table.columns.flatMap((column): Suspect[] => {
    const seen = sample.columns[column.name];
    if (!seen || referring.has(column.name) || (seen.distinct ?? 0) < 4) return [];
    const values = seen.frequent.map(([value]) => value).filter((value) => standsForNone(column, value));
    if (values.length === 0) return [];
    return [
      {
        column,
        values,
        request: { kind: 'violations', table: table.id, claim: { kind: 'noneOf', column: column.name, values } },
      },
    ];
  });
}

function standsForNone(column: Column, value: string): boolean {
  if (column.family === 'text') return value !== '0' && (sentinels.text as readonly string[]).includes(value);
  if (column.family === 'date' || column.family === 'timestamp')
    return sentinels.moment.some((moment) => value.startsWith(moment));
  // Zero counts something; -1 and a row of nines do not, where nothing else is negative.
  return (
    column.family === 'integer' &&
    !namesAMeasure(column.name) &&
    value !== '0' &&
    (sentinels.number as readonly string[]).includes(value) &&
    value.startsWith('-')
  );
}
