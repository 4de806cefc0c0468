import { readFileSync } from 'node:fs';
import { as, become, expect, open, test } from './test';

test('stock is taken: lists are filtered, sorted, arranged, exported and walked, and a column says all that is known of it', async ({
  page,
}) => {
  await open(page, '/s/1/inventory');
  await expect(page).toHaveURL(/\/inventory\/columns$/);
  const list = page.getByRole('table', { name: 'All columns' });
  await page.keyboard.press('/');
  await page.keyboard.type('table:berth_booking speed:3');
  await expect(page.getByText('There is no field speed.', { exact: false })).toBeVisible();
  for (let i = 0; i < ' speed:3'.length; i++) await page.keyboard.press('Backspace');
  await expect(page).toHaveURL(/q=table/);
  await expect(list.getByRole('row')).toHaveCount(7);
  await page.keyboard.press('Escape');

  await page.keyboard.press('j');
  await page.keyboard.press('j');
  await page.keyboard.press('j');
  const dossier = page.getByRole('complementary', { name: 'Dossier' });
  await expect(dossier.getByRole('heading', { name: 'berth_no' })).toBeVisible();
  await expect(dossier.getByRole('link', { name: /Berth bookings without a berth/ })).toBeVisible();
  await expect(dossier.getByText('B098')).toBeVisible();
  await expect(dossier.getByRole('link', { name: 'port.berth', exact: true })).toBeVisible();

  // What is shown is in the address, and leaves with the file.
  await page.getByRole('button', { name: /^Fields/ }).click();
  const kept = page.waitForResponse(/\/me\/screens$/);
  await page.getByRole('menuitemcheckbox', { name: /^distinct/ }).click();
  expect((await kept).ok()).toBe(true);
  await page.keyboard.press('Escape');
  await expect(page).toHaveURL(/columns=.*distinct/);
  await list.getByRole('button', { name: 'distinct' }).click();
  await expect(page).toHaveURL(/sort=distinct/);
  // The list is sorted by it before its heading is pressed again.
  await expect(list.getByRole('columnheader', { name: /distinct/ })).toHaveAttribute('aria-sort', 'ascending');
  await list.getByRole('button', { name: 'distinct' }).click();
  await expect(page).toHaveURL(/sort=-distinct/);
  await expect(list.getByRole('row').nth(1)).toContainText('booking_no');
  await page.getByRole('button', { name: 'Export' }).click();
  const file = page.waitForEvent('download');
  await page.getByRole('menuitem', { name: 'As CSV' }).click();
  const lines = readFileSync(await (await file).path(), 'utf8')
    .trim()
    .split('\r\n');
  expect(lines[0]).toContain('distinct');
  expect(lines).toHaveLength(7);
  expect(lines[1]).toContain('booking_no');

  // It is kept for the person, without the address too, and for nobody else.
  const inventory = '/s/1/inventory/columns?q=table:berth_booking';
  await open(page, inventory);
  await expect(list.getByRole('button', { name: 'distinct' })).toBeVisible();
  await as(page, 'bo', async () => {
    await expect(list.getByRole('button', { name: 'column', exact: true })).toBeVisible();
    await expect(list.getByRole('button', { name: 'distinct' })).toHaveCount(0);
  });
  await page.getByRole('button', { name: /^Fields/ }).click();
  await page.getByRole('menuitemcheckbox', { name: /^distinct/ }).click();
  await page.keyboard.press('Escape');
  await expect(list.getByRole('button', { name: 'distinct' })).toHaveCount(0);

  await page.getByRole('tab', { name: /^Constraints/ }).click();
  await expect(page.getByRole('table', { name: 'All constraints' })).toBeVisible();
  await page.getByRole('searchbox', { name: 'Filter' }).fill('fk_crew_pass_vessel');
  await page.getByRole('row', { name: /fk_crew_pass_vessel/ }).click();
  await dossier.getByRole('button', { name: /SQL of fk_crew_pass_vessel/ }).click();
  await expect(dossier.getByText('add constraint', { exact: false })).toBeVisible();
  await dossier.getByRole('link', { name: 'Its table' }).click();
  await expect(dossier.getByRole('heading', { name: 'crew_pass' })).toBeVisible();
});

test('who may see no rows is shown no values of them, nor finds any by asking', async ({ page, context }) => {
  await become(context, 'mila');
  await open(page, '/s/1/inventory/columns/port.berth_booking.berth_no');
  await expect(page.getByRole('heading', { name: 'berth_no' })).toBeVisible();
  await expect(page.getByText('B098')).toHaveCount(0);
  await open(page, '/s/1/inventory/columns?q=smallest:B');
  await expect(page.getByText('There is no field smallest.', { exact: false })).toBeVisible();
  const answer = await page.request.get('/s/1/inventory/columns/export?as=json');
  expect(await answer.text()).not.toContain('smallest');
});

test('a long list is walked by keys, page after page, on a slow machine too', async ({ page, context }) => {
  await open(page, '/s/1/inventory/privileges');
  const machine = await context.newCDPSession(page);
  await machine.send('Emulation.setCPUThrottlingRate', { rate: 4 });
  const list = page.getByRole('table', { name: 'All privileges' });
  // As a key that is held repeats, whether the page has kept up or not.
  await page.evaluate(async () => {
    for (let i = 0; i < 25; i++) {
      document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowDown', bubbles: true }));
      await new Promise((resolve) => setTimeout(resolve, i * 8));
    }
  });
  const chosen = list.locator('[aria-selected=true]');
  await expect(chosen).toHaveAttribute('aria-rowindex', '26');
  await expect(chosen).toBeInViewport();
  await page.keyboard.press('k');
  await expect(chosen).toHaveAttribute('aria-rowindex', '25');
});

test('the part of the dossier can be moved, and stays', async ({ page }) => {
  await open(page, '/s/1/inventory/tables/port.vessel');
  const dossier = page.getByRole('complementary', { name: 'Dossier' });
  const before = (await dossier.boundingBox())?.width ?? 0;
  await page.getByRole('separator', { name: 'Width of the dossier' }).focus();
  // On a slow machine it is sent before the last key, too.
  const kept = page.waitForResponse(
    (answer) => answer.url().endsWith('/me/screens') && (answer.request().postData() ?? '').includes(String(before - 96)),
  );
  for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowRight');
  await expect.poll(async () => (await dossier.boundingBox())?.width ?? 0).toBe(before - 96);
  expect((await kept).ok()).toBe(true);
  await page.reload();
  await expect.poll(async () => (await dossier.boundingBox())?.width ?? 0).toBe(before - 96);

  // As it usually is, for those who come after.
  const again = page.waitForResponse(/\/me\/screens$/);
  await page.getByRole('separator', { name: 'Width of the dossier' }).dblclick();
  await again;
  await expect.poll(async () => (await dossier.boundingBox())?.width ?? 0).toBe(before);
});
