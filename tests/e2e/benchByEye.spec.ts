import { expect, open, test } from './corvat';
import { WREN } from './standIn';

test('a turn that is only looked at is told anew until it looks right', async ({
  corvat: page,
}) => {
  await open(page, `/bench/turns?robot=${WREN}&new`);
  await page.getByRole('radio', { name: 'eye', exact: true }).click();
  // Told 90 it goes too far: the next number to tell is set up by a press, until one looks right twice.
  await page.getByRole('button', { name: 'Too far' }).click();
  await expect(page.getByTestId('by-eye')).toContainText(/By eye, for 90°: tell 82° next/);
  await page.getByTestId('by-eye').getByRole('button', { name: 'Set that up' }).click();
  await expect(page.getByLabel('Told to turn')).toHaveValue('82');
  await expect(page.getByLabel('It is to make')).toHaveValue('90');
  await page.getByRole('button', { name: 'Looks right' }).click();
  await expect(page.getByTestId('by-eye')).toContainText(/\d+°/);
  await page.getByLabel('Told to turn').fill('82');
  await page.getByRole('button', { name: 'Looks right' }).click();
  await expect(page.getByTestId('by-eye')).toContainText(/telling 82° makes it/);
  await expect(page.getByTestId('by-eye')).toContainText(/protractor/);
  const newest = page
    .getByRole('table', { name: 'Trials', exact: true })
    .locator('tbody tr')
    .first();
  await expect(newest).toContainText('looked right for 90°');
  // A square that stays open tells of all its four turns, in half degrees.
  await page.getByRole('radio', { name: 'a square: does it close?' }).click();
  await page.getByRole('button', { name: 'Not far enough' }).click();
  await expect(newest).toContainText('not far enough for 90°, a square');
  await expect(page.getByTestId('by-eye')).toContainText(
    /leave somewhere from \d+\.\d° to \d+\.\d°/,
  );
});

test('a turn that follows a drive is asked how it began, and keeps only what is its own', async ({
  corvat: page,
}) => {
  await open(page, `/bench/turns?robot=${WREN}&new`);
  await page.getByRole('radio', { name: 'a drive', exact: true }).click();
  await page.getByLabel('Truly faced as it began').fill('2');
  await page.getByLabel('Protractor', { exact: true }).fill('95');
  await page.getByRole('button', { name: 'Add the trial' }).click();
  const trial = page
    .getByRole('table', { name: 'Trials', exact: true })
    .locator('tbody tr')
    .first();
  // Told to turn to 90° from 2°: 88°, and it made 93°.
  await expect(trial).toContainText(/88° left.*93\.0°.*protractor, after a drive/);
  await expect(page.getByLabel('Truly faced as it began')).toHaveValue('');
});
