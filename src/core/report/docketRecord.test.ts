import { expect, test } from 'vitest';
import { docketPage, type DocketRecord } from './docketRecord';
import { html } from './html';

const hostile = `<script>alert("1")</script>&amp;'"`;
const record: DocketRecord = {
  format: 'pawl-docket/1',
  source: { name: hostile, environment: 'production', engine: 'Engine 15' },
  docket: {
    ...{
      number: 3,
      name: hostile,
      state: 'Done',
      mode: 'quiet',
      made: '2026-11-01T10:00:00.000Z',
      stateSince: '2026-11-02T10:00:00.000Z',
    },
    ...{ authors: [hostile], signedBy: 'Bo Larsk', signedAt: '2026-11-02T09:00:00.000Z', digest: 'd1' },
  },
  history: [{ at: '2026-11-01T10:00:00.000Z', what: 'made', by: hostile, note: hostile }],
  backups: [{ at: '2026-11-02T08:00:00.000Z', place: hostile, by: 'Ada' }],
  findings: [
    {
      ...{
        id: 'keys/missing:port.lamp',
        severity: 'Serious',
        state: 'Held',
        title: hostile,
        message: hostile,
        consequence: hostile,
      },
      evidence: [{ label: hostile, text: hostile }],
      decision: { orphans: hostile },
    },
  ],
  steps: [{ title: hostile, cost: 'share lock; reads the table' }],
  leftOut: [hostile],
  scripts: { forward: `-- ${hostile}`, back: '-- back' },
  rehearsal: {
    ...{ at: '2026-11-01T12:00:00.000Z', by: null, state: 'held' },
    report: { holds: true, parts: [{ name: 'forward', state: 'held', ms: 3, says: hostile, lines: [] }] },
  },
  runs: [
    {
      ...{ number: 1, direction: 'forward', by: 'Jon', user: 'owner', state: 'done', problem: hostile },
      ...{ asked: '2026-11-02T10:00:00.000Z', finished: '2026-11-02T10:00:03.000Z' },
      steps: [{ title: hostile, state: 'done', outcome: hostile, finished: null }],
      proofs: [{ title: hostile, statement: hostile, outcome: 'refused', answer: hostile }],
    },
  ],
};

test('a record tells all there is, and nothing of the audited database is markup', () => {
  const page = docketPage(record);
  expect(page).not.toContain('<script');
  expect(page).not.toContain('alert("1")');
  expect(page.match(/&#60;script&#62;/g)?.length).toBeGreaterThan(15);
  for (const told of ['Bo Larsk', '2026-11-02 09:00 UTC', 'it holds', 'run as owner', 'forward.sql', 'back.sql'])
    expect(page).toContain(told);
  expect(docketPage(record)).toBe(page);
});

test('nothing is asked for from outside', () => {
  expect(docketPage(record)).not.toMatch(/https?:|src=|@import|url\(/);
});

test('values are text, lists follow each other, nothing is nothing', () => {
  expect(html`<p>${'<b>'}${null}${false}${[html`<i>${1}</i>`, '&']}</p>`.text).toBe('<p>&#60;b&#62;<i>1</i>&#38;</p>');
});
