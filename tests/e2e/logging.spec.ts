import { databasePid, untilAnswers, webPid } from '../support/corvat';
import { expect, logWorked, open, ready, reload, startSeries, test } from './corvat';

const rows = 'saved-run';

test('a run is logged on the pad, corrected, undone, set aside and taken back', async ({
  corvat: page,
}) => {
  await startSeries(page, 'By hand');
  const pad = page.getByTestId('pad');
  const box = await pad.boundingBox();
  if (box === null) throw new Error('no pad');
  // ±60 mm on the pad: a third of the way from the middle to the right edge is 20 mm.
  await page.mouse.click(box.x + box.width * (0.5 + 1 / 6), box.y + box.height * (0.5 - 1 / 12));
  await expect(page.getByLabel('End x (to the right)')).toHaveValue('20');
  await expect(page.getByLabel('End y (away)')).toHaveValue('10');
  await pad.focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('p');
  // Nothing was said of the missions: silence is no success.
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Say first whether it worked/)).toBeVisible();
  await expect(page.getByTestId(rows)).toHaveCount(0);
  // What was typed survives a reload.
  await reload(page);
  await ready(page);
  await expect(page.getByLabel('End x (to the right)')).toHaveValue('21');
  await page.keyboard.press('w');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId(rows).first()).toContainText('21 | 0 mm');
  await expect(page.getByTestId(rows).first()).toContainText(/Moss|Juniper|Tam/);

  await page.getByRole('button', { name: 'Correct run 1' }).click();
  await expect(page.getByRole('heading', { name: 'Correct run 1' })).toBeFocused();
  await page.keyboard.press('y');
  await page.keyboard.type('7');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId(rows).first()).toContainText('21 | 7 mm');
  await expect(page.getByTestId(rows)).toHaveCount(1);

  await logWorked(page);
  await expect(page.getByTestId(rows)).toHaveCount(2);
  await expect(page.getByTestId(rows).first()).toContainText('no end measured');
  await page.keyboard.press('u');
  await expect(page.getByTestId('log-sentence')).toContainText('1 run of 10 logged, 1 set aside');
  await expect(page.getByRole('heading', { name: 'Run 2 of 10' })).toBeFocused();

  await page.getByRole('button', { name: 'Set run 1 aside' }).click();
  // Without a reason it cannot be set aside, and that is said.
  await expect(page.getByText('A reason is wanted')).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toBeVisible();
  await page.getByLabel('Why?').fill('A sleeve touched it');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('log-sentence')).toContainText('0 runs of 10 logged, 2 set aside');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.getByRole('button', { name: 'Take run 1 back in' }).click();
  await expect(page.getByTestId('log-sentence')).toContainText('1 run of 10 logged, 1 set aside');
  await reload(page);
  await expect(page.getByTestId(rows).last()).toContainText('21 | 7 mm');
});

for (const what of ['web process', 'database'] as const) {
  test(`a kill -9 of the ${what} during logging loses nothing`, async ({
    corvat: page,
    served,
  }) => {
    await startSeries(page, `Kill the ${what}`);
    await logWorked(page);
    await expect(page.getByTestId(rows)).toHaveCount(1);
    process.kill(what === 'database' ? databasePid(served) : webPid(served), 'SIGKILL');
    for (let run = 2; run <= 4; run += 1) {
      await logWorked(page);
      // Each is in sight at once, saved or not.
      await expect(page.getByTestId(rows).or(page.getByTestId('waiting-run'))).toHaveCount(run);
    }
    await untilAnswers(served.url);
    await expect(page.getByTestId(rows)).toHaveCount(4, { timeout: 30_000 });
    await expect(page.getByTestId('waiting-run')).toHaveCount(0);
    await reload(page);
    await expect(page.getByTestId(rows)).toHaveCount(4);
  });
}

test('what the server has not confirmed stays in the browser, says so, and goes out later', async ({
  corvat: page,
}) => {
  await startSeries(page, 'Cable out');
  await page.route('**/api/runs/**', (route) => route.abort());
  await logWorked(page);
  await logWorked(page);
  await expect(page.getByTestId('not-yet-saved')).toHaveText('2 runs not yet saved.');
  const address = page.url();
  await open(page, '/');
  await expect(page.getByText('2 runs in this browser are not yet saved')).toBeVisible();
  await page.unroute('**/api/runs/**');
  await open(page, address);
  await expect(page.getByTestId(rows)).toHaveCount(2);
  await expect(page.getByTestId('not-yet-saved')).toHaveCount(0);
});

