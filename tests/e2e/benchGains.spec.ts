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
