import { rehearse, signAndBackUp, surveyed } from './docket';
import { yardAt } from './yard';
import { expect, open, test } from './test';

test('the boatyard walks the whole way by keyboard: coverage, finding, docket, rehearsal, signature, run, proof, held, slipped', async ({
  page,
}) => {
  await open(page, '/s/2/coverage');
  await expect(page.getByRole('row', { name: /slipway\.payment/ })).toBeVisible({ timeout: 60_000 });

  await page.keyboard.press('/');
  await page.keyboard.type('payment');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('row', { name: /slipway\.timesheet/ })).toHaveCount(0);
  await page.keyboard.press('j');
  await page.getByRole('link', { name: /Payments without an invoice/ }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: /5 payments point to invoices that do not exist/ })).toBeVisible();
  await page.getByRole('radio', { name: /Set aside and remove/ }).focus();
  await page.keyboard.press('Space');
  await expect(page.getByLabel('The script forward')).toContainText('delete child from slipway.payment');
  await page.keyboard.press('d');
  await expect(page.getByRole('link', { name: /^Open Docket/ })).toBeVisible();
  await page.keyboard.press('o');
  await expect(page).toHaveURL(/\/dockets\/\d+$/);
  await expect(page.getByLabel('Script: Forward')).toContainText('add constraint fk_payment_invoice foreign key');

  await rehearse(page);
  await expect(page.getByText('It holds')).toBeVisible({ timeout: 90_000 });
  await signAndBackUp(page);
  await page.keyboard.press('r');
  await expect(page.getByLabel('User')).toBeFocused();
  await page.keyboard.type('slipway_owner');
  await page.keyboard.press('Tab');
  await page.keyboard.type('mend-with-care');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Done', { exact: true })).toBeVisible({ timeout: 60_000 });
  await expect(
    page.getByRole('region', { name: 'Run' }).getByText(/^\d of \d tries to break a new rule were refused/),
  ).toBeVisible();
  const entry = page.getByRole('link', { name: /Payments without an invoice/ });
  await expect(entry).toContainText('held');
  await entry.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('refused, as it should be').first()).toBeVisible();

  // Somebody takes the reference away past Pawl: the next survey says so.
  await yardAt('alter table slipway.payment drop foreign key fk_payment_invoice');
  await open(page, '/s/2/ratchet');
  await surveyed(page);
  await open(page, '/s/2/ratchet');
  const slipped = page.getByRole('region', { name: 'Slipped' });
  await expect(slipped.getByRole('row', { name: /slipway\.payment/ }).first()).toContainText('no docket did it');
  await expect(page.locator('body')).not.toContainText('PostgreSQL');
});

test('a docket on a table with a trigger, which the login that audits cannot see, runs to its end', async ({ page }) => {
  await open(page, '/s/2/findings?q=worker');
  await page
    .getByRole('row', { name: /Unique but not declared so.*badge_no/ })
    .getByRole('link')
    .first()
    .click();
  await page.getByRole('button', { name: 'Add to docket' }).click();
  await page.getByRole('link', { name: /^Open Docket/ }).click();
  await rehearse(page);
  await expect(page.getByText('It holds')).toBeVisible({ timeout: 90_000 });
  await signAndBackUp(page);
  await page.getByLabel('User').fill('slipway_owner');
  await page.getByLabel('Password').fill('mend-with-care');
  await page.getByLabel('Password').press('Enter');
  await expect(page.getByText('Done', { exact: true })).toBeVisible({ timeout: 60_000 });
  await expect(page.getByRole('list', { name: 'Remedies' })).toContainText('held');
});
