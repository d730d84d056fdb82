import { answerOf } from '../../src/core/drill/answers';
import { drillTask } from '../../src/core/drill/registry';
import { expect, open, ready, test } from './corvat';

test('a student judges traces by keys, sees at once why, and comes back to what was learnt', async ({
  corvat: page,
}) => {
  await open(page, '/bench/drill?new');
  const shown = page.getByTestId('drill-task');
  const task = async () => {
    await expect(shown).toContainText('The robot was told');
    return drillTask(Number(await shown.getAttribute('data-seed')));
  };
  for (let i = 0; i < 3; i += 1) {
    const { cause, answers } = await task();
    await expect(page.getByRole('main')).not.toContainText(cause.why);
    // Twice what it is, then something else.
    const isRight = i < 2;
    const chosen = answers.findIndex(({ id }) => (id === cause.id) === isRight);
    await page.keyboard.press(String(chosen + 1));
    const told = page.getByTestId('drill-told');
    await expect(told).toContainText(isRight ? 'Right: ' : 'but: ');
    await expect(told).toContainText(answerOf(cause.id));
    await expect(told).toContainText(cause.why);
    await expect(page.getByTestId('verdict')).toContainText(
      `${Math.min(i + 1, 2)} of ${i + 1} trace`,
    );
    const before = await shown.getAttribute('data-seed');
    await page.keyboard.press('n');
    await expect(shown).not.toHaveAttribute('data-seed', before ?? '');
  }
  await page.getByLabel('Who is judging?').fill('Juniper');
  await expect(page.getByText('Everything is kept.')).toBeVisible();
  await page.getByRole('link', { name: 'Another student' }).press('Enter');
  await page.waitForURL(/new/);
  await ready(page);
  await expect(page.getByTestId('verdict')).toHaveCount(0);
  await page
    .getByRole('region', { name: 'Students' })
    .getByRole('link', { name: 'Juniper' })
    .click();
  await page.waitForURL(/list=/);
  await ready(page);
  await expect(page.getByTestId('verdict')).toContainText('Juniper: 2 of 3 traces judged right.');
  await expect(
    page.getByRole('table', { name: 'Day by day' }).getByRole('row', { name: /2 of 3/ }),
  ).toContainText(/67 % \(\d+ % to \d+ %\)/);
});
