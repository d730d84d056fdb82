import { expect, open, test } from './corvat';
import { act } from './standIn';

test.describe.configure({ mode: 'default' });

test('a bench of four units from a file: which reads long, applied to the one in use, and undone', async ({
  corvat: page,
}) => {
  await open(page, '/bench/range?new');
  await page.getByText('From a file').click();
  await page.getByLabel('Readings (CSV)').setInputFiles('tests/data/distance-bench.csv');
  await page.getByRole('button', { name: 'Take 192 readings' }).click();
  const units = page.getByRole('table', { name: 'The units' });
  await page.getByLabel('Tolerance').fill('18');
  await expect(units.getByRole('row', { name: /D3/ })).toContainText('outside');
  await expect(units.getByRole('row', { name: /D1/ })).toContainText('within');
  // The truths of the file lie in the intervals that are shown.
  const truths = { D1: -1.938, D2: -2.009, D3: 16.489, D4: 0.959 };
  for (const [unit, truth] of Object.entries(truths)) {
    const text = ((await units.getByRole('row', { name: unit }).textContent()) ?? '').replaceAll(
      '−',
      '-',
    );
    const [, low = 'NaN', high = 'NaN'] = /\((-?[\d.]+) mm to (-?[\d.]+) mm\)/.exec(text) ?? [];
    expect(Number(low)).toBeLessThan(truth + 0.05);
    expect(Number(high)).toBeGreaterThan(truth - 0.05);
  }
  const verdict = page.getByTestId('verdict');
  await expect(verdict).toContainText(
    /^D3 reads 16\.\d mm too long at 5 cm and 1\d\.\d mm too long at 160 cm/,
  );
  await expect(verdict).toContainText('Not within 18 mm: D3.');
  await page.getByRole('button', { name: 'Apply this to D3…' }).click();
  await page.getByRole('button', { name: 'Apply from now on' }).click();
  await expect(page.getByText('This holds from now on.')).toBeVisible();
  await open(page, '/course');
  await expect(page.getByTestId('calibration-line')).toContainText(/reads 16\.\d mm too long/);
  await open(page, '/bench');
  const row = page.getByRole('row', { name: /Distance sensors/ });
  await expect(row).toContainText(/Reads 16\.\d mm too long/);
  await open(page, '/bench/calibrations');
  await page
    .getByRole('region', { name: 'distance sensor' })
    .getByRole('button', { name: 'Go back to the one before' })
    .click();
  await expect(page.getByTestId('holds-range')).toContainText(/reads 5\.\d mm too long/);
});

test('eight distances with six readings each are typed by keys alone', async ({ corvat: page }) => {
  await open(page, '/bench/range?new');
  await page.getByLabel(/^It reads/).focus();
  const distances = [5, 10, 20, 30, 50, 80, 120, 160];
  for (const [d, distance] of distances.entries()) {
    await expect(page.getByTestId('range-place')).toContainText(`Reading 1 of 6 at ${distance}`);
    for (let i = 0; i < 6; i += 1) {
      const isLost = d === 7 && i === 3;
      await page.keyboard.type(isLost ? 'x' : String(distance + 0.5 + 0.1 * (i % 3)));
      await page.keyboard.press('Enter');
    }
  }
  await expect(page.getByText('48 readings, the newest first')).toBeVisible();
  await expect(page.getByRole('row', { name: /D3/ }).first()).toContainText('1 of 48');
  await expect(page.getByTestId('verdict')).toContainText(/^D3 reads 6\.\d mm too long at 5 cm/);
  // Arrows go back; a pasted column is taken at once; what is no reading is told.
  await page.keyboard.press('ArrowUp');
  await expect(page.getByTestId('range-place')).toContainText('at 120');
  await page.keyboard.type('much');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('“much” is no reading');
  await page.getByLabel(/^It reads/).fill('');
  await page.getByLabel(/^It reads/).evaluate((input) => {
    const clipboardData = new DataTransfer();
    clipboardData.setData('text', '120.4\n120.6\nx\n');
    input.dispatchEvent(
      new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }),
    );
  });
  await expect(page.getByText('51 readings, the newest first')).toBeVisible();
});

test('from a live source nothing is typed: each press takes the mean of a second', async ({
  corvat: page,
}) => {
  await act(
    page,
    { do: 'set-clock', rate: 0 },
    { do: 'power-off' },
    { do: 'power-on', inHand: false },
    { do: 'advance', durationS: 5 },
  );
  await open(page, '/bench/range?new');
  await page.getByLabel(/^It reads/).focus();
  const rows = page.getByRole('table', { name: 'Readings' }).locator('tbody tr');
  let taken = 0;
  for (const distanceM of [0.2, 0.5, 0.8]) {
    await act(page, { do: 'set-target', distanceM });
    await page.getByLabel('By the tape').fill(String(distanceM * 100));
    await page.getByLabel(/^It reads/).focus();
    for (let i = 0; i < 2; i += 1) {
      await page.keyboard.press('l');
      await expect(page.getByRole('button', { name: /^Reading …/ })).toBeVisible();
      await expect
        .poll(async () => {
          await act(page, { do: 'advance', durationS: 1.2 });
          return rows.count();
        })
        .toBe(taken + 1);
      taken += 1;
    }
  }
  const { truth } = await act(page, { do: 'reveal' });
  const hidden = truth?.robot.units.find(({ kind }) => kind === 'distance sensor');
  if (hidden?.kind !== 'distance sensor') throw new Error('nothing revealed');
  const text = (
    (await page.getByRole('row', { name: /^D3/ }).first().textContent()) ?? ''
  ).replaceAll('−', '-');
  const offset = Number(/D3(-?[\d.]+) mm/.exec(text)?.[1]) / 1000;
  expect(Math.abs(offset - hidden.behaviour.offsetM)).toBeLessThan(0.006);
  await act(page, { do: 'set-target', distanceM: null });
});

test('a log tells at which voltage echoes begin to be lost, and one without volts is refused', async ({
  corvat: page,
}) => {
  await open(page, '/bench/range?new');
  // What the missions that are worked by it allow is offered as its tolerance.
  const asked = page.getByTestId('of-missions');
  await expect(asked).toContainText('is worked by distance and allows');
  const [, wanted = ''] = /Take (\d+) mm/.exec((await asked.textContent()) ?? '') ?? [];
  await asked.getByRole('button').click();
  await expect(page.getByLabel('Tolerance')).toHaveValue(wanted);
  await page.getByText('Lost echoes against the battery').click();
  // From 8.2 to 6.9 V; below 7.4 V every eighth echo is missing.
  const rows = Array.from({ length: 3000 }, (_, i) => {
    const volts = 8.2 - (1.3 * i) / 3000;
    return `${(i * 0.05).toFixed(2)},${volts.toFixed(3)},${volts < 7.4 && i % 8 === 0 ? '' : '50.0'}`;
  });
  const take = async (text: string) => {
    await page.getByLabel('Log file (JSON Lines or CSV)').setInputFiles({
      name: 'sag.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(text),
    });
    await page.getByRole('button', { name: 'Read this file' }).click();
  };
  await take(['t_s,volts,front_cm', ...rows].join('\n'));
  await expect(page.getByRole('heading', { name: /^Change the battery at 7\.4 V/ })).toBeVisible();
  const bare = rows.map((row) => row.split(',').toSpliced(1, 1).join(','));
  await take(['t_s,front_cm', ...bare].join('\n'));
  await expect(page.getByText('does not hold the battery’s volts')).toBeVisible();
});
