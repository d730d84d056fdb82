import type { Page } from '@playwright/test';
import { expect, open, test } from './corvat';
import { act, pass, WREN } from './standIn';

test.describe.configure({ mode: 'default' });

const rows = (page: Page, table: string) =>
  page.getByRole('table', { name: table, exact: true }).locator('tbody tr');

/** The stand-in on its stepped clock, switched on lying still, its sensor warm. */
async function readyStandIn(page: Page): Promise<void> {
  await act(
    page,
    { do: 'set-clock', rate: 0 },
    { do: 'power-off' },
    { do: 'power-on', inHand: false },
    { do: 'advance', durationS: 400 },
  );
}

test('laps of the stand-in find its hidden wheels and track; the sizes are applied and close the square', async ({
  corvat: page,
}) => {
  await readyStandIn(page);
  await open(page, '/bench/square?new');
  const lap = async (direction: string) => {
    await page.getByRole('radio', { name: direction, exact: true }).click();
    const before = await rows(page, 'Laps').count();
    await page.getByRole('button', { name: 'Let the stand-in drive a lap' }).click();
    await expect(page.getByTestId('panel-state')).toHaveText('moving');
    await act(page, { do: 'advance', durationS: 90 });
    await expect(rows(page, 'Laps')).toHaveCount(before + 1);
    await act(page, { do: 'put-back' }, { do: 'advance', durationS: 10 });
  };
  // Three each way, as the screen asks.
  for (let i = 0; i < 3; i += 1) {
    await lap('clockwise');
    await lap('counter-clockwise');
  }
  await expect(page.getByTestId('verdict')).toContainText(/The track is .* (larger|smaller)/);
  const { truth } = await act(page, { do: 'reveal' });
  if (truth === null) throw new Error('nothing revealed');
  const { wheelDifference, wheelScaleError, trackScaleError } = truth.robot.errors;
  const figure = async (id: string) =>
    Number(/(\d\.\d{4})/.exec((await page.getByTestId(id).textContent()) ?? '')?.[1]);
  // A square sees the track against the wheels; coasting and slip leave a few thousandths.
  const track = (1 + trackScaleError) / (1 + wheelScaleError);
  expect(Math.abs((await figure('track-ratio')) - track)).toBeLessThan(0.012);
  expect(Math.abs((await figure('diameter-ratio')) - 1 - wheelDifference)).toBeLessThan(0.003);
  await page.getByRole('button', { name: 'Apply these sizes…' }).click();
  await expect(page.getByRole('dialog')).toContainText(
    /with a track of 1[23]\d\.\d mm instead of 132/,
  );
  await page.getByRole('button', { name: 'Apply from now on' }).click();
  await expect(page.getByText('These sizes hold from now on.')).toBeVisible();
  await open(page, '/course');
  await expect(page.getByTestId('calibration-line')).toContainText(/track × [01]\.\d/);
  await open(page, '/course/card?version=01DEMV00000000000000000003');
  await expect(page.getByText(/Computed with .*track and wheels, track × [01]\.\d/)).toBeVisible();
});

test('a square by the gyro tells turn bias and drift, and nothing about the track', async ({
  corvat: page,
}) => {
  await open(page, `/bench/square?robot=${WREN}&new`);
  await page.getByRole('radio', { name: 'the gyro' }).click();
  const add = async (direction: string, forward: string, left: string, turned: string) => {
    await page.getByRole('radio', { name: direction, exact: true }).click();
    await page.getByLabel('Ended forward by').fill(forward);
    await page.getByLabel('Ended left by').fill(left);
    await page.getByLabel('Turned over by').fill(turned);
    await page.keyboard.press('Enter');
    // The next lap can be typed at once.
    await expect(page.getByLabel('Ended forward by')).toBeFocused();
  };
  // Each quarter turn 0.5° too far; and the reading drifts by 1° a lap, to the right.
  await add('clockwise', '12', '-8', '-1');
  await add('clockwise', '14', '-9', '-1.2');
  await add('counter-clockwise', '-10', '20', '3');
  await add('counter-clockwise', '-11', '22', '2.8');
  await expect(page.getByTestId('verdict')).toContainText('0.5° too far');
  const figures = page.locator('dl').filter({ hasText: 'Each quarter turn too far by' });
  await expect(figures).toContainText(/too far by0\.50 °/);
  await expect(figures).toContainText(/Drift a lap \(left \+\)−0\.90 °/);
  await expect(page.getByTestId('track-ratio')).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Apply these sizes…' })).toHaveCount(0);
  await page.getByLabel('Ended forward by').fill('900000');
  await expect(page.getByText('−5000 to 5000 mm fits')).toBeVisible();
  // Nor is what stood there before added in its place.
  await expect(page.getByRole('button', { name: 'Add the lap' })).toBeDisabled();
});

