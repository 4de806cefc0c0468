import { expect, test } from 'vitest';
import { requirementsFor, whyNotSigned } from './permit';

const open = { signedBy: null, backupAt: null };

test('a production source asks for a rehearsal, a signature and a backup', () => {
  const met = (prepared: Parameters<typeof requirementsFor>[0]) =>
    requirementsFor(prepared, 'production').map(({ kind, met: is }) => `${kind} ${is}`);
  expect(met({ ...open, state: 'Draft' })).toEqual(['rehearsal false', 'signature false', 'backup false']);
  expect(met({ ...open, state: 'Rehearsed' })).toEqual(['rehearsal true', 'signature false', 'backup false']);
  expect(met({ state: 'Signed', signedBy: 'Ada', backupAt: '2026-11-25' })).toEqual([
    'rehearsal true',
    'signature true',
    'backup true',
  ]);
});

test('other sources ask for nothing', () => {
  expect(requirementsFor({ ...open, state: 'Draft' }, 'test')).toEqual([]);
  expect(requirementsFor({ ...open, state: 'Draft' }, 'staging')).toEqual([]);
});

test.each([
  ['Ada', 'Ben', null],
  ['Ada', ' ada ', 'Somebody else'],
  ['', 'Ben', 'Say who'],
  ['Ada', ' ', 'Say who'],
])('planned by %j and signed by %j', (author, signer, refusal) => {
  if (refusal === null) expect(whyNotSigned(author, signer)).toBeNull();
  else expect(whyNotSigned(author, signer)).toContain(refusal);
});
