import { expect, open, test } from './corvat';

test('what can be mounted is written down with the robot, chosen for a route, and printed on its card', async ({
  corvat: page,
}) => {
  await open(page, '/robot');
  const group = page.locator('details').filter({ hasText: 'What can be mounted' });
  await group.locator('summary').click();
  await group.getByRole('button', { name: '+ Something to mount' }).click();
  await group.getByLabel('What can be mounted').last().fill('the long fork');
  const front = group.getByLabel('To the front').last();
  await front.fill('900');
  await front.press('Enter');
  await group.getByLabel('On it now').selectOption('the long fork');
  await expect(page.getByText('how far it reaches with “the long fork” on')).toBeVisible();
  await page.getByRole('button', { name: 'Save the robot' }).click();
  await expect(page.getByRole('button', { name: 'Save the robot' })).toBeDisabled();
  await open(page, '/course');
  const mounted = page.getByLabel('Mounted', { exact: true });
  await expect(mounted).toHaveValue('the hook');
  await expect(page.getByText('Its outline meets')).toHaveCount(0);
  await mounted.selectOption('the long fork');
  // Ninety centimetres ahead of the axle are more than the table has room for.
  await expect(page.getByText(/Its outline meets the border/).first()).toBeVisible();
  await mounted.selectOption('nothing');
  await expect(page.getByText('Its outline meets')).toHaveCount(0);
  await page.getByRole('button', { name: 'Save version…' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('“the hook” mounted');
  await expect(dialog).toContainText('Nothing mounted');
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: 'Step card' }).click();
  await expect(page.getByText('with “the hook” mounted')).toBeVisible();
});
