import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { answersByMariadbClient, byMariadbClient } from '../test/kit/mariadbClient';
import { answersTo, runScript } from '../test/kit/psql';
import { databasePort } from './pawl';
import { expect, open, test } from './test';

const folder = mkdtempSync(join(tmpdir(), 'pawl-wall-'));

interface Wall {
  /** As the form calls it. */
  readonly engine: string;
  /** Runs a script there; what went wrong, empty when nothing did. */
  run(this: void, script: string): Promise<string>;
  /** What a script of questions writes. */
  answersTo(this: void, script: string): Promise<Buffer>;
}

const home = (): string => process.env['PAWL_E2E_HOME'] ?? '';

/** Databases that only these journeys can reach, and Pawl cannot. */
const walls: Readonly<Record<string, (this: void) => Promise<Wall>>> = {
  PostgreSQL: async () => {
    const password = readFileSync(join(home(), 'postgres.password'), 'utf8').trim();
    const details = { host: '127.0.0.1', port: databasePort(), database: 'walled', user: 'pawl', password, tls: 'off' } as const;
    await runScript({ ...details, database: 'postgres' }, 'create database walled');
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
    return {
      engine: 'PostgreSQL',
      run: (script) => runScript(details, script),
      answersTo: (script) => answersTo(details, script),
    };
  },
  MariaDB: async () => {
    const [password = '', port = ''] = ['password', 'port'].map((of) =>
      readFileSync(join(home(), `mariadb.${of}`), 'utf8').trim(),
    );
    const of = { server: 'mariadb', host: '127.0.0.1', port: Number(port), user: 'pawl', password, tls: 'off' } as const;
    const server = { details: () => ({ ...of, databases: ['walled'] }) };
    const run = (script: string) => Promise.resolve(byMariadbClient(server, script));
    const made = await run(
      `create database walled;
       create table walled.berth (berth_no varchar(20) not null, area varchar(20));
       insert into walled.berth select concat('B', seq), concat('area ', seq % 5) from walled.seq_1_to_200;
       create table walled.booking (booking_id int primary key, berth_no varchar(20));
       insert into walled.booking select seq, concat('B', 1 + seq % 200) from walled.seq_1_to_3000;`,
    );
    expect(made).toBe('');
    return { engine: 'MariaDB', run, answersTo: (script) => Promise.resolve(answersByMariadbClient(server, script, null)) };
  },
};

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

for (const [title, wall] of Object.entries(walls)) {
  test(`${title} behind a wall is asked by scripts, mended elsewhere, and held by what its checks found`, async ({ page }) => {
    const { engine, run, answersTo: there } = await wall();
    await open(page, '/sources/new?kind=files');
    await page.getByLabel('Name', { exact: true }).fill(`walled ${title}`);
    await page.getByLabel('Engine').click();
    await page.getByRole('option', { name: engine }).click();
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
    const whole = await there(await downloaded(page, 'Download the script'));
    await bring.setInputFiles(laid('cut.txt', whole.toString().split('\n').slice(0, 5).join('\n')));
    await expect(questions.getByRole('status')).toContainText('The file is cut off');
    await expect(questions.getByRole('button', { name: 'Go on without the rest' })).toBeVisible();
    await bring.setInputFiles(laid('whole.txt', whole));
    for (const round of [2, 3]) {
      await expect(questions).toContainText(`Round ${round} of 3 at most`);
      await bring.setInputFiles(laid(`${round}.txt`, await there(await downloaded(page, 'Download the script'))));
    }
    await page.getByRole('link', { name: 'To the findings' }).click();
    await expect(page.getByText(/(port|walled)\.berth/).first()).toBeVisible();
    const source = /\/s\/(\d+)\//.exec(page.url())?.[1] ?? '';

    await open(page, `/s/${source}/decide?rule=keys/missing`);
    await page.getByRole('button', { name: 'Add those ticked to the docket' }).click();
    await expect(page).toHaveURL(/\/dockets\/\d+$/);
    await expect(page.getByText(`walled ${title} cannot be reached from here`)).toBeVisible();
    await expect(page.getByRole('region', { name: 'Rehearsal' })).toHaveCount(0);
    const docket = page.url();
    const forward = await (await page.request.get(`${docket}/forward.sql`)).text();

    // Evidence from before the run speaks against it.
    const checks = await downloaded(page, 'Download after.sql');
    const evidence = page.getByLabel('File of checks');
    await evidence.setInputFiles(laid('too-early.txt', await there(checks)));
    await expect(page.getByRole('alert')).toContainText('The checks after it speak against it');
    expect(await run(forward)).toBe('');
    await evidence.setInputFiles(laid('after.txt', await there(checks)));
    await expect(page.getByText('Done', { exact: true })).toBeVisible();
    await open(page, `/s/${source}/findings?show=Held`);
    await expect(page.getByText(/(port|walled)\.berth/).first()).toBeVisible();
  });
}
