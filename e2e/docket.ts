import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import pg from 'pg';
import type { Page } from '@playwright/test';
import { databasePort } from './pawl';
import { as, expect } from './test';

/** What a production source asks for before a docket may run, done with the keyboard: rehearsed, signed by another, a backup confirmed. */
export async function readyToRun(page: Page): Promise<void> {
  await rehearse(page);
  await expect(page.getByText('It holds')).toBeVisible({ timeout: 90_000 });
  await signAndBackUp(page);
}

/** The rows of production are copied: that is confirmed each time. */
export async function rehearse(page: Page): Promise<void> {
  await page.getByLabel(/Rows of production may be copied to/).focus();
  await page.keyboard.press('Space');
  await press(page, /^Rehearse (on a copy|again)/);
}

export async function signAndBackUp(page: Page): Promise<void> {
  await as(page, 'bo', async () => {
    await press(page, 'Sign it');
    await expect(page.getByText('Signed', { exact: true })).toBeVisible();
  });
  await page.getByRole('group', { name: 'Backup taken' }).getByRole('spinbutton').first().focus();
  await page.keyboard.type('202601010600');
  await page.getByLabel('Kept where').focus();
  await page.keyboard.type('vault 3');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/at vault 3/)).toBeVisible();
}

export async function logIn(page: Page): Promise<void> {
  await page.getByLabel('User').fill('harbour_owner');
  await page.getByLabel('Password').fill('mend-with-care');
}

async function press(page: Page, name: string | RegExp): Promise<void> {
  await page.getByRole('button', { name }).first().focus();
  await page.keyboard.press('Enter');
}

/** Every table is read again, which leads to the page of the survey; it may be through before that page is read. */
export async function surveyed(page: Page): Promise<void> {
  const before = page.url();
  await page.getByRole('button', { name: 'Survey', exact: true }).click();
  await page.getByRole('menuitem', { name: /^exact, all afresh/ }).click();
  await expect(page).not.toHaveURL(before);
  // The address is there before its page is: until then this is the one of the survey before.
  const number = page.url().match(/\/surveys\/(\d+)$/)?.[1];
  await expect(page.getByRole('heading', { name: `Survey ${number},` })).toBeVisible();
  await expect(page.getByRole('main').getByText('done', { exact: true })).toBeVisible({ timeout: 90_000 });
  await expect(page.getByRole('button', { name: 'Survey', exact: true })).toBeVisible();
}

/** Who owns the harbour, past Pawl. */
export async function asOwner(): Promise<pg.Client> {
  const client = new pg.Client({
    host: '127.0.0.1',
    port: databasePort(),
    database: 'harbour',
    user: 'harbour_owner',
    password: 'mend-with-care',
  });
  await client.connect();
  return client;
}

/** The store of the Pawl that journeys are made with: only to let time pass. */
export async function asStore(): Promise<pg.Client> {
  const client = new pg.Client({
    host: '127.0.0.1',
    port: databasePort(),
    database: 'postgres',
    user: 'pawl',
    password: readFileSync(join(process.env['PAWL_E2E_HOME'] ?? '', 'postgres.password'), 'utf8').trim(),
    options: '-c search_path=pawl',
  });
  await client.connect();
  return client;
}

/** Somebody else at work on the harbour, who holds a lock until told to let go. */
export async function atWork(statement: string) {
  const client = await asOwner();
  const workAgain = async (): Promise<void> => {
    await client.query('begin');
    await client.query(statement);
  };
  await workAgain();
  return { workAgain, letGo: async () => void (await client.query('rollback')), end: () => client.end() };
}
