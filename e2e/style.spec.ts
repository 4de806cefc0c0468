import { readFileSync } from 'node:fs';
import { expect, open, test } from './test';

test('a style is adopted: what does not follow is a finding at once, renamed in a docket; taken back, it goes', async ({
  page,
}) => {
  await open(page, '/s/1/style');
  await page.keyboard.press('j');
  await page.keyboard.press('j');
  await page.keyboard.press('j');
  await page.keyboard.press('j');
  await page.keyboard.press('j');
  await expect(page.getByRole('heading', { name: 'Indexes' })).toBeVisible();
  await expect(page.getByText('If it is adopted, 1 finding would come and 0 findings would go.')).toBeVisible();
  await page.getByRole('button', { name: /^Adopt as version/ }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('What does not follow is a finding now.')).toBeVisible();
  await expect(page.getByRole('row', { name: /Indexes/ })).toContainText('adopted');

  await page.getByRole('link', { name: 'Rename those that do not follow in a docket' }).click();
  await expect(
    page.getByText('the index ux_surge_warning_no of tide.surge_warning named ix_surge_warning_warning_no'),
  ).toBeVisible();
  await page.getByRole('button', { name: /^Put .* into a docket|^Add/ }).click();
  await expect(page.getByText('alter index', { exact: false }).first()).toBeVisible();

  await page.getByRole('button', { name: 'Discard' }).click();
  await expect(page).toHaveURL(/\/dockets$/);

  const [file] = await Promise.all([
    page.waitForEvent('download'),
    open(page, '/s/1/style/index').then(() => page.getByRole('link', { name: 'Export' }).click()),
  ]);
  expect(JSON.parse(readFileSync(await file.path(), 'utf8'))).toMatchObject({
    format: 'pawl-house-style/1',
    templates: { index: 'ix_{table}_{columns}' },
  });
  await page.getByRole('button', { name: 'Adopt it no longer' }).click();
  await expect(page.getByRole('row', { name: /Indexes/ })).toContainText('as found');
  await page.getByText(/^Versions, /).click();
  const former = page.getByRole('row', { name: /^\d+ ix_\{table\}_\{columns\} for each index/ });
  await former.getByRole('button', { name: 'Take it up again' }).click();
  await expect(page.getByRole('row', { name: /^Indexes/ })).toContainText('adopted');
  await expect(page.getByRole('row', { name: /version \d+ again/ })).toBeVisible();
  await page.getByRole('button', { name: 'Adopt it no longer' }).click();
  await expect(page.getByRole('row', { name: /^Indexes/ })).toContainText('as found');
});

test('a template that cannot be read says at which character', async ({ page }) => {
  await open(page, '/s/1/style/check?template=ck_%7Btabel%7D');
  await expect(page.getByText(/At 5, ▸tabel}: There is no \{tabel\}/)).toBeVisible();
  await expect(page.getByRole('button', { name: /^Adopt as version/ })).toBeDisabled();
});

test('a file that is no house style is refused with words', async ({ page }) => {
  await open(page, '/s/1/style');
  await page.getByLabel('File of a house style').setInputFiles({
    name: 'style.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"format":"pawl-house-style/1","templates":{"index":"ix_{table"}}'),
  });
  await expect(page.getByRole('alert')).toContainText('The template of index, at 4: The { that begins here is not closed.');
});

test('the house says what is short for what, and forgets it again', async ({ page }) => {
  await open(page, '/s/1/style');
  await page.getByRole('button', { name: /Words of the house, 0/ }).press('Enter');
  const form = page.getByRole('form', { name: 'Short, stands for' });
  await form.getByLabel('Short').fill('VSL');
  await form.getByLabel('Stands for').fill('not a word!');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('one to 4 words of small letters');
  await form.getByLabel('Stands for').fill('vessel');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('table', { name: 'Short words' })).toContainText('vsl');
  await open(page, '/s/1/style/primary%20key?template=pk_%7Btable:short%7D');
  await expect(page.getByText('pk_vsl', { exact: true })).toBeVisible();
  await open(page, '/s/1/style');
  await page.getByRole('button', { name: 'Forget vsl' }).press('Enter');
  await expect(page.getByRole('button', { name: /Words of the house, 0/ })).toBeVisible();
});
