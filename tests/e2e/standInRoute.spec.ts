import { expect, open, test } from './corvat';
import { act } from './standIn';

test('the stand-in drives a route on the plan, or up to a step, and can be stopped', async ({
  corvat: page,
}) => {
  await act(page, { do: 'power-off' });
  await open(page, '/course');
  await page.getByRole('link', { name: 'Pond and back' }).click();
  await page.getByText('Let the stand-in drive it').click();
  const mark = page.getByRole('img', { name: 'The stand-in' });
  await expect(mark).toBeHidden();
  await page.getByLabel('ten times as fast').check();
  await page.getByRole('button', { name: 'Drive the route' }).click();
  // It was switched off: whoever lets it drive wants it on.
  await expect(page.getByText(/Seconds driven: \d+ of \d+/)).toBeVisible();
  await expect(mark).toBeVisible();
  const said = page.getByTestId('stand-in-drove');
  await expect(said).toContainText(/It (ended|stopped)/, { timeout: 20_000 });
  await expect(said).toContainText(/Worked|Not worked/);
  // What it was hurried for is over.
  await expect
    .poll(async () => (await act(page, { do: 'lay-card', colour: null })).view.clockRate)
    .toBe(1);
  await page.getByTestId('step-1').click();
  await page.getByLabel('ten times as fast').uncheck();
  await page.getByRole('button', { name: 'Only up to step 1' }).click();
  await expect(said).toBeEmpty();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByRole('button', { name: 'Drive the route' })).toBeEnabled();
  await expect(said).toBeEmpty();
  await expect(mark).toBeHidden();
});
