import type { Page } from '@playwright/test';
import { expect, open, ready, test } from './corvat';

/** How many keys were pressed: that, and not a machine's haste, is what a coach's time goes by. */
let keys = 0;
const MOST_KEYS = 10 * 60 * 4;

/** Presses Tab, or Shift with it, until the focus is on a control of that name. */
async function reach(page: Page, name: RegExp | string, back = false): Promise<void> {
  const passed: string[] = [];
  for (let presses = 0; presses < 160; presses += 1) {
    const at = await page.evaluate(() => {
      const one = document.activeElement;
      const labels = one instanceof HTMLInputElement ? [...(one.labels ?? [])] : [];
      const label = one?.getAttribute('aria-label') ?? labels[0]?.textContent ?? one?.textContent;
      return (label ?? '').trim();
    });
    if (typeof name === 'string' ? at === name : name.test(at)) return;
    passed.push(at);
    keys += 1;
    await page.keyboard.press(back ? 'Shift+Tab' : 'Tab');
  }
  throw new Error(`${String(name)} is not reached by the Tab key: ${passed.join(' / ')}`);
}

const press = async (page: Page, name: RegExp | string, back = false) => {
  await reach(page, name, back);
  keys += 1;
  await page.keyboard.press('Enter');
};

/** A value in the field that has the focus: what stood there is replaced. */
const type = async (page: Page, value: string) => {
  keys += 1 + value.length;
  await page.keyboard.press('ControlOrMeta+a');
  await page.keyboard.type(value);
};

/** A step by its kind, and what is typed into which of its fields, in their order. */
type Typed = [kind: string, ...fields: [name: RegExp | string, value: string][]];

async function addStep(page: Page, [kind, ...fields]: Typed, isFirst: boolean) {
  if (!isFirst) await page.keyboard.press('Alt+Enter');
  await press(page, kind);
  for (const [name, value] of fields) {
    await reach(page, name);
    await type(page, value);
  }
}

const drive = (mm: string): Typed => ['Drive', ['Distance', mm]];
const turn = (degrees: string): Typed => ['Turn', [/^(To|By|Heading|Angle)/, degrees]];
const LAUNCHES: Record<string, Typed[]> = {
  'First launch': [
    drive('600'),
    turn('90'),
    drive('300'),
    ['To a line'],
    ['Mission'],
    drive('150'),
    turn('0'),
    ['Follow a line'],
    ['Mission'],
    drive('200'),
  ],
  'Second launch': [
    drive('400'),
    turn('45'),
    drive('250'),
    ['Arm'],
    ['Mission'],
    turn('180'),
    drive('500'),
    ['Mission'],
  ],
  'Third launch': [
    ['Approach', [/^Reading|^Until|^Threshold|^Distance/, '150']],
    turn('90'),
    drive('300'),
    ['Square up'],
    ['Mission'],
    drive('250'),
    ['Mission'],
  ],
};

test('the routes of a season are written down by keyboard: six missions, three launches, 25 steps', async ({
  corvat: page,
}) => {
  test.setTimeout(240_000);
  await open(page, '/course/table');
  for (let i = 1; i <= 6; i += 1) {
    await press(page, '+ Mission');
    await type(page, `stop ${i}`);
    await reach(page, 'Robot’s axle at x');
    await type(page, String(300 + 250 * i));
    await reach(page, 'at y');
    await type(page, '600');
  }
  await press(page, 'Save the table', true);
  await expect(page.getByText('Saved.')).toBeVisible();

  for (const [name, steps] of Object.entries(LAUNCHES)) {
    await open(page, '/course');
    await press(page, '+ New route');
    await type(page, name);
    await press(page, 'Make the route');
    await page.waitForURL(/route=/);
    await ready(page);
    for (const [i, step] of steps.entries()) await addStep(page, step, i === 0);
    await expect(page.locator('[data-step]')).toHaveCount(steps.length);
    await press(page, 'Save version…', true);
    await page.getByRole('dialog').getByRole('textbox').first().waitFor();
    await press(page, /^Save/);
    await expect(page.getByTestId('saved-state')).toHaveText('version 1');
  }
  // Ten minutes are 2,400 presses, of four a second.
  expect(keys).toBeLessThan(MOST_KEYS);
  console.log(`keys pressed: ${keys}`);
});
