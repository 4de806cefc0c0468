import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, open, test } from './test';

const views = [
  '/sources',
  '/sources/new',
  '/s/1/inventory/columns',
  '/s/1/inventory/columns/port.vessel.imo_no?q=vessel',
  '/s/1/inventory/tables/port.vessel',
  '/s/1/inventory/triggers',
  '/s/1/coverage',
  '/s/1/coverage/cargo.consignment',
  '/s/1/findings',
  '/s/1/findings/1?show=all',
  '/s/1/dockets',
  '/s/1/ratchet',
  '/s/1/ratchet/1',
  '/s/1/waivers',
  '/s/1/drift',
  '/s/1/compare',
  '/s/1/schedules',
  '/s/1/listeners',
  '/s/1/surveys',
  '/s/1/surveys/1',
  '/s/1/rules',
  '/s/1/rules/references/unindexed',
  '/s/1/budget',
  '/s/1/style',
  '/s/1/style/foreign%20key',
];

/** Views in which all colours stand on all grounds. */
const colourful: ReadonlySet<string> = new Set([
  '/s/1/inventory/columns/port.vessel.imo_no?q=vessel',
  '/s/1/coverage/cargo.consignment',
  '/s/1/findings/1?show=all',
  '/s/1/ratchet/1',
  '/s/1/surveys/1',
  '/s/1/rules/references/unindexed',
  '/s/1/style/foreign%20key',
]);
const standards = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];

/** What would keep somebody out who does not see, or has no mouse: the serious and the critical, with where they are. */
async function barriers(page: Page, scheme: 'light' | 'dark'): Promise<readonly string[]> {
  const builder = new AxeBuilder({ page });
  // By night only the colours are others.
  const asked = scheme === 'light' ? builder.withTags(standards) : builder.withRules(['color-contrast']);
  const { violations } = await asked.analyze();
  return violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .flatMap(({ id, nodes }) =>
      // A row that the list is scrolled to the middle of is not a small one.
      nodes
        .filter(({ failureSummary }) => !failureSummary?.includes('partially obscured'))
        .map(({ html }) => `${id}: ${html.slice(0, 160)}`),
    );
}

for (const scheme of ['light', 'dark'] as const) {
  test(`every view fits 1280 by 800 and pleases the browser, ${scheme}`, async ({ page }) => {
    test.setTimeout(300_000);
    await page.emulateMedia({ colorScheme: scheme });
    for (const view of views) {
      await page.goto(view);
      await expect(page.locator('#content')).toBeVisible();
      expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth), view).toBe(true);
      expect(await page.evaluate(() => document.documentElement.getAttribute('data-color-scheme'))).toBe(scheme);
      if (scheme === 'light' || colourful.has(view)) expect(await barriers(page, scheme), view).toEqual([]);
    }
  });
}

test('the keys are listed, and the jump box finds tables, columns and findings', async ({ page }) => {
  await open(page, '/s/1/coverage');
  await expect(page.getByRole('row', { name: /port\.pilot / })).toBeVisible();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toContainText('go to any table, column, finding or docket');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.keyboard.press('g');
  await expect(page.getByRole('combobox', { name: 'Go to' })).toBeFocused();
  await page.keyboard.type('bollard');
  await expect(page.getByRole('option', { name: /port\.tug\.bollard_pull_t/ })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/coverage\/port\.tug$/);
});

test('filters live in the address and narrow the list', async ({ page }) => {
  await open(page, '/s/1/findings');
  await page.keyboard.press('/');
  await page.keyboard.type('lighthouse');
  await expect(page).toHaveURL(/q=lighthouse/);
  await expect(page.getByRole('heading', { name: 'No finding fits this filter' })).toBeVisible();
  await page.getByRole('link', { name: 'Show all open' }).click();
  await expect(page.getByRole('row', { name: /No primary key/ }).first()).toBeVisible();
  await expect(page.getByRole('searchbox', { name: 'Filter' })).toHaveValue('');
  await page.getByLabel('Concern').selectOption('Nullability');
  await expect(page.getByRole('row', { name: /Never empty but nullable/ }).first()).toBeVisible();
  await expect(page.getByRole('row', { name: /No primary key/ })).toHaveCount(0);
});

test('the strip keeps what it can on a narrow window', async ({ page }) => {
  await page.setViewportSize({ width: 700, height: 900 });
  await page.goto('/s/1/coverage/cargo.consignment');
  await expect(page.getByRole('heading', { name: /open finding/ })).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
});

test('each page is called by what is on it; a part that fails leaves the rest of its page', async ({ page }) => {
  const titles = new Map<string, string>();
  for (const view of views) {
    await page.goto(view);
    await expect(page).toHaveTitle(/ · Pawl$/);
    titles.set(view, await page.title());
  }
  expect(titles.get('/s/1/coverage')).toBe('Coverage · harbour · Pawl');
  expect(titles.get('/s/1/coverage/cargo.consignment')).toBe('cargo.consignment · harbour · Pawl');
  // Adding a source and the others have titles of their own.
  const all = [...titles.values()];
  expect(all.filter((title, i) => all.indexOf(title) !== i)).toEqual([]);

  await page.goto('/s/1/findings/999999');
  await expect(page.getByRole('complementary', { name: 'Dossier' })).toContainText('There is no finding 999999');
  await expect(page.getByRole('row', { name: /No primary key/ }).first()).toBeVisible();
  await page.goto('/s/1/coverage/nowhere.at_all');
  await expect(page.getByRole('complementary', { name: 'Dossier' })).toBeVisible();
  await expect(page.getByRole('row', { name: /port\.pilot / })).toBeVisible();
});
