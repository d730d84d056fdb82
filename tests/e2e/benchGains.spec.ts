import { recordedText } from '../support/recorded';
import { expect, open, test } from './corvat';
import { act } from './standIn';

const trace = (name: string) => ({
  name,
  mimeType: 'text/csv',
  buffer: Buffer.from(recordedText(name)),
});

test('a gain is found by eye from look to look, beside what the simulator expects of it', async ({
  corvat: page,
}) => {
  await open(page, '/bench/gains?new');
  await expect(page.getByTestId('on-simulator')).toContainText('are good');
  await expect(page.getByRole('heading', { name: /On the simulator, at/ })).toBeVisible();
  const gain = page.getByLabel('Gain in the program');
  const now = async () => Number(await gain.inputValue());
  await gain.fill('90');
  // What the simulator says of it moves what stands below.
  await expect(page.getByRole('heading', { name: /On the simulator, at 90 / })).toBeVisible();
  await page.getByRole('button', { name: 'Too jerky' }).click();
  const verdict = page.getByTestId('verdict');
  await expect(verdict).toContainText('90 mm/s per ° is too strong');
  await expect.poll(now).toBeLessThan(45);
  const next = await now();
  await page.getByRole('button', { name: 'Good', exact: true }).click();
  await expect(verdict).toContainText('once more');
  expect(await now()).toBe(next);
  await page.getByRole('button', { name: 'Good', exact: true }).click();
  await expect(verdict).toContainText(/is good\..*Keep it in the program/);
  // Kept, and known on the overview.
  await expect(page.getByText('Everything is kept.')).toBeVisible();
  await open(page, '/bench');
  await expect(page.getByRole('row', { name: /Gains/ })).toContainText(
    'Straight by the heading sensor',
  );
  // A look that was a mistake is set aside: it counts no more.
  await open(page, '/bench/gains');
  await page.getByRole('button', { name: 'Set gain 3 aside' }).click();
  await page.getByLabel('Why?').fill('Typed by mistake');
  await page.keyboard.press('Enter');
  await expect(verdict).toContainText('once more');
});

test('recorded traces of a wall and of pushes get their verdicts, and the next gain follows', async ({
  corvat: page,
}) => {
  await open(page, '/bench/gains?new');
  await page.getByLabel('Controller').selectOption({ label: 'Along a wall' });
  await expect(page.getByTestId('on-simulator')).toContainText('looks to a side');
  await page.getByText('Judge a trace from a file').click();
  await page.getByRole('radio', { name: 'right', exact: true }).check();
  const file = page.getByLabel('Trace (CSV)');
  for (const [n, words] of ['Too weak:', 'Good:', 'Too strong:', 'Wrong sign:'].entries()) {
    await file.setInputFiles(trace(`wall-follow-${n + 1}.csv`));
    await expect(page.getByText(words)).toBeVisible();
  }
  await page.getByLabel('Gain in the program').fill('5');
  await page.getByRole('button', { name: /Note it for 5/ }).click();
  await expect(page.getByTestId('verdict')).toContainText('has the wrong sign');
  await expect(page.getByTestId('verdict')).toContainText('Try −5 °/s per cm next.');
  await page.getByLabel('Controller').selectOption({ label: 'Straight by the heading sensor' });
  await page.getByText('Judge a trace from a file').click();
  for (const [n, verdict] of ['Too weak:', 'Good:', 'Too strong:', 'Wrong sign:'].entries()) {
    await file.setInputFiles(trace(`push-recover-${n + 1}.csv`));
    await expect(page.getByRole('figure').filter({ hasText: 'As it was recorded' })).toContainText(
      verdict,
    );
  }
  await file.setInputFiles({ name: 'empty.csv', mimeType: 'text/csv', buffer: Buffer.from('') });
  await expect(page.getByText('empty.csv: The file is empty.')).toBeVisible();
});

