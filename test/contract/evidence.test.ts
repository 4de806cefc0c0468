// What every engine has to answer to every request for evidence: the same as counting the rows one by one, whatever they
// hold and whatever the tables are called.

import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { tableId, tableNames } from '../../src/core/catalogue/identifiers';
import type { MeasureOptions } from '../../src/core/engines/questions';
import { breaks, type Claim, columnsOfClaim, formOf } from '../../src/core/evidence/claims';
import { type ExpressionPart, partsOf } from '../../src/core/evidence/expression';
import type { ColumnProfile, Fact, Probe, Profile } from '../../src/core/evidence/evidence';
import type { EvidenceRequest } from '../../src/core/evidence/requests';
import type { Sample, SampledColumn } from '../../src/core/evidence/sample';
import type { Source } from '../../src/sources/source';
import { enginesAtHand, type Live, liveEngine } from '../kit/live';

const schema = `the "port"; --`;
const [parent, child] = [tableId(schema, `be'rth.\\x`), tableId(schema, 'visit $1 {')] as const;
const code = `c"o'de`;

interface Child {
  readonly part: number | null;
  readonly code: string | null;
  readonly later: number | null;
  readonly gone: boolean | null;
  readonly share: number | null;
}
interface Parent {
  readonly part: number;
  readonly code: string;
}

const texts = fc.constantFrom(
  'a',
  'A',
  ' a',
  'b',
  "o'c",
  '',
  '  ',
  '\t',
  '7',
  '007',
  ' 7',
  '7 ',
  '-1.5',
  '2026-02-03',
  'N/A',
  'é',
  '%',
  '\\',
);
const numbers = fc.integer({ min: -2, max: 4 });
const children = fc.array(
  fc.record<Child>({
    part: fc.option(numbers),
    code: fc.option(texts),
    later: fc.option(numbers),
    gone: fc.option(fc.boolean()),
    share: fc.option(fc.constantFrom(0, 3, 0.5, -1.25, 12.125, 1e-7)),
  }),
  { maxLength: 25 },
);
const parents = fc.uniqueArray(fc.record<Parent>({ part: numbers, code: texts }), {
  maxLength: 12,
  selector: ({ part, code }) => `${part} ${code}`,
});

const claims: Readonly<Record<Claim['kind'], readonly Claim[]>> = {
  notNegative: [{ kind: 'notNegative', column: 'part' }],
  notBlank: [{ kind: 'notBlank', column: code }],
  ordered: [{ kind: 'ordered', first: 'part', second: 'later' }],
  noneOf: [{ kind: 'noneOf', column: code, values: ['N/A', "o'c", '\\'] }],
  oneOf: [{ kind: 'oneOf', column: code, values: ['a', 'A', '%', ''] }],
  between: [{ kind: 'between', column: 'part', least: '0', most: '2' }],
  like: [{ kind: 'like', column: code, pattern: '^[a-z]$' }],
  noLonger: [{ kind: 'noLonger', column: code, characters: 1 }],
  decimals: [0, 1, 2].map((most) => ({ kind: 'decimals', column: 'share', most })),
  inZone: [],
  condition: [
    'part >= 0 and later <= 3',
    `not (part is null or part between 1 and 2)`,
    'part + later * 2 - 1 in (1, 2, 3) or gone',
    'case when share > 0 then coalesce(part, -1) else abs(later) end <> 2',
  ].map((text) => ({ kind: 'condition', parts: partsOf(text, ['part', 'later', 'gone', 'share']) as readonly ExpressionPart[] })),
  ofForm: (['integer', 'decimal', 'date', 'timestamp', 'uuid', 'boolean'] as const).map((form) => ({
    kind: 'ofForm',
    column: code,
    form,
  })),
  asWritten: (['integer', 'date'] as const).map((form) => ({ kind: 'asWritten', column: code, form })),
};

const repeated = [['part'], [code], ['part', code]];
const requests: { readonly [K in EvidenceRequest['kind']]: readonly Extract<EvidenceRequest, { kind: K }>[] } = {
  profile: [{ kind: 'profile', table: child }],
  sample: [{ kind: 'sample', table: child }],
  repeats: [
    ...repeated.map((columns) => ({ kind: 'repeats', table: child, columns }) as const),
    ...repeated.map((columns) => ({ kind: 'repeats', table: child, columns, live: 'gone' }) as const),
    { kind: 'repeats', table: child, columns: [code], folded: true },
  ],
  inclusion: repeated.map((columns) => ({ kind: 'inclusion', table: child, columns, parent, parentColumns: columns })),
  probe: ['part', code].map((column) => ({
    kind: 'probe',
    table: child,
    column,
    parents: [
      { table: parent, column },
      { table: child, column },
    ],
  })),
  violations: Object.values(claims)
    .flat()
    .map((claim) => ({ kind: 'violations', table: child, claim })),
};

const ways: Readonly<Record<string, MeasureOptions>> = {
  'asked as usual': { depth: 'exact' },
  'asked at once, as in a script': { depth: 'exact', atOnce: true },
  'without values of rows': { depth: 'exact', atOnce: true, values: false },
};

