import { expect, open, reload, test } from './corvat';

const VERSION = '01DEMV00000000000000000003';
const EARLIER_SERIES = '/runs/01DEMS00000000000000000001';

test('a sheet is typed in by one press: from then on it says what has changed, and runs of another version are warned of', async ({
  corvat: page,
}) => {
  await open(page, `/course/building?version=${VERSION}`);
  await expect(
    page.getByText('1: drive straight, the heading held', { exact: false }),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Typed in now' }).click();
  await expect(page.getByRole('status')).toContainText('Pipit carries this from now on.');
  await reload(page);
  await expect(page.getByText('Nothing has changed')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Typed in now' })).toHaveCount(0);
  // An earlier version is typed otherwise, step by step.
  await open(page, '/course/building?version=01DEMV00000000000000000001');
  const changes = page.getByRole('region', { name: 'Since it was typed in' });
  await expect(changes).toContainText('Step 2: UNTIL is −87, before −84.8.');
  await open(page, EARLIER_SERIES);
  await expect(page.getByText('Pipit carries another version of this route')).toBeVisible();
  // What is older than what was saved waits on Today.
  await open(page, '/course/building?version=01DEMV00000000000000000001');
  await page.getByRole('button', { name: 'Typed in now' }).click();
  await expect(page.getByRole('status')).toBeVisible();
  await open(page, '/');
  await expect(
    page.getByRole('link', { name: 'Type Round by the barrel, version 3, into Pipit' }),
  ).toBeVisible();
});

test('a route of twenty-five steps is printed on two pages', async ({ corvat: page }) => {
  await open(page, '/course/building?version=01DEMV00000000000000000010');
  const printed = (await page.pdf({ preferCSSPageSize: true, format: 'A4' })).toString('latin1');
  expect(printed.match(/\/Type\s*\/Page\b(?!s)/g)?.length).toBeLessThanOrEqual(2);
});
