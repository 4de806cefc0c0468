// The rooms of the core stand on floors: a file knows those of its own floor and below, types among what it knows. `docs/architecture.md`
// shows them.

import { join } from 'node:path';
import { expect, test } from 'vitest';
import { circlesIn, importsIn } from './kit/imports';

/** From the ground up. A file is on the floor of the longest beginning of its path that is listed. */
const floors: Readonly<Record<string, readonly string[]>> = {
  ground: [
    'records',
    'grouping',
    'once',
    'spelt',
    'naming/words',
    'naming/visible',
    'engines/name',
    'engines/DialectError',
    'engines/answerLines',
  ],
  catalogue: ['catalogue', 'survey/login'],
  'what engines are': ['engines/engineFacts', 'engines/facts', 'engines/*/facts', ...ofFacts()],
  naming: ['naming'],
  evidence: ['evidence'],
  operations: ['operations'],
  remedies: ['remedies', 'naming/renaming', 'rules/finding'],
  plan: ['plan'],
  'what engines are asked, and how they are written to': ['engines'],
  planning: ['plan/plan', 'plan/times', 'plan/rebuilds', 'formats'],
  wishes: ['wishes'],
  rules: ['rules', 'wishes/askedRule', 'naming/document', 'naming/styleChange'],
  'what is kept, listed and told': ['ratchet', 'survey', 'report', 'inventory', 'rights'],
};

function ofFacts(): readonly string[] {
  return ['names', 'traits', 'types', 'quote', 'reserved', 'column-text', 'shown', 'storage'].map((part) => `engines/*/${part}`);
}

const src = importsIn(join(import.meta.dirname, '..', 'src'));
const inCore = (file: string): string | null => (file.startsWith('core/') ? file.slice('core/'.length) : null);

function floorOf(file: string): number {
  const general = file.replace(/^engines\/\w+\//, 'engines/*/');
  const listed = Object.values(floors).map((places) =>
    Math.max(0, ...places.filter((place) => `${general}/`.startsWith(`${place}/`)).map(({ length }) => length)),
  );
  const longest = Math.max(...listed);
  return longest === 0 ? -1 : listed.indexOf(longest);
}

test('every file of the core is on a floor, and knows none above it', () => {
  const names = Object.keys(floors);
  const broken = [...src].flatMap(([name, imported]) => {
    const file = inCore(name);
    if (file === null) return [];
    if (floorOf(file) < 0) return [`${file} is on no floor`];
    return imported.flatMap((other) => {
      const to = inCore(other);
      const above = to !== null && floorOf(to) > floorOf(file);
      return above ? [`${file} (${names[floorOf(file)]}) knows ${to} (${names[floorOf(to)]})`] : [];
    });
  });
  expect(broken).toEqual([]);
});

test('files that know each other all the way round are few, and in one room', () => {
  const circles = circlesIn(src).map((files) => {
    const folders = new Set(files.map((file) => file.split('/').slice(0, 2).join('/')));
    return `${files.length} in ${[...folders].sort().join(', ')}`;
  });
  // An operation and the union of all of them; the rest is a page and its parts.
  expect(circles).toMatchInlineSnapshot(`
    [
      "30 in core/operations",
      "8 in work/dockets, work/houseStyle, work/planning, work/thread",
      "5 in app/root, app/ui",
      "3 in core/remedies",
      "3 in work/send",
      "3 in app/routes",
      "2 in core/evidence",
      "2 in core/ratchet",
      "2 in app/routes",
      "2 in app/routes",
    ]
  `);
});
