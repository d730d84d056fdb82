import { expect, open, test } from './corvat';

test('a step to a line is added, named by its sensor, planned to the line’s edge, and kept', async ({
  corvat: page,
}) => {
  await open(page, '/course');
  await page.getByRole('button', { name: 'To a line' }).click();
  const step = page.getByTestId('step-16');
  const sensor = step.getByRole('combobox', { name: 'Light sensor' });
  await expect(sensor).toBeHidden();
  await step.getByRole('button', { name: 'more' }).click();
  await expect(sensor).toHaveValue('');
  // At the end of this route no line lies ahead; with its back to it there is one.
  await expect(step).toContainText('So many lines do not lie ahead of its light sensor here');
  await step.getByRole('radio', { name: 'back' }).check();
  await expect(step).not.toContainText('So many lines');
  await sensor.selectOption('L1');
  await expect(step).not.toContainText('no such sensor');
  await sensor.selectOption('the first');
  await expect(step).toContainText(/to \d+\.\d \| \d+\.\d cm/);
  await page.getByRole('button', { name: 'Save version…' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('list', { name: 'Differences' })).toContainText(
    'Drive back until the light sensor goes onto line 1',
  );
  await dialog.getByRole('textbox').first().fill('back to the line');
  await dialog.getByRole('button', { name: /^Save/ }).click();
  await expect(page.getByTestId('saved-state')).toHaveText(/^version \d+$/);
  await open(page, '/course');
  await expect(step).toContainText('until the light sensor');
});

test('every kind of step can be added, says its way on the plan, and what the robot lacks for it', async ({
  corvat: page,
}) => {
  await open(page, '/course');
  const added = (n: number) => page.getByTestId(`step-${n}`);
  await page
    .getByRole('group', { name: 'Drive and turn' })
    .getByRole('button', { name: 'Arc' })
    .click();
  await expect(added(17)).toContainText(/to \d+\.\d \| \d+\.\d cm/);
  await added(17).getByLabel('Radius').fill('15');
  await added(17).getByRole('radio', { name: 'right' }).check();
  // A quarter of an arc of 15 cm, to the right: as far across as ahead.
  const shown = page.locator('path[class*="planned"]');
  await expect(shown).toHaveAttribute('d', /(L[^L]+){20,}/);
  await page.getByRole('button', { name: 'Square on a line' }).click();
  await expect(added(18)).toContainText('This robot has no such sensor, so this step fails');
  await page.getByRole('button', { name: 'In own words' }).click();
  await added(19).getByLabel('What it does').fill('hooks the crate');
  await expect(added(19)).toContainText('How it scatters is a guess');
  await added(19).getByRole('button', { name: 'more' }).click();
  await added(19).getByLabel('Scatter ahead').fill('3');
  await added(19).getByLabel('Scatter ahead').fill('');
  await expect(page.getByText('mend what is marked')).toBeHidden();
});
