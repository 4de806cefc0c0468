// The questions of each engine, byte for byte: what was asked yesterday is asked today. Answers are made up; a question that goes on
// after them asks what it would. `npx vitest run test/golden -u` writes them anew, and the difference is read before it is committed.

import { createHash } from 'node:crypto';
import { describe, expect, test } from 'vitest';
import { baseTables, declaredUniques, foreignKeysOf, getTable } from '../../src/core/catalogue/lookups';
import type { TableId } from '../../src/core/catalogue/identifiers';
import type { Catalogue, Table } from '../../src/core/catalogue/model';
import { engineNamed } from '../../src/core/engines/index';
import { engineNames } from '../../src/core/engines/name';
import type { Answered, Asking, Query, Row } from '../../src/core/engines/questions';
import { type Claim, forms, keyOfClaim } from '../../src/core/evidence/claims';
import { type EvidenceRequest, keyOf, probeRequestOf } from '../../src/core/evidence/requests';
import type { RowsQuestion } from '../../src/core/evidence/rows';
import { reachReferences } from '../../src/core/plan/reach';
import { scriptFor } from '../../src/sources/files/asking';
import { surveyByFiles } from '../../src/sources/files/survey';
import { keptSurvey } from './kept';

/** What a question asks, each time it is handed answers: a row of ones for each query, or what is said instead. */
function asked(asking: Asking<unknown>, answers = (_: Query): readonly Row[] | null => null): readonly Query[] {
  const queries: Query[] = [];
  let next = asking.next();
  while (next.done !== true && queries.length < 40) {
    queries.push(...next.value);
    next = goOn(asking, next.value, answers);
  }
  return queries;
}

// What is made up may be nothing that a server would answer.
function goOn(
  asking: Asking<unknown>,
  queries: readonly Query[],
  answers: (query: Query) => readonly Row[] | null,
): IteratorResult<readonly Query[], unknown> {
  try {
    return asking.next(
      queries.map((query): Answered => {
        const rows = answers(query) ?? [Array.from({ length: query.columns }, () => '1')];
        rows.forEach((row) => query.each?.(row));
        return { rows: query.each ? [] : rows, names: Array.from({ length: query.columns }, (_, i) => `c${i + 1}`) };
      }),
    );
  } catch {
    return { done: true, value: null };
  }
}

function told({ text, values, columns, givesData }: Query): string {
  const more = [...(values ? [`values ${JSON.stringify(values)}`] : []), `columns ${columns}`, ...(givesData ? ['data'] : [])];
  return `${text.trim()}\n-- ${more.join(', ')}\n`;
}

function requestsOf(catalogue: Catalogue): readonly EvidenceRequest[] {
  return baseTables(catalogue).flatMap((table): readonly EvidenceRequest[] => [
    { kind: 'profile', table: table.id },
    { kind: 'sample', table: table.id },
    ...declaredUniques(table).flatMap((columns): readonly EvidenceRequest[] => [
      { kind: 'repeats', table: table.id, columns },
      { kind: 'repeats', table: table.id, columns, folded: true },
    ]),
    ...foreignKeysOf(table).flatMap(({ columns, parent, parentColumns }): readonly EvidenceRequest[] => [
      { kind: 'inclusion', table: table.id, columns, parent, parentColumns },
      ...(columns[0] !== undefined && parentColumns[0] !== undefined
        ? [probeRequestOf(table.id, columns[0], [{ table: parent, column: parentColumns[0] }])]
        : []),
    ]),
    ...claimsOf(table).map((claim) => ({ kind: 'violations', table: table.id, claim }) as const),
  ]);
}

function claimsOf({ columns }: Table): readonly Claim[] {
  const [first, second] = columns.map(({ name }) => name);
  if (first === undefined || second === undefined) return [];
  return [
    ...forms.map((form) => ({ kind: 'ofForm', column: second, form }) as const),
    { kind: 'notNegative', column: first },
    { kind: 'notBlank', column: second },
    { kind: 'ordered', first, second },
    { kind: 'noneOf', column: second, values: ["o'clock", '\\', ''] },
    { kind: 'oneOf', column: second, values: ['1', '2'] },
  ];
}

function rowsOf(catalogue: Catalogue): readonly RowsQuestion[] {
  const child = baseTables(catalogue).find((table) => foreignKeysOf(table).length > 0);
  const key = child && foreignKeysOf(child)[0];
  if (!child || !key) return [];
  const { columns, parent, parentColumns } = key;
  const column = columns[0] ?? '';
  const table = child.id;
  return [
    { kind: 'orphans', table, columns, parent, parentColumns },
    { kind: 'repeats', table, columns },
    { kind: 'repeats', table, columns, folded: true },
    { kind: 'values', table, column },
    { kind: 'nulls', table, column },
    { kind: 'blanks', table, column },
    ...claimsOf(child).map((claim) => ({ kind: 'breaking', table, claim }) as const),
    { kind: 'rows', table, columns: [] },
    { kind: 'having', table, columns, values: columns.map(() => "o'clock") },
    { kind: 'howMany', table, columns, values: columns.map(() => '1'), most: 10 },
  ];
}

