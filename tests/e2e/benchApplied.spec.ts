import type { Page } from '@playwright/test';
import { expect, open, test } from './corvat';
import { act, data } from './standIn';

/** Let it hold, and see that it is said. */
async function apply(page: Page, button: string): Promise<string> {
  await page.getByRole('button', { name: button }).click();
  const said = (await page.getByRole('dialog').textContent()) ?? '';
  await page.getByRole('button', { name: 'Apply from now on' }).click();
  await expect(page.getByText(/holds from now on\./)).toBeVisible();
  return said;
}

/** Back to what held before. */
async function goBack(
  page: Page,
  kind: string,
  shown: string,
  before = /^none holds$/,
): Promise<void> {
  await open(page, '/bench/calibrations');
  await page
    .getByRole('region', { name: shown })
    .getByRole('button', { name: 'Go back to the one before' })
    .click();
  await expect(page.getByTestId(`holds-${kind}`)).toHaveText(before);
}

test('stops that were measured are what an approach is planned with, until they are taken back', async ({
  corvat: page,
}) => {
  await open(page, '/bench/stop?new');
  await page.getByText('From a file').click();
  await page.getByLabel('Stops (CSV)').setInputFiles(data('stop-trials.csv'));
  await page.getByRole('button', { name: 'Take 12 stops' }).click();
  const said = await apply(page, 'Apply these stops…');
  expect(said).toMatch(/drives on by \d+ mm at 4?\d+(\.\d)? cm\/s, single stops ± [\d.]+ mm/);
  await open(page, '/course');
  const line = page.getByTestId('calibration-line');
  await expect(line).toContainText(/stops by distance, drives on by \d+ mm/);
  await page.getByRole('button', { name: 'Approach', exact: true }).click();
  const added = page.locator('[data-testid^="step-"]').last();
  await expect(added).toContainText(/It drives on by \d+ mm after that/);
  await goBack(page, 'stop', 'stops by distance', /drives on by \d+ mm at 30 cm\/s/);
  await open(page, '/course');
  // What was measured before, at other speeds.
  await expect(line).toContainText(/stops by distance, drives on by \d+ mm at 30 cm\/s/);
});

test('the stand-in presses against a wall, and a step that squares up is added as it found', async ({
  corvat: page,
}) => {
  await act(page, { do: 'power-on', inHand: false }, { do: 'set-clock', rate: 10 });
  await open(page, '/bench/squaring?new');
  for (const [n, time] of ['0.1', '0.2', '0.15', '0.3'].entries()) {
    await page.getByLabel('Time', { exact: true }).fill(time);
    await page.getByRole('button', { name: 'Let the stand-in press' }).click();
    await expect(page.getByText(`${n + 1} press${n > 0 ? 'es' : ''} so far`)).toBeHidden();
    await expect(
      page.getByText(new RegExp(`^${n + 1} press(es)?, the newest first`)),
    ).toBeVisible();
  }
  await expect(page.getByTestId('verdict')).toContainText(
    /^Press with 35 % for [\d.]+ s: of 8° it/,
  );
  const said = await apply(page, 'Apply this press…');
  const [, speed = '', time = ''] = /added with ([\d.]+) cm\/s and ([\d.]+) s/.exec(said) ?? [];
  await open(page, '/course');
  await page.getByRole('button', { name: 'Square up' }).click();
  const added = page.locator('[data-testid^="step-"]').last();
  // The sentence says a digit less than the fields hold.
  const held = async (label: string) => Number(await added.getByLabel(label).inputValue());
  expect(Math.abs((await held('Speed')) - Number(speed))).toBeLessThan(0.06);
  expect(Math.abs((await held('Pressing')) - Number(time))).toBeLessThan(0.06);
  await expect(page.getByTestId('calibration-line')).toContainText(
    /squaring on a wall, pressed with 35 %/,
  );
  await expect(page.getByTestId('course-sentence')).toContainText('of 100');
  await open(page, '/bench');
  await expect(page.getByRole('row', { name: /Squaring on a wall/ })).toContainText('Pressed with');
  await goBack(page, 'squaring', 'squaring on a wall');
});

test('a gain that was found good is offered to the drives of the route', async ({
  corvat: page,
}) => {
  await open(page, '/bench/gains?new');
  await page.getByLabel('Gain in the program').fill('40');
  for (let look = 0; look < 3; look += 1) {
    await page.getByRole('button', { name: 'Good', exact: true }).click();
  }
  await expect(page.getByTestId('verdict')).toContainText('is good.');
  expect(await apply(page, 'Apply this gain…')).toMatch(/\d+ drives would change/);
  await open(page, '/course');
  const line = page.getByTestId('calibration-line');
  await expect(line).toContainText(
    /gain of straight drives, 40.mm\/s.per.°, at 20.cm\/s.* found good by 3 looks/,
  );
  await page.getByRole('button', { name: 'Use the tuned gain' }).click();
  await expect(page.getByTestId('step-1').getByLabel('Heading gain')).toHaveValue('2.292');
  await expect(line).not.toContainText('another gain');
  await goBack(page, 'heading-hold', 'gain of straight drives');
});

