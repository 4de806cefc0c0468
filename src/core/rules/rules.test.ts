import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from 'vitest';
import { rules } from './index';

test('every rule stands in the table under the path of its file, and every file in the table', () => {
  const folders = ['keys', 'references', 'uniqueness', 'nullability', 'values', 'naming'];
  const here = new URL('.', import.meta.url);
  const present = readdirSync(here, { withFileTypes: true }).filter(
    (entry) => entry.isDirectory() && folders.includes(entry.name),
  );
  const files = present
    .flatMap(({ name }) => readdirSync(new URL(`${name}/`, here)).map((file) => `${name}/${file}`))
    .filter((file) => !file.endsWith('.test.ts'));
  expect(rules.map((rule) => `${rule.id}.ts`).sort()).toEqual(files.sort());
  expect(rules.every((rule) => rule.id.startsWith(rule.concern.toLowerCase()))).toBe(true);
});

test('every rule has cases of its own', () => {
  const here = new URL('.', import.meta.url).pathname;
  const cases = readdirSync(here, { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.test.ts'))
    .map((file) => readFileSync(join(here, file), 'utf8'))
    .join('\n');
  expect(rules.filter(({ id }) => !cases.includes(`'${id}'`)).map(({ id }) => id)).toEqual([]);
});