test('an answer that was lost leaves one run, and a change made elsewhere is shown', async ({
  corvat: page,
  context,
}) => {
  await startSeries(page, 'Answer lost');
  let lost = 0;
  await page.route('**/api/runs/**', async (route) => {
    if (lost > 0) return route.continue();
    lost += 1;
    await route.fetch();
    return route.abort();
  });
  await logWorked(page);
  await expect(page.getByTestId(rows)).toHaveCount(1);
  await reload(page);
  await expect(page.getByTestId(rows)).toHaveCount(1);

  const other = await context.newPage();
  await open(other, page.url());
  await other.getByRole('button', { name: 'Correct run 1' }).click();
  await other.getByLabel('Note').fill('theirs');
  await other.keyboard.press('Enter');
  await expect(other.getByTestId(rows).first()).toContainText('theirs');
  await page.getByRole('button', { name: 'Correct run 1' }).click();
  await page.getByLabel('Note').fill('mine');
  await page.keyboard.press('Enter');
  const dialog = page.getByRole('dialog');
  // Chosen value by value.
  await expect(dialog.getByRole('group', { name: 'note' })).toBeVisible();
  await dialog.getByRole('radio', { name: 'theirs: theirs' }).check();
  await dialog.getByRole('radio', { name: 'yours: mine' }).check();
  await dialog.getByRole('button', { name: 'Save mine over it' }).click();
  await expect(page.getByTestId(rows).first()).toContainText('mine');
});

test('bad files are refused with a sentence, row by row, and nothing is half-read', async ({
  corvat: page,
}) => {
  await startSeries(page, 'Bad files');
  await page.getByRole('button', { name: 'Import…' }).click();
  const file = (text: string | Buffer) => ({
    name: 'log.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(text),
  });
  const choose = (text: string | Buffer) =>
    page.getByLabel('CSV file', { exact: true }).setInputFiles(file(text));
  const dialog = page.getByRole('dialog');
  await choose('');
  await expect(dialog.getByRole('alert')).toContainText('The file is empty');
  await choose(Buffer.from([0x89, 0x50, 0xff, 0xfe, 0x00]));
  await expect(dialog.getByRole('alert')).toContainText('not a text file');
  await choose(Buffer.alloc(2_200_000, 'a'));
  await expect(dialog.getByRole('alert')).toContainText('at most 2 MB');
  await choose('run,colour\n1,red\n');
  await expect(dialog).toContainText(
    'Row 2: it says neither where the run ended nor whether it worked',
  );
  await expect(dialog.getByRole('button', { name: 'Import' })).toBeDisabled();

  await choose(
    'where_x,end_y_mm,success,note\n4,5,1,<img src=x onerror=alert(1)>\nfar,5,1,\n7,8,0,\n',
  );
  // A heading that says nothing is mapped by hand.
  await dialog.getByLabel('where_x').selectOption('endX');
  await expect(dialog).toContainText('Row 3: column “where_x” holds “far”, which is not a number');
  const button = dialog.getByRole('button', { name: 'Import 2 runs' });
  await expect(button).toBeDisabled();
  await dialog.getByLabel('Leave out 1 row that cannot be read').check();
  await button.click();
  await expect(page.getByTestId(rows)).toHaveCount(2);
  await expect(page.getByTestId(rows).last()).toContainText('<img src=x');
});

test('a single run that was found is opened at its own line', async ({ corvat: page }) => {
  await open(page, '/runs/all');
  const link = page.getByRole('table', { name: 'Runs' }).getByRole('link').last();
  const [number = ''] = /^\d+/.exec((await link.textContent()) ?? '') ?? [];
  await link.click();
  await page.waitForURL(new RegExp(`#run-${number}$`));
  await ready(page);
  const line = page.locator(`#run-${number}`);
  await expect(line).toBeInViewport();
  await expect(line.getByRole('button').first()).toBeFocused();
});
