import { execFile } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { databasePort } from './pawl';
import { expect, open, test } from './test';

/** The terminal of somebody's pipeline: what it said, and how it ended. */
async function pawl(args: readonly string[], env: Readonly<Record<string, string>>) {
  const run = promisify(execFile)(process.execPath, ['bin/pawl.js', ...args], { env: { ...process.env, ...env } });
  return run.then(
    ({ stdout, stderr }) => ({ code: 0, said: stdout + stderr }),
    (error: { code: number; stdout: string; stderr: string }) => ({ code: error.code, said: error.stdout + error.stderr }),
  );
}

test('what a pipeline surveyed comes into the record of a source, by a token that may', async ({ page, baseURL }) => {
  await open(page, '/sources/new?kind=files');
  await page.getByLabel('Name', { exact: true }).fill('pipeline');
  await page.getByLabel('Database').fill('harbour');
  await page.getByRole('button', { name: 'Save and survey' }).click();
  await expect(page.getByRole('region', { name: 'Open questions' })).toBeVisible();
  const source = /\/s\/(\d+)\//.exec(page.url())?.[1] ?? '';
  await open(page, '/me');
  await page.getByLabel('What it is for').fill('pipeline');
  await page.getByLabel('survey', { exact: true }).check();
  await page.getByRole('button', { name: 'Make a token' }).click();
  const token = (await page.locator('.token').innerText()).trim();

  const file = join(mkdtempSync(join(tmpdir(), 'pawl-push-')), 'survey.json');
  const database = `postgresql://harbour_audit@127.0.0.1:${databasePort()}/harbour`;
  const audit = { PGPASSWORD: 'look-no-touch' };
  expect((await pawl(['survey', database, '--depth', 'catalogue', '--json', file], audit)).code).toBe(0);
  const address = `${baseURL ?? ''}/s/${source}`;
  expect(await pawl(['push', address, file], { PAWL_TOKEN: 'pawl_nobody' })).toMatchObject({ code: 2 });
  expect((await pawl(['push', `${baseURL ?? ''}/s/1`, file], { PAWL_TOKEN: token })).said).toContain('surveys harbour itself');
  const pushed = await pawl(['push', address, file], { PAWL_TOKEN: token });
  expect(pushed.said).toMatch(/^Survey \d+: 0 slipped, \d+ new/);
  expect(pushed.code).toBe(1);
  expect(await pawl(['push', address, file], { PAWL_TOKEN: token })).toMatchObject({ code: 0 });

  await open(page, `/s/${source}/findings`);
  await page
    .getByRole('row', { name: /No primary key/ })
    .first()
    .click();
  await expect(page.getByRole('complementary', { name: 'Dossier' })).toContainText('has no primary key');
  await open(page, `/s/${source}/ratchet`);
  await expect(page.getByText(/places .* have nothing open/)).toBeVisible();
  // Others begin at the first source there is.
  await open(page, `/sources/${source}/edit`);
  await page.getByRole('button', { name: 'Take out of use' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Take out of use' }).click();
  const unused = page.getByRole('region', { name: 'Out of use' });
  await unused.getByRole('button', { name: 'Purge' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Purge' }).click();
  await expect(unused).toHaveCount(0);
});
