import { expect, open, test, unfold } from './corvat';
import { data, PIPIT, WREN } from './standIn';

const take = async (
  page: Parameters<typeof open>[0],
  label: string,
  file: string,
  what: string,
) => {
  await page.getByText('From a file').click();
  await page.getByLabel(label).setInputFiles(data(file));
  await page.getByRole('button', { name: `Take ${what}` }).click();
};

test('timed drives say speed and dead band; applied, steps are told the power for their speed, and it can be undone', async ({
  corvat: page,
}) => {
  await open(page, `/robot?robot=${PIPIT}`);
  await unfold(page, 'How its programs count');
  await page.getByLabel('Motors are told').selectOption('percent');
  await page.getByRole('button', { name: 'Save the robot' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await open(page, '/course');
  const step = page.getByTestId('step-1');
  await expect(step).toContainText('not timed yet at such a power');

  await open(page, '/bench/speed?new');
  await take(page, 'Timed drives (CSV)', 'speed-table.csv', '10 drives');
  const verdict = page.getByTestId('verdict');
  const said = (await verdict.textContent()) ?? '';
  // The truth of the file: it stands below 5.14 %.
  const [, low = 'NaN', high = 'NaN'] =
    /below [\d.]+ % \(([\d.]+) to ([\d.]+) %\)/.exec(said) ?? [];
  expect(Number(low)).toBeLessThan(5.138);
  expect(Number(high)).toBeGreaterThan(5.138);
  const table = page.getByRole('table', { name: 'Speed at a power' });
  await expect(table.getByRole('row', { name: /^100 %/ })).toContainText('a guess');
  await page.getByRole('button', { name: 'Apply this…' }).click();
  await expect(page.getByRole('dialog')).toContainText('was not timed (80 % was the strongest)');
  await page.getByRole('button', { name: 'Apply from now on' }).click();
  await expect(page.getByText('This holds from now on.')).toBeVisible();

  await open(page, '/course');
  await expect(page.getByTestId('calibration-line')).toContainText(
    /speed at a power, 47\.9 cm\/s at 80 %/,
  );
  const power = step.getByLabel('Speed in the program');
  // 6.748 mm/s for every percent beyond 5.138 at 8 V, and 7.596 V were measured.
  await power.fill('50');
  await expect(step.getByLabel('Speed', { exact: true })).toHaveValue('28.7');
  await open(page, '/bench/turns?new');
  await page.getByLabel('In the program').fill('40');
  await expect(page.getByText(/not timed yet/)).toHaveCount(0);

  await open(page, '/bench/calibrations');
  await page
    .getByRole('region', { name: 'speed at a power' })
    .getByRole('button', { name: 'Go back to the one before' })
    .click();
  await expect(page.getByTestId('holds-speed')).toHaveText('none holds');
  await open(page, `/robot?robot=${PIPIT}`);
  await unfold(page, 'How its programs count');
  await page.getByLabel('Motors are told').selectOption('not said yet');
  await page.getByRole('button', { name: 'Save the robot' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
});

test('presses against a wall say how hard and how long; a wrong row of a file is told, and typed ones are added', async ({
  corvat: page,
}) => {
  await open(page, '/bench/squaring?new');
  await take(page, 'Presses (CSV)', 'wall-squaring.csv', '27 presses');
  await expect(page.getByTestId('verdict')).toContainText(/^Press with 50 % for \d\.\d s/);
  const row = page
    .getByRole('table', { name: 'What is left after pressing' })
    .getByRole('row', { name: /^35 %/ });
  const [, low = 'NaN', high = 'NaN'] =
    /\(([\d.]+) to ([\d.]+) s\)/.exec((await row.textContent()) ?? '') ?? [];
  // The truth of the file is a time constant of 0.372 s: half is gone after 0.258 s.
  expect(Number(low)).toBeLessThanOrEqual(0.26);
  expect(Number(high)).toBeGreaterThanOrEqual(0.26);
  await page.getByLabel('Presses (CSV)').setInputFiles({
    name: 'wrong.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('power_percent,time_s,before_deg,after_deg\n35,0.8,4,1\n350,0.8,4,1\n'),
  });
  await expect(page.getByText(/line 3: power_percent/)).toBeVisible();
  await page.getByText('From a file').click();
  await page.getByLabel('Off the wall before').fill('-4');
  await page.getByRole('textbox', { name: 'Off the wall after' }).fill('-1');
  await page.keyboard.press('Enter');
  await expect(page.getByText('28 presses, the newest first')).toBeVisible();
  await expect(page.getByLabel('Off the wall before')).toBeFocused();
  await open(page, '/bench');
  await expect(page.getByRole('row', { name: /Squaring on a wall/ })).toContainText(
    'Press with 50 %',
  );
});

test('lengths read by several say how well the tape is read, and who still has to read', async ({
  corvat: page,
}) => {
  await open(page, '/bench/gauge?new');
  await page.getByLabel('Who reads').fill('Moss');
  await page.getByLabel('Which length').fill('box to wall');
  await page.getByLabel('Read', { exact: true }).fill('120');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Two lengths at least are needed')).toBeVisible();
  await open(page, '/bench/gauge?new');
  await take(page, 'Readings (CSV)', 'tape-gauge.csv', '54 readings');
  await expect(page.getByTestId('verdict')).toContainText(
    /One person reads the same again ± [01]\.\d mm/,
  );
});

test('any log with time stamps tells the loop of its program, and what = would miss', async ({
  corvat: page,
}) => {
  await open(page, '/bench/loop');
  await page
    .getByLabel('Log file (JSON Lines or CSV)')
    .setInputFiles(data('run-many-channels.csv'));
  await page.getByRole('button', { name: 'Read this file' }).click();
  const verdict = page.getByTestId('verdict');
  await expect(verdict).toContainText(
    'The loop comes round every 20.0 ms, one round like the other.',
  );
  await expect(verdict).toContainText(/At 180°\/s the heading moves 3\.6° .* use ≥ or ≤, never =/);
  await page.getByLabel('It turns at').fill('40');
  await expect(verdict).toContainText(
    /At 40°\/s the heading moves 0\.8° .* one late round is enough/,
  );
  // Without any log: by a count of rounds, and by eye.
  await open(page, `/bench/loop?robot=${WREN}`);
  await page.getByText('No log? Let the program count its rounds').click();
  await page.getByLabel('It counted').fill('480');
  await expect(page.getByTestId('counted-rounds')).toContainText(/every 20\.8 ms on average/);
  await page.getByRole('button', { name: 'Put a period of 20.8 ms into the record' }).click();
  await expect(page.getByText('The record is put right.')).toBeVisible();
  await expect(page.getByText('The record says a period of 20.8 ms')).toBeVisible();
  await expect(page.getByRole('button', { name: /into the record$/ })).toHaveCount(0);
  await page.getByText('By eye: how many of some passes were caught?').click();
  await page.getByRole('radio', { name: 'a line on the floor' }).check();
  await page.getByLabel('Caught').fill('6');
  await expect(page.getByTestId('caught-passes')).toContainText(
    /about 111 ms .*6 of 10 passes were caught.*40 % of such passes are missed/,
  );
});

test('the ways of driving straight are compared on this robot, whatever happens on the way', async ({
  corvat: page,
}) => {
  await open(page, '/bench/straight-schools');
  const verdict = page.getByTestId('verdict');
  await expect(verdict).toContainText(
    /^A robot that .+ ends nearest to the plan, whatever happens on 100 cm/,
  );
  const table = page.getByRole('table', { name: 'What each way comes to' });
  const off = async (way: string) => {
    const cell = table
      .getByRole('row', { name: new RegExp(way) })
      .getByRole('cell')
      .nth(3);
    return Math.abs(Number(/^−?\d+/.exec((await cell.textContent()) ?? '')?.[0].replace('−', '-')));
  };
  // What a turn left over stays where the sensor is zeroed before the leg.
  expect(await off('zeroes, then')).toBeGreaterThan((await off('holds the plan’s heading')) + 10);
  await page.getByLabel('Drive', { exact: true }).fill('200');
  await expect(verdict).toContainText('whatever happens on 200 cm');
  await page.getByLabel('What happens').selectOption({ label: 'a push in the middle' });
  await expect(
    page.getByRole('img', { name: /Paths of each way.*a push in the middle/ }),
  ).toBeVisible();
});
