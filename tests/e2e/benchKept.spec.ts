import type { Page } from '@playwright/test';
import { expect, open, reload, test } from './corvat';
import { WREN } from './standIn';

const rows = (page: Page, table: string) =>
  page.getByRole('table', { name: table, exact: true }).locator('tbody tr');

test('a known drift is taken out, the advice is followed, and another screen loses nothing', async ({
  corvat: page,
  context,
}) => {
  await open(page, `/bench/turns?robot=${WREN}&new`);
  const add = async (on: Page, angle: string) => {
    await on.getByLabel('Protractor', { exact: true }).fill(angle);
    await on.keyboard.press('Enter');
  };
  for (const angle of ['92', '92.4', '91.8', '92.2']) await add(page, angle);
  await expect(page.getByTestId('verdict')).toContainText('2.1° too far');
  await page.getByText(/^Conditions/).click();
  // It read 1 °/s for the second that the turn took: the program stopped a degree short of what it read.
  await page.getByLabel('Known drift').fill('1');
  await expect(page.getByTestId('verdict')).toContainText('3.1° too far');
  await page.getByLabel('Known drift').fill('0');
  await page.getByLabel('Surface').fill('felt');
  await expect(page.getByTestId('keeping')).toHaveText('Everything is kept.');
  await page.getByRole('button', { name: 'Set that up' }).click();
  await expect(page.getByTestId('advice')).toBeVisible();
  await page.getByLabel('Told to turn').fill('90');
  await page.getByRole('radio', { name: 'left', exact: true }).check();

  const other = await context.newPage();
  await open(other, `/bench/turns?robot=${WREN}`);
  await expect(rows(other, 'Trials')).toHaveCount(4);
  await add(other, '92.5');
  await expect(other.getByTestId('keeping')).toHaveText('Everything is kept.');
  // What is new here and what was set aside here joins what is new there.
  const aside = async (on: Page, trial: number, reason: string) => {
    await on.getByRole('button', { name: `Set trial ${trial} aside` }).click();
    await on.getByRole('dialog').getByLabel('Why?').fill(reason);
    await on.getByRole('dialog').getByRole('button', { name: 'Set aside' }).click();
  };
  await aside(page, 2, 'bumped');
  await expect(rows(page, 'Trials')).toHaveCount(5);
  await add(page, '91.9');
  await expect(page.getByTestId('keeping')).toHaveText('Everything is kept.');
  await reload(other);
  await expect(rows(other, 'Trials')).toHaveCount(6);
  await expect(other.getByText('bumped')).toBeVisible();
  // What both have changed is for people to decide.
  await aside(other, 3, 'slipped');
  await expect(other.getByTestId('keeping')).toHaveText('Everything is kept.');
  await aside(page, 3, 'touched');
  await expect(page.getByRole('alert')).toContainText(
    /trial 3, set aside, reason \(there: slipped\)/,
  );
  await page.getByRole('button', { name: 'Keep it now' }).click();
  await expect(page.getByTestId('keeping')).toHaveText('Everything is kept.');
  await reload(other);
  await expect(other.getByText('touched')).toBeVisible();
  await other.close();
});

test('trials that are typed while the server is away outlast a reload, and are sent when it is back', async ({
  corvat: page,
}) => {
  await page.route('**/api/bench-trials/**', (route) => route.abort());
  await open(page, `/bench/turns?robot=${WREN}&new`);
  await page.getByLabel('Protractor', { exact: true }).focus();
  // On a slow laptop, too.
  const laptop = await page.context().newCDPSession(page);
  await laptop.send('Emulation.setCPUThrottlingRate', { rate: 4 });
  for (const angle of ['94', '94.4']) {
    // One after the other, as they are read off: nothing of the one before stays in the field.
    await page.keyboard.type(angle);
    await page.keyboard.press('Enter');
  }
  await laptop.detach();
  await expect(rows(page, 'Trials').first()).toContainText('94.4°');
  await expect(page.getByRole('alert')).toContainText('Corvat does not answer just now');
  await reload(page);
  await expect(rows(page, 'Trials')).toHaveCount(2);
  await expect(page.getByRole('alert')).toContainText('Corvat does not answer just now');
  await page.unroute('**/api/bench-trials/**');
  // Nobody presses anything.
  await expect(page.getByTestId('keeping')).toHaveText('Everything is kept.');
  await reload(page);
  await expect(rows(page, 'Trials')).toHaveCount(2);
  expect(page.url()).toContain('list=');
});

test('a part of a page that cannot be fetched says so, and the page around it stays', async ({
  corvat: page,
}) => {
  await open(page, '/bench/turns');
  await page.route(/TurnsFromLog/, (route) => route.abort());
  await page.getByText('From the robot’s own log').click();
  await expect(page.getByText('This part could not be fetched: is Corvat running?')).toBeVisible();
  await expect(page.getByTestId('verdict')).toBeVisible();
});
