import { asOwner, logIn, readyToRun } from './docket';
import { expect, open, test } from './test';

test.setTimeout(240_000);

test('columns are called as their kind is: adopted, what rests on them told, renamed on a copy and in the harbour, and back', async ({
  page,
}) => {
  const client = await asOwner();
  await client.query('create view dues.running as select valid_until from dues.exemption where valid_until > current_date');
  try {
    await open(page, '/s/1/style/day%20column');
    await expect(page.getByText('{words}_on').first()).toBeVisible();
    await page.getByRole('button', { name: /^Adopt as version/ }).click();
    await expect(page.getByText('What does not follow is a finding now.')).toBeVisible();

    await open(page, '/s/1/findings?q=rule%3Anaming%2Fstyle%20valid_until%20dues');
    await page
      .getByRole('row', { name: /valid_until/ })
      .first()
      .click();
    await expect(
      page.getByRole('heading', { name: /day column valid_until on exemption would be called valid_until_on/ }),
    ).toBeVisible();
    const touched = page.getByRole('region', { name: 'What it touches' });
    await expect(touched).toContainText('dues.running rests on it, and goes on to.');
    await page.getByRole('button', { name: 'Add to docket' }).click();
    await expect(page.getByRole('link', { name: /^Open Docket/ })).toBeVisible();
    await page.keyboard.press('o');
    await expect(page.getByLabel('Script: Forward')).toContainText('rename column valid_until');
    await readyToRun(page);
    await logIn(page);
    await page.getByRole('button', { name: 'Run forward' }).click();
    await expect(page.getByText('Done', { exact: true })).toBeVisible();
    await expect(page.getByRole('link', { name: /Not named in the house style/ })).toContainText('held', { timeout: 60_000 });
    expect((await client.query('select valid_until_on from dues.exemption limit 1')).rowCount).toBe(1);

    await logIn(page);
    await page.getByRole('button', { name: /^Run back/ }).click();
    await expect(page.getByText('Backed out', { exact: true })).toBeVisible({ timeout: 60_000 });
    expect((await client.query('select valid_until from dues.running limit 1')).rowCount).not.toBeNull();
    await open(page, '/s/1/style/day%20column');
    await page.getByRole('button', { name: 'Adopt it no longer' }).click();
    await expect(page.getByRole('row', { name: /^Day columns/ })).toContainText('as found');
  } finally {
    await client.query('drop view dues.running');
    await client.end();
  }
});
