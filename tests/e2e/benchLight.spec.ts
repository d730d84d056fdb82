import type { Page } from '@playwright/test';
import { ulid } from 'ulid';
import { expect, open, reload, test } from './corvat';
import { act, data, pass, PIPIT, WREN } from './standIn';

test.describe.configure({ mode: 'serial' });

const verdict = (page: Page) => page.getByTestId('verdict');

/** Typed one after the other, as they are read off a small screen. */
async function type(page: Page, readings: readonly (number | string)[]): Promise<void> {
  const field = page.getByLabel('It reads', { exact: true });
  for (const reading of readings) {
    await field.fill(String(reading));
    await field.press('Enter');
  }
}

/** The number that a sentence has before "or less". */
async function upTo(page: Page): Promise<number> {
  const said = (await verdict(page).textContent()) ?? '';
  return Number(/reads (\d+) or less/.exec(said)?.[1]);
}

test('line and floor from a file: the threshold of least error, what a program’s own misses, applied and taken back', async ({
  corvat: page,
}) => {
  await open(page, `/bench/light?robot=${PIPIT}&new`);
  await page.getByText('From a file', { exact: true }).click();
  await page
    .getByLabel('Readings over line and floor (CSV)')
    .setInputFiles(data('light-samples.csv'));
  await page.getByRole('button', { name: 'Take 120 readings' }).click();
  // Line 15.6 ± 2.1, floor 63.3 ± 4.6: both densities are equal at 31.
  expect(Math.abs((await upTo(page)) - 31)).toBeLessThanOrEqual(2);
  await expect(verdict(page)).toContainText('Fewer than one reading in 10 000 is wrong');
  await expect(verdict(page)).toContainText('errs least');
  await expect(verdict(page)).toContainText('Now the same at another place');
  await page.getByLabel('Your program compares with').fill('16');
  await expect(verdict(page)).toContainText(/“less than 16” misses \d+ % of the line’s readings/);
  await page.getByLabel('Where', { exact: true }).fill('gym');
  await page.getByRole('button', { name: 'Apply this for gym…' }).click();
  await page.getByRole('button', { name: 'Apply from now on' }).click();
  await expect(page.getByText('This holds from now on.')).toBeVisible();

  await open(page, '/bench/calibrations');
  await expect(page.getByTestId('holds-light-threshold')).toContainText('at gym');
  await page
    .getByRole('region', { name: 'line and floor' })
    .getByRole('button', { name: 'Go back to the one before' })
    .click();
  await expect(page.getByTestId('holds-light-threshold')).toContainText('at home table');
});

test('five readings of each say which venue’s threshold holds here, and it is used again', async ({
  corvat: page,
}) => {
  await open(page, `/bench/light?robot=${PIPIT}&new`);
  await type(page, [24, 25, 24, 23, 24]);
  // Five over the line, then by itself over the floor.
  await expect(page.getByRole('radio', { name: 'the floor' })).toBeChecked();
  await type(page, [73, 72, 74, 73, 73]);
  await expect(page.getByTestId('light-place')).toContainText('over the line, place 2');
  await expect(verdict(page)).toContainText('so few readings tell no more');
  const venues = page.getByRole('table', { name: 'Thresholds of each venue' });
  await expect(venues.getByRole('row', { name: /school hall/ })).toContainText('still holds');
  await venues.getByRole('button', { name: 'Use the threshold of school hall' }).click();
  await page.getByRole('button', { name: 'Apply from now on' }).click();
  await expect(page.getByText('This holds from now on.')).toBeVisible();
  await open(page, '/bench/calibrations');
  await expect(page.getByTestId('holds-light-threshold')).toContainText('at school hall');
  // What lies beyond all of them holds nowhere.
  await open(page, `/bench/light?robot=${PIPIT}&new`);
  await type(page, [55, 56, 54, 55, 55]);
  await type(page, [92, 93, 92, 91, 92]);
  await expect(
    page
      .getByRole('table', { name: 'Thresholds of each venue' })
      .getByRole('row', { name: /home table/ }),
  ).toContainText('does not hold here');
});

test('the stand-in is read over its line and beside it; a log of a drive over lines parts by itself', async ({
  corvat: page,
}) => {
  await act(page, { do: 'set-clock', rate: 0 }, { do: 'power-on', inHand: false });
  await open(page, `/bench/light?robot=${PIPIT}&new`);
  const takeNow = async () => {
    await page.getByRole('button', { name: /^Take 5 as it reads now/ }).click();
    await expect(page.getByText('Reading …')).toBeVisible();
    await pass(page, 2);
  };
  await takeNow();
  await expect(page.getByTestId('light-place')).toContainText('over the floor, place 1');
  await takeNow();
  await expect(verdict(page)).toContainText(/Line 1\d.*floor (5|6)\d/);
  await act(page, { do: 'lay-card', colour: null }, { do: 'set-clock', rate: 1 });

  await open(page, `/bench/light?robot=${WREN}&new`);
  await page.getByText('While it rolls, or from a log').click();
  await page.getByRole('radio', { name: 'a file' }).check();
  await page
    .getByLabel('Log file (JSON Lines or CSV)')
    .setInputFiles(data('run-many-channels.csv'));
  await page.getByRole('button', { name: 'Read this file' }).click();
  // The drive crossed two lines: three stretches of floor.
  await expect(
    page.getByText('2 stretches over the line, 3 stretches over the floor'),
  ).toBeVisible();
  await page.getByRole('button', { name: /^Take \d+ readings/ }).click();
  await expect(verdict(page)).toContainText('Take it for the line when it reads');
});

