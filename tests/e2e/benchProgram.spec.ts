import { expect, open, test, unfold } from './corvat';
import { PIPIT, WREN } from './standIn';

test('a robot whose programs count power and rotations is measured and driven as its programs count', async ({
  corvat: page,
}) => {
  await open(page, `/robot?robot=${WREN}`);
  await unfold(page, 'How its programs count');
  await page.getByLabel('Motors are told').selectOption('percent');
  await expect(page.getByText(/How fast is it at which power\?/)).toBeVisible();
  await page.getByLabel('Driving is told in').selectOption('rotations');
  const drives = page.getByRole('region', { name: 'Timed drives' });
  for (const [percent, seconds] of [
    ['20', '8'],
    ['60', '2,5'],
  ] as const) {
    await drives.getByLabel('Told').fill(percent);
    await drives.getByLabel('in', { exact: true }).fill(seconds);
    await drives.getByRole('button', { name: 'Add this drive' }).click();
  }
  await expect(drives).toContainText('20 %: 12.5 cm/s');
  await page.getByRole('button', { name: 'Save the robot' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();

  await open(page, `/bench/turns?robot=${WREN}&new`);
  const power = page.getByLabel('In the program');
  await power.fill('40');
  // 26.25 cm/s at the wheels of a track of 118 mm are 255 degrees a second.
  await expect(page.getByLabel('At', { exact: true })).toHaveValue('254.9');
  await page.getByLabel('At', { exact: true }).fill('200');
  await expect(power).toHaveValue('32');
  await power.fill('90');
  await expect(page.getByText(/not timed yet at such a power/)).toBeVisible();
  await expect(page.getByLabel('At', { exact: true })).toHaveValue('200');
  await power.fill('32');

  // On the course, too: 70 cm are so many turns of the motor, at so much power.
  await open(page, `/robot?robot=${PIPIT}`);
  await unfold(page, 'How its programs count');
  await page.getByLabel('Driving is told in').selectOption('rotations');
  await page.getByRole('button', { name: 'Save the robot' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await open(page, '/course');
  const step = page.getByTestId('step-1');
  await expect(step.getByLabel('Distance in the program')).toHaveValue('3.98');
  await step.getByLabel('Distance in the program').fill('4');
  await expect(step.getByLabel('Distance', { exact: true })).toHaveValue('70.4');
  await page.getByRole('button', { name: 'Undo' }).click();
});