test('a push of the stand-in is judged from its readings alone, and the place of a sensor is advised', async ({
  corvat: page,
}) => {
  await act(page, { do: 'power-on', inHand: false }, { do: 'set-clock', rate: 10 });
  await open(page, '/bench/gains?new');
  await page.getByLabel('Gain in the program').fill('-10');
  await page.getByText('Judge a trace from the robot’s readings').click();
  await page.getByRole('radio', { name: 'stand-in', exact: true }).check();
  await page.getByRole('button', { name: 'Start recording' }).click();
  await page.getByRole('button', { name: 'Push the stand-in' }).click();
  await expect(page.getByRole('button', { name: 'Push the stand-in' })).toBeEnabled();
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByRole('figure').filter({ hasText: 'As it was recorded' })).toContainText(
    'Wrong sign:',
  );
  await page.getByRole('button', { name: 'Note it for −10 mm/s per °' }).click();
  await expect(page.getByTestId('verdict')).toContainText('has the wrong sign');
  // A log that lacks the motors is refused with what it lacks.
  await page.getByRole('radio', { name: 'a file', exact: true }).check();
  await page.getByLabel('Controller').selectOption({ label: 'Along a line' });
  await page.getByText('Where to mount the sensor').click();
  await expect(page.getByTestId('mount')).toContainText('no gain holds: the robot weaves');
  await expect(page.getByRole('row', { name: /^0 cm none/ })).toBeVisible();
  await page.getByText('What speed does to it').click();
  await expect(page.getByTestId('at-speeds')).toContainText(
    /good at every( other)? speed|change it/,
  );
  await expect(
    page
      .getByRole('table', { name: 'Gains at each speed' })
      .getByRole('row', { name: /^20 cm\/s/ }),
  ).toContainText(/ to .*(good|too weak|too strong)$/);
});

test('the gain of turns is applied with its speed, its delay and the damping that was tuned after it, and stands on the step card', async ({
  corvat: page,
}) => {
  await open(page, '/bench/gains?new');
  await page.getByLabel('Controller').selectOption({ label: 'Turn on the spot' });
  await page.getByLabel('Turning at').fill('90');
  await expect(page.getByTestId('on-simulator')).toContainText('are good');
  const good = page.getByRole('button', { name: 'Good', exact: true });
  await good.click();
  await good.click();
  const verdict = page.getByTestId('verdict');
  await expect(verdict).toContainText('is good.');
  await page.getByText('Its program has a damping constant, too').click();
  const damping = page.getByTestId('damping');
  await expect(damping).toContainText(/Try a damping of [\d.]+\s°\/s\sper\s°\/s/);
  await page.getByRole('button', { name: 'It swings past' }).click();
  await expect(damping).toContainText('More damping takes the swing out.');
  await page.getByRole('button', { name: 'It settles' }).click();
  await expect(
    page.getByRole('table', { name: 'Gains that were tried' }).locator('tbody tr').first(),
  ).toContainText(/settles, damping [\d.]+/);
  await expect(damping).toContainText(/Keep [\d.]+\s°\/s\sper\s°\/s and no integral/);
  await expect(page.getByText('Everything is kept.')).toBeVisible();
  await page.getByRole('button', { name: 'Apply this gain…' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText(/damping .* at 90°\/s .*\d+ ms late, found good by 2 looks/);
  await expect(dialog).toContainText('No step of a route uses it yet.');
  await dialog.getByRole('button', { name: 'Apply from now on' }).click();
  await expect(page.getByText('This gain holds from now on.')).toBeVisible();
  await open(page, '/bench/calibrations');
  const held = page.getByRole('region', { name: 'gain of turns', exact: true });
  await expect(held).toContainText(/°\/s\sper\s°, damping/);
  // The other pages begin with it, and whoever types the program finds it on the card.
  const gain = /([\d.]+)\s°\/s\sper\s°/.exec((await held.textContent()) ?? '')?.[1] ?? '';
  await open(page, '/bench/schools');
  const slider = page.getByLabel('P: gain');
  expect(Math.abs(Number(await slider.inputValue()) - Number(gain))).toBeLessThan(0.06);
  await open(page, '/course');
  await page.getByRole('link', { name: 'Step card', exact: true }).first().click();
  await expect(page.getByText(`Gains that were tuned: turn on the spot ${gain}`)).toBeVisible();
});
