import type { Page } from '@playwright/test';
import { expect, open, reload, test } from './corvat';
import { act, data, pass, WREN } from './standIn';

test.describe.configure({ mode: 'serial' });

/** The whole log as Corvat writes it. */
async function wholeLog(page: Page): Promise<string> {
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'The whole log as a file' }).click(),
  ]);
  const stream = await download.createReadStream();
  const parts: Buffer[] = [];
  for await (const part of stream) parts.push(part as Buffer);
  return Buffer.concat(parts).toString('utf8');
}

/** Column by column, as numbers; NaN for an empty cell. */
function tableOf(csv: string): Record<string, number[]> {
  const [head = '', ...lines] = csv.trim().split('\n');
  const rows = lines.map((line) => line.split(','));
  return Object.fromEntries(
    head
      .split(',')
      .map((title, i) => [title, rows.map((row) => (row[i] === '' ? Number.NaN : Number(row[i])))]),
  );
}

const kept = (page: Page) =>
  expect(page.getByTestId('keeping')).toHaveText('Everything is kept.', { timeout: 15_000 });

test('a log of many channels with gaps goes in by file, is kept, drawn and written again', async ({
  corvat: page,
}) => {
  const name = 'run-many-channels.csv';
  await open(page, `/bench/run-log?robot=${WREN}&new`);
  await page.getByLabel('Log file (JSON Lines or CSV)').setInputFiles(data(name));
  const columns = page.getByRole('table', { name: 'Columns of the file' });
  await expect(columns.getByLabel('What front_cm holds')).toHaveValue('distanceM');
  await expect(columns.getByLabel('What bumper holds')).toHaveValue('touch');
  // Two columns of one meaning are not read, and it says so.
  await columns.getByLabel('What right_deg holds').selectOption('Left motor angle');
  await expect(page.getByText('Two columns are given as “Left motor angle”')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Read this file' })).toBeDisabled();
  await columns.getByLabel('What right_deg holds').selectOption('Right motor angle');
  await page.getByRole('button', { name: 'Read this file' }).click();
  const report = page.getByTestId('read-report');
  await expect(report).toContainText('1000 readings taken');
  await expect(report).toContainText('Distance front: 65 gaps (no echo, or not read then)');
  await expect(report).toContainText('Distance side: 27 gaps');
  await expect(report).toContainText('Light: 666 gaps (not read then)');
  await kept(page);

  // Opened again from what was kept.
  await open(page, `/bench/run-log?robot=${WREN}`);
  await page.getByRole('link', { name }).first().click();
  await page.waitForURL(/list=/);
  const channel = page.getByLabel('Channel of the log');
  await channel.selectOption('Light');
  await expect(
    page.getByRole('img', { name: /^Light\. From \d+ % to \d+ %; 666 gaps/ }),
  ).toBeVisible();
  await channel.selectOption('Battery');
  await expect(
    page.getByRole('img', { name: /^Battery\. From 7\.\d+ V to 8\.\d+ V/ }),
  ).toBeVisible();
  const written = tableOf(await wholeLog(page));
  const original = tableOf(data(name).buffer.toString('utf8'));
  expect(Object.keys(written)).toEqual(Object.keys(original));
  for (const [title, values] of Object.entries(original)) {
    const back = written[title] ?? [];
    expect(back.length, title).toBe(values.length);
    const apart = values.map((value, i) => {
      const there = back[i] ?? Number.NaN;
      if (Number.isNaN(value)) return Number.isNaN(there) ? 0 : 1;
      return Number.isNaN(there) ? 1 : Math.abs(there - value);
    });
    expect(Math.max(...apart), title).toBeLessThan(1e-5);
  }
});

test('a log of encoders alone is a log', async ({ corvat: page }) => {
  await open(page, `/bench/run-log?robot=${WREN}&new`);
  await page
    .getByLabel('Log file (JSON Lines or CSV)')
    .setInputFiles(data('run-encoders-only.csv'));
  await page.getByRole('button', { name: 'Read this file' }).click();
  await expect(page.getByTestId('run-log-verdict')).toContainText('This log has no heading');
  await expect(page.getByRole('img', { name: /^Left motor angle\. From 0°/ })).toBeVisible();
  await kept(page);
});

test('what the stand-in reads besides its heading is kept with it', async ({ corvat: page }) => {
  await open(page, '/bench/run-log?new');
  await act(
    page,
    { do: 'set-clock', rate: 0 },
    { do: 'power-on', inHand: false },
    { do: 'advance', durationS: 10 },
    { do: 'put-back' },
    { do: 'set-target', distanceM: 0.4 },
  );
  await page.getByRole('radio', { name: 'stand-in' }).click();
  await page.getByRole('button', { name: 'Start recording' }).click();
  await pass(page, 2);
  await act(page, { do: 'press-button', down: true });
  await pass(page, 1);
  await act(page, { do: 'press-button', down: false });
  await pass(page, 1);
  await page.getByRole('button', { name: 'Done' }).click();
  await kept(page);
  await reload(page);
  const channel = page.getByLabel('Channel of the log');
  await channel.selectOption('Touch');
  await expect(page.getByRole('img', { name: /^Touch\. From free to pressed/ })).toBeVisible();
  const { distance_cm: distances = [], touch = [], volts = [] } = tableOf(await wholeLog(page));
  const read = distances.filter((value) => !Number.isNaN(value));
  expect(read.length).toBeGreaterThan(0.8 * distances.length);
  // From the sensor to a target 40 cm before the axle, within what its faults may add.
  const mean = read.reduce((sum, value) => sum + value, 0) / read.length;
  expect(mean).toBeGreaterThan(20);
  expect(mean).toBeLessThan(50);
  expect(touch.filter((value) => value === 1).length).toBeGreaterThan(20);
  expect(Math.min(...volts)).toBeGreaterThan(6);
  await act(page, { do: 'set-target', distanceM: null });
});
