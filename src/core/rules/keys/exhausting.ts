import { columnId } from '../../catalogue/identifiers';
import { findSequence, primaryKeyOf } from '../../catalogue/lookups';
import type { Catalogue, Column, Table } from '../../catalogue/model';
import { factsOf } from '../../engines/facts';
import { type Evidence, profileOf } from '../../evidence/evidence';
import { byHand } from '../../remedies/by-hand';
import { defineRule } from '../rule';
import type { Severity } from '../finding';

interface Facts {
  readonly last: number;
  readonly most: number;
  readonly limitedBy: string;
  /** Day on which it is used up at the rate seen between two surveys, ISO 8601; null when no rate is known. */
  readonly fullOn: string | null;
}

const dayMs = 86_400_000;

/** A key whose type or sequence is nearly used up, with the day it will be at the present rate. */
export const exhaustingKey = defineRule<Facts, 'percent'>({
  id: 'keys/exhausting',
  concern: 'Keys',
  about: 'A key whose type or sequence is nearly used up.',
  thresholds: { percent: { value: 70, words: 'Least share used, in percent' } },
  *check({ catalogue, evidence, tables, at, earlier }, limits) {
    for (const table of tables) {
      for (const name of primaryKeyOf(table)?.columns ?? []) {
        const column = table.columns.find((c) => c.name === name);
        const range = column && rangeOf(catalogue, table, column);
        const last = column && lastOf(catalogue, evidence, table, column);
        if (!range || last === null || last === undefined || last * 100 < range.most * limits.percent) continue;
        const before = earlier && column ? lastOf(earlier.catalogue, earlier.evidence, table, column) : null;
        yield {
          table: table.id,
          columns: [name],
          severity: severityOf(last / range.most),
          confidence: 1,
          facts: {
            last,
            most: range.most,
            limitedBy: range.by,
            fullOn: earlier ? fullOn({ last, before, most: range.most }, earlier.at, at) : null,
          },
          proposal: range.widens
            ? { kind: 'retype', columns: [name], to: 'wider', was: column?.declaredType ?? '' }
            : byHand([name]),
        };
      }
    }
  },

  words({ last, most, limitedBy, fullOn }, { table, columns }) {
    const share = Math.floor((100 * last) / most);
    const name = columns.join(', ');
    return {
      title: 'Key nearly used up',
      message: `${name} of ${table} has reached ${last.toLocaleString('en-GB')}, ${share} % of what ${limitedBy} can hold${fullOn ? `; at the present rate it is full on ${fullOn.slice(0, 10)}` : ''}.`,
      consequence:
        'When it is full every insert fails, and widening a key on that day locks the table and all its children for as long as they are rewritten.',
      measured: `${share} % used`,
      amount: share,
      evidence: [
        { label: 'last', text: last.toLocaleString('en-GB'), harm: share >= 90 },
        { label: 'most', text: `${most.toLocaleString('en-GB')}, by ${limitedBy}` },
        {
          label: 'full on',
          text: last >= most ? 'it is full' : fullOn ? fullOn.slice(0, 10) : 'not known: it takes two surveys to see a rate',
          harm: last >= most,
        },
      ],
      reasons: ['read from the catalogue and the largest value'],
      advice: 'Widen it, its children first, while there is time to do it without a hurry.',
      noScript: 'where a sequence has an end of its own, somebody has set it.',
    };
  },
});

interface Range {
  readonly most: number;
  readonly by: string;
  /** Whether a type of more bytes ends it. */
  readonly widens: boolean;
}

function rangeOf(catalogue: Catalogue, table: Table, column: Column): Range | null {
  const { largest, wider } = factsOf(catalogue).types;
  const byType = largest(column);
  if (byType === null) return null;
  const sequence = sequenceOf(catalogue, table, column);
  // One that counts down ends elsewhere.
  const ends = sequence && !sequence.cycles && !sequence.increment.startsWith('-');
  const bySequence = ends ? Number(sequence.maximum) : Infinity;
  const widens = wider(column).length > 0;
  return bySequence < byType
    ? { most: bySequence, by: `the sequence ${sequence?.name}`, widens: false }
    : { most: byType, by: `the type ${column.declaredType}`, widens };
}

function lastOf(catalogue: Catalogue, evidence: Evidence, table: Table, column: Column): number | null {
  const largestValue = profileOf(evidence, table.id)?.result.columns[column.name]?.max ?? null;
  const sequence = sequenceOf(catalogue, table, column)?.last ?? null;
  const next = column.next === undefined ? null : String(Number(column.next) - 1);
  const known = [largestValue, sequence, next].filter((value) => value !== null).map(Number);
  return known.length === 0 ? null : Math.max(...known);
}

function sequenceOf(catalogue: Catalogue, table: Table, column: Column) {
  return findSequence(catalogue, columnId(table.id, column.name));
}

interface Filling {
  readonly last: number;
  readonly before: number | null;
  readonly most: number;
}

function fullOn({ last, before, most }: Filling, from: string, to: string): string | null {
  const elapsed = Date.parse(to) - Date.parse(from);
  if (before === null || !(elapsed > 0) || last <= before) return null;
  const days = ((most - last) / (last - before)) * (elapsed / dayMs);
  return days > 36_500 ? null : new Date(Date.parse(to) + days * dayMs).toISOString();
}

function severityOf(share: number): Severity {
  if (share >= 0.9) return 'Critical';
  return share >= 0.8 ? 'Serious' : 'Moderate';
}
