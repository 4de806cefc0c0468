import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import pg from 'pg';
import { answersTo, runScript } from '../test/kit/psql';
import { databasePort } from './pawl';
import { expect, open, test } from './test';

const folder = mkdtempSync(join(tmpdir(), 'pawl-wall-'));

/** A database that only this journey can reach, and Pawl cannot. */
async function walled() {
  const password = readFileSync(join(process.env['PAWL_E2E_HOME'] ?? '', 'postgres.password'), 'utf8').trim();
  const details = { host: '127.0.0.1', port: databasePort(), database: 'walled', user: 'pawl', password, tls: 'off' } as const;
  const server = new pg.Client({ ...details, database: 'postgres' });
  await server.connect();
  await server.query('create database walled');
  await server.end();
  const made = await runScript(
    details,
    `create schema port;
     create table port.berth (berth_no text not null, area text);
     insert into port.berth select 'B' || n, 'area ' || n % 5 from generate_series(1, 200) n;
     create table port.booking (booking_id int primary key, berth_no text);
     insert into port.booking select n, 'B' || 1 + n % 200 from generate_series(1, 3000) n;
     analyze;`,
  );
  expect(made).toBe('');
  return details;
}

async function downloaded(page: Page, name: string): Promise<string> {
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name }).click();
  return readFileSync(await (await download).path(), 'utf8');
}

function laid(name: string, text: Buffer | string): string {
  const file = join(folder, name);
  writeFileSync(file, text);
  return file;
}

test('a database behind a wall is asked by scripts, mended elsewhere, and held by what its checks found', async ({ page }) => {
  const there = await walled();
  await open(page, '/sources/new?kind=files');
  await page.getByLabel('Name', { exact: true }).fill('walled');
  await page.getByLabel('Database').fill('walled');
  await page.getByLabel(/Values of the tables may be written/).check();
  await page.getByRole('button', { name: 'Save and survey' }).click();
  await expect(page).toHaveURL(/\/surveys\/\d+$/);

  // What is no such file, and what is cut off, costs nothing.
  const questions = page.getByRole('region', { name: 'Open questions' });
  await expect(questions).toContainText('Round 1 of 3 at most');
  const bring = page.getByLabel('File of answers');
  await bring.setInputFiles(laid('hello.txt', 'hello'));
  await expect(page.getByRole('alert')).toContainText('This is no file of answers');
  const whole = await answersTo(there, await downloaded(page, 'Download the script'));
  await bring.setInputFiles(laid('cut.txt', whole.toString().split('\n').slice(0, 5).join('\n')));
  await expect(questions.getByRole('status')).toContainText('The file is cut off');
  await expect(questions.getByRole('button', { name: 'Go on without the rest' })).toBeVisible();
  await bring.setInputFiles(laid('whole.txt', whole));
  for (const round of [2, 3]) {
    await expect(questions).toContainText(`Round ${round} of 3 at most`);
    await bring.setInputFiles(laid(`${round}.txt`, await answersTo(there, await downloaded(page, 'Download the script'))));
  }
  await page.getByRole('link', { name: 'To the findings' }).click();
  await expect(page.getByText(/port\.berth/).first()).toBeVisible();
  const source = /\/s\/(\d+)\//.exec(page.url())?.[1] ?? '';

  await open(page, `/s/${source}/decide?rule=keys/missing`);
  await page.getByRole('button', { name: 'Add those ticked to the docket' }).click();
  await expect(page).toHaveURL(/\/dockets\/\d+$/);
  await expect(page.getByText('walled cannot be reached from here')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Rehearsal' })).toHaveCount(0);
  const docket = page.url();
  const forward = await (await page.request.get(`${docket}/forward.sql`)).text();

  // Evidence from before the run speaks against it.
  const checks = await downloaded(page, 'Download after.sql');
  const evidence = page.getByLabel('File of checks');
  await evidence.setInputFiles(laid('too-early.txt', await answersTo(there, checks)));
  await expect(page.getByRole('alert')).toContainText('The checks after it speak against it');
  expect(await runScript(there, forward)).toBe('');
  await evidence.setInputFiles(laid('after.txt', await answersTo(there, checks)));
  await expect(page.getByText('Done', { exact: true })).toBeVisible();
  await open(page, `/s/${source}/findings?show=Held`);
  await expect(page.getByText(/port\.berth/).first()).toBeVisible();
});
