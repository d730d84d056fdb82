import type { Page } from '@playwright/test';
import { expect, open, ready, test } from './corvat';

/** Tab until the wished-for control has the focus; fails when it is not reached. */
async function tabTo(
  page: Page,
  name: RegExp | string,
  role: 'button' | 'link' | 'textbox' | 'combobox' = 'button',
) {
  const wished = page.getByRole(role, { name, exact: typeof name === 'string' });
  for (let presses = 0; presses < 120; presses += 1) {
    if (await wished.first().evaluate((element) => element === document.activeElement)) return;
    await page.keyboard.press('Tab');
  }
  throw new Error(`${String(name)} is not reached by the Tab key`);
}

test('a series is started, logged, set aside and read without a mouse', async ({
  corvat: page,
}) => {
  await open(page, '/');
  await tabTo(page, 'Start a series', 'link');
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/runs$/);
  await ready(page);
  await tabTo(page, 'Start a series…');
  await page.keyboard.press('Enter');
  // The dialog takes the focus, and keeps it.
  await expect(page.getByLabel('What is being tried?')).toBeFocused();
  await page.keyboard.type('Without a mouse');
  for (let i = 0; i < 20; i += 1) {
    await page.keyboard.press('Tab');
    const outside = await page.evaluate(
      () =>
        document.activeElement !== document.body &&
        document.activeElement?.closest('dialog') === null,
    );
    expect(outside).toBe(false);
  }
  await tabTo(page, 'Start the series');
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/runs\/[0-9A-Z]{26}$/);
  await ready(page);

  // On the pad by arrow keys alone.
  await page.keyboard.press('z');
  await page.keyboard.press('Shift+ArrowRight');
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('w');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('saved-run').first()).toContainText('10 | 1 mm');
  await tabTo(page, 'Set run 1 aside');
  await page.keyboard.press('Enter');
  await page.keyboard.type('A sleeve touched it');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('log-sentence')).toContainText('1 set aside');
});

test('dialogs close by Escape and give the focus back', async ({ corvat: page }) => {
  await open(page, '/course');
  await tabTo(page, 'Versions…');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Versions…' })).toBeFocused();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys on this screen' })).toContainText('simulate');
});

test('every control of every station is reached, named, and shows its focus', async ({
  corvat: page,
}) => {
  for (const path of ['/', '/robot', '/course', '/course/table', '/runs', '/findings']) {
    await open(page, path);
    const nameless = await page.evaluate(() =>
      [...document.querySelectorAll('button, a, input, select')]
        .filter((element) => element.getClientRects().length > 0)
        .filter((element) => {
          const labels = (element as HTMLInputElement).labels;
          const text = element.textContent ?? '';
          const named =
            element.getAttribute('aria-label') ?? element.getAttribute('aria-labelledby');
          return !named && text.trim() === '' && (labels?.length ?? 0) === 0;
        })
        .map((element) => element.outerHTML),
    );
    expect(nameless, path).toEqual([]);
    await page.keyboard.press('Tab');
    await page.keyboard.press('Tab');
    const outline = await page.evaluate(() => {
      const focused = document.activeElement;
      return focused === null ? '' : getComputedStyle(focused).outlineStyle;
    });
    expect(outline, path).not.toBe('none');
  }
});

test('a value is changed by the arrow keys, and a wrong one is told to a screen reader', async ({
  corvat: page,
}) => {
  await open(page, '/course');
  const speed = page.getByTestId('step-1').getByLabel('Speed');
  const before = Number(await speed.inputValue());
  await speed.focus();
  await page.keyboard.press('ArrowUp');
  await expect(speed).toHaveValue(String(before + 1));
  await speed.fill('fast');
  await expect(speed).toHaveAttribute('aria-invalid', 'true');
  await expect(speed).toHaveAccessibleDescription(/fits/);
  // What does not fit changes nothing, and stays in sight until it is mended.
  await page.keyboard.press('Tab');
  await expect(speed).toHaveValue('fast');
  await expect(page.getByTestId('mend-first')).toBeVisible();
  await speed.fill(String(before + 1));
  await expect(page.getByTestId('mend-first')).toHaveCount(0);
});

test('cards and sheets print without the frame of the screen', async ({ corvat: page }) => {
  await open(page, '/course/card?version=01DEMV00000000000000000003');
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('button', { name: 'Print the card' })).toBeHidden();
  await expect(page.getByRole('row')).toHaveCount(16);
  await open(page, '/runs/01DEMS00000000000000000003/sheet');
  await expect(page.getByRole('columnheader', { name: 'vent crank' })).toBeVisible();
  await expect(page.getByRole('rowheader', { name: '7', exact: true })).toBeVisible();
  await open(page, '/findings');
  await expect(page.getByRole('navigation', { name: 'Stations' })).toBeHidden();
});
