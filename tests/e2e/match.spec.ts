import { expect, open, reload, test } from './corvat';

test('a match says what its launches bring, in what order, and what the clock cuts off', async ({
  corvat: page,
}) => {
  await open(page, '/course/match');
  const sentence = page.getByTestId('match-sentence');
  const forecast = page.getByRole('region', { name: 'Forecast of the match' });
  await expect(sentence).toContainText(/^3 launches: \d+ points on average/, { timeout: 40_000 });
  await expect(forecast).toContainText('“Along the guide lines” is partly a guess');
  const rowOf = (name: string) => forecast.getByRole('row', { name });
  await expect(rowOf('Pond and back')).toContainText('0 s');

  // A clock that runs out while the last launch is under way.
  await page.getByLabel('The clock runs for').fill('60');
  await expect(sentence).toContainText('is cut off by it in', { timeout: 20_000 });
  await expect(rowOf('Along the guide lines')).toContainText(' 0 %');

  // Driven first, it is back in time.
  const last = page.getByRole('listitem', { name: /^launch \d, Along the guide lines/ });
  await last.getByRole('button', { name: /earlier$/ }).click();
  await last.getByRole('button', { name: /earlier$/ }).click();
  await expect(last).toHaveAccessibleName('launch 1, Along the guide lines');
  await expect(rowOf('Along the guide lines')).toContainText('100 %', { timeout: 20_000 });
  await expect(last.getByLabel('Change-overs before it, s')).toHaveCount(0);

  // Wren's launch is worth less than Pipit's that it drives off the clock: another order is offered, and taken.
  await expect(forecast).toContainText('Another order would bring');
  const before = await sentence.innerText();
  await page.getByRole('button', { name: 'Take this order' }).click();
  await expect(sentence).not.toHaveText(before, { timeout: 20_000 });
  await expect(forecast).not.toContainText('Another order would bring');

  await page.getByRole('button', { name: 'Save the match' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  const said = await sentence.innerText();
  await reload(page);
  await expect(sentence).toHaveText(said, { timeout: 40_000 });
});

test('change-overs are timed with one button or typed; what is no time is said; launches come and go', async ({
  corvat: page,
}) => {
  await open(page, '/course/match');
  const second = page.getByRole('listitem', { name: /^launch 2/ });
  const seconds = second.getByLabel('Change-overs before it, s');
  const before = await seconds.inputValue();
  await second.getByRole('button', { name: 'Time one' }).click();
  await page.waitForTimeout(1200);
  await second.getByRole('button', { name: 'Ready: stop' }).click();
  await expect(seconds).toHaveValue(new RegExp(`^${before} [1-3](\\.\\d)?$`));
  await seconds.fill('9.5 ten');
  await expect(second).toContainText('Wanted here: seconds from 0.5 to 300');
  await expect(page.getByRole('button', { name: 'Save the match' })).toBeDisabled();
  await seconds.fill('9,5 10');
  await expect(page.getByRole('button', { name: 'Save the match' })).toBeEnabled();
  const sentence = page.getByTestId('match-sentence');
  for (const left of [2, 1, 0]) {
    await page.getByRole('button', { name: /^Take launch 1,/ }).click();
    await expect(page.getByRole('listitem', { name: /^launch/ })).toHaveCount(left);
  }
  await expect(sentence).toContainText('No launch yet');
  await page.getByRole('button', { name: '+ Add a launch' }).click();
  await expect(sentence).toContainText(/^1 launch: \d+ points/, { timeout: 40_000 });
  await page.getByRole('button', { name: 'Back to what is saved' }).click();
  await expect(page.getByRole('listitem', { name: /^launch/ })).toHaveCount(3);
});
