import { expect, open, test } from './corvat';

test('an ageing calibration is fresh again after three trials that come out as foretold', async ({
  corvat: page,
}) => {
  await open(page, '/bench/calibrations');
  const turns = page.getByRole('region', { name: 'turns', exact: true });
  await expect(turns).toContainText(/\d+ days old/);
  const check = turns.getByRole('button', { name: 'Check it quickly' });
  await check.click();
  const asked = turns.getByRole('region', { name: 'Confirmation' });
  const type = async (sizes: string[]) => {
    for (const [i, size] of sizes.entries()) {
      await asked
        .getByLabel(/^Truly turned/)
        .nth(i)
        .fill(size);
    }
  };
  await type(['97', '98', '189']);
  await expect(asked).toContainText('Something has changed');
  await type(['90.5', '89.5', '180.5']);
  await expect(asked).toContainText('It holds.');
  await asked.getByRole('button', { name: 'Note it in the journal' }).click();
  await expect(page.getByText('Noted in the journal. It is fresh again.')).toBeVisible();
  await expect(turns).toContainText('today');

  // The server says so, too; what holds and the day it was measured are the same.
  await open(page, '/bench');
  await expect(
    page.getByRole('region', { name: /^What is known of/ }).getByRole('row', { name: /^Turns/ }),
  ).toContainText('today');
  await open(page, '/bench/calibrations');
  await expect(turns).toContainText('made 2026-11-12');
  await expect(page.getByRole('table', { name: 'Journal' })).toContainText('It holds.');
  // Looked at again, nothing was changed: it is no change whose effect could be asked for.
  await open(page, '/findings/season');
  await expect(page.getByText('It holds.')).toHaveCount(0);
});
