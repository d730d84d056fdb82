import { expect, open, test } from './corvat';

test('what the heading sensor showed beside the protractor tells its scale, which programs then take out', async ({
  corvat: page,
}) => {
  await open(page, '/bench/turns?new');
  const protractor = page.getByLabel('Protractor', { exact: true });
  // It reads 2 % too much, and turns go on by three degrees: by the reading.
  for (const [told, turned, read] of [
    ['90', '91', '93.1'],
    ['90', '91.5', '92.9'],
    ['180', '179.5', '183.1'],
    ['180', '179', '182.9'],
    ['180', '179.5', '183'],
  ] as const) {
    await page.getByLabel('Told to turn').fill(told);
    await protractor.fill(turned);
    await page.getByLabel('Heading sensor showed').fill(read);
    await page.keyboard.press('Enter');
    await expect(protractor).toHaveValue('');
  }
  await expect(page.getByText(/Its heading sensor reads [12]\.\d % \(.*\) too much/)).toContainText(
    /every heading is told × 1\.0[12]\d+, in turns and in drives/,
  );
  await expect(page.getByText('Everything is kept.')).toBeVisible();
  await page.getByRole('button', { name: 'Apply these commands…' }).click();
  await expect(page.getByRole('dialog')).toContainText(
    /In the program tell every heading × 1\.0[12]\d+/,
  );
  await page.getByRole('button', { name: 'Apply from now on' }).click();
  await expect(page.getByText('These commands hold from now on.')).toBeVisible();
  await open(page, '/course');
  await expect(page.getByTestId('calibration-line')).toContainText(
    /In the program tell every heading × 1\.0[12]\d+, counted from the start/,
  );
  await open(page, '/bench/calibrations');
  await page
    .getByRole('region', { name: 'turns', exact: true })
    .getByRole('button', { name: 'Go back to the one before' })
    .click();
  await expect(page.getByTestId('holds-turns')).not.toContainText('headings told');
});

test('a turn that falls short is told to stop late, and its step can be saved so', async ({
  corvat: page,
}) => {
  await open(page, '/course');
  const early = page.getByLabel('Lead', { exact: true }).first();
  await early.fill('-2');
  await early.blur();
  await expect(page.getByRole('button', { name: 'Save version…' })).toBeEnabled();
});
