import { expect, open, test } from './corvat';

test('a heading sensor that is built in takes no port, and nobody is told to unplug it', async ({
  corvat: page,
}) => {
  await open(page, '/bench/re-zero');
  const ways = page.getByRole('table', { name: 'Ways to get rid of drift' });
  const unplug = ways.getByText('Unplug the sensor and plug it in again');
  await expect(unplug).toBeVisible();
  await open(page, '/robot');
  await expect(page.getByText(/5 of 6 ports are used/)).toBeVisible();
  const heading = page.getByRole('group', { name: 'H1' });
  await heading.getByLabel('Port').selectOption({ label: 'built into the controller' });
  await expect(page.getByText(/4 of 6 ports are used/)).toBeVisible();
  for (const [unit, name] of [
    ['D3', 'eye'],
    ['L1', 'eye'],
  ] as const) {
    await page.getByRole('button', { name: `More of ${unit}` }).click();
    await page.getByRole('group', { name: unit }).getByLabel('Name in programs').fill(name);
  }
  await expect(page.getByText(/Programs call D3 and L1 by the same name, “eye”/)).toBeVisible();
  await page.getByRole('button', { name: 'Save the robot' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await open(page, '/robot/sheet');
  await expect(page.getByText('Built into the controller: H1 (heading sensor).')).toBeVisible();
  await expect(page.getByRole('row', { name: /D3/ })).toContainText('eye');
  await expect(page.getByText(/by the same name, “eye”/)).toBeVisible();
  await open(page, '/bench/re-zero');
  await expect(ways).toBeVisible();
  await expect(unplug).toBeHidden();

  // As it was, for the other tests.
  await open(page, '/robot');
  await heading.getByLabel('Port').selectOption('C');
  for (const unit of ['D3', 'L1']) {
    await page.getByRole('button', { name: `More of ${unit}` }).click();
    await page.getByRole('group', { name: unit }).getByLabel('Name in programs').fill('');
  }
  await page.getByRole('button', { name: 'Save the robot' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
});
