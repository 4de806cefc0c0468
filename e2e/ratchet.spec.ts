import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { asOwner, asStore, surveyed } from './docket';
import { expect, open, test } from './test';

test.setTimeout(240_000);

/** Somebody who takes all that is sent there. */
async function listening() {
  const heard: string[] = [];
  const standIn = createServer((request, response) => {
    request.setEncoding('utf8').on('data', (text: string) => heard.push(text));
    request.on('end', () => response.writeHead(204).end());
  });
  await new Promise<void>((resolve) => standIn.listen(0, '127.0.0.1', resolve));
  return { heard, standIn, address: `http://127.0.0.1:${(standIn.address() as AddressInfo).port}/` };
}

test('what was held and slips is heard with its cause; the two surveys are compared, and aligned by a docket', async ({
  page,
}) => {
  const owner = await asOwner();
  try {
    await owner.query(`
      create table port.lamp (lamp_no int primary key, mast text);
      insert into port.lamp select n, 'mast ' || n from generate_series(1, 400) n;
      grant select on port.lamp to harbour_audit;
      analyze port.lamp`);
    await open(page, '/s/1/ratchet');
    await surveyed(page);
    await owner.query('alter table port.lamp add constraint uq_lamp_mast unique (mast)');
    await surveyed(page);
    await owner.query('alter table port.lamp drop constraint uq_lamp_mast');
    await surveyed(page);

    await open(page, '/s/1/ratchet');
    const slipped = page.getByRole('region', { name: 'Slipped' });
    await expect(slipped.getByRole('row', { name: /port\.lamp\(mast\)/ })).toContainText(
      'uq_lamp_mast is gone: unique (mast); no docket did it',
    );
    await expect(page.getByRole('img', { name: /surveys from .* open/ })).toBeVisible();
    await page.getByRole('button', { name: 'The same as a table' }).click();
    await expect(page.getByRole('table', { name: 'Surveys' }).getByText('− 1 slipped')).toBeVisible();
    await slipped
      .getByRole('link', { name: 'Never repeats but not declared' })
      .or(slipped.getByRole('link').first())
      .first()
      .click();

    const life = page.getByRole('complementary', { name: 'Dossier' });
    await expect(life.getByRole('listitem').filter({ hasText: 'slipped' })).toBeVisible();
    await expect(life.getByRole('listitem').filter({ hasText: 'held' }).first()).toBeVisible();
    await life.getByRole('button', { name: 'Say who sees to it' }).click();
    await life.getByRole('textbox', { name: 'Who sees to it' }).fill('the lamp keeper');
    await life.getByLabel('Number of the change elsewhere').fill('HM-2071');
    await life.getByRole('button', { name: 'Keep it' }).click();
    await expect(life.getByRole('listitem').filter({ hasText: 'the lamp keeper sees to it, as HM-2071' })).toBeVisible();
    await life.getByLabel('Say something of it').fill('dropped by the release of Friday');
    await life.getByRole('button', { name: 'Add the comment' }).click();
    await expect(life.getByRole('listitem').filter({ hasText: 'dropped by the release of Friday' })).toContainText('Ada Holm');
    await open(page, '/s/1/ratchet');
    await expect(page.getByRole('region', { name: 'Who has what' })).toContainText('the lamp keeper');

    // Nobody's docket did it: it is told as that, and acknowledged.
    await page
      .getByRole('region', { name: 'Changed outside of Pawl' })
      .getByRole('link', { name: /uq_lamp_mast is gone/ })
      .click();
    await expect(page.getByRole('complementary', { name: 'Dossier' })).toContainText('unique (mast)');
    await page.getByRole('link', { name: 'Compare the two surveys' }).click();
    await expect(page.getByRole('heading', { name: 'Compare harbour' })).toBeVisible();
    const row = page.getByRole('row', { name: /constraint .*uq_lamp_mast/ });
    await expect(row).toContainText('here alone');
    await open(page, '/s/1/compare');
    await expect(page.getByRole('row', { name: /constraint .*uq_lamp_mast/ })).toContainText('mast never repeats');
    await page
      .getByRole('row', { name: /constraint .*uq_lamp_mast/ })
      .getByRole('checkbox')
      .check();
    await page.getByLabel('Why it is to be like there').fill('as it was before the release');
    await page.getByRole('button', { name: 'Align 1 here, by a docket' }).click();
    await expect(page).toHaveURL(/\/dockets\/\d+$/);
    await expect(page.getByLabel('Script: Forward')).toContainText('alter table port.lamp');
    // Its record is the same each time it is asked for, and opens without Pawl.
    const record = async (): Promise<string> => {
      const file = page.waitForEvent('download');
      await page.getByRole('link', { name: 'a page to download and print' }).click();
      return readFileSync(await (await file).path(), 'utf8');
    };
    const first = await record();
    expect(first).toContain('mast');
    expect(first).toContain('It was not rehearsed.');
    expect(await record()).toBe(first);
    const paper = await page.context().newPage();
    await paper.setContent(first);
    const pdf = await paper.pdf({ preferCSSPageSize: true });
    await paper.close();
    expect(pdf.subarray(0, 5).toString('latin1')).toBe('%PDF-');
    // A4, in points.
    expect(pdf.toString('latin1')).toMatch(/MediaBox \[0 0 59[45]\.?\d* 84[12]\.?\d*\]/);
    await page.getByRole('button', { name: 'Discard' }).click();
    await expect(page).toHaveURL(/\/dockets$/);

    await open(page, '/s/1/drift');
    const boxes = page.getByRole('row', { name: /lamp/ }).getByRole('checkbox');
    const changes = await boxes.count();
    expect(changes).toBeGreaterThanOrEqual(3);
    for (let n = 0; n < changes; n++) await boxes.nth(n).check();
    await page.getByLabel('Why it is as it should be').fill('the lamps of the new pier');
    await page.getByRole('button', { name: 'Acknowledge' }).click();
    await expect(page.getByRole('row', { name: /lamp/ })).toHaveCount(0);
  } finally {
    await owner.query('drop table port.lamp');
    await owner.end();
  }
  await open(page, '/s/1/ratchet');
  await surveyed(page);
});

