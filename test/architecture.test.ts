import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import { expect, test } from 'vitest';

const src = join(import.meta.dirname, '..', 'src');

// Who may import whom, besides itself.
const allowed: Readonly<Record<string, readonly string[]>> = {
  core: [],
  input: ['core'],
  sources: ['core'],
  store: ['core', 'sources'],
  work: ['core', 'sources', 'store'],
  jobs: ['core', 'sources', 'store', 'work'],
  app: ['core', 'input', 'sources', 'store', 'work', 'jobs'],
  cli: ['core', 'input', 'sources', 'store', 'work'],
};

test('imports point one way', () => {
  const broken = files(src)
    .filter((file) => !file.includes('.test.'))
    .flatMap((file) =>
      importsOf(file).flatMap((target) => {
        const from = relative(src, file).split('/')[0] ?? '';
        const to = relative(src, target).split('/')[0] ?? '';
        const isOutside = to.startsWith('..') && !relative(src, target).startsWith('../test');
        return from === to || isOutside || allowed[from]?.includes(to)
          ? []
          : [`${relative(src, file)} → ${relative(src, target)}`];
      }),
    );
  expect(broken).toEqual([]);
});

test('only dialects, sources and the store write SQL', () => {
  const sql = /^\s*(select|insert into|alter table|create table|delete from|listen) [\w*$]/i;
  const speakers = files(src)
    .filter((file) => !file.includes('.test.') && !/\/(dialects|sources|store)\//.test(file) && !file.endsWith('.css'))
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

test('every job stands in the table of jobs', () => {
  const listed = readFileSync(join(src, 'jobs/index.ts'), 'utf8');
  const made = readdirSync(join(src, 'jobs')).filter((file) =>
    /export const \w+Job: Job = /.test(readFileSync(join(src, 'jobs', file), 'utf8')),
  );
  expect(made.filter((file) => !listed.includes(`'./${file.replace('.ts', '')}'`))).toEqual([]);
});

function files(folder: string): string[] {
  return readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile() && /\.tsx?$/.test(entry.name))
    .map((entry) => join(entry.parentPath, entry.name));
}

function importsOf(file: string): string[] {
  return [...readFileSync(file, 'utf8').matchAll(/from '([.~][^']+)'/g)]
    .map(([, path = '']) => path)
    .filter((path) => !path.includes('+types'))
    .map((path) => (path.startsWith('~/') ? join(src, path.slice(2)) : join(dirname(file), path)));
}

function strings(text: string): string[] {
  return [...text.matchAll(/'([^'\n]*)'|`([^`]*)`/g)].map(([, single, template]) => single ?? template ?? '');
}
