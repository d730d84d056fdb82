import { expect, open, test } from './corvat';

test('a step to a line is added, named by its sensor, planned to the line’s edge, and kept', async ({
  corvat: page,
}) => {
  await open(page, '/course');
  await page.getByRole('button', { name: 'To a line' }).click();
  const step = page.getByTestId('step-16');
  const sensor = step.getByRole('textbox', { name: 'Light sensor' });
  await expect(sensor).toHaveValue('');
  // At the end of this route no line lies ahead; with its back to it there is one.
  await expect(step).toContainText('So many lines do not lie ahead of its light sensor here');
  await step.getByRole('radio', { name: 'back' }).check();
  await expect(step).not.toContainText('So many lines');
  await sensor.fill('L9');
  await expect(step).toContainText('This robot has no such sensor');
  await sensor.fill('L1');
  await expect(step).not.toContainText('no such sensor');
  await sensor.fill('');
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