test('a survey by the clock is told in words, kept, switched off, and removed', async ({ page }) => {
  await open(page, '/s/1/schedules');
  await page.getByRole('button', { name: 'Add a schedule' }).click();
  const cron = page.getByLabel('When, as crontab has it');
  await cron.fill('* * * * *');
  await expect(page.getByText(/more often than every ten minutes/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Keep it' })).toBeDisabled();
  await cron.fill('15 3 * * 1-5');
  await expect(page.getByText('At 03:15, Monday through Friday')).toBeVisible();
  await expect(page.getByRole('list', { name: 'The next five times' }).getByRole('listitem')).toHaveCount(5);
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('At 03:15, Monday through Friday')).toBeVisible();
  await expect(page.getByText('15 3 * * 1-5')).toBeVisible();
  await page.getByRole('button', { name: 'Switch off' }).click();
  await expect(page.getByText('Switched off.')).toBeVisible();
  await page.getByRole('button', { name: 'Remove' }).click();
  await expect(page.getByText('Nothing by the clock yet')).toBeVisible();
});

test('a waiver is listed with its reason and its end, and leads to what it covers', async ({ page }) => {
  await open(page, '/s/1/findings?q=keys/missing');
  await page.getByRole('row', { name: /customs_release/ }).click();
  await page.getByRole('button', { name: /meant to be so/ }).click();
  await page.getByLabel('Why it is meant to be so').fill('kept by the customs office');
  await page.getByRole('button', { name: 'Waive', exact: true }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await open(page, '/s/1/waivers');
  await page.getByRole('row', { name: /cargo\.customs_release/ }).click();
  const dossier = page.getByRole('complementary', { name: 'Dossier' });
  await expect(dossier).toContainText('kept by the customs office');
  await expect(dossier).toContainText('Ada Holm');
  await dossier.getByRole('link', { name: 'cargo.customs_release' }).click();
  await page.getByRole('button', { name: 'Ask again' }).click();
  await expect(page.getByRole('button', { name: 'Ask again' })).toHaveCount(0);
  await open(page, '/s/1/waivers');
  await expect(page.getByRole('row', { name: /cargo\.customs_release/ })).toHaveCount(0);
});

test('a waiver ends with its last day: what it covered is open again, and says why', async ({ page }) => {
  await open(page, '/s/1/findings?q=keys/missing');
  await page.getByRole('row', { name: /berth_booking/ }).click();
  await page.getByRole('button', { name: /meant to be so/ }).click();
  await page.getByLabel('Why it is meant to be so').fill('until the new booking desk opens');
  await page.getByRole('button', { name: 'Waive', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Ask again' })).toBeVisible();
  const life = page.url();
  // The day is over: nobody waits for that here. Waivers are looked through by whatever worker is the first on a day.
  const store = await asStore();
  await store.query(
    `update sources set policies = jsonb_set(policies, '{keys/missing,waivers}',
       (select jsonb_agg(waiver || '{"until": "2026-01-31"}') from jsonb_array_elements(policies -> 'keys/missing' -> 'waivers') waiver))
     where id = 1`,
  );
  await store.end();
  process.kill(Number(readFileSync(join(process.env['PAWL_E2E_HOME'] ?? '', 'worker.pid'), 'utf8')), 'SIGKILL');
  await expect(async () => {
    await open(page, life);
    await expect(page.getByRole('button', { name: /meant to be so/ })).toBeVisible({ timeout: 1_000 });
  }).toPass({ timeout: 60_000 });
  await expect(page.getByRole('complementary', { name: 'Dossier' })).toContainText('2026-01-31');
  const again = await asStore();
  await again.query(`update sources set policies = policies - 'keys/missing' where id = 1`);
  await again.end();
});

test('a survey by the clock runs when its time has come, and who is allowed hears what it found', async ({ page }) => {
  const { heard, address, standIn } = await listening();
  const store = await asStore();
  try {
    await open(page, '/s/1/listeners');
    await page.getByRole('textbox', { name: 'Address' }).fill(address);
    await page.getByLabel('It hears').click();
    await page.getByRole('option', { name: 'of every survey' }).click();
    await page.getByRole('button', { name: 'Allow it to hear' }).click();
    await expect(page.getByText('It is shown once')).toBeVisible();
    await open(page, '/s/1/schedules');
    await page.getByRole('button', { name: 'Add a schedule' }).click();
    await page.getByLabel('When, as crontab has it').fill('15 3 1 1 *');
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByText('15 3 1 1 *')).toBeVisible();
    await store.query('update schedules set next_at = now()');
    await expect(() => expect(heard.join('')).toContain('survey.done')).toPass({ timeout: 90_000 });
    const told = JSON.parse(heard.join('')) as { survey: number; source: string };
    expect(told.source).toBe('harbour');
    await open(page, `/s/1/surveys/${told.survey}`);
    await expect(page.getByText('done', { exact: true })).toBeVisible();
    await open(page, '/s/1/listeners');
    await expect(page.getByRole('table', { name: 'What was sent' }).getByText('It answered 204.')).toBeVisible();
    await page.getByRole('button', { name: 'Remove' }).click();
    await open(page, '/s/1/schedules');
    await page.getByRole('button', { name: 'Remove' }).click();
    await expect(page.getByText('Nothing by the clock yet')).toBeVisible();
  } finally {
    await store.end();
    standIn.close();
  }
});

test('an address that is allowed hears a test, and what was sent is listed', async ({ page }) => {
  const { heard, address, standIn } = await listening();
  try {
    await open(page, '/s/1/listeners');
    await page.getByRole('textbox', { name: 'Address' }).fill('http://hear.example/');
    await page.getByRole('button', { name: 'Allow it to hear' }).click();
    await expect(page.getByRole('alert')).toContainText('Only https://');
    await page.getByRole('textbox', { name: 'Address' }).fill(address);
    await page.getByRole('button', { name: 'Allow it to hear' }).click();
    await expect(page.getByText('It is shown once')).toBeVisible();
    await page.getByRole('button', { name: 'Send a test' }).click();
    await expect(page.getByRole('table', { name: 'What was sent' }).getByText('It answered 204.')).toBeVisible();
    expect(JSON.parse(heard.join(''))).toMatchObject({ format: 'pawl-announcement/1', event: 'test', source: 'harbour' });
    await page.getByRole('button', { name: 'Remove' }).click();
    await expect(page.getByRole('button', { name: 'Send a test' })).toHaveCount(0);
  } finally {
    standIn.close();
  }
});
