import { expect, open, test } from './corvat';
import { act } from './standIn';

test.describe.configure({ mode: 'default' });

const CSV = 'tests/data/straight-trials.csv';

test('straight drives from a file say wheel size and coasting; applied, the Course computes with them, and it can be undone', async ({
  corvat: page,
}) => {
  await open(page, '/bench/straight?new');
  await page.getByText('From a file').click();
  await page.getByLabel('Straight drives (CSV)').setInputFiles(CSV);
  await page.getByRole('button', { name: 'Take 10 drives' }).click();
  const verdict = page.getByTestId('verdict');
  await expect(verdict).toContainText(/It drives 2\.\d+ % less than told \(1\.\d+ to 2\.\d+ %\)/);
  await expect(verdict).toContainText(/mm on at the end/);
  const figures = page.getByRole('table', { name: 'What the drives say' });
  // The truth of the file, 0.9754, lies in the interval that is shown.
  const text = (await figures.getByRole('row', { name: /wheels/ }).textContent()) ?? '';
  const [, low = 'NaN', high = 'NaN'] = /\(× (0\.\d+) to × (0\.\d+)\)/.exec(text) ?? [];
  expect(Number(low)).toBeLessThan(0.9754);
  expect(Number(high)).toBeGreaterThan(0.9754);
  await expect(
    page.getByRole('table', { name: 'What to tell' }).getByRole('row', { name: /100/ }),
  ).toContainText(/1.?02\d\.\d mm/);
  // In the order of what was told, by its title.
  const drives = page.getByRole('table', { name: 'Drives', exact: true });
  await page.getByText('10 drives, the newest first').click();
  await page.getByRole('button', { name: 'Told' }).click();
  await expect(drives.getByRole('columnheader', { name: 'Told' })).toHaveAttribute(
    'aria-sort',
    'ascending',
  );
  await expect(drives.locator('tbody tr').first()).toContainText('30');

  await page.getByRole('button', { name: 'Apply this wheel size…' }).click();
  await expect(page.getByRole('dialog')).toContainText(/wheels of 54\.\d+ mm instead of 56/);
  await page.getByRole('button', { name: 'Apply from now on' }).click();
  await expect(page.getByText('This wheel size holds from now on.')).toBeVisible();
  // Tried at once, and noted in the journal.
  const confirmation = page.getByRole('region', { name: 'Confirmation' });
  await confirmation.getByLabel('Truly driven, 50 cm').fill('501');
  await confirmation.getByLabel('Truly driven, 100 cm').fill('999');
  await expect(confirmation).toContainText(/2 drives .* off by 1\.0 mm, −1\.0 mm, .* It holds\./);
  await confirmation.getByRole('button', { name: 'Note it in the journal' }).click();
  await expect(page.getByText('Noted in the journal.')).toBeVisible();
  await open(page, '/course');
  await expect(page.getByTestId('calibration-line')).toContainText(/wheels × 0\.9[78]/);
  await open(page, '/bench');
  await expect(page.getByRole('row', { name: /Straight drives/ })).toContainText('wheels × 0.97');
  await open(page, '/bench/calibrations');
  const holds = page.getByTestId('holds-straight');
  await expect(holds).toContainText('wheels × 0.97');
  await page
    .getByRole('region', { name: 'straight drives' })
    .getByRole('button', { name: 'Go back to the one before' })
    .click();
  await expect(holds).toContainText('wheels × 0.98');
});

test('in which step the tape is read is asked once: it enters the interval, and the next list takes it over', async ({
  corvat: page,
}) => {
  await open(page, '/bench/straight?new');
  for (const [told, truly] of [
    ['50', '490'],
    ['50', '490'],
    ['100', '980'],
    ['100', '980'],
  ] as const) {
    await page.getByLabel('Told to drive').fill(told);
    await page.getByLabel('Truly driven').fill(truly);
    await page.getByRole('button', { name: 'Add the drive' }).click();
  }
  const wheels = page.getByRole('row', { name: /^Driven per told, wheels/ });
  const width = async () => {
    const [, low, high] =
      /\(× ([\d.]+) to × ([\d.]+)\)/.exec((await wheels.textContent()) ?? '') ?? [];
    return Number(high) - Number(low);
  };
  const byReadings = await width();
  await page.getByLabel('The tape is read to').fill('1');
  await expect.poll(width).toBeLessThan(byReadings / 4);
  expect(await width()).toBeGreaterThan(0);
  await expect(page.getByTestId('keeping')).toHaveText('Everything is kept.');
  await open(page, '/bench/straight?new');
  await expect(page.getByLabel('The tape is read to')).toHaveValue('1');
  await page.getByLabel('The tape is read to').fill('');
});

test('the stand-in’s hidden wheels are found by its drives, typed and driven', async ({
  corvat: page,
}) => {
  await act(
    page,
    { do: 'set-clock', rate: 0 },
    { do: 'power-off' },
    { do: 'power-on', inHand: false },
    { do: 'advance', durationS: 60 },
  );
  await open(page, '/bench/straight?new');
  const rows = page.getByRole('table', { name: 'Drives', exact: true }).locator('tbody tr');
  for (const told of ['30', '30', '90', '90']) {
    const before = await rows.count();
    await page.getByLabel('Told to drive').fill(told);
    await page.getByRole('button', { name: 'Let the stand-in drive it' }).click();
    await expect(page.getByTestId('panel-state')).toHaveText('moving');
    await act(page, { do: 'advance', durationS: 15 });
    await expect(rows).toHaveCount(before + 1);
    await act(page, { do: 'put-back' }, { do: 'advance', durationS: 5 });
  }
  const { truth } = await act(page, { do: 'reveal' });
  if (truth === null) throw new Error('nothing revealed');
  const text =
    (await page
      .getByRole('table', { name: 'What the drives say' })
      .getByRole('row', { name: /wheels/ })
      .textContent()) ?? '';
  const found = Number(/× (\d\.\d{4})/.exec(text)?.[1]);
  expect(Math.abs(found - 1 - truth.robot.errors.wheelScaleError)).toBeLessThan(0.01);
  // One more, typed from the tape; then the next can be typed at once.
  await page.getByLabel('Truly driven').fill('885');
  await page.getByLabel('To the left by').fill('-3');
  await page.getByLabel('Turned meanwhile').fill('-1');
  await page.keyboard.press('Enter');
  await expect(rows).toHaveCount(5);
  await expect(page.getByLabel('Truly driven')).toBeFocused();
  // Driven backward, and kept straight by nothing: judged by themselves.
  await page.getByRole('radio', { name: 'nothing' }).check();
  for (const [told, truly] of [
    ['-50', '-490'],
    ['-100', '-979'],
  ]) {
    await page.getByLabel('Told to drive').fill(told ?? '');
    await page.getByLabel('Truly driven').fill(truly ?? '');
    await page.keyboard.press('Enter');
  }
  const ways = page.getByRole('table', { name: 'Ways that were tried' });
  await expect(ways.getByRole('row', { name: /^forward, by the heading sensor 5/ })).toBeVisible();
  await page.getByRole('radio', { name: 'backward, by nothing' }).check();
  await expect(page.getByTestId('verdict')).toContainText(/^Backward it drives/);
  await expect(page.getByRole('button', { name: /^Apply this wheel size/ })).toHaveCount(0);
  await page.getByText(/^Conditions: surface, battery/).click();
  await page.getByLabel('Surface').fill('felt mat');
  await expect(page.getByText('Everything is kept.')).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByText('felt mat', { exact: true })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Begin a new list' })).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Add the drive' })).toBeHidden();
});
