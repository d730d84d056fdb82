import { shoot, go } from '/tmp/shots/lib';
await shoot(async (page, shot) => {
  await go(page, '/bench/turns?new');
  await page.getByText(/^Conditions/).click();
  await shot('f-turns', true);
  await go(page, '/bench/square'); await shot('f-square'); await go(page, '/bench/still');
  await page.getByRole('radio', {name:'×10'}).click();
  await page.getByRole('button', { name: 'Start, hands off' }).click();
  await page.waitForTimeout(5200);
  await shot('f-live');
});
