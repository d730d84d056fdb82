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
  // A power outside of those that were timed counts by the record's top speed, and that is said.
  await power.fill('90');
  await expect(page.getByText(/Nobody has timed this power/)).toBeVisible();
  await power.fill('32');
  await expect(page.getByText(/Nobody has timed this power/)).toBeHidden();

  // A drive and a stop are entered as they were told.
  await open(page, `/bench/straight?robot=${WREN}&new`);
  await page.getByLabel('Told in its program').fill('60');
  await expect(page.getByLabel('At', { exact: true })).toHaveValue('40');
  await page.getByLabel('As its program has it').fill('-2');
  const told = page.getByLabel('Told to drive');
  const backwardCm = Number((await told.inputValue()).replace('−', '-'));
  await page.getByLabel('As its program has it').fill('2');
  expect(Number(await told.inputValue())).toBeCloseTo(-backwardCm, 6);
  expect(backwardCm).toBeLessThan(-20);
  await open(page, `/bench/stop?robot=${WREN}&new`);
  await page.getByLabel('Driven at').fill('12.5');
  await expect(page.getByLabel('Told in its program')).toHaveValue('20');

  // On the course, too: 70 cm are so many turns of the motor, at so much power.
  await open(page, `/robot?robot=${PIPIT}`);
  await unfold(page, 'How its programs count');
  await page.getByLabel('Driving is told in').selectOption('rotations');
  await page.getByRole('button', { name: 'Save the robot' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await open(page, '/course');
  const step = page.getByTestId('step-1');
  // By the wheels as they were measured, 1.3 % smaller than recorded, and 4 mm of rolling on.
  await expect(step.getByLabel('Distance in the program')).toHaveValue('4.01');
  await step.getByLabel('Distance in the program').fill('4');
  const centimetres = async () =>
    Number(await step.getByLabel('Distance', { exact: true }).inputValue());
  await expect.poll(centimetres).toBeCloseTo((70 * 4) / 4.01, 0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await open(page, `/robot?robot=${PIPIT}`);
  await unfold(page, 'How its programs count');
  await page.getByLabel('Driving is told in').selectOption('not said yet');
  await page.getByRole('button', { name: 'Save the robot' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
});

test('a robot without a log is checked by what its screen shows, and told how little that proves', async ({
  corvat: page,
}) => {
  await open(page, `/bench/still?robot=${WREN}`);
  await page.getByText('No log? Type what its screen shows').click();
  const fields = page.locator('details').filter({ hasText: 'Judge the two readings' });
  await fields.getByLabel('It shows', { exact: true }).fill('3');
  await fields.getByLabel('and after').fill('120');
  await fields.getByLabel('it shows', { exact: true }).fill('4');
  await fields.getByRole('button', { name: 'Judge the two readings' }).click();
  await expect(page.getByRole('main')).toContainText(
    /No drift is proved.*Two readings of a screen with steps of 1° tell no more/,
  );
  // It is among the robot's checks, on the next visit as well.
  await expect(page.getByRole('region', { name: 'Earlier checks' })).toBeVisible();
  await open(page, `/bench/still?robot=${WREN}`);
  await expect(page.getByRole('region', { name: 'Earlier checks' })).toContainText(
    /−?0\.0\d+ ± 0\.0\d+ °\/s/,
  );
  await fields.locator('summary').click();
  await fields.getByLabel('It shows', { exact: true }).fill('3');
  await fields.getByLabel('it shows', { exact: true }).fill('43,5');
  await fields.getByRole('button', { name: 'Judge the two readings' }).click();
  await expect(page.getByRole('main')).toContainText(
    /creeps to the (left|right) by 0\.6[78]\d* °\/s/,
  );
});
