import { expect, open, test } from './corvat';
import { act, data, pass, WREN } from './standIn';
import { plugInRobot, said, say, withRobot } from './usbRobot';

test('the panel shows what the stand-in reads, draws any of it, and folds to a line that is remembered', async ({
  corvat: page,
}) => {
  await open(page, '/bench');
  await act(
    page,
    { do: 'set-clock', rate: 0 },
    { do: 'power-on', inHand: false },
    { do: 'advance', durationS: 10 },
    { do: 'put-back' },
    { do: 'advance', durationS: 10 },
    { do: 'zero' },
    { do: 'set-target', distanceM: 0.5 },
  );
  await pass(page, 2);
  const panel = page.getByRole('complementary', { name: 'Robot panel' });
  await expect(panel).toContainText('Stand-in for');
  await expect(panel.getByTestId('reads-headingRad')).toHaveText(/^−?0\.\d°$/);
  await expect(panel.getByTestId('reads-touch:touch')).toHaveText('free');
  await act(page, { do: 'press-button', down: true });
  await pass(page, 1);
  await expect(panel.getByTestId('reads-touch:touch')).toHaveText('pressed');
  await act(page, { do: 'press-button', down: false });
  await panel.getByRole('button', { name: 'Draw Distance' }).click();
  await pass(page, 1);
  await expect(
    panel.getByRole('img', { name: /^Distance of the last 30 s: from \d+\.\d cm to \d+\.\d cm/ }),
  ).toBeVisible();

  await panel.getByRole('button', { name: 'Fold' }).click();
  // Now and then an echo is lost: then it says nothing of the distance.
  await expect(async () => {
    await pass(page, 0.1);
    await expect(panel).toContainText(/stand-in: standing.*heading −?\d.*distance \d.*battery \d/, {
      timeout: 1000,
    });
  }).toPass();
  await open(page, '/bench/square');
  await expect(panel.getByRole('button', { name: 'Unfold' })).toBeVisible();
  await panel.getByRole('button', { name: 'Unfold' }).click();
  await expect(panel.getByRole('button', { name: 'Switch off' })).toBeVisible();
  await act(page, { do: 'power-off' });
  await expect(panel).toContainText('It reads nothing while it is switched off.');
  await act(
    page,
    { do: 'power-on', inHand: false },
    { do: 'set-target', distanceM: null },
    { do: 'advance', durationS: 10 },
  );
});

test('the panel reads a robot on USB while a procedure reads it, too', async ({ corvat: page }) => {
  await plugInRobot(page);
  await open(page, `/bench/run-log?robot=${WREN}&new`);
  const panel = page.getByRole('complementary', { name: 'Robot panel' });
  await panel.getByLabel('What it shows').selectOption('robot on USB');
  // Chosen once: the procedure goes along.
  await expect(page.getByRole('radio', { name: 'robot on USB' })).toBeChecked();
  await panel.getByRole('button', { name: 'Read the robot on USB' }).click();
  await say(
    page,
    said(0, 2, (t) => ({ heading_deg: 10 * t, gap_cm: 30 + t })),
  );
  await expect(panel.getByTestId('reads-headingRad')).toHaveText(/^1\d\.\d°|^20\.0°/);
  await expect(panel.getByTestId('reads-distanceM:gap')).toContainText(/3[12]\.\d cm/);
  await page.getByRole('button', { name: 'Start recording' }).click();
  await expect(page.getByTestId('recording')).toBeVisible();
  await say(
    page,
    said(2, 4, (t) => ({ heading_deg: 10 * t, gap_cm: 30 + t })),
  );
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByText('Everything is kept.')).toBeVisible();
  // One port, opened once, and the panel goes on reading it.
  await say(
    page,
    said(4, 6, (t) => ({ heading_deg: 10 * t, gap_cm: 30 + t })),
  );
  await expect(panel.getByTestId('reads-headingRad')).toHaveText(/^5\d\.\d°|^60\.0°/);
  expect(await withRobot(page, (robot) => robot.asked)).toBe(1);
});

test('the panel plays a file', async ({ corvat: page }) => {
  await open(page, `/bench?robot=${WREN}`);
  const panel = page.getByRole('complementary', { name: 'Robot panel' });
  await panel.getByLabel('What it shows').selectOption('a file');
  await panel.getByLabel('Log to play').setInputFiles(data('run-many-channels.csv'));
  await panel.getByRole('button', { name: 'Read this file' }).click();
  await expect(panel.getByTestId('reads-distanceM:side')).toContainText(/\d+\.\d cm/);
  await expect(panel.getByTestId('panel-state')).toContainText(/run-many-channels\.csv: [23]/);
  await panel.getByRole('button', { name: 'Pause' }).click();
  await expect(panel.getByRole('button', { name: 'Go on' })).toBeVisible();
  // What was chosen holds on the next page as well.
  await open(page, '/bench/still');
  await expect(page.getByRole('radio', { name: 'a file' })).toBeChecked();
});
