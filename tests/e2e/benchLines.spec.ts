import type { Page } from '@playwright/test';
import { expect, open, reload, test } from './corvat';
import { act, pass, PIPIT } from './standIn';

test.describe.configure({ mode: 'serial' });

const verdict = (page: Page) => page.getByTestId('verdict');
const applied = async (page: Page, button: string, said: string) => {
  await page.getByRole('button', { name: button }).click();
  await page.getByRole('button', { name: 'Apply from now on' }).click();
  await expect(page.getByText(said)).toBeVisible();
};

test('passes over a line: typed, missed, driven by the stand-in; what they show is applied', async ({
  corvat: page,
}) => {
  await act(page, { do: 'set-clock', rate: 0 }, { do: 'power-on', inHand: false });
  await open(page, `/bench/line-speed?robot=${PIPIT}&new`);
  // Before the first pass it says how fast a line may be crossed.
  await expect(verdict(page)).toContainText(/^Cross it at [\d.]+ cm\/s at most/);
  const stood = async (millimetres: readonly string[]) => {
    for (const one of millimetres) {
      await page.getByLabel('Stood past the line’s edge by').fill(one);
      await page.keyboard.press('Enter');
    }
  };
  await stood(['12', '13', '12', '14', '12', '13']);
  await expect(verdict(page)).toContainText(
    /By its brightness at 20 cm\/s it stands 13 mm \(12 to 14\) past the edge, driving forwards onto the line; none of 6 wrong/,
  );
  await page.getByRole('radio', { name: 'backwards' }).check();
  await stood(['22', '23', '21', '22', '23']);
  await expect(verdict(page)).toContainText(/Backwards onto the line it stands \d+ mm further/);
  await page.getByRole('radio', { name: 'the light of the room' }).check();
  for (let i = 0; i < 3; i += 1) {
    await page.getByRole('button', { name: 'It missed the line' }).click();
  }
  await expect(verdict(page)).toContainText('By the light of the room 3 of 3 wrong');
  // The stand-in drives until its light sensor is over the line.
  await page.getByRole('radio', { name: 'its brightness' }).check();
  await page.getByRole('radio', { name: 'forwards' }).check();
  await page.getByRole('button', { name: 'Let the stand-in drive over it' }).click();
  await pass(page, 6);
  await expect(page.getByText('15 passes, the newest first')).toBeVisible();
  await applied(page, 'Apply these stops…', 'These hold from now on.');
  await open(page, '/bench/calibrations');
  await expect(page.getByTestId('holds-line-crossing')).toContainText(
    'past the edge backwards onto the line',
  );
  await act(page, { do: 'set-clock', rate: 1 });
});

test('a sensor that is switched between modes is timed, and crossing a line reckons with it', async ({
  corvat: page,
}) => {
  await open(page, `/bench/loop?robot=${PIPIT}`);
  await page.getByText('A sensor that is switched between two modes').click();
  await page.getByLabel('in', { exact: true }).last().fill('2.5');
  await page.getByLabel('Old readings after a switch').fill('1');
  await expect(page.getByTestId('mode-switch')).toContainText(
    /Switching takes 100 ms \(79 to 121 ms\)/,
  );
  await expect(page.getByTestId('mode-switch')).toContainText('throw one reading away');
  await applied(page, 'Reckon with this from now on…', 'This holds from now on.');
  await open(page, `/bench/line-speed?robot=${PIPIT}&new`);
  const speed = async () =>
    Number(/at ([\d.]+) cm\/s at most/.exec((await verdict(page).textContent()) ?? '')?.[1]);
  const before = await speed();
  await page.getByRole('radio', { name: 'in two modes by turns' }).check();
  // A new reading every 260 ms and more instead of every 10 ms.
  expect(await speed()).toBeLessThan(before / 15);
});

test('following an edge: the gain that the bend needs, slower where it is tight, and what is applied', async ({
  corvat: page,
}) => {
  await open(page, `/bench/line-follow?robot=${PIPIT}`);
  await expect(verdict(page)).toContainText(
    /^Round a bend of 15 cm it follows the edge at up to \d/,
  );
  await expect(verdict(page)).toContainText('it held in all of 30 simulated runs');
  const needs = page.getByRole('table', { name: 'The gain that the bend needs, by speed' });
  await expect(needs.getByRole('row', { name: /^12 cm\/s/ })).toContainText('°/s per %');
  // A weak gain cannot turn it round so tight a bend.
  await page.getByLabel('Gain', { exact: true }).fill('0.8');
  await expect(verdict(page)).toContainText('Drive slower, or with a gain of');
  await expect(page.getByRole('button', { name: 'Apply this…' })).toHaveCount(0);
  await page.getByLabel('Gain', { exact: true }).fill('');
  await page.getByLabel('Tightest bend').fill('5');
  await expect(verdict(page)).toContainText('tighter than half of the robot’s track');
  await page.getByLabel('Tightest bend').fill('20');
  await expect(verdict(page)).toContainText('Stop when nothing but floor or line was read for');
  await applied(page, 'Apply this…', 'This holds from now on.');
  await open(page, '/bench/calibrations');
  await expect(page.getByTestId('holds-line-following')).toContainText('round bends of 20 cm');
  // The table has the last word: rounds from a file, then one that was lost.
  await open(page, `/bench/line-follow?robot=${PIPIT}`);
  await page.getByLabel('Gain', { exact: true }).fill('1');
  await page.getByText('From a file').click();
  const row = '150,120,1,held';
  await page.getByLabel('Rounds along an edge (CSV)').setInputFiles({
    name: 'rounds.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(
      `bend_mm,speed_mm_per_s,gain_deg_per_s_per_percent,edge\n${row}\n${row}\n150,120,1,perhaps\n`,
    ),
  });
  await expect(page.getByText('line 4:')).toBeVisible();
  await page.getByRole('button', { name: 'Take 2 rounds' }).click();
  await expect(verdict(page)).toContainText('At the table it held in all of 2, driven just so');
  await page.getByRole('button', { name: 'It lost the edge' }).click();
  await expect(verdict(page)).toContainText('At the table it lost the edge in 1 of 3 rounds');
  await expect(page.getByRole('button', { name: 'Apply this…' })).toHaveCount(0);
  await reload(page);
  await expect(page.getByText('3 rounds, the newest first')).toBeVisible();
});

