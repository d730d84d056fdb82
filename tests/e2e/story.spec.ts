import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, open, ready, startSeries, test } from './corvat';

const CSV = join(import.meta.dirname, '../data/runs-before.csv');

/** Mean, spread, AP and RP of the file in millimetres, computed here from the definitions. */
function independently() {
  const rows = readFileSync(CSV, 'utf8').trim().split('\n').slice(1);
  const cells = rows.map((row) => row.split(',').map(Number));
  const x = cells.map((row) => row[3] ?? 0);
  const y = cells.map((row) => row[4] ?? 0);
  const mean = (v: number[]) => v.reduce((a, b) => a + b, 0) / v.length;
  const sd = (v: number[]) =>
    Math.sqrt(v.reduce((sum, value) => sum + (value - mean(v)) ** 2, 0) / (v.length - 1));
  const distances = x.map((value, i) => Math.hypot(value - mean(x), (y[i] ?? 0) - mean(y)));
  return {
    meanX: mean(x),
    meanY: mean(y),
    sdX: sd(x),
    sdY: sd(y),
    accuracy: Math.hypot(mean(x), mean(y)),
    repeatability: mean(distances) + 3 * sd(distances),
    worked: cells.filter((row) => row[6] === 1).length,
    placers: new Set(rows.map((row) => row.split(',')[1])).size,
    runs: rows.length,
  };
}

const shown = (value: number) => value.toFixed(1).replace('-', '−');

test('from a changed route to findings that agree with figures computed elsewhere', async ({
  corvat: page,
}) => {
  await open(page, '/course');
  // A change of one value is told, simulated, and saved as a new version.
  const distance = page.getByTestId('step-1').getByLabel('Distance');
  await distance.fill('71');
  await expect(page.getByTestId('saved-state')).toContainText('unsaved changes');
  await page.getByRole('button', { name: /^Simulate 400 runs/ }).click();
  await expect(page.getByTestId('course-sentence')).toContainText(/of 100 runs; between/, {
    timeout: 30_000,
  });
  await expect(page.getByRole('region', { name: 'Forecast' })).toContainText('vent crank');
  await page.getByRole('button', { name: 'Save version…' }).click();
  await page.getByLabel('What is new in it?').fill('1 cm further at first');
  await expect(page.getByRole('dialog')).toContainText('71 cm');
  await page.getByRole('button', { name: 'Save version', exact: true }).click();
  await expect(page.getByTestId('saved-state')).toHaveText(/^version \d+$/);
  const version = (await page.getByTestId('saved-state').textContent()) ?? '';

  // A series of that version.
  await open(page, '/runs');
  await page.getByRole('button', { name: 'Start a series…' }).click();
  await page.getByLabel('What is being tried?').fill('One centimetre further');
  await page
    .getByRole('dialog')
    .getByLabel('Route')
    .selectOption({ label: `Round by the barrel, ${version}: 1 cm further at first` });
  await page.getByRole('button', { name: 'Start the series' }).click();
  await page.waitForURL(/\/runs\/[0-9A-Z]{26}$/);
  await ready(page);

  // Ten runs by keyboard alone: five strokes where everything worked, and no run takes more than twelve.
  for (let run = 1; run <= 10; run += 1) {
    const failed = run % 4 === 0;
    const strokes = failed
      ? ['w', 'd', '3', 'x', '-', '1', '2', 'Tab', '5', 'Enter']
      : ['x', '6', 'Tab', '5', 'Shift+Enter'];
    expect(strokes.length).toBeLessThanOrEqual(failed ? 12 : 5);
    for (const key of strokes) await page.keyboard.press(key);
    await expect(page.getByTestId('saved-run')).toHaveCount(run);
  }
  await expect(page.getByTestId('log-sentence')).toContainText('10 runs of 10 logged');
  await expect(page.getByTestId('saved-run').first()).toContainText('6 | 5 mm');
  await page.getByRole('link', { name: 'Findings' }).last().click();
  await expect(page.getByRole('row', { name: 'vent crank' })).toContainText('8 of 10');

  // A recorded series by file.
  await startSeries(page, 'The recorded series', 30);
  await page.getByRole('button', { name: 'Import…' }).click();
  await page.getByLabel('CSV file', { exact: true }).setInputFiles(CSV);
  await expect(page.getByRole('dialog')).toContainText('30 runs will be read');
  await expect(page.getByLabel('success')).toHaveValue('worked');
  await page.getByRole('button', { name: 'Import 30 runs' }).click();
  await expect(page.getByTestId('log-sentence')).toContainText('30 runs of 30 logged');
  await page.getByRole('link', { name: 'Findings' }).last().click();
  await page.waitForURL(/\/findings\//);

  const own = independently();
  // This route ends heading 180°: along the travel is −x, to its left is −y.
  await expect(page.getByTestId('bias-along')).toContainText(`${shown(-own.meanX)} mm`);
  await expect(page.getByTestId('bias-along')).toContainText(`spread ${shown(own.sdX)} mm`);
  await expect(page.getByTestId('bias-across')).toContainText(`${shown(-own.meanY)} mm`);
  await expect(page.getByTestId('bias-across')).toContainText(`spread ${shown(own.sdY)} mm`);
  await expect(page.getByTestId('accuracy')).toContainText(`${shown(own.accuracy)} mm`);
  await expect(page.getByTestId('repeatability')).toContainText(`${shown(own.repeatability)} mm`);
  await expect(page.getByRole('row', { name: 'the whole run' })).toContainText(
    `${own.worked} of ${own.runs}`,
  );
  await expect(page.getByRole('row', { name: 'the whole run' })).toContainText('36 % to 70 %');
  await expect(page.getByTestId('verdict')).toContainText(
    'On average the robot ends 4 mm short and 9 mm to the right',
  );
  await expect(
    page.getByRole('region', { name: 'By who placed the robot' }).getByRole('row'),
  ).toHaveCount(own.placers + 1);
  await expect(page.getByRole('img', { name: /^Run \d+:/ })).toHaveCount(30);
  await page.getByRole('heading', { name: 'In the order of the runs' }).scrollIntoViewIfNeeded();
  await expect(page.getByRole('img', { name: /^End error by run/ })).toBeVisible();

  // The file that is exported reads back as the same runs.
  const link = page.getByRole('link', { name: 'CSV' });
  const [download] = await Promise.all([page.waitForEvent('download'), link.click()]);
  const exported = readFileSync(await download.path(), 'utf8')
    .trim()
    .split('\n');
  expect(exported).toHaveLength(31);
  expect(exported[2]).toContain(',9,19,1,0');
});
