import { readFileSync } from 'node:fs';
import { as, become, expect, open, test } from './test';

test('who may only read walks through everything, is offered nothing else, and is told who may', async ({ page, context }) => {
  await become(context, 'mila');
  await open(page, '/');
  await expect(page).toHaveURL(/\/s\/1\/coverage$/);
  await expect(page.getByRole('row', { name: /port\.berth_booking/ })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Survey' })).toHaveCount(0);

  await page.keyboard.press('3');
  await page.getByRole('row', { name: /Berth bookings without a berth/ }).click();
  await expect(page.getByText('Its rows are shown to who may see rows of data here.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Add to docket' })).toHaveCount(0);
  await expect(page.getByText('It is meant to be so…')).toHaveCount(0);
  await page.keyboard.press('d');
  await expect(page.getByText(/^Putting it into a docket takes the right/)).toBeVisible();

  await open(page, '/s/1/rules/keys/missing');
  await expect(page.getByText('Not yours to change: that takes the right to keep house style and rules.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Keep' })).toHaveCount(0);
  await page.getByRole('button', { name: 'harbour' }).click();
  await expect(page.getByRole('menuitem', { name: /Connection of harbour/ })).toHaveCount(0);
  await page.keyboard.press('Escape');

  for (const [address, words] of [
    ['/sources/1/edit', /You may not keep sources and their logins here\. .*Siv Malto.* may\./],
    ['/people', /You may not keep people\. Ada Holm may\./],
    ['/journal', /You may not read the journal\. Ada Holm may\./],
  ] as const) {
    expect((await page.goto(address))?.status()).toBe(403);
    await expect(page.getByRole('alert')).toContainText(words);
  }
});

test('a docket goes from hand to hand: planned, signed and run by three', async ({ page, context }) => {
  await become(context, 'ines');
  await open(page, '/s/1/findings?concern=Naming');
  await page.getByRole('row', { name: /inspection_vessel_id_fkey/ }).click();
  await page.getByRole('button', { name: 'Add to docket' }).click();
  await page.getByRole('link', { name: /^Open Docket/ }).click();
  await expect(page.getByText('Planned by Ines Okker.')).toBeVisible();
  await page.getByLabel(/Rows of production may be copied to/).check();
  await page.getByRole('button', { name: 'Rehearse on a copy' }).click();
  await expect(page.getByText('It holds')).toBeVisible({ timeout: 90_000 });
  // Who planned it neither signs nor runs it.
  await expect(page.getByRole('button', { name: 'Sign it' })).toHaveCount(0);
  await expect(page.getByText(/You may not sign dockets here\. .*Bo Larsk/)).toBeVisible();

  await become(context, 'bo');
  await open(page, page.url());
  const digest = await page.locator('.digest').first().innerText();
  await page.getByRole('button', { name: 'Sign it' }).click();
  await expect(page.getByText('Signed', { exact: true })).toBeVisible();
  await expect(page.getByText('What was signed:')).toContainText(digest);
  await expect(page.getByText(/You may not say what was done outside of Pawl here/)).toBeVisible();

  await become(context, 'jon');
  await open(page, page.url());
  await page.getByRole('group', { name: 'Backup taken' }).getByRole('spinbutton').first().focus();
  await page.keyboard.type('202601010600');
  await page.getByLabel('Kept where').fill('vault 3');
  await page.getByRole('button', { name: 'Confirm the backup' }).click();
  await expect(page.getByText(/at vault 3/)).toBeVisible();
  await expect(page.getByText(/It is sent to 127\.0\.0\.1:\d+\/harbour \(encrypted if the server offers it\)/)).toBeVisible();
  await page.getByLabel('User').fill('harbour_owner');
  await page.getByLabel('Password').fill('mend-with-care');
  await page.getByRole('button', { name: 'Run forward' }).click();
  await expect(page.getByText('Done', { exact: true })).toBeVisible({ timeout: 60_000 });
  const docket = /dockets\/(\d+)/.exec(page.url())?.[1] ?? '';

  await become(context, 'ada');
  await open(page, '/journal?act=docket');
  for (const [who, did] of [
    ['Jon Averi', 'ran a docket forward'],
    ['Bo Larsk', 'signed a docket'],
    ['Ines Okker', 'rehearsed a docket'],
  ] as const)
    await expect(page.getByRole('row', { name: new RegExp(`${who}.*${did}.*docket ${docket}`) }).first()).toBeVisible();
  expect(await page.content()).not.toContain('mend-with-care');
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'CSV' }).click()]);
  expect(readFileSync((await download.path()) ?? '', 'utf8')).toMatch(/Bo Larsk,browser,127\.0\.0\.1,docket\.sign,done,harbour/);
});