for (const engine of enginesAtHand)
  describe(engine, () => {
    const live = liveEngine(engine).use('');
    let source: Source;
    beforeAll(async () => {
      await live.run(`create schema ${live.quoted(schema)}`);
      source = await live.open();
    });
    afterAll(() => source.close());

    describe.each(Object.entries(live.collations))('%s texts', (_, { clause, fold }) => {
      beforeAll(() => create(live, clause));

      test.each(Object.entries(ways))('%s, each request counts what is there', { timeout: 120_000 }, (_way, options) =>
        fc.assert(
          fc.asyncProperty(parents, children, async (above, below) => {
            const keys = apart(above, fold);
            await fill(live, keys, below);
            const catalogue = await source.readCatalogue();
            for (const asked of Object.values(requests)) {
              const facts = await source.measure(asked, catalogue, options);
              const expected = asked.map((request) =>
                isOfSpelling(request)
                  ? counted(request, keys, below)
                  : counted(foldedIn(request, fold), folded(keys, fold), folded(below, fold)),
              );
              expect(facts.map(told)).toEqual(expected);
            }
          }),
          { numRuns: 25, seed: 11 },
        ),
      );
    });
  });

/** Parents that do not repeat, as the server compares them. */
function apart(above: readonly Parent[], fold: (text: string) => string): readonly Parent[] {
  return [...new Map(above.map((row) => [`${row.part} ${fold(row.code)}`, row])).values()];
}

/** Rows with their texts such that those that count as equal are equal. */
function folded<R extends { readonly code: string | null }>(rows: readonly R[], fold: (text: string) => string): readonly R[] {
  return rows.map((row) => (row.code === null ? row : { ...row, code: fold(row.code) }));
}

/** Whether a claim is about the signs of a text, whatever it counts as equal to. */
function isOfSpelling(request: EvidenceRequest): boolean {
  return request.kind === 'violations' && !('values' in request.claim);
}

function foldedIn(request: EvidenceRequest, fold: (text: string) => string): EvidenceRequest {
  if (request.kind !== 'violations' || !('values' in request.claim)) return request;
  return { ...request, claim: { ...request.claim, values: request.claim.values.map(fold) } };
}

async function create({ run, quoted }: Live, clause: string): Promise<void> {
  const [name, ofParent, ofChild] = [quoted(code), tableIn(quoted, parent), tableIn(quoted, child)];
  await run(`drop table if exists ${ofParent}`);
  await run(`drop table if exists ${ofChild}`);
  await run(`create table ${ofParent} (part int not null, ${name} varchar(20) ${clause} not null)`);
  await run(
    `create table ${ofChild} (id int primary key, part int, ${name} varchar(20) ${clause}, later int, gone boolean, share double precision)`,
  );
}

async function fill({ run, quoted }: Live, above: readonly Parent[], below: readonly Child[]): Promise<void> {
  const [ofParent, ofChild] = [tableIn(quoted, parent), tableIn(quoted, child)];
  await run(`delete from ${ofParent}`);
  await run(`delete from ${ofChild}`);
  for (const row of above) await run(`insert into ${ofParent} values (${row.part}, ${literal(row.code)})`);
  for (const [id, row] of below.entries())
    await run(
      `insert into ${ofChild} values (${id}, ${row.part}, ${literal(row.code)}, ${row.later}, ${row.gone}, ${row.share})`,
    );
}

function tableIn(quoted: Live['quoted'], table: typeof parent): string {
  return `${quoted(schema)}.${quoted(tableNames(table).table)}`;
}

const literal = (text: string | null): string => (text === null ? 'null' : `'${text.replaceAll("'", "''")}'`);

/** Of a fact what can be counted by hand. */
function told(fact: Fact): unknown {
  if ('notMeasured' in fact) return fact.notMeasured;
  const { request, result } = fact;
  if (request.kind === 'probe') {
    const { tested, missing } = result as Probe;
    // How many values are looked up is told by their spelling or by what they count as.
    return { tested: tested > 0, missing: missing.map((share) => share > 0) };
  }
  if (request.kind !== 'profile' && request.kind !== 'sample') return result;
  const { rows, columns } = result as Profile | Sample;
  const seen = Object.entries(columns).map(([name, column]: [string, ColumnProfile | SampledColumn]) => [
    name,
    'filled' in column
      ? { nulls: column.nulls, filled: column.filled, distinct: column.distinct }
      : { nulls: column.nulls, blanks: column.blanks },
  ]);
  return { rows, columns: Object.fromEntries(seen) as unknown };
}

