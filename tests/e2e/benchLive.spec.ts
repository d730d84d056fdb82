import { readFileSync } from 'node:fs';
import { expect, open, ready, reload, test } from './corvat';
import { act, pass, WREN } from './standIn';
import { plugInRobot, said, say, withRobot } from './usbRobot';

test.describe.configure({ mode: 'default' });

/** A heading that creeps, and flickers by a tenth of a degree. */
const creeping = (degPerS: number) => (t: number) => ({
  heading_deg: Math.round((degPerS * t + 0.06 * Math.sin(40 * t)) * 10) / 10,
});

test('a robot on USB is checked for drift, with what else it prints passed over', async ({
  corvat: page,
}) => {
  await plugInRobot(page);
  await open(page, `/bench/still?robot=${WREN}`);
  await page.getByRole('radio', { name: 'robot on USB' }).click();
  await page.getByRole('radio', { name: '30 s, match queue' }).click();
  const check = async (fromS: number, degPerS: number) => {
    await page.getByRole('button', { name: 'Start, hands off' }).click();
    await expect(page.getByText('Hands off the robot.')).toBeVisible();
    await say(page, `ready.\nvolts 8.1\n${said(fromS, fromS + 2, creeping(degPerS))}`);
    // A line may come in two parts.
    const rest = said(fromS + 2, fromS + 20, creeping(degPerS));
    await say(page, rest.slice(0, 5003));
    await say(page, rest.slice(5003));
    await expect(page.getByRole('progressbar')).toBeVisible();
    await say(page, said(fromS + 20, fromS + 36, creeping(degPerS)));
    await expect(page.getByText('The check is kept.')).toBeVisible();
    await expect(page.getByText('The check is kept.')).toBeHidden({ timeout: 10_000 });
  };
  await check(100, 0.25);
  await expect(page.getByTestId('still-drift')).toContainText('0.25');
  await expect(page.getByTestId('still-verdict')).toHaveAttribute('data-verdict', 're-zero');
  // The port is chosen once a page, and was let go of after the check.
  await check(200, 0);
  await expect(page.getByTestId('still-drift')).toContainText(/\(left \+\)−?0\.00/);
  expect(await withRobot(page, (robot) => robot.asked)).toBe(1);
});

test('a robot on USB that is not chosen, silent, started anew or pulled out is told of', async ({
  corvat: page,
}) => {
  await plugInRobot(page);
  await open(page, `/bench/run-log?robot=${WREN}`);
  await page.getByRole('radio', { name: 'robot on USB' }).click();
  const start = () => page.getByRole('button', { name: 'Start recording' }).click();
  await withRobot(page, (robot) => {
    robot.unchosen = true;
  });
  await start();
  await expect(page.getByRole('alert')).toContainText('No robot was chosen');
  await withRobot(page, (robot) => {
    robot.unchosen = false;
  });
  await start();
  await say(page, 'booting\n{"battery":8.1}\n');
  await expect(page.getByRole('alert')).toContainText('Nothing readable came from the robot', {
    timeout: 10_000,
  });
  await start();
  await say(page, said(60, 61, creeping(0)));
  await say(page, said(0, 1, creeping(0)));
  await expect(page.getByRole('alert')).toContainText('clock began anew');
  await expect(page.getByRole('alert')).toContainText('What it said until then is here.');
  await start();
  await say(
    page,
    said(10, 50, (t) => ({ heading_deg: 0.1 * (t - 10) })),
  );
  await expect(page.getByTestId('recording')).toContainText('2000 readings');
  await withRobot(page, (robot) => robot.pull());
  await expect(page.getByRole('alert')).toContainText('The robot is gone');
  await expect(page.getByText('2000 readings in the log.')).toBeVisible();
  // With the start jig alone there is no drift of this run; a second anchor gives it.
  await page.getByRole('button', { name: '+ Anchor' }).click();
  await page.getByLabel('Anchor 2 at').fill('40');
  await expect(page.getByTestId('run-log-verdict')).toContainText(
    'The heading drifted by 0.100 °/s.',
  );
  await expect(page.getByTestId('keeping')).toHaveText('Everything is kept.');
  await reload(page);
  await ready(page);
  await page.getByRole('link', { name: 'robot on USB' }).first().click();
  await page.waitForURL(/list=/);
  await expect(page.getByTestId('run-log-verdict')).toContainText(
    'The heading drifted by 0.100 °/s.',
  );
});

