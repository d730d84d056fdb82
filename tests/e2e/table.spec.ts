import { expect, open, reload, test } from './corvat';

test('a mission is moved on the table and saved; a wrong value is said and not taken', async ({
  corvat: page,
}) => {
  await open(page, '/course/table');
  const x = page.getByLabel('Robot’s axle at x');
  const before = Number(await x.inputValue());
  await page.getByRole('button', { name: /^Mission seed drawer/ }).focus();
  await page.keyboard.press('Shift+ArrowRight');
  await expect(x).toHaveValue(String(before + 1));
  await x.fill('5000');
  await expect(page.getByText('0 to 2200 mm fits')).toBeVisible();
  await x.fill(String(before + 2));
  await page.getByRole('button', { name: 'Save the table' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await reload(page);
  await expect(x).toHaveValue(String(before + 2));
});

test('a coloured field is laid on the table, seen on its plan and kept', async ({
  corvat: page,
}) => {
  await open(page, '/course/table');
  await page.getByRole('button', { name: '+ Field' }).click();
  await page.getByLabel('Field 1 colour').fill('#1f8a3c');
  await page.getByLabel('Field 1 from x').fill('1500');
  await page.getByLabel('Field 1 there in').fill('40');
  await page.getByLabel('Field 1 to x').fill('1900');
  const field = page.getByRole('img', { name: 'Field 1, green' });
  await expect(field).toBeVisible();
  await page.getByRole('button', { name: 'Save the table' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await reload(page);
  await expect(page.getByLabel('Field 1 colour')).toHaveValue('#1f8a3c');
  await expect(page.getByLabel('Field 1 from x')).toHaveValue('1500');
  await expect(page.getByLabel('Field 1 there in')).toHaveValue('40');
  await page.getByRole('button', { name: 'Take field 1 away' }).click();
  await page.getByRole('button', { name: 'Save the table' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await expect(field).toHaveCount(0);
});

test('a mission gets parts, one of them elsewhere, and counts after another; an obstacle and a bent line are kept', async ({
  corvat: page,
}) => {
  await open(page, '/course/table');
  await page.getByRole('button', { name: /^lantern/ }).click();
  await page.getByRole('button', { name: '+ Part' }).click();
  await page.getByRole('button', { name: '+ Part' }).click();
  const parts = page.getByRole('region', { name: 'Parts of the lantern' });
  await parts.getByLabel('Part', { exact: true }).last().fill('lit');
  await parts.getByLabel('Pieces').last().fill('3');
  await parts.getByRole('button', { name: 'another place' }).last().click();
  await parts.getByLabel('Robot’s axle at x').fill('900');
  await page.getByRole('checkbox', { name: 'pond gate' }).check();
  await expect(page.getByRole('button', { name: /^lantern/ })).toContainText(
    '50 points in 2 parts',
  );
  await expect(page.getByText('7 missions, 180 points')).toBeVisible();
  await page.getByRole('button', { name: '+ Obstacle' }).click();
  await page.getByLabel('Obstacle 1 high').fill('60');
  await page.getByLabel('Line 2 bending by').fill('90');
  await page.getByRole('button', { name: '+ Home' }).click();
  await page.getByRole('button', { name: 'Save the table' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await reload(page);
  await expect(page.getByLabel('Obstacle 1 high')).toHaveValue('60');
  await expect(page.getByLabel('Line 2 bending by')).toHaveValue('90');
  await page.getByRole('button', { name: /^lantern/ }).click();
  await expect(page.getByRole('checkbox', { name: 'pond gate' })).toBeChecked();
  await expect(parts.getByLabel('Part', { exact: true }).last()).toHaveValue('lit');
});
