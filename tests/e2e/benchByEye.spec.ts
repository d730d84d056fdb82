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
  await expect(
    page.getByRole('table', { name: 'Trials', exact: true }).locator('tbody tr').first(),
  ).toContainText('looked right for 90°');
});
