import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { databasePort } from './pawl';
import { expect, open, test } from './test';

async function fill(page: Page, changes: Readonly<Record<string, string>> = {}): Promise<void> {
  const fields = {
    Name: 'second look',
    Host: '127.0.0.1',
    Port: String(databasePort()),
    Database: 'harbour',
    User: 'harbour_audit',
    Password: 'look-no-touch',
    ...changes,
  };
  for (const [label, value] of Object.entries(fields)) await page.getByLabel(label, { exact: true }).fill(value);
}

test('trying a source says in plain words what is wrong with it', async ({ page }) => {
  await page.goto('/sources/new');
  const attempts = [
    [{ Port: '1' }, 'Nothing answers at 127.0.0.1:1'],
    [{ Password: 'wrong' }, 'refused the password of harbour_audit'],
    [{ Database: 'harbor' }, 'has no database harbor'],
    [{}, 'answers, with 46 tables. 1 of them may not be read by harbour_audit'],
  ] as const;
  for (const [changes, words] of attempts) {
    await fill(page, changes);
    await page.getByRole('button', { name: 'Try it' }).click();
    await expect(page.getByRole('status')).toContainText(words);
  }
});

test('a form that is filled in wrongly says which field, and keeps what was typed', async ({ page }) => {
  await page.goto('/sources/new');
  await fill(page, { Name: '', Port: '99999' });
  await page.getByRole('button', { name: 'Save and survey' }).click();
  await expect(page.getByText('A name is needed', { exact: true })).toBeVisible();
  await expect(page.getByText('A port is at most 65535', { exact: true })).toBeVisible();
  await expect(page.getByLabel('Database')).toHaveValue('harbour');
});

test('a new source is surveyed at once, is watched, taken out of use and purged', async ({ page }) => {
  await page.goto('/sources/new');
  await fill(page);
  await page.getByRole('button', { name: 'Save and survey' }).click();
  await expect(page).toHaveURL(/\/surveys\/\d+$/);
  await page.getByRole('link', { name: 'To the coverage' }).click();
  await expect(page.getByRole('row', { name: /cargo\.consignment / })).toBeVisible();
  expect(await page.content()).not.toContain('look-no-touch');

  await page.goto('/sources');
  await page.getByRole('region', { name: 'second look' }).getByRole('link', { name: 'Connection' }).click();
  await expect(page.getByLabel(/Password/)).toHaveValue('');
  // The stored password goes nowhere but where it was typed for.
  await page.getByLabel('Host').fill('127.0.0.2');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText(/so type it again/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Try it' }).click();
  await expect(page.getByRole('status')).toContainText('so type it again');
  await page.getByRole('button', { name: 'Take out of use' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Take out of use' }).click();
  await expect(page.getByRole('region', { name: 'second look' })).toHaveCount(0);
  const unused = page.getByRole('region', { name: 'Out of use' });
  await expect(unused).toContainText('second look');
  await unused.getByRole('button', { name: 'Purge' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Purge' }).click();
  await expect(unused).toHaveCount(0);
});

test('a survey goes on when its worker is killed', async ({ page }) => {
  await open(page, '/s/1/coverage');
  const before = readFileSync(join(process.env['PAWL_E2E_HOME'] ?? '', 'worker.pid'), 'utf8');
  await page.keyboard.press('s');
  await page.getByRole('menuitem', { name: /all afresh/ }).click();
  await expect(page).toHaveURL(/\/surveys\/\d+$/);
  process.kill(Number(before), 'SIGKILL');
  await expect(page.getByText('done', { exact: true })).toBeVisible({ timeout: 60_000 });
  expect(readFileSync(join(process.env['PAWL_E2E_HOME'] ?? '', 'worker.pid'), 'utf8')).not.toBe(before);
});

const nowhere = [
  ['/s/999/coverage', 'There is no source 999'],
  ['/s/abc/findings', 'There is no source abc'],
  ['/s/1/findings/99999', 'There is no finding 99999'],
  ['/s/1/coverage/no.such', 'There is no table no.such'],
  ['/s/1/dockets/x%27%3B', 'There is no docket'],
  ['/nowhere', 'There is nothing at this address'],
] as const;
for (const [address, words] of nowhere) {
  test(`an address that leads nowhere says so: ${address}`, async ({ page }) => {
    const answer = await page.goto(address);
    expect(answer?.status()).toBe(404);
    await expect(page.getByRole('alert')).toContainText(words);
    expect(await page.content()).not.toMatch(/at \w+ \(.*:\d+:\d+\)/);
  });
}
