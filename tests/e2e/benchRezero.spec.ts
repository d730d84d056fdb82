import { expect, open, test } from './corvat';

test('a way that this kit cannot do is not offered any more, and one takes as long as it takes here', async ({
  corvat: page,
}) => {
  await open(page, '/bench/re-zero');
  const ways = page.getByRole('table', { name: 'Ways to get rid of drift' });
  const restart = ways.getByRole('row', { name: /^Restart the controller/ });
  await expect(restart).toContainText('45 s as a rule');
  await restart.getByRole('button', { name: /^Try:/ }).click();
  const recipe = page.getByRole('region', { name: 'Steps' });
  await expect(recipe).toContainText('set the heading to zero');
  await recipe.getByLabel('It takes here').fill('150');
  await recipe.getByRole('button', { name: 'Keep this time' }).click();
  await expect(restart).toContainText('2:30 min');
  await expect(restart).not.toContainText('as a rule');
  await expect(page.getByTestId('gives-up')).toContainText('Not started after 5:00 min?');
  await ways.getByRole('button', { name: /^Try: Unplug/ }).click();
  await recipe.getByRole('button', { name: 'This kit cannot do it' }).click();
  await expect(ways.getByRole('row', { name: /^Unplug/ })).toHaveCount(0);
  // Kept with the robot, and taken back with one press.
  await open(page, '/bench/re-zero');
  await expect(ways.getByRole('row', { name: /^Unplug/ })).toHaveCount(0);
  await expect(restart).toContainText('2:30 min');
  await page.getByRole('button', { name: /^Unplug.*: it can$/ }).click();
  await expect(ways.getByRole('row', { name: /^Unplug/ })).toBeVisible();
  await restart.getByRole('button', { name: /^Try:/ }).click();
  await recipe.getByLabel('It takes here').fill('45');
  await recipe.getByRole('button', { name: 'Keep this time' }).click();
  await expect(restart).toContainText('45 s');
});
