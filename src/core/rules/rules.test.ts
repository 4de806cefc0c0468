import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from 'vitest';
import { sketch } from '../../../test/kit/sketch';
import { evidence } from '../../../test/kit/measured';
import type { UnknownPart } from '../catalogue/model';
import { audit } from './audit';
import { notJudgedBy, rules } from './index';

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

test('what a rule rests on and nobody knows is judged by nobody, and said', () => {
  const port = sketch('p.berth: id key\n p.call 200000: id key, berth_id -> p.berth.id');
  const idsOf = (unknown: readonly UnknownPart[]) => audit({ ...port, unknown }, evidence()).map(({ rule }) => rule);
  expect(idsOf([])).toContain('references/unindexed');
  expect(idsOf(['indexes'])).not.toContain('references/unindexed');
  expect(idsOf(['indexes'])).toEqual(idsOf([]).filter((id) => id !== 'references/unindexed'));
  expect(notJudgedBy(['indexes', 'owners']).map(({ part, abouts }) => [part, abouts.length > 3])).toEqual([['indexes', true]]);
  for (const { rests = [] } of rules) for (const part of rests) expect(notJudgedBy([part])[0]?.lacks).toBeTruthy();
});

test('every rule has cases of its own', () => {
  const here = new URL('.', import.meta.url).pathname;
  const cases = readdirSync(here, { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.test.ts'))
    .map((file) => readFileSync(join(here, file), 'utf8'))
    .join('\n');
  expect(rules.filter(({ id }) => !cases.includes(`'${id}'`)).map(({ id }) => id)).toEqual([]);
});