test('a trial by ruler and by what is over; one is set aside and taken back', async ({
  corvat: page,
}) => {
  await open(page, `/bench/turns?robot=${WREN}&new`);
  const by = (name: string) => page.getByRole('radio', { name, exact: true }).click();
  await by('ruler, reference');
  await by('what is over');
  await page.getByLabel('Along the reference').fill('200');
  await page.getByLabel('Offset from the reference').fill('10.5');
  await page.getByRole('button', { name: 'Add the trial' }).click();
  // atan(10.5 / 200) = 3.0° over 90°.
  await expect(rows(page, 'Trials').first()).toContainText('93.0°');
  await by('ruler, edge');
  await page.getByLabel('Length of the edge').fill('100');
  await page.getByLabel('Offset from the reference').fill('120');
  await page.getByRole('button', { name: 'Add the trial' }).click();
  await expect(page.getByRole('alert')).toContainText('The offset cannot be longer than the edge');
  await page.getByLabel('Offset from the reference').fill('5.2');
  await page.getByRole('button', { name: 'Add the trial' }).click();
  await expect(rows(page, 'Trials').first()).toContainText('93.0°');
  await by('protractor');
  await by('the whole turn');
  for (const angle of ['93', '93,5', '140']) {
    await page.getByLabel('Protractor', { exact: true }).fill(angle);
    await page.keyboard.press('Enter');
  }
  await expect(rows(page, 'Trials')).toHaveCount(5);
  // One trial that is far off would hide what the others say: it is asked about, and does not count.
  await expect(page.getByTestId('verdict')).toContainText('3.1° too far');
  const odd = page.getByText(/Trial 5: It went 47° further than the others told the same/);
  await expect(odd).toBeVisible();
  await page.getByRole('button', { name: 'Set it aside…' }).click();
  await page.getByLabel('Why?').fill('Somebody touched the robot');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('verdict')).toContainText('3.1° too far');
  await expect(rows(page, 'Trials').first()).toContainText('Somebody touched the robot');
  await expect(odd).toBeHidden();
  await page.getByRole('button', { name: 'Take trial 5 back' }).click();
  await expect(odd).toBeVisible();
});

test('ways to turn answer the sliders at once, from the keyboard too', async ({ corvat: page }) => {
  await open(page, '/bench/schools');
  const way = (name: string) =>
    page.getByRole('row').filter({ has: page.getByRole('button', { name, exact: true }) });
  const takes = async (name: string) =>
    Number(/([\d.]+) s/.exec((await way(name).textContent()) ?? '')?.[1]);
  await expect(way('Proportional (P)')).toBeVisible();
  const calm = await takes('Proportional (P)');
  await page.getByRole('slider', { name: 'P: gain' }).focus();
  for (let i = 0; i < 25; i += 1) await page.keyboard.press('ArrowLeft');
  // A weaker gain takes longer to come in.
  await expect.poll(() => takes('Proportional (P)')).toBeGreaterThan(calm + 0.2);
  await page.getByRole('button', { name: 'Use it' }).click();
  const gain = Number(
    /([\d.]+) 1\/s/.exec((await page.getByTestId('suggested-gain').textContent()) ?? '')?.[1],
  );
  await expect(page.getByRole('slider', { name: 'P: gain' })).toHaveValue(String(gain));
  // The suggested gain stays within the stated overshoot; a looser one allows more.
  await expect
    .poll(
      async () => /([\d.−]+)°\d+ %$/.exec((await way('Proportional (P)').textContent()) ?? '')?.[1],
    )
    .toMatch(/^−?[01]\.\d$/);
  await page.getByLabel('May go beyond by').fill('10');
  await expect
    .poll(async () =>
      Number(
        /([\d.]+) 1\/s/.exec((await page.getByTestId('suggested-gain').textContent()) ?? '')?.[1],
      ),
    )
    .toBeGreaterThan(gain);
  await page.getByRole('button', { name: 'By the encoders' }).click();
  await expect(
    page.getByRole('img', { name: /“By the encoders” beside the other ways/ }),
  ).toBeVisible();
});

