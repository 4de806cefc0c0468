import { tableId } from '../../catalogue/identifiers';
import type { Column, Table } from '../../catalogue/model';
import { factsOf } from '../../engines/facts';
import { type Form, forms } from '../../evidence/claims';
import { findFact, type How, howInWords, rowsLine, sampleOf } from '../../evidence/evidence';
import type { ViolationsRequest } from '../../evidence/requests';
import { namesAnIdentifier } from '../../naming/meaning';
import { counted, withArticle } from '../../naming/words';
import { referencesFrom } from '../../evidence/references/weigh';
import { byHand } from '../../remedies/by-hand';
import { type Audit, defineRule } from '../rule';

interface Facts {
  readonly form: Form;
  readonly rows: number;
  readonly broken: number;
  readonly how: How;
}

const typeOf: Readonly<Record<Form, string>> = {
  integer: 'integer',
  decimal: 'numeric',
  date: 'date',
  timestamp: 'timestamp with time zone',
  uuid: 'uuid',
  boolean: 'boolean',
};
const fewestRows = 50;
const leastShare = 0.98;

/** Text that is all dates, numbers or the like. Digits that identify (phone numbers, codes with zeros before them) are left alone. */
export const textForType = defineRule<Facts>({
  id: 'values/text-for-type',
  concern: 'Values',
  about: 'A text that holds dates, numbers, UUIDs or truth values throughout.',
  rests: ['values'],
  *asks(audit) {
    for (const table of audit.tables)
      for (const { column, form } of suspects(audit, table))
        yield* [requestFor(table, column, form), writtenSo(table, column, form)];
  },
  *check(audit) {
    const { typeFor } = factsOf(audit.catalogue).types;
    for (const table of audit.tables) {
      for (const { column, form } of suspects(audit, table)) {
        const fact = findFact(audit.evidence, requestFor(table, column, form));
        if (!fact || fact.result.rows < fewestRows || fact.result.broken > fact.result.rows * (1 - leastShare)) continue;
        const { rows, broken } = fact.result;
        yield {
          table: table.id,
          columns: [column.name],
          severity: broken > 0 ? 'Serious' : 'Moderate',
          confidence: form === 'integer' ? 0.7 : 0.9,
          facts: { form, rows, broken, how: fact.how },
          proposal: typeFor(form)
            ? {
                ...{ kind: 'retype', columns: [column.name], to: 'form', form, against: broken },
                otherwise: otherwise(audit, table, column, form),
              }
            : byHand([column.name]),
        };
      }
    }
  },

  rows: ({ form, broken }, { schema, table, columns: [column = ''] }) =>
    broken > 0 ? { kind: 'breaking', table: tableId(schema, table), claim: { kind: 'ofForm', column, form } } : null,

  words({ form, rows, broken, how }, { table, columns }) {
    const name = columns.join(', ');
    const exactly = how.kind === 'exact' ? '' : ` (${howInWords(how)})`;
    return {
      title: `Text in place of ${form}`,
      message:
        broken > 0
          ? `${name} of ${table} is text that is ${withArticle(form)} in all but ${counted(broken, 'row')} of ${counted(rows, 'row')}${exactly}.`
          : `${name} of ${table} is text, yet every one of its ${counted(rows, 'value')} is ${withArticle(form)}${exactly}.`,
      consequence: 'It sorts and compares as text, takes more room, and lets in what is none.',
      measured: broken > 0 ? `${counted(broken, 'row')} not` : `all ${form}s`,
      amount: broken,
      evidence: [
        rowsLine(rows, how),
        { label: `no ${form}`, text: broken === 0 ? 'none' : counted(broken, 'row'), harm: broken > 0 },
      ],
      reasons: [`the values have the form of ${withArticle(form)}`],
      ...(broken > 0 && { because: 'What does not fit is in the data already.' }),
      noScript: 'no type of this server holds it as it is written, so a program that writes it has to change first.',
      advice: `${broken > 0 ? 'Mend those that do not fit, then change' : 'Change'} the type to ${typeOf[form]} in a change window: it rewrites the table.`,
    };
  },
});

function suspects(
  { evidence, references, ahead }: Audit,
  table: Table,
): readonly { readonly column: Column; readonly form: Form }[] {
  const sample = sampleOf(evidence, table.id);
  if (!sample || sample.how.kind === 'statistics') return [];
  const referring = new Set([
    ...table.constraints.filter((c) => c.kind !== 'check').flatMap((c) => c.columns),
    ...(ahead ? [] : referencesFrom(references, table.id)).filter((r) => r.confidence >= 0.4).flatMap((r) => r.columns),
  ]);
  return table.columns.flatMap((column) => {
    const seen = sample.result.columns[column.name];
    if (column.family !== 'text' || !seen || seen.filled < fewestRows || (seen.distinct ?? 0) < 3 || referring.has(column.name))
      return [];
    const form = forms.find((f) => (seen.forms[f] ?? 0) >= seen.filled * leastShare);
    if (!form || (form === 'integer' && !countsSomething(column, seen.frequent))) return [];
    return [{ column, form }];
  });
}

const digitsThatIdentify = /phone|fax|zip|postal|postcode|version|code|mobile/i;

// Digits are a number only where nobody writes zeros before them and the name does not identify.
function countsSomething(column: Column, frequent: readonly (readonly [string, number])[]): boolean {
  return (
    !namesAnIdentifier(column.name) && !digitsThatIdentify.test(column.name) && !frequent.some(([value]) => /^0\d/.test(value))
  );
}

function requestFor(table: Table, column: Column, form: Form): ViolationsRequest {
  return { kind: 'violations', table: table.id, claim: { kind: 'ofForm', column: column.name, form } };
}

function writtenSo(table: Table, column: Column, form: Form): ViolationsRequest {
  return { kind: 'violations', table: table.id, claim: { kind: 'asWritten', column: column.name, form } };
}

/** Rows that the type would write otherwise than they are; null when nobody has counted. */
function otherwise({ evidence }: Audit, table: Table, column: Column, form: Form): number | null {
  return findFact(evidence, writtenSo(table, column, form))?.result.broken ?? null;
}
