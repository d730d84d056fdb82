import { expect, open, ready, reload, startSeries, test, unfold } from './corvat';
import { WREN } from './standIn';

/** In a second window, its own name in the browser's storage. */
test('two windows on one route: neither edit vanishes', async ({ corvat: page, context }) => {
  await open(page, '/course');
  await page.getByRole('link', { name: 'Pond and back' }).click();
  await ready(page);
  const address = page.url();
  const other = await context.newPage();
  await open(other, address);
  await page.getByTestId('step-1').getByLabel('Distance').fill('41');
  await expect(other.getByText(/changed in another window as well/)).toBeVisible();
  await other.getByTestId('step-1').getByLabel('Speed').fill('12');
  await expect(page.getByText(/changed in another window as well/)).toBeVisible();
  // Both are still there after both are closed and one is opened again.
  await other.close();
  await reload(page);
  await ready(page);
  await expect(page.getByTestId('step-1').getByLabel('Distance')).toHaveValue('41');
  await page.getByRole('button', { name: 'Take that one' }).click();
  await expect(page.getByTestId('step-1').getByLabel('Speed')).toHaveValue('12');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByTestId('step-1').getByLabel('Distance')).toHaveValue('41');
  // A draft that cannot be read is none.
  await page.evaluate(() => {
    for (const key of Object.keys(localStorage)) localStorage.setItem(key, '{"base":1,"value":{}}');
  });
  await reload(page);
  await ready(page);
  await expect(page.getByTestId('saved-state')).toHaveText('version 1');
});

test('what was changed of a robot and a table, and not saved, comes back with the page', async ({
  corvat: page,
}) => {
  await open(page, '/robot');
  await unfold(page, 'Wheels');
  const track = page.getByLabel('Track width');
  const before = await track.inputValue();
  await track.fill('141');
  await open(page, '/');
  await open(page, '/robot');
  await expect(track).toHaveValue('141');
  await unfold(page, 'Wheels');
  await page.getByRole('button', { name: 'Back to what is saved' }).click();
  await expect(track).toHaveValue(before);
  // What is refused stays in sight, and nothing is saved until it is mended.
  await track.fill('-5');
  await page.getByLabel('Wheel diameter').fill('57');
  await expect(track).toHaveValue('-5');
  await expect(page.getByRole('button', { name: 'Save the robot' })).toBeDisabled();
  await expect(page.getByTestId('mend-first')).toContainText('mend what is marked first');
  await page.getByRole('button', { name: 'Back to what is saved' }).click();
  await expect(track).toHaveValue(before);

  await open(page, '/course/table');
  const width = page.getByLabel('Along the home edge');
  const wide = await width.inputValue();
  await width.fill('1200');
  await expect(page.getByText(/outside the table as it is now: the .*wall 1/)).toBeVisible();
  await reload(page);
  await ready(page);
  await expect(width).toHaveValue('1200');
  await page.getByRole('button', { name: 'Back to what is saved' }).click();
  await expect(width).toHaveValue(wide);
});

test('who types before a kept draft is found keeps what was typed, and is offered the draft', async ({
  corvat: page,
}) => {
  await open(page, '/robot');
  await unfold(page, 'Wheels');
  const track = page.getByLabel('Track width');
  const before = await track.inputValue();
  await track.fill('141');
  let letGo = () => {};
  const held = new Promise<void>((resolve) => (letGo = resolve));
  await page.route('**/_astro/records*', async (route) => {
    await held;
    await route.continue();
  });
  await open(page, '/robot');
  await expect(track).toHaveValue(before);
  await unfold(page, 'Wheels');
  await page.getByLabel('Wheel diameter').fill('57');
  letGo();
  await expect(page.getByText(/changed in another window as well/)).toBeVisible();
  await expect(page.getByLabel('Wheel diameter')).toHaveValue('57');
  await expect(track).toHaveValue(before);
  await page.getByRole('button', { name: 'Take that one' }).click();
  await expect(track).toHaveValue('141');
  await page.getByRole('button', { name: 'Back to what is saved' }).click();
});

test('what a record refuses is said at its field, and nothing is saved until it is mended', async ({
  corvat: page,
}) => {
  await open(page, '/course/table');
  const save = page.getByRole('button', { name: 'Save the table' });
  await page.getByLabel('Worth').fill('12.5');
  await expect(page.getByText(/a whole number, .1000 to 1000 points fits/)).toBeVisible();
  await expect(page.getByLabel('Worth')).toHaveAttribute('aria-invalid', 'true');
  await page.getByLabel('Name', { exact: true }).last().fill(' ');
  await expect(page.getByText('Wanted here: a name.')).toBeVisible();
  await expect(page.getByTestId('mend-first')).toContainText('2 values do not fit');
  await expect(save).toBeDisabled();
  await page.getByLabel('Worth').fill('12');
  await page.getByLabel('Name', { exact: true }).last().fill('vent crank');
  await expect(page.getByTestId('mend-first')).toHaveCount(0);
  await expect(save).toBeEnabled();
  // A mission that is taken away takes what was wrong with it along.
  await page.getByLabel('Worth').fill('1.5');
  await expect(page.getByText(/a whole number, .1000 to 1000 points fits/)).toBeVisible();
  await page.getByRole('button', { name: 'Take the vent crank away' }).click();
  await expect(page.getByTestId('mend-first')).toHaveCount(0);
  await page.getByRole('button', { name: 'Back to what is saved' }).click();
});