test('how fast a line may be crossed follows from loop, sensor and spot', async ({
  corvat: page,
}) => {
  await open(page, `/bench/line-speed?robot=${PIPIT}&new`);
  const speed = async () =>
    Number(/at ([\d.]+) cm\/s at most/.exec((await verdict(page).textContent()) ?? '')?.[1]);
  const before = await speed();
  // Twice as many readings want half the speed.
  await page.getByLabel('Different readings').fill('4');
  expect(await speed()).toBeCloseTo(before / 2, 0);
  await page.getByLabel('It crosses at').fill('300');
  await expect(verdict(page)).toContainText('the line is missed now and then');
  await page.getByLabel('The sensor sees a spot of').fill('90');
  await expect(verdict(page)).toContainText('too wide for this line');
});

test('colours by typing hues and from a file: inequalities over the seam, and what is mistaken', async ({
  corvat: page,
}) => {
  await open(page, `/bench/colours?robot=${PIPIT}`);
  // The demo's borrowed sensor tells its six colours apart.
  await expect(verdict(page)).toContainText('red, green, blue, yellow, white, dark floor', {
    ignoreCase: true,
  });
  // By references the numbers are percent of white.
  await page.getByText(/^How the sensor counts/).click();
  await page.getByLabel('White reference').selectOption('white');
  await page.getByLabel('Black reference').selectOption('dark floor');
  await expect(
    page.getByText(/percent of white here: .* Over white it read \d+, \d+, \d+/),
  ).toBeVisible();
  await page.getByLabel('White reference').selectOption('none');
  await expect(page.getByText('percent of white')).toHaveCount(0);
  await open(page, `/bench/colours?robot=${PIPIT}&new`);
  await page.getByText(/^How the sensor counts/).click();
  await page.getByRole('radio', { name: 'hue alone' }).check();
  const over = page.getByLabel('Over', { exact: true });
  const hue = page.getByLabel('Hue', { exact: true });
  for (const [name, hues] of [
    ['red', [355, 2, 358, 4, 359]],
    ['yellow', [52, 55, 50, 54, 53]],
    ['blue', [221, 219, 224, 220, 222]],
  ] as const) {
    await over.fill(name);
    for (const one of hues) {
      await hue.fill(String(one));
      await hue.press('Enter');
    }
  }
  await expect(verdict(page)).toContainText('none was mistaken');
  const rules = page.getByRole('region', { name: 'What to type in' });
  await expect(rules).toContainText(/red: hue between 3\d\d and 1?\d\./);
  // Without such a sensor in the record nothing would hold.
  await expect(page.getByRole('button', { name: 'Apply these…' })).toHaveCount(0);
  await expect(page.getByText('has no colour sensor plugged in')).toBeVisible();
  await reload(page);
  await expect(page.getByTestId('colour-place')).toContainText('5 of 5 of blue');

  await open(page, `/bench/colours?robot=${PIPIT}&new`);
  await page.getByText('From a file', { exact: true }).click();
  await page.getByLabel('Readings of colours (CSV)').setInputFiles({
    name: 'said.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(
      'colour,class\nwhite,white\nwhite,red\nwhite,white\nred,red\nred,\n,red\nred,red\n',
    ),
  });
  await expect(page.getByText('line 6: expected r, g and b; or h, s and v')).toBeVisible();
  await expect(page.getByText('line 7: colour is empty')).toBeVisible();
  await page.getByRole('button', { name: 'Take 5 readings' }).click();
  await expect(verdict(page)).toContainText('what the sensor says itself');
  await expect(rules).toContainText('white: it says “white”.');
});

test('something there: lost echoes are misses, passes are counted, and it is applied', async ({
  corvat: page,
}) => {
  await open(page, `/bench/presence?robot=${PIPIT}&new`);
  await type(page, [12, 13, 12, 14, 'x', 12, 13, 11, 12, 13]);
  await expect(page.getByRole('radio', { name: 'nothing', exact: true })).toBeChecked();
  await type(page, [80, 82, 79, 81, 80, 84, 83, 80, 81, 82]);
  await expect(verdict(page)).toContainText(/when it reads 4\d or less/);
  await expect(verdict(page)).toContainText('let one lost reading pass');
  await page.getByText('Counted passes, where nothing is logged').click();
  await page.getByLabel('Passes with something there').fill('20');
  await page.getByLabel('Noticed', { exact: true }).fill('21');
  await expect(page.getByText('More were noticed than passes were made')).toBeVisible();
  await page.getByLabel('Noticed', { exact: true }).fill('16');
  await page.getByLabel('Passes with nothing there').fill('30');
  await page.getByLabel('Noticed all the same').fill('0');
  await expect(verdict(page)).toContainText('missed: one look in 5, at most 42 % of looks');
  await page.getByRole('button', { name: 'Apply this…' }).click();
  await page.getByRole('button', { name: 'Apply from now on' }).click();
  await expect(page.getByText('This holds from now on.')).toBeVisible();
});

