import { type Client } from 'pg';
import { databasePort } from './pawl';
import { makeQuay, spoiled, spoiledLater } from './quay';
import { expect, open, test } from './test';

let client: Client;

test.afterAll(() => client.end());

test('of 207 remedies five fail on the copy, all named at once; one decision and one more rehearsal put it right', async ({
  page,
}) => {
  test.setTimeout(240_000);
  const port = databasePort();
  const quay = await makeQuay(process.env['PAWL_E2E_HOME'] ?? '', port);
  client = quay.client;
  await open(page, '/sources/new');
  const fields = {
    Name: 'quay',
    Host: quay.host,
    Port: String(port),
    Database: 'quay',
    User: quay.user,
    Password: quay.password,
  };
  for (const [label, value] of Object.entries(fields)) await page.getByLabel(label, { exact: true }).fill(value);
  await page.getByRole('button', { name: 'Save and survey' }).click();
  await page.getByRole('link', { name: 'To the coverage' }).click({ timeout: 90_000 });
  const source = /\/s\/(\d+)\//.exec(page.url())?.[1] ?? '';

  for (const rule of ['keys/missing', 'references/undeclared', 'nullability/absent']) {
    await open(page, `/s/${source}/decide?rule=${rule}`);
    await page.getByRole('button', { name: 'Add those ticked to the docket' }).click();
    await expect(page).toHaveURL(/\/dockets\/\d+$/);
  }
  await expect(page.getByText(/^207 remedies, \d+ steps/)).toBeVisible();
  // Only those in sight are drawn.
  expect(await page.getByRole('list', { name: 'Remedies' }).getByRole('listitem').count()).toBeLessThan(40);
  await expect(page.getByLabel('Script: Forward')).toContainText('statements only');
  await page.getByRole('button', { name: 'With guards' }).click();
  await expect(page.getByLabel('Script: Forward')).toContainText('Run with: psql -f FILE');

  await client.query(spoiled);
  await page.getByRole('button', { name: 'Rehearse on a copy' }).click();
  const refused = page.getByRole('region', { name: 'Refused' });
  await expect(refused.getByRole('heading')).toHaveText('5 remedies refused on the copy', { timeout: 120_000 });
  await expect(refused).toContainText('No primary key: quay.lane_03');
  await expect(refused).toContainText('1 × values of code in quay.lane_11 that repeat');
  await expect(refused).toContainText('quay.lane_60 with no berth_no');
  await expect(page.getByText('5 of 207 remedies failed. The rest went on.')).toBeVisible();
  await expect(page.getByText('Structure and rows of 70 tables are as they were.')).toBeVisible();

  // What the database said stands in the dossier as well.
  await refused
    .getByRole('link', { name: /quay\.lane_20/ })
    .first()
    .click();
  await expect(page.getByRole('complementary', { name: 'Dossier' })).toContainText('Refused on a copy');
  await page.goBack();

  await refused.getByRole('button', { name: 'Take all 5 out' }).click();
  await expect(page.getByText(/^202 remedies, \d+ steps/)).toBeVisible();
  await page.getByRole('button', { name: 'Rehearse again' }).click();
  await expect(page.getByText('It holds')).toBeVisible({ timeout: 120_000 });
  await expect(refused).toHaveCount(0);

  // The same offer after a run that stopped: it goes on without what was taken out.
  await client.query(spoiledLater);
  const logIn = async (): Promise<void> => {
    await page.getByLabel('User').fill(quay.user);
    await page.getByLabel('Password').fill(quay.password);
  };
  await logIn();
  await page.getByRole('button', { name: 'Run forward' }).click();
  await expect(refused.getByRole('heading')).toHaveText('1 remedy refused in the run', { timeout: 60_000 });
  await expect(refused).toContainText('quay.lane_05');
  await refused.getByRole('button', { name: 'Take it out' }).click();
  await expect(page.getByText(/^201 remedies, \d+ steps/)).toBeVisible();
  await logIn();
  await page.getByRole('button', { name: 'Go on' }).click();
  await expect(page.getByText('Done', { exact: true })).toBeVisible({ timeout: 90_000 });
  const { rows } = await client.query(
    "select count(*)::int as keys from pg_constraint where contype = 'p' and conname like 'lane%'",
  );
  expect(rows).toEqual([{ keys: 66 }]);
});
