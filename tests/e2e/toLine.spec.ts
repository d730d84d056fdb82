import { expect, open, test } from './corvat';

test('a step to a line is added, named by its sensor, planned to the line’s edge, and kept', async ({
  corvat: page,
}) => {
  await open(page, '/course');
  await page.getByRole('button', { name: 'To a line' }).click();
  const step = page.getByTestId('step-16');
  const sensor = step.getByRole('combobox', { name: 'Light sensor' });
  await expect(sensor).toBeHidden();
  await step.getByRole('button', { name: /^More of step/ }).click();
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
  await added(19)
    .getByRole('button', { name: /^More of step/ })
    .click();
  await added(19).getByLabel('Scatter ahead').fill('3');
  await added(19).getByLabel('Scatter ahead').fill('');
  await expect(page.getByText('mend what is marked')).toBeHidden();
});

test('a turn ends at what a sensor reads, or when its time is over: two conditions, kept and said', async ({
  corvat: page,
}) => {
  await open(page, '/course');
  await page.getByRole('button', { name: 'Turn', exact: true }).click();
  const turn = page.getByTestId('step-17');
  await turn.getByRole('button', { name: 'More of step 17' }).click();
  await turn.getByLabel('About what').selectOption('about the left wheel');
  await turn.getByRole('button', { name: 'Or until' }).click();
  const until = turn.getByRole('group', { name: 'Or until' });
  await until.getByLabel('What is read').selectOption('the light of L1');
  // It stands on the line, which reads 12 %: that is no end of it.
  await until.getByLabel('Its value').fill('5');
  await until.getByRole('button', { name: 'another condition' }).click();
  await until.getByLabel('What is read').last().selectOption('the step’s time');
  await until.getByLabel('Under or over').last().selectOption('or more');
  await until.getByLabel('Its value').last().fill('0.5');
  // Half a second is less than a quarter of a turn at 90°/s.
  await expect(turn).toContainText(/in 0\.[67] s/);
  await page.getByRole('button', { name: 'Save version…' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('list', { name: 'Differences' })).toContainText(
    'about the left wheel, or until the light of L1 reads 5 % or less or the step’s time is 0.5 s or more',
  );
  await dialog.getByRole('textbox').first().fill('turn to the line');
  await dialog.getByRole('button', { name: /^Save/ }).click();
  await expect(page.getByTestId('saved-state')).toHaveText(/^version \d+$/);
  await open(page, '/course');
  await expect(until.getByLabel('Its value').first()).toHaveValue('5');
  await until.getByRole('button', { name: 'Remove condition 2' }).click();
  await expect(until.getByLabel('Its value')).toHaveCount(1);
});

test('what the check finds about a step is said there, and mended at a press', async ({
  corvat: page,
}) => {
  await open(page, '/course');
  await page.getByRole('button', { name: 'To a line' }).click();
  const step = page.getByTestId('step-18');
  await step.getByLabel('Speed').fill('400');
  await expect(step).toContainText('may be passed between two readings of L1');
  await step.getByRole('button', { name: /^Drive at \d+/ }).click();
  await expect(step).not.toContainText('may be passed');
  await page.getByRole('button', { name: 'Mission', exact: true }).click();
  const mission = page.getByTestId('step-19');
  await mission.getByRole('combobox', { name: 'Mission' }).selectOption('seed drawer');
  await expect(mission).toContainText(
    'The seed drawer is worked in step 4 already: it counts once.',
  );
  await expect(mission).toContainText('off the seed drawer: outside its window');
  await mission.getByRole('button', { name: 'Take this step out' }).click();
  await expect(mission).toBeHidden();
});
