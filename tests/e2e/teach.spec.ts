import { expect, open, test } from './corvat';
import { act, pass } from './standIn';

test('a step takes its value from where the robot stands: read live, or typed from its small screen', async ({
  corvat: page,
}) => {
  await act(page, { do: 'set-clock', rate: 0 }, { do: 'power-on', inHand: false });
  await act(page, { do: 'set-target', distanceM: 0.25 });
  await open(page, '/course');
  await page.getByRole('link', { name: 'Pond and back' }).click();
  await page.getByRole('button', { name: 'Approach', exact: true }).click();
  const step = page.getByTestId('step-4');
  const threshold = step.getByLabel('Threshold', { exact: true });
  await expect(threshold).toHaveValue('12');
  await step.getByRole('button', { name: 'Teach step 4 by placing the robot' }).click();
  await expect(step).toContainText('Place the robot where it should stop');
  // Where it stands it drives on by something after it was told to stop: it is told that much earlier.
  const shows = step.getByLabel(/shows/);
  await shows.fill('30');
  await page.keyboard.press('Enter');
  await expect(step.getByRole('status')).toHaveText(/^Taken: D\S* at 30 cm\.$/);
  const told = Number(await threshold.inputValue());
  expect(told).toBeGreaterThan(30);
  expect(told).toBeLessThan(33);
  const earlierCm = told - 30;
  await step.getByRole('button', { name: 'Read it now' }).click();
  await pass(page, 1);
  await expect(step.getByRole('status')).toHaveText(/^Taken: D\S* at 2[4-7](\.\d)? cm\.$/);
  const read = Number(
    /at ([\d.]+) cm/.exec((await step.getByRole('status').textContent()) ?? '')?.[1],
  );
  expect(Math.abs(Number(await threshold.inputValue()) - read - earlierCm)).toBeLessThan(0.25);
  // Too far for a step: said, and nothing is changed; a press takes back what was taught.
  const before = await threshold.inputValue();
  await shows.fill('900');
  await page.keyboard.press('Enter');
  await expect(step.getByRole('alert')).toContainText('A step cannot have 900 cm here');
  await expect(threshold).toHaveValue(before);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(threshold).not.toHaveValue(before);
  await act(page, { do: 'power-off' });
  await step.getByRole('button', { name: 'Read it now' }).click();
  await expect(step.getByRole('alert')).toContainText('The stand-in was switched off.');
  await expect(step.getByRole('link', { name: /Switch it on/ })).toBeVisible();
  await act(page, { do: 'set-target', distanceM: null }, { do: 'set-clock', rate: 1 });
});

test('a route begins by standing still, at one press, and says what happens when it does not', async ({
  corvat: page,
}) => {
  await open(page, '/course');
  await page.getByRole('link', { name: 'Pond and back' }).click();
  await expect(page.getByTestId('step-3')).toBeVisible();
  const stays = page.getByRole('button', { name: 'Wait first until it stands still, else stay' });
  await stays.click();
  await expect(page.getByTestId('step-1')).toContainText('Wait until');
  await expect(page.getByTestId('step-1')).toContainText('or it has failed');
  await expect(page.getByTestId('step-1').getByLabel('Within').first()).toHaveValue('5');
  await expect(page.getByTestId('step-2')).toContainText('Take the heading here for');
  await expect(page.getByTestId('step-5')).toBeVisible();
  await expect(stays).toHaveCount(0);
  await page.getByRole('link', { name: 'Building sheet' }).click();
  await expect(page.locator('main')).toContainText('give up');
  await page.goBack();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(stays).toBeVisible();
});
