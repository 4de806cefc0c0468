import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { makeHome, removeHome, startPawl } from './pawl';
import { expect, test } from './test';

const password = 'one tide after another';

// Any process whose command line or environment belongs to this home.
function processesOf(home: string): string[] {
  const all = execFileSync('ps', ['-eo', 'pid,args'], { encoding: 'utf8' }).split('\n');
  return all.filter((line) => line.includes(home));
}

test('Ctrl-C stops all that a start made, and a second start finds everything as it was', async ({ page }) => {
  const home = makeHome();
  try {
    const first = await startPawl(home, false);
    await page.goto(`${first.url}/`);
    await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
    await page.goto(await first.invitation());
    await page.getByRole('textbox', { name: 'Password' }).fill(password);
    await page.getByLabel('The same again').fill(password);
    await page.getByRole('button', { name: 'Take it and sign in' }).click();
    await expect(page.getByRole('heading', { name: 'No source yet' })).toBeVisible();
    await page.goto(`${first.url}/sources/new`);
    for (const [label, value] of Object.entries({
      Name: 'kept',
      Host: '127.0.0.1',
      Port: '1',
      Database: 'd',
      User: 'u',
      Password: 'p',
    }))
      await page.getByLabel(label, { exact: true }).fill(value);
    await page.getByRole('button', { name: 'Save and survey' }).click();
    await expect(page.getByRole('alert')).toContainText('Nothing answers at 127.0.0.1:1');
    expect(processesOf(home).length).toBeGreaterThan(0);
    expect(await first.stop()).toBe(0);
    expect(processesOf(home)).toEqual([]);

    const second = await startPawl(home, false);
    await page.context().clearCookies();
    await page.goto(`${second.url}/sources`);
    await page.getByRole('textbox', { name: 'Name' }).fill('admin');
    await page.getByRole('textbox', { name: 'Password' }).fill(password);
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByRole('region', { name: 'kept' })).toBeVisible();
    await second.stop();
    expect(processesOf(home)).toEqual([]);
  } finally {
    removeHome(home);
  }
});

test('when its database dies, Pawl says that it is not ready, starts it again, and goes on', async ({ page }) => {
  const home = makeHome();
  try {
    const pawl = await startPawl(home, false);
    await page.goto(await pawl.invitation());
    await page.getByRole('textbox', { name: 'Password' }).fill(password);
    await page.getByLabel('The same again').fill(password);
    await page.getByRole('button', { name: 'Take it and sign in' }).click();
    await expect(page.getByRole('heading', { name: 'No source yet' })).toBeVisible();
    const ready = async (): Promise<number> => (await page.request.get(`${pawl.url}/readyz`)).status();
    await expect.poll(ready).toBe(200);

    process.kill(Number(readFileSync(join(home, 'postgres', 'postmaster.pid'), 'utf8').split('\n')[0]), 'SIGKILL');
    await expect.poll(ready, { intervals: [50] }).toBe(503);
    expect((await page.request.get(`${pawl.url}/healthz`)).status()).toBe(200);
    await expect.poll(ready, { timeout: 60_000 }).toBe(200);
    await page.goto(`${pawl.url}/sources`);
    await expect(page.getByRole('heading', { name: 'No source yet' })).toBeVisible();
    expect(pawl.said()).not.toMatch(/The (web|worker) process ended/);
    await pawl.stop();
    expect(processesOf(home)).toEqual([]);
  } finally {
    removeHome(home);
  }
});