test('turns are taken from the log of a robot on USB, by its own heading', async ({
  corvat: page,
}) => {
  await plugInRobot(page);
  await open(page, `/bench/turns?robot=${WREN}&new`);
  await page.getByText('From the robot’s own log').click();
  await page.getByRole('radio', { name: 'robot on USB' }).click();
  await page.getByRole('button', { name: 'Start recording' }).click();
  // Told 90° at 90 °/s, twice to the left and once to the right; it coasts 4° further.
  const turned = (t: number) => {
    const one = (fromS: number) => 94 * Math.min(1, Math.max(0, (t - fromS) / (94 / 90)));
    return one(2) + one(5) - one(8);
  };
  await say(
    page,
    said(0, 11, (t) => ({
      heading_deg: turned(t),
      left_deg: -2.36 * turned(t),
      right_deg: 2.36 * turned(t),
    })),
  );
  await expect(page.getByTestId('recording')).toContainText('550 readings');
  await page.getByRole('button', { name: 'Done' }).click();
  const found = page.getByRole('table', { name: 'Turns in the log' }).locator('tbody tr');
  await expect(found).toHaveCount(3);
  await expect(found.nth(2)).toContainText(/90° right.*90°\/s.*94°/);
  await page.getByRole('button', { name: 'Take 3 turns' }).click();
  await expect(page.getByTestId('verdict')).toContainText('every turn goes 4° too far');
  await expect(page.getByRole('table', { name: 'Trials' })).toContainText('own heading');
  await expect(page.getByTestId('keeping')).toHaveText('Everything is kept.');
});

test('a run of the stand-in is recorded, corrected by what was measured, and taken along as a file', async ({
  corvat: page,
}) => {
  await open(page, '/bench/run-log');
  await act(page, { do: 'set-clock', rate: 0 }, { do: 'power-off' });
  await page.getByRole('radio', { name: 'stand-in' }).click();
  await expect(page.getByText('The stand-in is switched off.')).toBeVisible();
  // Switched on in the hand, it drifts: the run shows by how much.
  await page.getByRole('button', { name: 'Switch on in the hand' }).click();
  await pass(page, 300);
  await page.getByRole('button', { name: 'Start recording' }).click();
  await pass(page, 1);
  await page.getByRole('button', { name: 'Let the stand-in drive a square' }).click();
  await expect(page.getByTestId('panel-state')).toHaveText('moving');
  await pass(page, 15);
  await pass(page, 15);
  await expect(page.getByText('It has stopped.')).toBeVisible();
  await pass(page, 1);
  await page.getByRole('button', { name: 'Done' }).click();
  const verdict = page.getByTestId('run-log-verdict');
  const drift = async () =>
    Number(
      /drifted by (−?[\d.]+) °/.exec((await verdict.textContent()) ?? '')?.[1]?.replace('−', '-'),
    );
  await expect(verdict).toContainText('The heading drifted by');
  const hidden =
    ((await act(page, { do: 'reveal' })).truth?.handDriftRadPerS ?? 0) * (180 / Math.PI);
  // In the hand it took 0.7 to 1.3 times that for rest; a scale error of the gyro adds a little.
  expect((await drift()) / hidden).toBeGreaterThan(0.5);
  expect((await drift()) / hidden).toBeLessThan(1.5);
  await expect(page.getByTestId('keeping')).toHaveText('Everything is kept.');

  const chart = page.getByRole('img', { name: /^How far the heading was off/ });
  await chart.click({ position: { x: 300, y: 60 } });
  await expect(page.getByLabel('Anchor 3 at')).toBeVisible();
  await page.getByRole('button', { name: 'Remove anchor 3' }).click();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Corrected run as a file' }).click(),
  ]);
  expect(file.suggestedFilename()).toBe('stand-in-corrected.csv');
  const [heading, first, ...more] = readFileSync(await file.path(), 'utf8')
    .trim()
    .split('\n');
  expect(heading).toBe('t_s,heading_deg,corrected_heading_deg');
  expect(first).toMatch(/^0\.0[02]00,-?[\d.]+,-?0\.0/);
  // A square to the left ends a full turn further, however much the reading drifted.
  expect(Number(more.at(-1)?.split(',')[2])).toBeGreaterThan(335);
  expect(Number(more.at(-1)?.split(',')[2])).toBeLessThan(400);
});

test('the stand-in turns, and its log tells its loop and that its heading is not late', async ({
  corvat: page,
}) => {
  await open(page, '/bench/loop');
  await act(page, { do: 'set-clock', rate: 0 }, { do: 'power-off' });
  await page.getByRole('radio', { name: 'stand-in' }).click();
  await page.getByRole('button', { name: 'Switch on, lying still' }).click();
  await pass(page, 5);
  await page.getByRole('button', { name: 'Start recording' }).click();
  await pass(page, 1);
  await page.getByRole('button', { name: 'Let the stand-in turn' }).click();
  await expect(page.getByTestId('panel-state')).toHaveText('moving');
  await pass(page, 4);
  await pass(page, 4);
  await page.getByRole('button', { name: 'Done' }).click();
  const verdict = page.getByTestId('verdict');
  await expect(verdict).toContainText(/The loop comes round every \d+\.\d ms/);
  // It turned left and right with heading and encoders logged: the lag is known, and short.
  await expect(verdict).not.toContainText('this log does not show');
  const late = /tells? of a turn (\d+) ms after/.exec((await verdict.textContent()) ?? '')?.[1];
  expect(Number(late ?? 0)).toBeLessThan(80);
  await expect(page.getByRole('img', { name: /^Period of the loop/ })).toBeVisible();
  await expect(verdict).toContainText(/Its motors come to 63 % of their speed within \d+ ms/);
});
