import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { expect, test } from 'vitest';
import { engineNames } from '../src/core/engines/name';
import { askedDefaults } from '../src/core/operations/default-value';
import { remedies } from '../src/core/remedies/index';
import { concerns } from '../src/core/rules/finding';

const src = join(import.meta.dirname, '..', 'src');

test('only dialects, sources and the store write SQL', () => {
  const sql = /^\s*(select|insert into|alter table|create table|delete from|listen) [\w*$]/i;
  const speakers = files(src)
    .filter((file) => !file.includes('.test.') && !/\/(core\/engines\/\w+|sources|store)\//.test(file) && !file.endsWith('.css'))
    .filter((file) => strings(readFileSync(file, 'utf8')).some((text) => sql.test(text)))
    .map((file) => relative(src, file));
  // The handover and the locks of workers are the queue's own business.
  expect(speakers).toEqual(['jobs/loginHandover.ts', 'jobs/ownership.ts']);
});

test('screens only read the store: whatever changes it is a use case, which permits and writes down', () => {
  const changing =
    /^(add|append|archive|ask|cancel|change|count(Failure)|disable|end|finish|forget|freeze|keep|move|note|purge|put|remove|rename|requeue|revoke|set|settle|sign|start|steer|stop|take|thaw|unsign|use)[A-Z]/;
  const broken = files(join(src, 'app'))
    .filter((file) => !file.includes('.test.'))
    .flatMap((file) =>
      [...readFileSync(file, 'utf8').matchAll(/import (?:type )?\{([^}]*)\} from '~\/store\/([^']+)'/g)].flatMap(
        ([, names = '', from = '']) => [
          ...names
            .split(',')
            .map((name) => name.trim().replace(/^type /, ''))
            .filter((name) => changing.test(name))
            .map((name) => `${relative(src, file)} changes the store by ${name}`),
          ...(from === 'db' && !file.includes('/app/server/') ? [`${relative(src, file)} opens the store by itself`] : []),
        ],
      ),
    );
  expect(broken).toEqual([]);
});

// What grows by a file and a line: the folder, the table, and what is in the folder for all of them.
const tables: readonly (readonly [string, string, readonly string[]])[] = [
  [
    'core/operations',
    'index.ts',
    ['again', 'beside', 'check', 'default-value', 'hand-down', 'keys', 'operation', 'proof', 'reference', 'refusal', 'says'],
  ],
  ['core/remedies', 'index.ts', ['names', 'question', 'remedy', 'shared']],
  ['core/wishes', 'index.ts', ['askedRule', 'wish']],
  ['core/rules', 'index.ts', ['audit', 'finding', 'policy', 'rule', 'severity']],
  [
    'core/engines',
    'index.ts',
    ['DialectError', 'answerLines', 'asked', 'dialect', 'engine', 'engineFacts', 'facts', 'name', 'questions', 'scripting'],
  ],
  ['sources', 'index.ts', ['SourceError', 'budget', 'kind', 'reader', 'source', 'survey', 'run', 'tls']],
  ['jobs', 'index.ts', ['job', 'prepare', 'loginHandover', 'ownership', 'queue', 'worker']],
];
test.each(tables)('what is in %s stands in its table', (folder, table, shared) => {
  const listed = readFileSync(join(src, folder, table), 'utf8');
  const made = readdirSync(join(src, folder), { withFileTypes: true })
    .map((entry) => entry.name.replace(/\.ts$/, ''))
    .filter((name) => !name.endsWith('.test') && name !== 'index' && !shared.includes(name));
  expect(made.filter((name) => !new RegExp(`'\\./${name}(/|')`).test(listed))).toEqual([]);
});

test('an engine is named in its own folders, in our store, and in the tables that list it', () => {
  const rooms = /^(core\/engines\/(\w+\/|index\.ts|facts\.ts|name\.ts)|sources\/(\w+\/|index\.ts)|store\/)/;
  for (const engine of engineNames) {
    const named = new RegExp(engine.slice(0, 8), 'i');
    const strangers = files(src)
      .filter((file) => named.test(readFileSync(file, 'utf8')))
      .map((file) => relative(src, file))
      .filter((file) => !rooms.test(file) || /^sources\/(files|run)\//.test(file));
    expect(strangers).toEqual([]);
  }
});

// A sentence that speaks of what only one engine has lies for all others. Two rules are about nothing else.
test('the words of one engine stand in its own rooms', () => {
  const own =
    /\b(NOT VALID|InnoDB|sql_mode|REINDEX|CONCURRENTLY|AUTO_INCREMENT|AS IDENTITY|USING INDEX|psql|pg_\w+|btree|zerofill|utf8mb4)\b|'PRIMARY'/;
  const about = ['core/rules/nullability/implicit-default.ts', 'core/rules/values/narrow-encoding.ts'];
  const rooms = ['evidence', 'inventory', 'naming', 'operations', 'plan', 'ratchet', 'remedies', 'report', 'rules', 'wishes'];
  const speaking = rooms
    .flatMap((room) => files(join(src, 'core', room)))
    .filter((file) => !file.endsWith('.test.ts'))
    .filter((file) => own.test(readFileSync(file, 'utf8').replaceAll(/^\s*(\/\/|\*|\/\*\*).*$/gm, '')))
    .map((file) => relative(src, file));
  expect(speaking.sort()).toEqual(about);
});

function files(folder: string): string[] {
  return readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile() && /\.tsx?$/.test(entry.name))
    .map((entry) => join(entry.parentPath, entry.name));
}

function strings(text: string): string[] {
  return [...text.matchAll(/'([^'\n]*)'|`([^`]*)`/g)].map(([, single, template]) => single ?? template ?? '');
}

test('the schema of survey files knows every engine, every kind of proposal and every concern', () => {
  const schema = readFileSync(join(import.meta.dirname, '../docs/pawl-survey-2.schema.json'), 'utf8');
  const lists = [...schema.matchAll(/"enum": (\[[^\]]*\])/g)].map(([, list = '']) => JSON.parse(list) as readonly string[]);
  for (const known of [engineNames, Object.keys(remedies), concerns, Object.keys(askedDefaults)])
    expect(lists.map((list) => [...list].sort())).toContainEqual([...known].sort());
});
