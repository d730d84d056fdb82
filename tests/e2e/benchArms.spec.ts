import { expect, open, test } from './corvat';
import { act, pass, PIPIT } from './standIn';

test.describe.configure({ mode: 'serial' });

test('squaring on a line: six trials once, six with a second pass, the better way is applied', async ({
  corvat: page,
}) => {
  await open(page, `/bench/line-square?robot=${PIPIT}&new`);
  await expect(page.getByText('fewer than two light sensors')).toBeVisible();
  const squared = async (before: string, after: string) => {
    await page.getByLabel('Off the line before').fill(before);
    await page.getByLabel('Off the line after').fill(after);
    await page.keyboard.press('Enter');
  };
  const before = ['8', '-6', '10', '-9', '5', '-7'];
  const once = ['2.5', '-1', '3', '-2.5', '1', '-2'];
  for (const [i, one] of before.entries()) await squared(one, once[i] ?? '0');
  const verdict = page.getByTestId('verdict');
  await expect(verdict).toContainText('Squared at 10 cm/s, headings scatter by ±');
  // Of 8° about 2° stay: a second pass is worth its time.
  await expect(verdict).toContainText(/Of the error before \d\d % is still there/);
  await expect(verdict).toContainText('a second, slower pass');
  await page.getByLabel('Second pass at').fill('4');
  const twice = ['0.3', '-0.2', '0.1', '-0.4', '0.2', '0'];
  for (const [i, one] of before.entries()) await squared(one, twice[i] ?? '0');
  await expect(verdict).toContainText('Squared at 10 cm/s, then at 4 cm/s');
  await page.getByRole('button', { name: 'Apply this…' }).click();
  await page.getByRole('button', { name: 'Apply from now on' }).click();
  await expect(page.getByText('This holds from now on.')).toBeVisible();
  await open(page, '/bench/calibrations');
  await expect(page.getByTestId('holds-line-squaring')).toContainText('then at 4 cm/s');
});

test('an arm: a position is taken from where it stands, its moves are typed, its play is found', async ({
  corvat: page,
}) => {
  await open(page, `/robot?robot=${PIPIT}`);
  await page.getByRole('button', { name: '+ attachment motor' }).click();
  await page.getByRole('button', { name: 'Save the robot' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await act(page, { do: 'set-clock', rate: 0 }, { do: 'power-on', inHand: false });
  await open(page, `/bench/attachments?robot=${PIPIT}&new`);
  await page.getByLabel('To the position').fill('home');
  await page.getByRole('button', { name: 'Where it stands now is the position' }).click();
  await pass(page, 2);
  await expect(page.getByLabel('Told to stand at')).toHaveValue('0');
  const reached = async (angles: readonly string[]) => {
    for (const angle of angles) {
      await page.getByLabel('It stood at').fill(angle);
      await page.keyboard.press('Enter');
    }
  };
  await reached(['1', '2', '1', '0', '2']);
  const verdict = page.getByTestId('verdict');
  await expect(verdict).toContainText(/Moves to “home” scatter by ± \d/);
  await expect(verdict).toContainText('from the other side');
  await page.getByRole('radio', { name: 'with falling angles' }).check();
  await reached(['-4', '-5', '-4', '-3', '-5']);
  await expect(verdict).toContainText(/5\.\d° \(\d.*\) of play/);
  // The play is no scatter of single moves.
  await expect(verdict).toContainText(/scatter by ± 0\.\d°/);
  await page.getByText('The arm, its home, and what its mission needs').click();
  await page.getByLabel('From its axle to its tip').fill('120');
  await page.getByLabel('Its mission needs its tip within ±').fill('8');
  await expect(page.getByRole('table', { name: 'The positions' })).toContainText(
    /\d+ % \(\d+ to \d+ %\)|over 99 %/,
  );
  await expect(verdict).toContainText('Its tip comes within ± 8 mm of “home” in');
  await page.getByRole('radio', { name: 'against a stop' }).check();
  await page.getByLabel('Going home with').fill('60');
  await expect(page.getByText('60 % of power presses hard on its stop')).toBeVisible();
  await page.getByRole('button', { name: 'Apply these positions…' }).click();
  await page.getByRole('button', { name: 'Apply from now on' }).click();
  await expect(page.getByText('These hold from now on.')).toBeVisible();
  // The stand-in's arm is jogged by keys, and sent there: it has play and scatter of its own.
  await open(page, `/bench/attachments?robot=${PIPIT}&new`);
  await page.getByLabel('To the position').fill('up');
  for (let i = 0; i < 3; i += 1) await page.getByRole('button', { name: '+10°' }).click();
  await page.keyboard.press('.');
  await page.getByRole('button', { name: 'Where it stands now is the position' }).click();
  await pass(page, 2);
  await expect(page.getByLabel('Told to stand at')).toHaveValue('31');
  for (let i = 0; i < 3; i += 1) {
    await page.getByRole('button', { name: 'Let the stand-in move there' }).click();
    await pass(page, 2);
    await expect(
      page.getByText(`${i + 1} move${i === 0 ? '' : 's'}, the newest first`),
    ).toBeVisible();
  }
  await expect(verdict).toContainText(/Moves to “up” scatter by ±/);
  await act(page, { do: 'set-clock', rate: 1 });
});
