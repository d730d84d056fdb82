import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, open, reload, test } from './corvat';
import { act, WREN } from './standIn';

test.describe.configure({ mode: 'default' });

test('what is typed while the stand-in moves stands beside what it brings', async ({
  corvat: page,
}) => {
  await act(
    page,
    { do: 'set-clock', rate: 0 },
    { do: 'power-off' },
    { do: 'power-on', inHand: false },
    { do: 'advance', durationS: 100 },
  );
  const moving = page.getByTestId('panel-state');
  await open(page, '/bench/turns?new');
  await page.getByRole('button', { name: 'Let the stand-in turn' }).click();
  await expect(moving).toHaveText('moving');
  // It turns for a while; meanwhile somebody enters what was measured before.
  await page.getByLabel('Protractor', { exact: true }).fill('93');
  await page.getByRole('button', { name: 'Add the trial' }).click();
  const trials = page.getByRole('table', { name: 'Trials' }).locator('tbody tr');
  await expect(trials).toHaveCount(1);
  await act(page, { do: 'advance', durationS: 20 });
  await expect(trials).toHaveCount(2);
  await expect(trials.filter({ hasText: '93.0°' })).toHaveCount(1);
  await expect(page.getByTestId('keeping')).toHaveText('Everything is kept.');
  await reload(page);
  await expect(trials).toHaveCount(2);

  await open(page, '/bench/square?new');
  await page.getByRole('button', { name: 'Let the stand-in drive a lap' }).click();
  await expect(moving).toHaveText('moving');
  for (const [label, value] of [
    ['Ended forward by', '11'],
    ['Ended left by', '-7'],
    ['Turned over by', '2'],
  ] as const) {
    await page.getByLabel(label).fill(value);
  }
  await page.getByRole('button', { name: 'Add the lap' }).click();
  const laps = page.getByRole('table', { name: 'Laps' }).locator('tbody tr');
  await expect(laps).toHaveCount(1);
  await act(page, { do: 'advance', durationS: 90 });
  await expect(laps).toHaveCount(2);
  await expect(laps.filter({ hasText: '11' }).first()).toBeVisible();
});

test('a file that is too long says its limit before it is read', async ({ corvat: page }) => {
  const folder = mkdtempSync(join(tmpdir(), 'corvat-large-'));
  const large = join(folder, 'large.csv');
  writeFileSync(large, Buffer.alloc(61_000_000, '1,2\n'));
  const long = join(folder, 'long.csv');
  writeFileSync(long, `t_s,heading_deg\n${'0.001,0.25\n'.repeat(1_500_000)}`);
  await open(page, `/bench/still?robot=${WREN}`);
  await page.getByRole('radio', { name: 'a file' }).click();
  const file = page.getByLabel('Log file (JSON Lines or CSV)');
  await file.setInputFiles(large);
  await expect(page.getByText('large.csv is larger than 60 MB')).toBeVisible({ timeout: 3000 });
  await file.setInputFiles(long);
  await expect(
    page.getByText(/long\.csv has about 1500000 lines; up to \d+ readings fit/),
  ).toBeVisible({ timeout: 3000 });
  await expect(page.getByRole('button', { name: 'Read this file' })).toHaveCount(0);
});

test('the reading of a long file shows how far it is, and can be cancelled', async ({
  corvat: page,
}) => {
  const folder = mkdtempSync(join(tmpdir(), 'corvat-long-'));
  const long = join(folder, 'cancelled.csv');
  const rows = Array.from({ length: 180_000 }, (_, i) => `${i / 100},${(i % 7) / 100}`);
  writeFileSync(long, `t_s,heading_deg\n${rows.join('\n')}\n`);
  await open(page, `/bench/still?robot=${WREN}`);
  await page.getByRole('radio', { name: 'a file' }).click();
  await page.getByLabel('Log file (JSON Lines or CSV)').setInputFiles(long);
  await page.getByRole('button', { name: 'Read this file' }).click();
  await expect(page.getByRole('progressbar', { name: /Reading/ })).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByRole('progressbar')).toHaveCount(0);
  await expect(page.getByRole('button', { name: /^Judge/ })).toHaveCount(0);
  // It can be read after all.
  await page.getByRole('button', { name: 'Read this file' }).click();
  await expect(page.getByRole('button', { name: 'Judge cancelled.csv' })).toBeVisible();
});