test('a unit is added, placed, told how programs read it, made another kind, and is in the drawing', async ({
  corvat: page,
}) => {
  await open(page, `/robot?robot=${WREN}`);
  const drawing = page.getByRole('img', { name: /robot from above/ });
  await page.getByRole('button', { name: '+ distance sensor' }).click();
  const unit = page.getByRole('group', { name: 'D1' });
  await unit.getByRole('button', { name: 'More of D1' }).click();
  await unit.getByLabel('Ahead of the axle').fill('85');
  await unit.getByLabel('Looks to the left by').fill('90');
  await unit.getByLabel('Programs read it').selectOption('volts');
  await unit.getByLabel('Full scale').fill('3.3');
  await unit.getByLabel('falls').check();
  await expect(drawing.getByText('D1, distance sensor')).toHaveCount(1);
  await expect(page.getByText('1 distance sensor', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: 'Save the robot' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await reload(page);
  await ready(page);
  await unit.getByRole('button', { name: 'More of D1' }).click();
  await expect(unit.getByLabel('Ahead of the axle')).toHaveValue('85');
  await expect(unit.getByLabel('Full scale')).toHaveValue('3.3');
  await expect(unit.getByLabel('falls')).toBeChecked();
  // As another kind it keeps its place, and behaves as that kind does.
  await unit.getByLabel('What').selectOption('light sensor');
  await expect(unit.getByLabel('Width of its spot')).toHaveValue('12');
  await expect(unit.getByLabel('Ahead of the axle')).toHaveValue('85');
  await unfold(page, 'Ports');
  await unit.getByLabel('Port').selectOption('7');
  await page.getByLabel('7 takes').selectOption('motor');
  await expect(page.getByText('D1 (sensor) is on port 7, which takes motor.')).toBeVisible();
  // Off the robot and into the stock, from there on again: with all that is known of it.
  await unit.getByRole('button', { name: 'Take it off, into the team’s stock' }).click();
  await expect(page.getByRole('region', { name: 'Stock' })).toContainText('D1, light sensor');
  await reload(page);
  await ready(page);
  await page.getByRole('button', { name: 'Put D1 on this robot' }).click();
  await expect(unit).toBeVisible();
  await unit.getByRole('button', { name: 'More of D1' }).click();
  await expect(unit.getByLabel('Ahead of the axle')).toHaveValue('85');
  await unit.getByRole('button', { name: 'Take it off, into the team’s stock' }).click();
  await page.getByRole('button', { name: 'Throw D1 away' }).click();
  await expect(page.getByRole('region', { name: 'Stock' })).toHaveCount(0);
  await expect(drawing.getByText('D1, distance sensor')).toHaveCount(0);
  await unfold(page, 'Ports');
  await page.getByLabel('7 takes').selectOption('any unit');
  await page.getByRole('button', { name: 'Save the robot' }).click();
  await expect(page.getByText('Saved.').last()).toBeVisible();
});

test('series, routes and the team get other names; what is archived can be taken back', async ({
  corvat: page,
}) => {
  await startSeries(page, 'To be renamed');
  await page.getByRole('button', { name: 'Rename this series…' }).click();
  await page.getByRole('textbox', { name: 'Name' }).fill('Another name');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1, name: 'Another name' })).toBeVisible();
  await ready(page);
  await page.getByRole('button', { name: 'Archive this series' }).click();
  await expect(page.getByText(/This series is archived/)).toBeVisible();
  await open(page, '/runs');
  await expect(page.getByRole('heading', { name: 'Another name' })).toHaveCount(0);
  await page.getByText(/^Archived:/).click();
  await page.getByRole('link', { name: 'Another name' }).click();
  await ready(page);
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(page.getByText(/This series is archived/)).toHaveCount(0);
  await open(page, '/runs');
  await expect(page.getByRole('heading', { name: 'Another name' })).toBeVisible();

  await open(page, '/');
  await page.getByRole('button', { name: 'Rename this team…' }).click();
  await page.getByRole('textbox', { name: 'Name' }).fill('Quillon Yard Two');
  await page.getByRole('button', { name: 'Rename', exact: true }).click();
  await expect(page.locator('header').first()).toContainText('Quillon Yard Two');
  await ready(page);
  await page.getByRole('button', { name: 'Rename this team…' }).click();
  await page.getByRole('textbox', { name: 'Name' }).fill('Quillon Yard');
  await page.getByRole('button', { name: 'Rename', exact: true }).click();
  await expect(page.locator('header').first()).not.toContainText('Two');
});