test('the stand-in drives by power, and how it takes power is found', async ({ corvat: page }) => {
  await act(page, { do: 'power-on', inHand: false }, { do: 'set-clock', rate: 10 });
  await open(page, '/bench/speed?new');
  for (const [n, share] of ['20', '50', '80', '90'].entries()) {
    await page.getByLabel('Told').fill(share);
    await page.getByRole('button', { name: 'Let the stand-in drive' }).click();
    await expect(page.getByText(new RegExp(`^${n + 1} drives?, the newest first`))).toBeVisible();
  }
  await expect(page.getByTestId('verdict')).toContainText(
    /of power drives [\d.]+ cm\/s .* below [\d.]+ % .* it stands/,
  );
});

test('an answer from before a program began is not taken for what it did', async ({
  corvat: page,
}) => {
  await act(page, { do: 'power-on', inHand: false }, { do: 'set-clock', rate: 10 });
  await open(page, '/bench/speed?new');
  let before = '';
  let late = 0;
  await page.route(/api\/stand-in\?since=/, async (route) => {
    const answer = await route.fetch();
    const body = await answer.text();
    if (late === 0) before = body;
    else late -= 1;
    // As a server tells that has not yet heard of the program, with a clock that goes on.
    const report = JSON.parse(late > 0 ? before : body) as { view: { nowS: number } };
    if (late > 0) report.view.nowS += 1000;
    await route.fulfill({ response: answer, json: report });
  });
  const drive = async (share: string) => {
    await page.getByLabel('Told').fill(share);
    await page.getByRole('button', { name: 'Let the stand-in drive' }).click();
  };
  await drive('30');
  await expect(page.getByText(/^1 drive, the newest first/)).toBeVisible();
  late = 4;
  await drive('60');
  await expect(page.getByText(/^2 drives, the newest first/)).toBeVisible();
  const speeds = await page
    .getByRole('table', { name: 'Timed drives' })
    .getByRole('cell', { name: /cm\/s$/ })
    .allTextContents();
  const [fast = 0, slow = 0] = speeds.map(Number.parseFloat);
  expect(fast).toBeGreaterThan(1.5 * slow);
});

test('whether to zero before each turn is tried on a route of the robot', async ({
  corvat: page,
}) => {
  await open(page, '/bench/turns?new');
  await page.getByText('From a file').click();
  await page.getByLabel('Turn trials (CSV)').setInputFiles(data('turn-trials.csv'));
  await page.getByRole('button', { name: /^Take 24/ }).click();
  await page.getByText('Zero before each turn, or count headings on?').click();
  await page.getByRole('button', { name: 'Simulate both ways' }).click();
  const found = page.getByTestId('headings-on-route');
  await expect(found).toContainText(/Counted on: .*95 of 100 end within \d+ mm/);
  await expect(found).toContainText(/Zeroed before each turn and drive: /);
  await expect(page.getByRole('row', { name: /^zeroed each time/ })).toContainText('°');
});

test('all that was measured is looked through and applied at one place, and can be taken back', async ({
  corvat: page,
}) => {
  await open(page, '/course');
  await expect(page.getByTestId('calibration-line')).toContainText('Measured, not applied');
  await page.getByRole('link', { name: 'Look and apply' }).click();
  await page.waitForURL(/calibrations/);
  await open(page, '/bench/calibrations');
  const waiting = page.getByRole('region', { name: 'Measured, not applied' });
  await expect(waiting.getByRole('checkbox', { name: /track and wheels/ })).toBeChecked();
  await expect(page.getByTestId('holds-drive')).toHaveText('none holds');
  await waiting.getByLabel('Why?').fill('Before the rehearsal');
  // What other tests measured stays as it is.
  for (const box of await waiting.getByRole('checkbox').all()) await box.uncheck();
  await waiting.getByRole('checkbox', { name: /track and wheels/ }).check();
  await waiting.getByRole('checkbox', { name: /placing at the start/ }).check();
  const count = await waiting.getByRole('checkbox').count();
  await waiting.getByRole('button', { name: 'Apply 2 measurements' }).click();
  await expect(page.getByTestId('holds-drive')).toContainText('track × 1.01');
  await expect(page.getByTestId('holds-placing')).toContainText('in the jig');
  await expect(waiting.getByRole('checkbox')).toHaveCount(count - 2);
  await expect(page.getByRole('table', { name: 'Journal' })).toContainText('Before the rehearsal');
  // What holds is no more said to wait, also by the server.
  await open(page, '/bench/calibrations');
  await expect(waiting.getByRole('checkbox', { name: /track and wheels/ })).toHaveCount(0);
  for (const [kind, name] of [
    ['drive', 'track and wheels'],
    ['placing', 'placing at the start'],
  ] as const) {
    await page
      .getByRole('region', { name })
      .getByRole('button', { name: 'Go back to the one before' })
      .click();
    await expect(page.getByTestId(`holds-${kind}`)).toHaveText('none holds');
  }
});
