import { expect, open, test } from './corvat';

test('without a log directions are told by what the small screen showed', async ({
  corvat: page,
}) => {
  await open(page, '/bench/directions');
  await page.getByRole('radio', { name: 'off its small screen' }).check();
  const turn = page.getByRole('region', { name: 'Turn it to the left' });
  const verdict = page.getByTestId('directions-verdict');
  await turn.getByRole('radio', { name: 'stayed' }).check();
  await expect(turn).toContainText('did not change: is it plugged in');
  const takeOver = page.getByRole('button', { name: 'Take this over into the record' });
  const isWrong = async (told: string) => {
    await turn.getByRole('radio', { name: told }).check();
    await expect(turn).toContainText(/the raw heading|the heading (grows|shrinks)/);
    return takeOver.isVisible();
  };
  // One of the two ways is what the record says; the other is offered as its correction.
  expect([await isWrong('grew'), await isWrong('fell')].filter(Boolean)).toHaveLength(1);
  await expect(verdict).toContainText(/The record has|So far the readings grow/);
  await expect(page.getByRole('button', { name: 'Start' })).toHaveCount(0);
});