describe.each(engineNames)('%s', (engine) => {
  const { questions } = engineNamed(engine);

  test('measures as ever', async () => {
    const { catalogue } = await keptSurvey(engine);
    const byKind = new Map<string, string[]>();
    const byTable = new Map<string, string[]>();
    for (const request of requestsOf(catalogue)) {
      for (const depth of ['sampled', 'exact'] as const) {
        for (const values of [true, false]) {
          const queries = asked(questions.measure([request], catalogue, { depth, ...(!values && { values, atOnce: true }) }));
          const text = queries.map(told).join('\n');
          const title = `${keyOf(request)}, ${depth}${values ? '' : ', by files'}`;
          byTable.set(request.table, [...(byTable.get(request.table) ?? []), title, text]);
          const kind = request.kind === 'violations' ? `violations ${request.claim.kind}` : request.kind;
          const shown = byKind.get(kind) ?? [];
          byKind.set(kind, shown);
          if (shown.length < 8) shown.push(`-- ── ${title}\n${text}`);
        }
      }
    }
    expect([...byTable.values()].flat().length).toBeGreaterThan(1000);
    const digests = [...byTable].map(
      ([table, texts]) => `${table} ${createHash('sha256').update(texts.join('\n')).digest('hex')}\n`,
    );
    await expect([...byKind.values()].flat().join('\n')).toMatchFileSnapshot(`${engine}/questions/measure.sql`);
    await expect(digests.join('')).toMatchFileSnapshot(`${engine}/questions/measure.txt`);
  });

  test('prints what is open as ever', async () => {
    const { catalogue } = await keptSurvey(engine);
    const database = 'slipway';
    const first = await surveyByFiles({ asked: { engine, rows: false, database }, rounds: 0, answers: new Map() }, {});
    if (!('asked' in first)) throw new Error('It asked nothing');
    // A client that has no loops is told the same a thousand times.
    const once = first.asked.text.replaceAll(/^(set @pawl_at = )[1-9]\d*(;.*)\n/gm, '');
    const [table] = baseTables(catalogue);
    const [query] = asked(
      questions.measure([{ kind: 'profile', table: table?.id as TableId }], catalogue, { depth: 'exact', atOnce: true }),
    );
    const { text } = scriptFor(engine, 2, query ? [query] : []);
    await expect(`${once}\n${text}`).toMatchFileSnapshot(`${engine}/questions/printed.sql`);
  });

  test('asks of rows as ever', async () => {
    const { catalogue } = await keptSurvey(engine);
    const texts = rowsOf(catalogue).map((question) => {
      const title = question.kind === 'breaking' ? `breaking ${keyOfClaim(question.claim)}` : question.kind;
      return `-- ── ${title}\n${asked(questions.rows(question, { offset: 50, limit: 25 }))
        .map(told)
        .join('\n')}`;
    });
    await expect(texts.join('\n')).toMatchFileSnapshot(`${engine}/questions/rows.sql`);
  });

  test('reads what is declared, what rests on it, and what a login may do, as ever', async () => {
    const { catalogue } = await keptSurvey(engine);
    const child = baseTables(catalogue).find((table) => foreignKeysOf(table).length > 0) as Table;
    const key = foreignKeysOf(child)[0];
    expect(key && getTable(catalogue, key.parent)).toBeTruthy();
    if (!key) return;
    const { about, references } = reachReferences(catalogue, { ...key, child: child.id });
    const reach = { parent: key.parent, key: key.parentColumns, about, references } as const;
    const schemas = ['slipway', "o'clock"];
    // Of a server with a table and a view, where it is asked for them by name.
    const small = ({ text, columns }: Query): readonly Row[] => {
      if (/version/i.test(text)) return [Array.from({ length: columns }, () => catalogue.engine.version)];
      if (/^select schema_name, default_collation_name/.test(text)) return [['slipway', 'utf8mb4_general_ci']];
      if (/table_type/.test(text) && columns === 5)
        return [
          ['boat', 'BASE TABLE', 'InnoDB', '', null],
          ['afloat', 'VIEW', null, '', null],
        ];
      return [];
    };
    const all: Readonly<Record<string, Asking<unknown>>> = {
      definitions: questions.definitions({ statements: true, schemas }),
      ddl: questions.ddl(child.id, key.name),
      'dependents of a table': questions.dependents(child.id, { kind: 'table', name: child.name }),
      'dependents of a column': questions.dependents(child.id, { kind: 'column', name: key.columns[0] ?? '' }),
      'dependents of a constraint': questions.dependents(child.id, { kind: 'constraint', name: key.name }),
      'reach of the row with the most': questions.reach({ ...reach, values: null }),
      'reach of a row': questions.reach({ ...reach, values: key.parentColumns.map(() => "o'clock") }),
      login: questions.login(schemas),
    };
    const texts = [
      ...[
        asked(questions.catalogue({ statistics: true, sizes: 'exact', schemas: ['slipway'] }), small),
        asked(questions.catalogue({ statistics: false, sizes: 'estimated' }), small),
        ...Object.values(all).map((asking) => asked(asking)),
      ].entries(),
    ].map(
      ([n, queries]) =>
        `-- ── ${['catalogue', 'catalogue by estimates', ...Object.keys(all)][n]}\n${queries.map(told).join('\n')}`,
    );
    await expect(texts.join('\n')).toMatchFileSnapshot(`${engine}/questions/others.sql`);
  });
});
