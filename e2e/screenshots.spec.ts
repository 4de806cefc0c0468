// `npm run screenshots`: one picture of each main view, of the demo as it starts. Not a test.

import { join } from 'node:path';
import { logIn, rehearse, signAndBackUp } from './docket';
import { expect, open, test } from './test';

const folder = join(import.meta.dirname, '..', 'docs', 'screenshots');

test('pictures of the main views @screenshots', async ({ page }) => {
  const shoot = async (name: string): Promise<void> => {
    await page.evaluate(() => document.fonts.ready);
    await page.screenshot({ path: join(folder, `${name}.png`), animations: 'disabled' });
  };
  await open(page, '/people');
  await shoot('people');
  await open(page, '/sources');
  await shoot('sources');
  await open(page, '/sources/new?kind=files');
  await page.getByLabel('Name', { exact: true }).fill('old harbour');
  await page.getByLabel('Database').fill('harbour');
  await page.getByRole('button', { name: 'Save and survey' }).click();
  await expect(page.getByRole('link', { name: 'Download the script' })).toBeVisible();
  await shoot('by-files');
  await open(page, '/s/1/style/foreign%20key');
  await expect(page.getByText('inspection_vessel_id_fkey')).toBeVisible();
  await shoot('house-style');
  await open(page, '/s/1/coverage/port.berth_booking');
  await expect(page.getByRole('heading', { name: /open findings/ })).toBeVisible();
  await shoot('coverage');
  await page.emulateMedia({ colorScheme: 'dark' });
  await shoot('coverage-night');
  await page.emulateMedia({ colorScheme: 'light' });

  await open(page, '/s/1/ratchet');
  await page.getByRole('region', { name: 'Slipped' }).getByRole('link', { name: 'Unique but not declared so' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'slipped' })).toBeVisible();
  await expect(page.getByRole('img', { name: /surveys from/ }).locator('svg')).toBeVisible();
  await shoot('ratchet');
  await open(page, '/s/1/compare?before=34&after=33');
  await expect(page.getByRole('row', { name: /call_sign/ }).first()).toBeVisible();
  await shoot('compare');

  await open(page, '/s/1/rules/references/unindexed');
  await shoot('rules');
  await open(page, '/s/1/inventory/columns/port.berth_booking.berth_no?q=schema:port+-table:call_log');
  await expect(page.getByText('B098')).toBeVisible();
  await shoot('inventory');
  await open(page, '/s/1/decide?rule=references/undeclared&orphans=empty');
  await expect(page.getByText('It cannot take this answer')).toBeVisible();
  await shoot('decide');
  await open(page, '/s/1/findings?q=references/undeclared');
  await page.getByRole('row', { name: /port_call\(agent_id\)/ }).click();
  await page.getByRole('radio', { name: /Take along/ }).focus();
  await page.keyboard.press('Space');
  await expect(page.getByText(/deletes its port calls with it/)).toBeVisible();
  await page.getByRole('button', { name: 'Count it' }).click();
  await expect(page.getByRole('row', { name: /port\.port_call.*deleted/ })).toBeVisible();
  await page.getByRole('region', { name: 'Reach of a delete' }).scrollIntoViewIfNeeded();
  await shoot('reach');

  await open(page, '/s/1/findings');
  await page.getByRole('row', { name: /Consignments without a manifest/ }).click();
  await expect(page.getByRole('cell', { name: 'MF-19-9002' })).toBeVisible();
  await shoot('finding');
  await page.getByRole('button', { name: 'Add to docket' }).click();
  await expect(page.getByRole('link', { name: /^Open Names that nobody/ })).toBeVisible();
  await page.getByRole('row', { name: /port\.pilotage_job/ }).click();
  await page.getByRole('button', { name: 'Add to docket' }).click();
  await page.getByRole('link', { name: /^Open Names that nobody/ }).click();
  await expect(page.getByLabel('Script: Forward')).toBeVisible();
  await shoot('docket');
  await rehearse(page);
  await expect(page.getByText('It holds')).toBeVisible({ timeout: 60_000 });
  await page.getByRole('button', { name: /Forward \d/ }).click();
  await shoot('rehearsal');

  await signAndBackUp(page);
  await shoot('signing');
  await logIn(page);
  await page.getByRole('button', { name: 'Run forward' }).click();
  await expect(page.getByRole('link', { name: /Consignments without a manifest/ })).toContainText('held');
  await shoot('docket-run');
  await page.getByRole('link', { name: /Consignments without a manifest/ }).click();
  await page.getByText('refused, as it should be').first().scrollIntoViewIfNeeded();
  await shoot('proof');

  await open(page, '/journal');
  await expect(page.getByRole('row', { name: /signed a docket/ })).toBeVisible();
  await shoot('journal');
});