test('the guilty part is asked for one after the other, and named with its evidence', async ({
  corvat: page,
}) => {
  await open(page, `/bench/guilty-part?robot=${PIPIT}&new`);
  const look = (showed: boolean) =>
    page.getByRole('button', { name: showed ? 'The fault showed' : 'It did not show' }).click();
  for (const showed of [true, true, true]) await look(showed);
  await expect(verdict(page)).toContainText('Exchange the cable.');
  await expect(page.getByRole('radio', { name: 'the cable' })).toBeChecked();
  await look(true);
  await expect(verdict(page)).toContainText('The cable: cleared.');
  await expect(page.getByRole('radio', { name: 'the sensor' })).toBeChecked();
  for (
    let i = 0;
    i < 12 && !((await verdict(page).textContent()) ?? '').includes('It is');
    i += 1
  ) {
    await look(false);
  }
  await expect(verdict(page)).toContainText(/It is the sensor: with another one/);
  const parts = page.getByRole('table', { name: 'The parts, from the easiest to exchange' });
  await expect(parts.getByRole('row', { name: /the sensor/ })).toContainText('guilty');
});

test('before the runs of a route that goes by light it says where its threshold was read', async ({
  corvat: page,
}) => {
  const put = async (what: string, record: { id: string; [value: string]: unknown }) => {
    const answer = await page.request.put(`/api/${what}/${record.id}`, { data: record });
    expect(answer.ok(), await answer.text()).toBe(true);
  };
  const version = ulid();
  const start = { xM: 0.3, yM: 0.3, headingRad: 0 };
  const wait = { kind: 'wait', until: 'reading', sensor: 'light sensor', passes: 'below' };
  await put('route-versions', {
    id: version,
    routeId: '01DEMW00000000000000000001',
    note: 'waits for the line',
    route: { start, steps: [{ ...wait, value: 0.3, timeS: 5 }] },
  });
  const series = ulid();
  await put('series', {
    id: series,
    version: 0,
    routeVersionId: version,
    trying: 'by light',
    plannedRuns: 3,
    battery: null,
    tableLabel: 'sports field',
    archivedAt: null,
    planId: null,
  });
  await open(page, `/runs/${series}`);
  const warned = page.getByText(/its threshold .* was read at .*, not at sports field/);
  await expect(warned).toBeVisible();
  await warned.getByRole('link', { name: 'Read line and floor' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Line and floor');
});

test('two light sensors: each holds a threshold of its own, and with both the stand-in squares on a line', async ({
  corvat: page,
}) => {
  await open(page, `/robot?robot=${PIPIT}`);
  await page.getByRole('button', { name: '+ light sensor' }).click();
  const added = page.getByRole('group', { name: 'L2', exact: true });
  await added.getByRole('button', { name: 'More of L2' }).click();
  await added.getByLabel('Ahead of the axle').fill('90');
  await added.getByLabel('Left of the middle').fill('60');
  await page.getByRole('button', { name: 'Save the robot' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await open(page, `/bench/light?robot=${PIPIT}&new`);
  await page.getByRole('radio', { name: 'L2' }).check();
  await type(page, [30, 31, 30, 29, 30]);
  await type(page, [80, 81, 79, 80, 80]);
  await page.getByRole('button', { name: /^Apply this to / }).click();
  await page.getByRole('button', { name: 'Apply from now on' }).click();
  await expect(page.getByText('This holds from now on.')).toBeVisible();
  await open(page, '/bench/calibrations');
  const second = page.getByRole('region', { name: /^line and floor, / });
  await expect(second).toContainText('it reads 30, the floor 80');
  await expect(page.getByTestId('holds-light-threshold')).not.toContainText('the floor 80');
  await act(page, { do: 'set-clock', rate: 0 }, { do: 'power-on', inHand: false });
  await open(page, `/bench/line-square?robot=${PIPIT}&new`);
  await page.getByRole('button', { name: 'Let the stand-in square' }).click();
  await pass(page, 20);
  await expect(verdict(page)).toContainText('Squared at 10 cm/s');
  await open(page, '/bench/calibrations');
  await second.getByRole('button', { name: 'Go back to the one before' }).click();
  await expect(second).toBeHidden();
  await expect(page.getByTestId('holds-light-threshold')).toContainText('the line at');
});