test('three tests of the heading, typed from a small screen, are kept with the robot', async ({
  corvat: page,
}) => {
  await open(page, `/bench/heading-tests?robot=${PIPIT}`);
  await expect(verdict(page)).toContainText('“yaw” is the heading');
  const typed = async (at: number, before: string, after: string) => {
    const angle = page.getByRole('group', { name: `Angle ${at}` });
    await angle.getByLabel('Before', { exact: true }).fill(before);
    await angle.getByLabel('After', { exact: true }).fill(after);
  };
  await typed(1, '4', '6');
  await typed(2, '89', '91');
  await typed(3, '10', '280');
  await expect(verdict(page)).toContainText('“roll” is the heading, shrinking to the left');
  const start = page.getByRole('region', { name: 'Does a start zero it?' });
  await start.getByLabel('Before the start', { exact: true }).fill('3');
  await start.getByLabel('Just after it', { exact: true }).fill('0');
  await expect(start).toContainText('turn the robot further from 0 first');
  await start.getByLabel('Before the start', { exact: true }).fill('40');
  await start.getByLabel('Just after it', { exact: true }).fill('40');
  await expect(start).toContainText('leaves the heading as it was');
  const motors = page.getByRole('region', { name: 'Do running motors disturb it?' });
  const read = async (when: string, first: string, then: string) => {
    await motors.getByLabel(`${when}, first`, { exact: true }).fill(first);
    await motors.getByLabel(`${when}, then`, { exact: true }).fill(then);
  };
  await read('Motors off', '10', '10');
  await read('Motors running', '10', '19');
  await expect(motors).toContainText('Running motors push the heading by');
  await applied(page, 'Keep this with the robot…', 'Kept with the robot.');
  await open(page, `/bench/heading-tests?robot=${PIPIT}`);
  await expect(verdict(page)).toContainText('a start leaves it as it was; running motors push it');
  // From a file, as a logger writes them.
  const axis = page.getByRole('region', { name: 'Which angle is the heading?' });
  await axis.getByText('From a file', { exact: true }).click();
  await axis.getByLabel('Angles before and after (CSV)').setInputFiles({
    name: 'angles.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('angle,before_deg,after_deg\nalpha,3,92\nbeta,10,11\n'),
  });
  await axis.getByRole('button', { name: 'Take 2 angles' }).click();
  await expect(axis).toContainText(
    '“alpha” is the heading: it grows as the robot turns to the left',
  );
  const again = page.getByRole('region', { name: 'Do running motors disturb it?' });
  await again.getByText('From a file', { exact: true }).click();
  await again.getByLabel('Standing with motors off and running (CSV)').setInputFiles({
    name: 'standing.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('motors,first_deg,then_deg,time_s\noff,10,10,30\nrunning,10,10,30\n'),
  });
  await again.getByRole('button', { name: 'Take 2 looks' }).click();
  await expect(again).toContainText('Running motors are not proved to disturb it');
  // The stand-in's own angle can be read at a press.
  await act(page, { do: 'set-clock', rate: 0 }, { do: 'power-on', inHand: false });
  await page.getByRole('button', { name: 'Read all before' }).click();
  await pass(page, 1);
  await expect(page.getByRole('group', { name: 'Angle 1' }).getByLabel('Called')).toHaveValue(
    'heading',
  );
  await act(page, { do: 'set-clock', rate: 1 });
});

test('a fault hidden in the stand-in is found by looking as often as is asked', async ({
  corvat: page,
}) => {
  await open(page, `/bench/guilty-part?robot=${PIPIT}&new`);
  const sure = page.getByText(/In the stand-in it was the \w+/);
  for (let i = 0; i < 150 && !(await sure.isVisible()); i += 1) {
    await page.getByRole('button', { name: 'Look at the stand-in' }).click();
  }
  const named = /In the stand-in it was (the \w+)/.exec((await sure.textContent()) ?? '')?.[1];
  await expect(verdict(page)).toContainText(new RegExp(`It is ${named}`));
});
