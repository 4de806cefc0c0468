import { atWork, logIn, readyToRun } from './docket';
import { expect, open, test } from './test';

test('repeats are kept by the latest row, nulls filled from a value that is typed', async ({ page }) => {
  await open(page, '/s/1/findings?q=uniqueness/nearly');
  await page.getByRole('row', { name: /Passport no repeats/ }).click();
  // Nobody drops rows without having been asked to.
  await expect(page.getByText(/left to the data's owners/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Add to docket' })).toBeDisabled();
  await page.getByRole('radio', { name: /The last/ }).focus();
  await page.keyboard.press('Space');
  await expect(page.getByLabel('The script forward')).toContainText('order by valid_from desc nulls last');
  await expect(page.getByText('No two crew passes have the same passport no.')).toBeVisible();

  await open(page, '/s/1/findings?q=few-nulls');
  await page.getByRole('row', { name: /crew_pass/ }).click();
  await page.getByRole('radio', { name: /A value/ }).focus();
  await page.keyboard.press('Space');
  await expect(page.getByText(/^Type what grade_code becomes/)).toBeVisible();
  await page.getByLabel('grade_code for these rows').fill(`G'1`);
  await expect(page.getByLabel('The script forward')).toContainText(`set grade_code = 'G''1'`);
});

test('how far a delete reaches is counted on the source', async ({ page }) => {
  await open(page, '/s/1/findings?q=berth_no');
  await page.getByRole('row', { name: /Berth bookings without a berth/ }).click();
  const reach = page.getByRole('region', { name: 'Reach of a delete' });
  await reach.getByRole('button', { name: 'Count it' }).click();
  await expect(reach.getByText('is refused.')).toBeVisible();
  await page.getByRole('radio', { name: /Take along/ }).focus();
  await page.keyboard.press('Space');
  await expect(page.getByText(/deleting a berth deletes its berth bookings with it/)).toBeVisible();
  await reach.getByLabel('berth_no of the berth').fill('B001');
  await reach.getByRole('button', { name: 'Count it' }).click();
  await expect(reach.getByRole('row', { name: /port\.berth_booking.*deleted/ })).toBeVisible();
  await reach.getByLabel('berth_no of the berth').fill('nowhere');
  await reach.getByRole('button', { name: 'Count it' }).click();
  await expect(reach.getByText('There is no such berth now.')).toBeVisible();
});

test('a reference can be to another key than the likeliest', async ({ page }) => {
  await open(page, '/s/1/findings?q=home_area_code');
  await page.getByRole('row', { name: /Undeclared reference to harbour area/ }).click();
  await page.getByRole('radio', { name: /^port\.harbour_area\(name\)/ }).focus();
  await page.keyboard.press('Space');
  await expect(page.getByLabel('The script forward')).toContainText('references port.harbour_area (name)');
  await page
    .getByLabel('When it is checked')
    .selectOption({ label: 'At the end of the transaction · DEFERRABLE INITIALLY DEFERRED' });
  await expect(page.getByLabel('The script forward')).toContainText('deferrable initially deferred');
});

test('one decision for many findings is previewed, run by four eyes, and what it kept is dropped', async ({ page }) => {
  await open(page, '/s/1/findings?q=references/undeclared');
  await page.getByRole('link', { name: 'Decide for many' }).click();
  await page.getByLabel('What becomes of orphans').selectOption({ label: 'Set aside and empty · fits 2 of 3' });
  await expect(page.getByText('It cannot take this answer')).toBeVisible();
  await expect(page.getByRole('row', { name: /37 berth bookings/ }).getByRole('checkbox')).not.toBeChecked();
  await page.getByRole('button', { name: 'Add those ticked to the docket' }).click();
  await expect(page).toHaveURL(/\/dockets\/\d+$/);
  await expect(page.getByRole('button', { name: 'Run forward' })).toHaveCount(0);

  await readyToRun(page);
  await logIn(page);
  await page.getByRole('button', { name: 'Run forward' }).click();
  await expect(page.getByText('Done', { exact: true })).toBeVisible({ timeout: 30_000 });
  const run = page.getByRole('region', { name: 'Run' });
  await expect(run.getByText(/orphans of cargo\.consignment kept/)).toBeVisible();
  await expect(run.getByText('done, 212 rows', { exact: false }).first()).toBeVisible();

  await page.getByText('What its repairs kept is still there').click();
  await logIn(page);
  await page.getByRole('button', { name: 'Drop what was kept' }).click();
  await expect(page.getByText(/it cannot be backed out any more/)).toBeVisible({ timeout: 30_000 });
  await expect(page.getByRole('button', { name: 'Run back' })).toHaveCount(0);
});

test('a unique index becomes a constraint as it is', async ({ page }) => {
  await open(page, '/s/1/findings?q=index-only');
  await page.getByRole('row', { name: /ux_surge_warning_no/ }).click();
  await expect(page.getByLabel('The script forward')).toContainText('unique using index ux_surge_warning_no');
});

test('the statements of a constraint are read from the source', async ({ page }) => {
  await open(page, '/s/1/coverage/port.port_call');
  await page.getByRole('button', { name: /^SQL of .*pk|^SQL of .*pkey/ }).click();
  await expect(page.locator('pre.script')).toContainText('drop constraint');
  await expect(page.locator('pre.script')).toContainText('PRIMARY KEY (');
});

test('a key that changes is replaced beside people at work: paused, gone on with, stopped on the way back, and backed out', async ({
  page,
}) => {
  await open(page, '/s/1/findings?q=keys/volatile');
  await page.getByRole('row', { name: /Key that changes/ }).click();
  await expect(page.getByText('1 reference dropped and made again, then checked row by row', { exact: false })).toBeVisible();
  await expect(page.getByText('No view or function of the source names it or rests on it.')).toBeVisible();
  await page.getByRole('button', { name: 'Add to docket' }).click();
  await page.getByRole('link', { name: /^Open Docket/ }).click();
  await readyToRun(page);
  const someone = await atWork('lock table port.mooring_job in share row exclusive mode');
  try {
    await logIn(page);
    await page.getByRole('button', { name: 'Run forward' }).click();
    await expect(page.locator('li.running', { hasText: 'id as the primary key of port.mooring_gang' })).toBeVisible();
    await page.getByRole('button', { name: 'Pause' }).click();
    await expect(page.getByText('Pausing after this step …')).toBeVisible();
    await someone.letGo();
    await expect(page.getByText('Paused before the next step.')).toBeVisible();
    await page.getByRole('button', { name: 'Go on' }).click();
    await expect(page.getByText('Done', { exact: true })).toBeVisible();
    await expect(page.getByRole('link', { name: /Key that changes/ })).toContainText('held');

    await someone.workAgain();
    await logIn(page);
    await page.getByRole('button', { name: 'Run back' }).click();
    await expect(page.locator('li.running', { hasText: 'gang_name as the primary key' })).toBeVisible();
    await page.getByRole('button', { name: 'Stop' }).click();
    await expect(page.getByText('Stopped', { exact: true })).toBeVisible();
    await expect(page.getByRole('alert')).toContainText('What was done is kept');
  } finally {
    await someone.end();
  }
  await logIn(page);
  await page.getByRole('button', { name: 'Run back' }).click();
  await expect(page.getByText('Backed out', { exact: true })).toBeVisible();
});