test('a port used twice is flagged; a change of wheels marks what rests on them', async ({
  corvat: page,
}) => {
  await open(page, `/robot?robot=${WREN}`);
  // A motor that was removed can be had back.
  await expect(page.getByRole('button', { name: '+ left motor' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Remove left motor' }).click();
  await page.getByRole('button', { name: '+ left motor' }).click();
  await expect(page.getByRole('group', { name: 'M1' })).toBeVisible();
  await page.getByRole('button', { name: '+ light sensor' }).click();
  await expect(page.getByRole('group', { name: 'L1' })).toBeVisible();
  await open(page, '/robot');
  await page.getByRole('group', { name: 'D3' }).getByLabel('Port').selectOption('C');
  await expect(page.getByText(/Port C is used twice \(H1, D3\)/)).toBeVisible();
  await page.getByRole('button', { name: 'Save the robot' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await open(page, '/robot/sheet');
  await expect(page.getByRole('row', { name: /C \(twice!\)/ })).toBeVisible();
  await open(page, '/robot');
  await page.getByRole('group', { name: 'D3' }).getByLabel('Port').selectOption('not plugged in');
  await expect(page.getByRole('region', { name: 'What the routes need' })).toContainText(
    /No distance sensor: 1 step needs it/,
  );
  await page.getByRole('group', { name: 'D3' }).getByLabel('Port').selectOption('D');
  await page.getByRole('button', { name: 'Save the robot' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();

  await page.getByRole('button', { name: 'Note a change…' }).click();
  await page.getByLabel('What exactly').fill('softer tyres');
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByRole('region', { name: 'Changes' })).toContainText('softer tyres');
  await open(page, '/bench/calibrations');
  await expect(page.getByRole('region', { name: 'turns', exact: true })).toContainText(
    /wheels and track.* changed since/,
  );
  await expect(page.getByRole('link', { name: /^Bench/ })).toContainText('changed since');
  await page.setViewportSize({ width: 768, height: 1024 });
  await expect(page.getByRole('link', { name: /^Findings/ })).toBeInViewport({ ratio: 1 });
});

test('while a check goes on its drift is fitted again and again, by a worker that stays', async ({
  corvat: page,
}) => {
  await readyStandIn(page);
  await open(page, '/bench/still');
  const started: string[] = [];
  page.on('worker', (worker) => started.push(worker.url()));
  await page.getByRole('button', { name: 'Start, hands off' }).click();
  await expect(page.getByText('Hands off the robot.')).toBeVisible();
  await pass(page, 4);
  for (let i = 0; i < 6; i += 1) await pass(page, 5);
  await pass(page, 60);
  await expect(page.getByText('The check is kept.')).toBeVisible();
  // One that is still at work when the next fit begins is given up: another takes its place.
  expect(started.filter((url) => url.includes('bench.worker')).length).toBeLessThanOrEqual(3);
});

test('every screen of the Bench shows the same stand-in, and ten times as fast when asked', async ({
  corvat: page,
  context,
}) => {
  await readyStandIn(page);
  await open(page, '/bench/still');
  const other = await context.newPage();
  await open(other, '/bench/directions');
  await page.getByText('Move it, tape target, battery').click();
  const press = (name: string) => page.getByRole('button', { name }).click();
  await page.getByLabel('Angle to turn by hand').fill('-45');
  await press('Set heading to 0');
  await press('Turn by hand');
  await pass(page, 5);
  const panel = (on: Page) => on.getByRole('complementary', { name: 'Robot panel' });
  await expect(panel(other)).toContainText(/Heading−4[45]\.\d°/);
  await page.getByLabel('Distance of the tape target').fill('50');
  await press('Put a target there');
  await pass(page, 1);
  await expect(panel(other)).toContainText(/Distance(49|5[01])\.\d cm/);
  await other.getByRole('radio', { name: '×10' }).click();
  await expect(page.getByRole('radio', { name: '×10' })).toBeChecked();
  const onFor = async () => {
    const [, minutes, seconds] =
      /on for (?:(\d+):)?([\d.]+)/.exec(
        (await page.getByTestId('panel-state').textContent()) ?? '',
      ) ?? [];
    return Number(minutes ?? 0) * 60 + Number(seconds);
  };
  const [before, began] = [await onFor(), Date.now()];
  await expect.poll(onFor).toBeGreaterThan(before + 20);
  const timesAsFast = ((await onFor()) - before) / ((Date.now() - began) / 1000);
  expect(Math.abs(timesAsFast - 10)).toBeLessThan(3);
  await other.close();
});
