import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { type BrowserContext, type Page, test as base } from '@playwright/test';
import { walkWithoutMouse } from './keyboard';
import type { people } from './setup';

// Each worker has a demo of its own.
for (const name of ['PAWL_E2E_URL', 'PAWL_E2E_HOME']) {
  const own = process.env[`${name}_${process.env['TEST_PARALLEL_INDEX'] ?? '0'}`];
  if (own !== undefined) process.env[name] = own;
}

export type Person = (typeof people)[number];

/** Journeys start at the demo's address, as its administrator, and fail on anything the browser complains about. */
export const test = base.extend<{ complaints: string[] }>({
  baseURL: async ({}, use) => use(process.env['PAWL_E2E_URL']), // eslint-disable-line no-empty-pattern
  storageState: async ({}, use) => use(stateOf('ada')), // eslint-disable-line no-empty-pattern
  complaints: [
    async ({ page }, use) => {
      if (process.env['PAWL_NO_MOUSE']) walkWithoutMouse(page);
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

function stateOf(person: Person): string {
  return join(process.env['PAWL_E2E_HOME'] ?? '', `${person}.json`);
}

/** From here on the browser is another person's; null for nobody's. */
export async function become(context: BrowserContext, person: Person | null): Promise<void> {
  await context.clearCookies();
  if (person === null) return;
  const { cookies } = JSON.parse(readFileSync(stateOf(person), 'utf8')) as {
    cookies: Parameters<BrowserContext['addCookies']>[0];
  };
  await context.addCookies(cookies);
}

/** Has another person do something on the page that is open; the administrator comes back to it afterwards. */
export async function as(page: Page, person: Person, work: () => Promise<void>): Promise<void> {
  await become(page.context(), person);
  await open(page, page.url());
  await work();
  await become(page.context(), 'ada');
  await open(page, page.url());
}

/** Opens a page and waits until its keys work. */
export async function open(page: Page, address: string): Promise<void> {
  await page.goto(address);
  await page.locator('html[data-keys=ready]').waitFor();
}

export { expect } from '@playwright/test';
