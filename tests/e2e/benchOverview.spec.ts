import { expect, open, test } from './corvat';
import { WREN } from './standIn';

test('the overview says what is known, how old it is, and what to do next', async ({
  corvat: page,
}) => {
  await open(page, '/bench');
  const known = page.getByRole('region', { name: 'What is known of Pipit' });
  await expect(known.getByRole('row', { name: /Still check/ })).toContainText(
    /Creeps by −?0\.\d+ ± 0\.\d+ °\/s: /,
  );
  await expect(known.getByRole('row', { name: /^Turns/ })).toContainText(
    /at 90°\/s: \d.*(days old|measure again)/,
  );
  await expect(known.getByRole('row', { name: /^Square path/ })).toContainText(
    /Nothing measured yet\.|laps? made; nothing is applied yet\./,
  );
  // Every procedure of the demo has something to show.
  await expect(known).not.toContainText('Nothing measured yet');
  // What the newest route's forecast hangs on comes before what is merely old.
  const next = page.getByTestId('worth-next');
  await expect(next).toContainText(/hangs on it: \d+ to \d+ of 100 runs, until the .* measured/, {
    timeout: 20_000,
  });
  await next.getByRole('link').first().click();
  await page.waitForURL(/\/bench\/[a-z-]+\?robot=|\/robot/);

  // All on one screen.
  await page.setViewportSize({ width: 1280, height: 800 });
  await open(page, '/bench');
  for (const half of await known.getByRole('table').all()) {
    const box = await half.boundingBox();
    expect((box?.y ?? 800) + (box?.height ?? 0)).toBeLessThanOrEqual(800);
  }
});

test('a robot of which nothing is known is told what to begin with, and the menu stays short', async ({
  corvat: page,
}) => {
  await open(page, `/bench?robot=${WREN}`);
  await expect(page.getByTestId('worth-next')).toContainText(
    /Worth doing next: [A-Z][a-z ]+, \d+ minutes?: never measured\./,
  );
  await page.getByTestId('worth-next').getByRole('link').first().click();
  await page.waitForURL(/bench\/[a-z-]+\?robot=/);
  await open(page, `/bench/turns?robot=${WREN}`);
  const menu = page.getByRole('navigation', { name: 'Procedures' });
  await expect(menu.getByRole('link', { name: 'Turns' })).toBeVisible();
  await expect(menu.getByRole('link', { name: 'Square path' })).toHaveCount(0);
  await menu.getByRole('link', { name: 'Overview' }).click();
  await page.waitForURL(new RegExp(`/bench\\?robot=${WREN}`));
  await page.getByRole('link', { name: 'Square path' }).click();
  await page.waitForURL(/bench\/square/);
  await expect(menu.getByText('driving')).toBeVisible();
  // A page that is none is said so.
  const none = await page.goto('/bench/no-such-thing');
  expect(none?.status()).toBe(404);
});
