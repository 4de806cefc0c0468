import { readFile } from 'node:fs/promises';
import { expect, open, test } from './test';

test('several findings are chosen with the keys, put into a docket in one, and taken out again', async ({ page }) => {
  await open(page, '/s/1/findings?q=rule%3Areferences%2Funindexed');
  await expect(page.getByRole('row', { name: /Reference without index/ }).first()).toBeVisible();
  const row = (n: number) =>
    page
      .getByRole('table', { name: /Findings/ })
      .getByRole('row')
      .nth(n);
  await page.keyboard.press('j');
  await expect(row(1)).toHaveAttribute('aria-selected', 'true');
  await page.keyboard.press('Space');
  await page.keyboard.press('j');
  await expect(row(2)).toHaveAttribute('aria-selected', 'true');
  await page.keyboard.press('j');
  await expect(row(3)).toHaveAttribute('aria-selected', 'true');
  await page.keyboard.press('Shift+Space');
  const chosen = page.getByRole('form', { name: 'Those chosen' });
  await expect(chosen).toContainText('3 findings chosen');
  // The dossier of the last has a key of that name too.
  await expect(page.getByRole('button', { name: 'Add to docket' })).toBeVisible();
  await page.keyboard.press('d');
  await expect(page.getByText('3 findings put into a docket', { exact: false })).toBeVisible();
  await expect(chosen).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Undone.')).toBeVisible();
  // No docket stays behind that holds nothing.
  await page.goto('/s/1/dockets?q=remedies%3C1');
  await expect(page.getByRole('heading', { name: /^No docket/ })).toBeVisible();
  await page.goto('/s/1/findings?show=Docketed&q=rule%3Areferences%2Funindexed');
  await expect(page.getByRole('heading', { name: 'No finding fits this filter' })).toBeVisible();
});

test('several are waived with one reason, and asked again', async ({ page }) => {
  await open(page, '/s/1/findings?q=place%3Atug');
  const rows = page.getByRole('table', { name: /Findings/ }).getByRole('row');
  await rows.nth(1).getByRole('checkbox').check();
  await rows.nth(2).getByRole('checkbox').check();
  await page.getByRole('button', { name: 'Waive…' }).click();
  await page.getByRole('button', { name: 'Waive', exact: true }).click();
  // Nothing is waived without a reason.
  await expect(page.getByLabel('Why they are meant to be so')).toBeFocused();
  await page.getByLabel('Why they are meant to be so').fill('The tugs are sold in spring');
  await page.getByRole('button', { name: 'Waive', exact: true }).click();
  await expect(page.getByText('2 findings waived.')).toBeVisible();
  await page.goto('/s/1/findings?show=Waived&q=place%3Atug');
  await expect(rows).toHaveCount(3);
  await page.getByRole('checkbox', { name: 'Choose all' }).check();
  await page.getByRole('button', { name: 'Ask again' }).click();
  await expect(page.getByRole('heading', { name: 'No finding fits this filter' })).toBeVisible();
});

test('a list is sorted by its columns, grouped, and saved as it is shown', async ({ page }) => {
  await open(page, '/s/1/coverage?q=schema%3Atide&columns=table,rows');
  await page.getByRole('button', { name: 'Rows' }).click();
  await expect(page).toHaveURL(/sort=rows/);
  await page.getByRole('button', { name: 'Rows' }).click();
  await expect(page).toHaveURL(/sort=-rows/);
  await page.getByRole('button', { name: 'Export' }).click();
  const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('menuitem', { name: 'As CSV' }).click()]);
  expect(file.suggestedFilename()).toBe('coverage.csv');
  const lines = (await readFile(await file.path(), 'utf8')).trim().split('\r\n');
  expect(lines[0]).toBe('table,rows');
  const counts = lines.slice(1).map((line) => Number(line.split(',')[1]));
  expect(counts.length).toBeGreaterThan(3);
  expect(counts).toEqual(counts.toSorted((a, b) => b - a));
  await page.getByLabel('Group').selectOption('schema');
  await expect(page.getByRole('rowheader', { name: 'tide', exact: true })).toBeVisible();
});

test('columns that are chosen in the inventory are asked about together', async ({ page }) => {
  await open(page, '/s/1/inventory/columns?q=table%3Dberth_booking');
  await expect(page.getByRole('row', { name: /berth_booking/ }).first()).toBeVisible();
  for (const n of [1, 2]) {
    await page.keyboard.press('j');
    await expect(page.getByRole('row').nth(n)).toHaveAttribute('aria-selected', 'true');
    await page.keyboard.press('Space');
  }
  await page.getByRole('link', { name: 'Ask for a rule on them…' }).click();
  await expect(page.getByRole('heading', { name: 'Ask for a rule on port.berth_booking' })).toBeVisible();
  await expect(page.getByText('booking_no').first()).toBeVisible();
  await expect(page.getByText('vessel_id').first()).toBeVisible();
});

test('from a row one comes to its parent, to the children of that, and back', async ({ page }) => {
  await open(page, '/s/1/inventory/tables/port.port_call');
  await page.getByRole('button', { name: 'Show rows' }).click();
  const rows = page.getByRole('region', { name: 'Rows' });
  const vessel = rows.getByTitle('Its row of port.vessel').first();
  const number = await vessel.innerText();
  await vessel.click();
  await expect(page.getByText(`port.vessel vessel_id ${number}`)).toBeVisible();
  await expect(rows.getByRole('row')).toHaveCount(2);
  await rows.getByRole('combobox', { name: 'Children' }).click();
  await page.getByRole('option', { name: 'port.port_call by vessel_id' }).click();
  await expect(page.getByText(`port.port_call vessel_id ${number}`)).toBeVisible();
  await page.getByRole('button', { name: '← Back' }).click();
  await page.getByRole('button', { name: '← Back' }).click();
  await expect(rows.getByTitle('Its row of port.vessel').first()).toHaveText(number);
});

test('whoever comes by an address finds the line in the list, however far down it is', async ({ page }) => {
  await open(page, '/s/1/inventory/columns/tide.gauge.gauge_code?sort=table');
  await expect(page.locator('[role=row][aria-selected=true]')).toBeInViewport();
});