test('a person is added, chooses a password, is given a role for one source, and is shut out', async ({ page, browser }) => {
  await open(page, '/people');
  await page.getByLabel('Who it is').fill('Tam Orrin');
  await page.getByLabel('Signs in as').fill('tam');
  await page.getByRole('button', { name: 'Add and invite' }).click();
  const link = (await page.getByText(/\/invitation\//).innerText()).trim();

  const theirs = await browser.newContext({ storageState: { cookies: [], origins: [] } });
  const tam = await theirs.newPage();
  await tam.goto(link);
  await tam.getByRole('textbox', { name: 'Password' }).fill('short');
  await tam.getByLabel('The same again').fill('short');
  await tam.getByRole('button', { name: 'Take it and sign in' }).click();
  await expect(tam.getByRole('alert')).toContainText('at least 12 characters');
  await tam.getByRole('textbox', { name: 'Password' }).fill('gulls over the ninth pier');
  await tam.getByLabel('The same again').fill('gulls over the ninth pier');
  await tam.getByRole('button', { name: 'Take it and sign in' }).click();
  await expect(tam).toHaveURL(/\/s\/1\/coverage$/);
  await tam.goto(link);
  await expect(tam.getByRole('alert')).toContainText('This invitation does not hold');

  const entry = page.getByRole('region', { name: 'Tam Orrin' });
  await entry.getByText('Give a role').click();
  await entry.getByRole('combobox', { name: 'Role' }).click();
  await page.getByRole('option', { name: 'Auditor' }).click();
  await entry.getByRole('combobox', { name: 'On' }).click();
  await page.getByRole('option', { name: 'harbour' }).click();
  await entry.getByRole('button', { name: 'Give', exact: true }).click();
  await expect(entry).toContainText('Auditor · harbour');
  await open(tam, '/s/1/coverage');
  await expect(tam.getByRole('button', { name: 'Survey' })).toBeVisible();

  await page.getByRole('button', { name: 'Disable Tam Orrin' }).click();
  await expect(entry).toContainText('disabled');
  await tam.goto('/s/1/coverage');
  await expect(tam.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await tam.getByRole('textbox', { name: 'Name' }).fill('tam');
  await tam.getByRole('textbox', { name: 'Password' }).fill('gulls over the ninth pier');
  await tam.getByRole('button', { name: 'Sign in' }).click();
  await expect(tam.getByRole('alert')).toContainText('do not fit');
  await theirs.close();
});

test('a token is shown once, lets the terminal in for what it says, and is revoked', async ({ page, request }) => {
  await open(page, '/me');
  await page.getByLabel('What it is for').fill('nightly');
  await page.getByLabel('see findings').check();
  await page.getByRole('button', { name: 'Make a token' }).click();
  const token = (await page.locator('.token').innerText()).trim();
  expect(token).toMatch(/^pawl_/);
  const ask = (path: string) => request.get(path, { headers: { authorization: `Bearer ${token}` }, maxRedirects: 0 });
  expect((await ask('/s/1/findings')).status()).toBe(200);
  expect((await ask('/people')).status()).toBe(403);
  await open(page, '/me');
  expect(await page.content()).not.toContain(token);
  await page.getByRole('button', { name: 'Revoke nightly' }).click();
  await expect(page.getByText(/revoked/)).toBeVisible();
  expect((await ask('/s/1/findings')).status()).toBe(401);
});

test('a person of the demo is let in with a click, and out again; where they wanted to go is kept', async ({ browser }) => {
  const context = await browser.newContext({ storageState: { cookies: [], origins: [] } });
  const page = await context.newPage();
  await page.goto('/s/1/findings?concern=Keys');
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await page.getByRole('textbox', { name: 'Name' }).fill('ada');
  await page.getByRole('textbox', { name: 'Password' }).fill('not this one');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('alert')).toContainText('do not fit');
  await page.getByRole('button', { name: /Runa Feld/ }).click();
  await expect(page).toHaveURL(/\/s\/1\/findings\?concern=Keys$/);
  await page.getByRole('button', { name: 'Runa Feld' }).click();
  await page.getByRole('menuitem', { name: 'Sign out' }).click();
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await page.goto('/s/1/coverage');
  await expect(page).toHaveURL(/\/sign-in/);
  await context.close();
});

test('what somebody else changed meanwhile is neither signed nor written over', async ({ page, context }) => {
  await open(page, '/s/1/budget');
  const other = await context.newPage();
  await open(other, '/s/1/budget');
  for (const [tab, rest] of [
    [page, '3'],
    [other, '4'],
  ] as const) {
    await tab.getByLabel('Rest after each statement').fill(rest);
    await tab.getByRole('button', { name: 'Keep' }).click();
  }
  await expect(page.getByText('Kept.')).toBeVisible();
  await expect(other.getByRole('alert')).toContainText('Somebody changed this while you had it open');
  await as(page, 'mila', () => expect(page.getByText('Not yours to change')).toBeVisible());
});

test('somebody else’s people come in by their own door, with the role of their group, from another site’s link too', async ({
  browser,
}) => {
  const context = await browser.newContext({ storageState: { cookies: [], origins: [] } });
  const page = await context.newPage();
  await page.goto('/s/1/findings?concern=Keys');
  await page.getByRole('link', { name: 'With the harbour office' }).click();
  await page.getByPlaceholder(/login/i).fill('tove');
  await page.getByPlaceholder(/password/i).fill('any');
  await page.getByRole('button', { name: /sign-in/i }).click();
  await page.getByRole('button', { name: /continue/i }).click();
  await expect(page).toHaveURL(/\/s\/1\/findings\?concern=Keys$/);
  await expect(page.getByRole('button', { name: 'Tove Sandik' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Survey' })).toBeVisible();
  await page.goto('/me');
  await expect(page.getByText('(by your group audit)')).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Password' })).toHaveCount(0);

  // A link that another site shows: the page comes without the session at first, and finds it.
  const link = new URL('/s/1/rules', page.url()).href;
  await page.goto('data:text/html,' + encodeURIComponent(`<a href="${link}">to Pawl</a>`));
  await page.getByRole('link', { name: 'to Pawl' }).click();
  await expect(page).toHaveURL(/\/s\/1\/rules$/);
  await context.close();
});
