import { logIn, readyToRun, rehearse } from './docket';
import { expect, open, test } from './test';

test('from the coverage to a mend that is proven, with the keyboard alone', async ({ page }) => {
  await open(page, '/');
  await expect(page).toHaveURL(/\/s\/\d+\/coverage$/);
  await expect(page.getByRole('row', { name: /port\.berth_booking/ })).toBeVisible();

  await page.keyboard.press('/');
  await page.keyboard.type('berth_booking');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('row', { name: /port\.crew_pass/ })).toHaveCount(0);
  await page.keyboard.press('j');
  await expect(page.getByRole('heading', { name: /^\d+ open findings$/ })).toBeVisible();
  await page.getByRole('link', { name: /Berth bookings without a berth/ }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: /37 berth bookings point to berths that do not exist/ })).toBeVisible();
  await expect(page.getByRole('cell', { name: 'X001' })).toBeVisible();

  // Another answer by keyboard: the script follows.
  await page.getByRole('radio', { name: /Set aside and remove/ }).focus();
  await page.keyboard.press('Space');
  await expect(page.getByLabel('The script forward')).toContainText('delete from port.berth_booking');
  await page.keyboard.press('d');
  await expect(page.getByRole('link', { name: /^Open Docket/ })).toBeVisible();

  await page.keyboard.press('o');
  await expect(page).toHaveURL(/\/dockets\/\d+$/);
  await expect(page.getByLabel('Script: Forward')).toContainText('add constraint fk_berth_booking_berth');
  await readyToRun(page);
  await page.keyboard.press('r');
  await expect(page.getByLabel('User')).toBeFocused();
  await page.keyboard.type('harbour_owner');
  await page.keyboard.press('Tab');
  await page.keyboard.type('mend-with-care');
  await page.keyboard.press('Enter');

  await expect(page.getByText('Done', { exact: true })).toBeVisible();
  await expect(
    page.getByRole('region', { name: 'Run' }).getByText(/^3 of 3 tries to break a new rule were refused/),
  ).toBeVisible();
  const entry = page.getByRole('link', { name: /Berth bookings without a berth/ });
  await expect(entry).toContainText('held');

  await entry.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('refused, as it should be').first()).toBeVisible();
  await expect(page.getByText(/violates foreign key constraint "fk_berth_booking_berth"/).first()).toBeVisible();
});

test('a docket is backed out, and its finding is open again', async ({ page }) => {
  await page.goto('/s/1/dockets');
  await page
    .getByRole('link', { name: /^Docket \d+/ })
    .first()
    .click();
  await logIn(page);
  await page.getByRole('button', { name: 'Run back' }).click();
  await expect(page.getByText('Backed out', { exact: true })).toBeVisible();
  await page.goto('/s/1/findings?q=berth_no');
  await expect(page.getByRole('row', { name: /Berth bookings without a berth/ })).toContainText('37 orphans');
});

test('a wrong login changes nothing and says so; the docket can go on with the right one', async ({ page }) => {
  await page.goto('/s/1/findings?concern=Naming');
  await page.getByRole('row', { name: /tariff_line_pkey/ }).click();
  await page.getByRole('button', { name: 'Add to docket' }).click();
  await page.getByRole('link', { name: /^Open Docket/ }).click();
  await readyToRun(page);
  await page.getByLabel('User').fill('harbour_owner');
  await page.getByLabel('Password').fill('not-this-one');
  await page.getByRole('button', { name: 'Run forward' }).click();
  await expect(page.getByRole('alert')).toContainText('refused the password of harbour_owner');
  await expect(page.getByText('Stopped', { exact: true })).toBeVisible();
  expect(await page.content()).not.toContain('not-this-one');
  await logIn(page);
  await page.getByRole('button', { name: 'Go on' }).click();
  await expect(page.getByText('Done', { exact: true })).toBeVisible();
  await expect(page.getByRole('link', { name: /Name made by the system/ })).toContainText('held');
});

test('what was run elsewhere is surveyed, and is open again with the reason when it was not', async ({ page }) => {
  await page.goto('/s/1/findings?concern=Naming&q=exemption');
  await page.getByRole('row', { name: /exemption_exemption_no_key/ }).click();
  await page.getByRole('button', { name: 'Add to docket' }).click();
  await page.getByRole('link', { name: /^Open Docket/ }).click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Download forward.sql' }).click(),
  ]);
  expect(download.suggestedFilename()).toMatch(/^docket-\d+-forward\.sql$/);
  await page.getByRole('button', { name: 'It was run elsewhere', exact: true }).click();
  await page.getByRole('link', { name: /Name made by the system/ }).click();
  await expect(page.getByText('The docket was run, but the survey after it still finds this.').first()).toBeVisible();
});

test('a docket is rehearsed on a copy before it is run; changed, it is a draft again', async ({ page }) => {
  await open(page, '/s/1/findings?q=keys/missing');
  await page.getByRole('row', { name: /berth_booking/ }).click();
  await page.getByRole('button', { name: 'Add to docket' }).click();
  await page.getByRole('link', { name: /^Open Docket/ }).click();
  await rehearse(page);
  await expect(page.getByText('It holds')).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText('Rehearsed', { exact: true })).toBeVisible();
  await expect(page.getByText('A second run changes nothing.')).toBeVisible();
  await page
    .getByRole('button', { name: /steps changed something/ })
    .first()
    .click();
  await expect(page.getByText(/port\.berth_booking: access exclusive/).first()).toBeVisible();

  await expect(page.getByLabel('Script: Forward')).toContainText('create unique index concurrently');
  await page.getByRole('button', { name: /in one go/ }).click();
  await expect(page.getByText('Draft', { exact: true })).toBeVisible();
  await expect(page.getByLabel('Script: Forward')).not.toContainText('concurrently');
  await page.getByRole('button', { name: 'Discard' }).click();
  await expect(page).toHaveURL(/\/dockets$/);
});
