// How long fifty people who read boards at the same time wait, against one alone: `npm run bench:people`. Against a demo that runs
// (PAWL_URL, else 127.0.0.1:4610). Each person opens a page, reads it for 3 to 9 seconds, and opens the next.

import { signInto } from '../test/kit/signIn';

const url = process.env['PAWL_URL'] ?? 'http://127.0.0.1:4610';
const crowd = 50;
const rounds = 10;
const pages = ['/s/1/coverage', '/s/1/findings', '/s/1/coverage/port.crew_pass', '/s/1/dockets', '/s/1/rules', '/sources'];

interface Read {
  readonly ms: number;
  readonly ok: boolean;
}

async function person(cookie: string, readsFor: () => number): Promise<readonly Read[]> {
  const reads: Read[] = [];
  await pause(Math.random() * readsFor());
  for (let n = 0; n < rounds; n++) {
    const started = performance.now();
    const answer = await fetch(url + pages[Math.floor(Math.random() * pages.length)], { headers: { cookie } }).catch(() => null);
    await answer?.text();
    reads.push({ ms: performance.now() - started, ok: answer?.status === 200 });
    await pause(readsFor());
  }
  return reads;
}

const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

function tell(title: string, reads: readonly Read[]): number {
  const sorted = reads.map(({ ms }) => ms).sort((a, b) => a - b);
  const at = (share: number): number => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0;
  const failed = reads.filter(({ ok }) => !ok).length;
  console.log(
    `${title}: ${reads.length} pages, median ${at(0.5).toFixed(0)} ms, p95 ${at(0.95).toFixed(0)} ms, ${failed} failed`,
  );
  return at(0.95);
}

const cookie = `pawl_session=${await signInto(url, 'mila')}`;
await person(cookie, () => 0);
const alone: Read[] = [];
for (let n = 0; n < 12; n++) alone.push(...(await person(cookie, () => 100)));
const one = tell('one alone', alone);
const together = await Promise.all(Array.from({ length: crowd }, () => person(cookie, () => 3_000 + Math.random() * 6_000)));
const many = tell(`${crowd} at once`, together.flat());
console.log(`p95 of ${crowd} is ${(many / one).toFixed(2)} times that of one (goal: 2)`);
const flood = await Promise.all(
  Array.from({ length: 400 }, () =>
    fetch(`${url}/s/1/coverage`, { headers: { cookie } }).then(async (answer) => (await answer.text(), answer.status)),
  ),
);
const count = (status: number): number => flood.filter((each) => each === status).length;
console.log(`400 in one moment: ${count(200)} served, ${count(503)} told to come again, ${400 - count(200) - count(503)} other`);