test('a list of trials is put out of the way, opened again and taken back', async ({
  corvat: page,
}) => {
  const lists = page.getByRole('region', { name: 'Lists begun before' });
  const addTurn = async (degrees: string) => {
    await page.getByLabel('Protractor', { exact: true }).fill(degrees);
    await page.getByRole('button', { name: 'Add the trial' }).click();
    await expect(page.getByTestId('keeping')).toHaveText('Everything is kept.');
  };
  await open(page, `/bench/turns?robot=${WREN}&new`);
  await addTurn('93');
  await open(page, `/bench/turns?robot=${WREN}&new`);
  await addTurn('94');
  await addTurn('94.5');
  await page.getByRole('button', { name: 'Archive this list' }).click();
  await expect(page.getByText(/This list is archived/)).toBeVisible();
  await expect(page.getByTestId('keeping')).toHaveText('Everything is kept.');
  // The one before it is what the procedure goes on with.
  await open(page, `/bench/turns?robot=${WREN}`);
  await expect(page.getByText(/This list is archived/)).toHaveCount(0);
  await expect(page.getByRole('row', { name: /94\.5°/ })).toHaveCount(0);
  await lists.getByText(/^Archived:/).click();
  await lists
    .getByRole('listitem')
    .filter({ hasText: '2 trials' })
    .last()
    .getByRole('link')
    .click();
  await page.waitForURL(/list=/);
  await ready(page);
  await expect(page.getByRole('row', { name: /94\.5°/ })).toBeVisible();
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(page.getByTestId('keeping')).toHaveText('Everything is kept.');
  await open(page, `/bench/turns?robot=${WREN}`);
  await expect(page.getByRole('row', { name: /94\.5°/ })).toBeVisible();
});

test('a trial that does not fit what was told is asked about before it enters', async ({
  corvat: page,
}) => {
  await open(page, '/bench/turns?new');
  await page.getByLabel('Told to turn').fill('180');
  await page.getByLabel('Protractor', { exact: true }).fill('95');
  await page.getByRole('button', { name: 'Add the trial' }).click();
  await expect(page.getByText('180° was told and 95° measured: was it 90°?')).toBeVisible();
  await expect(page.getByRole('table', { name: 'Trials' })).toHaveCount(0);
  await page.getByRole('button', { name: 'It was told 90°' }).click();
  const trials = page.getByRole('table', { name: 'Trials' });
  await expect(trials.getByRole('row', { name: /90° left/ })).toContainText('95.0°');
});

test('a run that drives is no still check, and the same file counts once', async ({
  corvat: page,
}) => {
  const rows = (value: (t: number) => string) =>
    [
      't_s,heading_deg',
      ...Array.from({ length: 900 }, (_, i) => `${i / 20},${value(i / 20)}`),
    ].join('\n');
  const choose = async (name: string, text: string) => {
    await page
      .getByLabel('Log file (JSON Lines or CSV)')
      .setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
    await page.getByRole('button', { name: 'Read this file' }).click();
  };
  await open(page, '/bench/still?robot=01DEMB00000000000000000002');
  await page.getByRole('radio', { name: 'a file' }).click();
  await choose(
    'driven.csv',
    rows((t) => String(t < 20 ? 0 : Math.min(90, (t - 20) * 90))),
  );
  await page.getByRole('button', { name: 'Judge driven.csv' }).click();
  await expect(page.getByTestId('still-verdict')).toHaveAttribute('data-verdict', 'not-still');
  await expect(page.getByText('The check is kept.')).toHaveCount(0);
  const quiet = rows((t) => (Math.round(t * 0.31 + Math.sin(t * 7)) / 10).toFixed(1));
  await choose('quiet.csv', quiet);
  // The verdict of the file before belongs to another.
  await expect(page.getByTestId('still-verdict')).toHaveCount(0);
  await page.getByLabel('Recorded').fill('2026-11-20T10:30');
  await page.getByRole('button', { name: 'Judge quiet.csv' }).click();
  await expect(page.getByText('The check is kept.')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Earlier checks' })).toContainText('2026-11-20');
  await choose('again.csv', quiet);
  await expect(page.getByText(/This file was judged already/)).toBeVisible();
  await expect(page.getByRole('button', { name: /^Judge/ })).toHaveCount(0);
  // A log in milliseconds that is taken for seconds is asked about.
  await choose(
    'slow.csv',
    rows((t) => t.toFixed(1)).replace(/^(\d[\d.]*),/gm, (_, t: string) => `${Number(t) * 1000},`),
  );
  await expect(page.getByText(/are its times milliseconds\?/)).toBeVisible();
});