/** The same, counted row by row. */
function counted(request: EvidenceRequest, above: readonly Parent[], below: readonly Child[]): unknown {
  const rows = below.map(({ code: text, ...others }, id): Row => ({ id, ...others, [code]: text }));
  const keys = above.map(({ code: text, part }): Row => ({ part, [code]: text }));
  switch (request.kind) {
    case 'profile':
      return byColumn(rows, (values, isText) => ({
        nulls: values.length - filled(values).length,
        blanks: isText ? filled(values).filter(isBlank).length : null,
      }));
    case 'sample':
      return byColumn(rows, (values) => ({
        nulls: values.length - filled(values).length,
        filled: filled(values).filter((value) => !isBlank(value)).length,
        distinct: new Set(filled(values)).size,
      }));
    case 'repeats':
      return repeatsIn(
        rows.filter(({ gone }) => request.live === undefined || gone !== true),
        (row) => tuple(row, request.columns, request.folded === true),
      );
    case 'inclusion': {
      const known = new Set(keys.map((key) => tuple(key, request.parentColumns)));
      const tuples = rows.map((row) => tuple(row, request.columns));
      const orphans = filled(tuples).filter((value) => !known.has(value));
      const nullRows = tuples.length - filled(tuples).length;
      return { rows: rows.length, nullRows, orphanRows: orphans.length, orphanValues: new Set(orphans).size };
    }
    case 'probe': {
      const values = new Set(filled(rows.map((row) => tuple(row, [request.column]))));
      const missing = request.parents.map(({ table, column }) => {
        const known = new Set((table === parent ? keys : rows).map((row) => tuple(row, [column])));
        return values.size === 0 || [...values].some((value) => !known.has(value));
      });
      return { tested: values.size > 0, missing };
    }
    case 'violations': {
      const { claim } = request;
      const spokenOf = rows.filter(
        (row) =>
          claim.kind === 'condition' ||
          (tuple(row, columnsOfClaim(claim)) !== null && !(claim.kind === 'ofForm' && isBlank(row[code]))),
      );
      return { rows: spokenOf.length, broken: spokenOf.filter((row) => isBroken(claim, row)).length };
    }
  }
}

type Row = Readonly<Record<string, string | number | boolean | null>>;

const filled = <T>(values: readonly (T | null)[]): readonly T[] => values.filter((value): value is T => value !== null);
const isBlank = (value: unknown): boolean => typeof value === 'string' && value.trim() === '';
const formed = (claim: Claim, text: string): string => (claim.kind === 'ofForm' ? text.trim() : text);

function isBroken(claim: Claim, row: Row): boolean {
  if (claim.kind === 'condition') return isFalse(claim, row);
  if (claim.kind === 'ordered') return Number(row[claim.first]) > Number(row[claim.second]);
  const text = String(row[claim.column]);
  switch (claim.kind) {
    case 'like':
      return !new RegExp(claim.pattern).test(text);
    case 'asWritten':
      return formOf(text.trim()) === claim.form && text !== (claim.form === 'integer' ? String(Number(text)) : text.trim());
    default:
      return breaks(claim, formed(claim, text));
  }
}

type Known = number | boolean | null;

/** Each condition of those above, in three values. */
function isFalse(claim: Claim, { part, later, gone, share }: Row): boolean {
  const and = (a: Known, b: Known): Known => (a === false || b === false ? false : a === null || b === null ? null : true);
  const or = (a: Known, b: Known): Known => (a === true || b === true ? true : a === null || b === null ? null : false);
  const compared = (a: Row[string] | undefined, test: (n: number) => boolean): Known => (a === null ? null : test(Number(a)));
  const counts = part === null || later === null ? null : Number(part) + Number(later) * 2 - 1;
  const chosen = share !== null && Number(share) > 0 ? (part ?? -1) : later === null ? null : Math.abs(Number(later));
  const values: readonly Known[] = [
    and(
      compared(part, (n) => n >= 0),
      compared(later, (n) => n <= 3),
    ),
    part === null ? false : !(Number(part) >= 1 && Number(part) <= 2),
    or(
      compared(counts, (n) => [1, 2, 3].includes(n)),
      gone as Known,
    ),
    compared(chosen, (n) => n !== 2),
  ];
  return values[claims.condition.indexOf(claim)] === false;
}

function byColumn(rows: readonly Row[], of: (values: Row[string][], isText: boolean) => unknown): unknown {
  const names = ['id', 'part', code, 'later', 'gone', 'share'];
  return {
    rows: rows.length,
    columns: Object.fromEntries(
      names.map((name) => [
        name,
        of(
          rows.map((row) => row[name] ?? null),
          name === code,
        ),
      ]),
    ),
  };
}

function tuple(row: Row, columns: readonly string[], folded = false): string | null {
  const values = columns.map((column) => row[column] ?? null);
  if (values.includes(null)) return null;
  return JSON.stringify(
    folded
      ? values.map((value) =>
          String(value)
            .replace(/^ +| +$/g, '')
            .toLowerCase(),
        )
      : values,
  );
}

function repeatsIn(rows: readonly Row[], tupleOf: (row: Row) => string | null): unknown {
  const times = new Map<string, number>();
  const values = filled(rows.map(tupleOf));
  for (const value of values) times.set(value, (times.get(value) ?? 0) + 1);
  const repeatedTimes = [...times.values()].filter((n) => n > 1);
  return {
    rows: rows.length,
    nullRows: rows.length - values.length,
    surplus: values.length - times.size,
    repeatedValues: repeatedTimes.length,
    repeatedRows: repeatedTimes.reduce((sum, n) => sum + n, 0),
  };
}
