import { expect, test } from 'vitest';
import { requirementsFor, signableStates, whyNotRun, whyNotSigned } from './permit';

const open = { signedBy: null, signedById: null, signedDigest: null, backupAt: null };

test('a production source asks for a rehearsal, a signature and a backup', () => {
  const met = (prepared: Parameters<typeof requirementsFor>[0]) =>
    requirementsFor(prepared, { environment: 'production', copied: true }).map(({ kind, met: is }) => `${kind} ${is}`);
  expect(met({ ...open, state: 'Draft' })).toEqual(['rehearsal false', 'signature false', 'backup false']);
  expect(met({ ...open, state: 'Rehearsed' })).toEqual(['rehearsal true', 'signature false', 'backup false']);
  const signed = { state: 'Signed', signedBy: 'Ada', signedById: 1, signedDigest: 'd', backupAt: '2026-11-25' } as const;
  // A name alone is no signature.
  for (const lacking of [{ signedById: null }, { signedDigest: null }])
    expect(met({ ...signed, ...lacking })).toContain('signature false');
  expect(met(signed)).toEqual(['rehearsal true', 'signature true', 'backup true']);
});

test('other sources ask for nothing', () => {
  expect(requirementsFor({ ...open, state: 'Draft' }, { environment: 'test', copied: true })).toEqual([]);
  expect(requirementsFor({ ...open, state: 'Draft' }, { environment: 'staging', copied: true })).toEqual([]);
});

test('of what cannot be copied no rehearsal is asked, and a draft of it can be signed', () => {
  const behindAWall = { environment: 'production', copied: false };
  expect(requirementsFor({ ...open, state: 'Draft' }, behindAWall).map(({ kind }) => kind)).toEqual(['signature', 'backup']);
  expect(signableStates(behindAWall)).toContain('Draft');
  expect(signableStates({ copied: true })).toEqual(['Rehearsed']);
});

const ada = { id: 1 };
const ben = { id: 2 };
const production = { environment: 'production', secondPerson: true };

test.each([
  ['its author', { authors: [ada, ben] }, production, ada.id, 'Somebody else than who planned it'],
  ['another', { authors: [ada] }, production, ben.id, null],
  ['its author, where one pair of eyes is enough', { authors: [ada] }, { ...production, secondPerson: false }, ada.id, null],
  ['its author, on staging', { authors: [ada] }, { ...production, environment: 'staging' }, ada.id, null],
])('signed by %s', (_, docket, source, person, refusal) => {
  const said = whyNotSigned(docket, source, person);
  if (refusal === null) expect(said).toBeNull();
  else expect(said).toContain(refusal);
});

test('who signed a production docket does not run it', () => {
  expect(whyNotRun({ signedById: ada.id }, production, ada.id)).toContain('Somebody else than who signed it');
  expect(whyNotRun({ signedById: ada.id }, production, ben.id)).toBeNull();
  expect(whyNotRun({ signedById: ada.id }, { ...production, secondPerson: false }, ada.id)).toBeNull();
});
