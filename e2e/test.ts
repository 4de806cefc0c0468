import { type Page, test as base } from '@playwright/test';

/** Journeys start at the demo's address, and fail on anything the browser complains about. */
export const test = base.extend<{ complaints: string[] }>({
  baseURL: async ({}, use) => use(process.env['PAWL_E2E_URL']), // eslint-disable-line no-empty-pattern
  complaints: [
    async ({ page }, use) => {
      const complaints: string[] = [];
      page.on('pageerror', (error) => complaints.push(error.message));
      page.on('console', (message) => {
        if (message.type() === 'error' && !message.text().startsWith('Failed to load resource')) complaints.push(message.text());
      });
      await use(complaints);
      base.expect(complaints).toEqual([]);
    },
    { auto: true },
  ],
});
/** Opens a page and waits until its keys work. */
export async function open(page: Page, address: string): Promise<void> {
  await page.goto(address);
  await page.locator('html[data-keys=ready]').waitFor();
}

export { expect } from '@playwright/test';
