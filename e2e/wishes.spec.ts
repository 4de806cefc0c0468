import { asOwner, logIn, readyToRun, surveyed } from './docket';
import { expect, open, test } from './test';
import type { Page } from '@playwright/test';

test.setTimeout(240_000);

async function ask(page: Page, address: string, fill: () => Promise<void>): Promise<void> {
  await open(page, address);
  await fill();
  await page.getByLabel('Why').fill('the harbour master knows it');
  await page.getByRole('button', { name: 'Measure and keep it' }).click();
  await expect(page).toHaveURL(/\/findings\/\d+/);
  await page.getByRole('button', { name: 'Add to docket' }).click();
  await expect(page.getByRole('link', { name: /^Open Docket/ })).toBeVisible();
}

test('what nobody found is asked for: a parent, the values that are allowed, a reference that is to go; run, proven, held, and heard when it slips', async ({
  page,
}) => {
  await open(page, '/s/1/inventory/columns/cargo.hold_plan.hold_no');
  await page.getByRole('link', { name: 'Ask for a rule…' }).click();
  await expect(page.getByRole('heading', { name: 'Ask for a rule on cargo.hold_plan' })).toBeVisible();
  await ask(page, page.url(), async () => {
    await page.getByLabel('refers to a parent').check();
    await page.getByLabel('The parent, by its key').fill('port.tug');
    await page.getByRole('option', { name: 'port.tug (tug_id)' }).click();
  });
  await expect(page.getByRole('heading', { name: /hold_no refers to port\.tug\(tug_id\); no row is against it/ })).toBeVisible();
  await ask(page, '/s/1/ask?table=port.mooring_gang&column=boats', async () => {
    await page.getByLabel('takes only these values').check();
    await page.getByLabel('Values, one a line').fill('1\n2\n3\n4');
  });
  await ask(page, '/s/1/ask?table=port.mooring_job&what=gone', async () => {
    await page.getByLabel('What goes', { exact: true }).selectOption('constraint fk_mooring_job_mooring_gang');
  });

  await ask(page, '/s/1/ask?table=port.mooring_gang&column=boats', async () => {
    await page.getByLabel('has a default').check();
    await page.getByLabel('The value').fill('2');
  });
  await ask(page, '/s/1/ask?table=port.berth&what=gone', async () => {
    await page.getByLabel('What goes', { exact: true }).selectOption('index ix_berth_area_code');
  });
  await ask(page, '/s/1/ask?table=tide.surge_warning&what=named', async () => {
    await page.getByLabel('What is renamed').selectOption('table surge_warning');
    await page.getByLabel('Its new name').fill('storm_warning');
  });

  await page.keyboard.press('o');
  await expect(page.getByLabel('Script: Forward')).toContainText("alter column boats set default '2'");
  await expect(page.getByLabel('Script: Forward')).toContainText('drop index');
  await expect(page.getByLabel('Script: Forward')).toContainText('drop constraint fk_mooring_job_mooring_gang');
  await readyToRun(page);
  await logIn(page);
  await page.getByRole('button', { name: 'Run forward' }).click();
  await expect(page.getByText('Done', { exact: true })).toBeVisible();
  // Each remedy is held by the survey that follows a run.
  await expect(page.getByRole('link', { name: /Asked for: hold_no refers/ })).toContainText('held', { timeout: 60_000 });
  await expect(page.getByRole('link', { name: /Asked for: boats is one of/ })).toContainText('held');
  await expect(page.getByRole('link', { name: /Asked for: fk_mooring_job_mooring_gang goes/ })).toContainText('held');
  await expect(page.getByRole('link', { name: /Asked for: boats is "2" by default/ })).toContainText('held');
  await expect(page.getByRole('link', { name: /Asked for: the index ix_berth_area_code goes/ })).toContainText('held');
  await page.getByRole('link', { name: /Asked for: the table is called storm_warning/ }).click();
  // Under its new name; the view that was left under the old one is no table that a rule is found on.
  await expect(page.getByRole('link', { name: 'tide.storm_warning' })).toBeVisible();
  await expect(page.getByText(/tide\.surge_warning is called tide\.storm_warning now/)).toBeVisible();
  await page.goBack();
  await page.getByRole('link', { name: /Asked for: hold_no refers/ }).click();
  await expect(page.getByText('refused, as it should be').first()).toBeVisible();

  const client = await asOwner();
  await client.query(
    'alter table port.mooring_job add constraint fk_mooring_job_mooring_gang foreign key (gang_name) references port.mooring_gang',
  );
  await client.end();
  await surveyed(page);
  await open(page, '/s/1/findings?show=Slipped');
  await expect(page.getByRole('row', { name: /Asked for: fk_mooring_job_mooring_gang goes/ })).toBeVisible();
});

test('what cannot be asked for says why', async ({ page }) => {
  await open(page, '/s/1/ask?table=port.vessel&column=vessel_id');
  await page.getByLabel('is never empty').check();
  await page.getByRole('button', { name: 'Measure and keep it' }).click();
  await expect(page.getByRole('alert')).toContainText('It is so already.');
});

test('what was asked for is taken back', async ({ page }) => {
  await open(page, '/s/1/ask?table=port.pilot&column=phone');
  await page.getByRole('button', { name: 'Measure and keep it' }).click();
  await expect(page.getByRole('heading', { name: /phone never repeats; no row is against it/ })).toBeVisible();
  await page.getByRole('button', { name: 'Ask for it no longer' }).click();
  await expect(page.getByText('asks for it no longer').first()).toBeVisible();
});
