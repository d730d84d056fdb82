import { expect, open, test } from './corvat';
import { act } from './standIn';

test('stops from a file say lag and braking, and a wanted gap gets its threshold; too fast for the start gap is told', async ({
  corvat: page,
}) => {
  await open(page, '/bench/stop?new');
  await page.getByText('From a file').click();
  await page.getByLabel('Stops (CSV)').setInputFiles('tests/data/stop-trials.csv');
  await page.getByRole('button', { name: 'Take 12 stops' }).click();
  const verdict = page.getByTestId('verdict');
  // The truth of the file is 80.7 ms.
  const text = (await verdict.textContent()) ?? '';
  const [, low = 'NaN', high = 'NaN'] = /\((\d+) ms to (\d+) ms\)/.exec(text) ?? [];
  expect(Number(low)).toBeLessThan(80.7);
  expect(Number(high)).toBeGreaterThan(80.7);
  const approach = page.getByTestId('approach');
  await expect(approach).toContainText(
    /Tell it to stop when it reads \d+ mm or less\. Then it stands 50 mm/,
  );
  const told = async () =>
    Number(/reads (\d+) mm/.exec((await approach.textContent()) ?? '')?.[1] ?? NaN);
  const slow = await told();
  await page.getByRole('region', { name: 'Approach' }).getByLabel('Speed').fill('40');
  await expect.poll(told).toBeGreaterThan(slow + 15);
  const fast = await told();
  await page.getByLabel('Readings in a row').fill('3');
  await expect.poll(told).toBeGreaterThan(fast);
  // Two speeds are steadier than one in the same time; in no time nothing is possible.
  await page.getByText('With a filter').click();
  await expect(page.getByRole('row', { name: /^median of 5 .* 40 ms/ })).toBeVisible();
  const ways = page.getByTestId('approach-ways');
  await expect(ways).toContainText(
    /^In 3\.0 s drive 50 cm\/s up to .* then [\d.]+ cm\/s, ± ([\d.]+) mm/,
  );
  const [, two, one] = /± ([\d.]+) mm.*± ([\d.]+) mm/.exec((await ways.textContent()) ?? '') ?? [];
  expect(Number(two)).toBeLessThan(Number(one));
  await page.getByLabel('Time at hand').fill('0.5');
  await expect(ways).toContainText(/cannot be there: the quickest way takes/);
  await page.getByLabel('Starts at a gap of').fill('8');
  await expect(approach).toContainText('It cannot stop 5 cm before the wall');
  await expect(page.getByText('With how the distance sensor was measured to read')).toBeVisible();
  // Kept with the list: it is there again.
  await expect(page.getByText('Everything is kept.')).toBeVisible();
  await open(page, '/bench/stop');
  await expect(page.getByLabel('Starts at a gap of')).toHaveValue('8');
  // Until they are applied, what was measured before is what is known.
  await open(page, '/bench');
  await expect(page.getByRole('row', { name: /Stopping/ })).toContainText(
    /Drives on by \d+ mm at 30 cm\/s/,
  );
});

test('one stop after the other is typed; two of one speed ask for another', async ({
  corvat: page,
}) => {
  await open(page, '/bench/stop?new');
  for (const gap of ['13.2', '13.4']) {
    await page.getByLabel('Truly stood at').fill(gap);
    await page.keyboard.press('Enter');
    await expect(page.getByLabel('Truly stood at')).toBeFocused();
  }
  await expect(page.getByTestId('verdict')).toContainText('Stop from another speed as well');
  await expect(page.getByTestId('verdict')).toContainText('17 mm past it at 20 cm/s');
});

test('stops of several kinds are ranked by how alike they are, and the stand-in makes them', async ({
  corvat: page,
}) => {
  await act(page, { do: 'power-on', inHand: false }, { do: 'set-clock', rate: 10 });
  await open(page, '/bench/stop?new');
  for (const n of [1, 2]) {
    await page.getByRole('button', { name: 'Let the stand-in stop' }).click();
    await expect(page.getByText(`${n} stop${n > 1 ? 's' : ''}, the newest first`)).toBeVisible();
  }
  await page.getByRole('radio', { name: 'touching' }).check();
  for (const over of ['2', '42', '2', '42']) {
    await page.getByLabel('Stood past its mark by').fill(over);
    await page.keyboard.press('Enter');
  }
  const ranks = page.getByRole('table', { name: 'Kinds of stop, the most alike first' });
  await expect(ranks.getByRole('row').nth(1)).toContainText(/^the distance sensor2± [\d.]+ mm/);
  await expect(ranks.getByRole('row').nth(2)).toContainText('touching4± 23.1 mm');
  await expect(page.getByTestId('verdict')).toContainText('by touching ± 23.1 mm');
  // A row whose word is none of the kinds is told with its line.
  await page.getByText('From a file').click();
  await page.getByLabel('Stops (CSV)').setInputFiles({
    name: 'stops.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(
      'speed_mm_per_s,threshold_cm,true_gap_cm,by\n100,0,-0.3,line\n100,0,-0.3,jump\n',
    ),
  });
  await expect(page.getByText('line 3: by: “jump” is none of distance, line')).toBeVisible();
});
