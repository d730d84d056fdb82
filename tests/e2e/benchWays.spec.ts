import { expect, open, test } from './corvat';

/** Four distances of a triangulating sensor, as a file. */
const VOLTS = `unit,tape_cm,reading_v
${[10, 15, 20, 40, 80]
  .flatMap((cm) => [-1, 0, 1].map((odd) => [cm, 0.1 + 24 / (cm + 0.4) + 0.01 * odd] as const))
  .map(([cm, volts]) => `D3,${cm},${volts.toFixed(3)}`)
  .join('\n')}
`;

test('a sensor that shows volts gets its curve, and the step card says them', async ({
  corvat: page,
}) => {
  await open(page, '/bench/range?new');
  await page.getByRole('radio', { name: 'volts' }).check();
  await expect(page.getByRole('button', { name: /Take what it reads now/ })).toHaveCount(0);
  await page.getByLabel('Unit', { exact: true }).fill('D3');
  await page.getByLabel('It reads (V)').fill('2.4');
  await page.keyboard.press('Enter');
  await expect(page.getByText('1 reading, the newest first')).toBeVisible();
  await page.getByText('From a file').click();
  await page.getByLabel('Readings (CSV)').setInputFiles({
    name: 'volts.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(VOLTS),
  });
  await page.getByRole('button', { name: 'Take 15 readings' }).click();
  // What was typed stands at another distance: it is set aside.
  await page.getByRole('button', { name: 'Set reading 1 aside' }).click();
  await page.getByLabel('Why?').fill('Typed by mistake');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('verdict')).toContainText(
    /D3 shows 2\.4\d V at 10 cm and 0\.4\d? ?V at 80 cm: the nearer, the more/,
  );
  const table = page.getByRole('table', { name: 'What to compare with, to stop at a distance' });
  await expect(table.getByRole('row', { name: /^20 cm/ })).toContainText(/1\.2\d V or more/);
  await page.getByRole('button', { name: /^Apply this to/ }).click();
  await page.getByRole('button', { name: 'Apply from now on' }).click();
  await expect(page.getByText('This holds from now on.')).toBeVisible();
  await open(page, '/course');
  await page.getByRole('button', { name: 'Approach', exact: true }).click();
  await expect(page.locator('[data-testid^="step-"]').last()).toContainText(
    /Its sensor shows 2\.0\d V or more then/,
  );
  await expect(page.getByTestId('calibration-line')).toContainText('distance sensor, in volts');
});

test('a sensor that looks askew is found by turning the robot before a wall', async ({
  corvat: page,
}) => {
  await open(page, '/bench/range?new');
  await page.getByText('Does it look straight ahead?').click();
  await page.getByLabel('By the tape').fill('40');
  // A narrow beam that looks 8° to the left, 40 cm before a wall.
  for (const turned of [-20, -10, 0, 10, 20]) {
    await page.getByLabel('Robot turned by').fill(String(turned));
    const reading = 40 / Math.cos(((turned + 8) * Math.PI) / 180);
    await page.getByLabel('It reads (cm)').fill(`${reading.toFixed(2)}`);
    await page.keyboard.press('Enter');
    await page.getByLabel('It reads (cm)').fill(`${reading.toFixed(2)}`);
    await page.keyboard.press('Enter');
  }
  await expect(page.getByTestId('mount')).toContainText(/looks \d+(\.\d)?° to the left/);
});

test('a square by pivots, laps that go on, and the gyro beside the encoders', async ({
  corvat: page,
}) => {
  await open(page, '/bench/square?new');
  await page.getByRole('radio', { name: 'inner wheel stands' }).check();
  const lap = async (direction: string, began: string, values: readonly string[]) => {
    await page.getByRole('radio', { name: direction, exact: true }).check();
    await page.getByRole('radio', { name: began }).check();
    const [forward = '', left = '', turned = ''] = values;
    await page.getByLabel('Ended forward by').fill(forward);
    await page.getByLabel('Ended left by').fill(left);
    await page.getByLabel(/Turned over by/).fill(turned);
    await page.keyboard.press('Enter');
  };
  await lap('clockwise', 'at the mark', ['30', '-20', '4']);
  // The same lap once more, from where the first one ended: twice as far off, and no worse.
  await lap('clockwise', 'where it stood', ['61', '-38', '8']);
  await lap('counter-clockwise', 'at the mark', ['30', '20', '-4']);
  await expect(page.getByTestId('track-ratio')).toContainText(/[01]\.\d{4}/);
  await page.getByRole('radio', { name: 'the gyro' }).check();
  await lap('clockwise', 'at the mark', ['4', '-3', '1']);
  await lap('counter-clockwise', 'at the mark', ['5', '2', '-1']);
  await expect(page.getByTestId('square-ways')).toContainText(
    /by the encoders 3 laps end 3\d mm off and 4° turned, with the gyro 2 laps end 5 mm off/,
  );
});

test('an angle that is judged by eye counts by how sure it is', async ({ corvat: page }) => {
  await open(page, '/bench/turns?new');
  await page.getByRole('radio', { name: 'eye, in degrees' }).check();
  await page.getByLabel('About').fill('100');
  await page.getByLabel('Give or take').fill('10');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^1 trial, the newest first/)).toBeVisible();
  await expect(page.getByRole('table', { name: 'Trials' })).toContainText('eye, in degrees, ± 10°');
});
