import { expect, open, test } from './test';

test('a dossier shows what made it sure, part by part', async ({ page }) => {
  await open(page, '/s/1/findings?q=tariff_code');
  await page.getByRole('row', { name: /Undeclared reference to tariff/ }).click();
  const parts = page.getByRole('table', { name: 'Parts of the confidence' });
  await expect(parts.getByRole('row', { name: /how well the names fit.*speaks for it/ })).toBeVisible();
});

test('candidate keys are compared side by side', async ({ page }) => {
  await open(page, '/s/1/findings?q=keys/missing');
  await page.getByRole('row', { name: /customs_release/ }).click();
  await expect(page.getByRole('heading', { name: 'Candidates compared' })).toBeVisible();
  await expect(page.getByRole('row', { name: /manifest_no, release_seq.*exactly/ })).toBeVisible();
});

for (const [rule, row, cell] of [
  ['uniqueness/nearly', /Passport no repeats/, 'P000899'],
  ['uniqueness/insensitive', /Same but for case/, /^crew2$/i],
  ['references/orphans', /Crew passes without a vessel/, '300'],
  ['values/text-for-type', /Text in place of date/, 'spring'],
  ['values/range', /Ends before it starts/, '2020-12-31'],
  ['nullability/few-nulls', /Empty in a few rows/, '400'],
  ['values/closed-set', /status/, 'returned'],
] as const) {
  test(`the rows behind ${rule} can be read`, async ({ page }) => {
    await open(page, `/s/1/findings?q=${encodeURIComponent(rule)}`);
    await page
      .getByRole('row', { name: row })
      .filter({ hasText: 'crew_pass' })
      .or(page.getByRole('row', { name: row }))
      .first()
      .click();
    // Rows that are wrong already are read at once; others when they are asked for.
    if (rule === 'values/closed-set') await page.getByRole('button', { name: 'Show rows' }).click();
    await expect(page.getByRole('cell', { name: cell }).first()).toBeVisible();
  });
}

test('what is meant to be so is waived with a reason, and can be asked again', async ({ page }) => {
  await open(page, '/s/1/findings?q=values/money');
  await page.getByRole('row', { name: /Money in a float/ }).click();
  await expect(page.getByText('Amounts are exact to 2 decimals')).toBeVisible();
  await page.keyboard.press('w');
  await page.getByRole('button', { name: 'Waive', exact: true }).click();
  await page.getByLabel('Why it is meant to be so').fill('Deposits are in whole crowns');
  await page.getByRole('button', { name: 'Waive', exact: true }).click();
  await expect(page.getByText('Deposits are in whole crowns').first()).toBeVisible();
  await open(page, '/s/1/rules/values/money-in-float');
  await expect(page.getByText('port.crew_pass(deposit)')).toBeVisible();
  await page.goto('/s/1/findings?show=Waived');
  await page.getByRole('row', { name: /Money in a float/ }).click();
  await page.getByRole('button', { name: 'Ask again' }).click();
  await expect(page.getByRole('button', { name: /meant to be so/ })).toBeVisible();
});

test('a rule is set otherwise for the source, and a survey that reads nothing again judges by it', async ({ page }) => {
  await open(page, '/s/1/rules/references/unindexed');
  await page.getByLabel('Fewest rows of the child').fill('20000');
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText('Kept.')).toBeVisible();
  await expect(page.getByRole('row', { name: /references\/unindexed/ })).toContainText('thresholds');
  await page.keyboard.press('s');
  await page.getByRole('menuitem', { name: /have not changed/ }).click();
  await expect(page.getByText('done', { exact: true })).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText(/tables had not changed since the last exact survey/)).toBeVisible();
  await page.goto('/s/1/findings?q=references/unindexed');
  await expect(page.getByRole('row', { name: /Reference without index/ }).first()).toContainText('30,000 rows');
  await expect(page.getByRole('row', { name: /12,000 rows/ })).toHaveCount(0);
  await open(page, '/s/1/rules/references/unindexed');
  await page.getByRole('button', { name: 'As it comes' }).click();
  await expect(page.getByLabel('Fewest rows of the child')).toHaveValue('1000');
});

test('a budget is chosen, refused when it makes no sense, and kept', async ({ page }) => {
  await open(page, '/s/1/budget');
  await page.getByLabel('Connections at the same time').fill('20');
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText('At most 8 connections')).toBeVisible();
  await page.getByText('Gentle', { exact: true }).click();
  await expect(page.getByLabel('Rest after each statement')).toHaveValue('24');
  await page.getByText('Unbounded', { exact: true }).click();
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText('Kept.')).toBeVisible();
});
