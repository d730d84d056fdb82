import { expect, open, test } from './corvat';

test('which way the robot faced is noted beside a turn, and a sensor that errs by direction is told', async ({
  corvat: page,
}) => {
  await open(page, '/bench/turns?new');
  await page.getByText('Which way it faced, where it stood').click();
  // Quarter turns to the left; the sensor errs by 4° around the circle.
  for (const [faced, turned] of [
    ['0', '94'],
    ['90', '94.2'],
    ['180', '86'],
    ['270', '85.8'],
    ['0', '93.8'],
    ['90', '94'],
    ['180', '86.2'],
    ['270', '86'],
  ] as const) {
    await page.getByLabel('Faced before the turn').fill(faced);
    await page.getByLabel('Protractor', { exact: true }).fill(turned);
    await page.keyboard.press('Enter');
  }
  await expect(page.getByTestId('stood')).toContainText(
    /It matters which way it faces: around the circle the heading sensor errs by 4(\.\d)?° to either side/,
  );
  await page.getByText('Zero before each turn, or count headings on?').click();
  await expect(page.getByTestId('zeroing')).toContainText('Count headings on from the start.');
  // It stands in the form for the next turn, and is kept with those that were made.
  await expect(page.getByLabel('Faced before the turn')).toHaveValue('270');
  await expect(page.getByText('Everything is kept.')).toBeVisible();
  await open(page, '/bench/turns');
  await expect(page.getByTestId('stood')).toContainText('It matters which way it faces');
});
