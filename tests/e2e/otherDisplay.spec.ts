import type { TeamRecord } from '../../src/formats/records';
import { openDatabase } from '../../src/server/database';
import { findTeam, saveTeam } from '../../src/server/stores/teams';
import { BENCH_PAGES } from '../../src/stations/bench/procedures';
import { privateUrl } from '../../scripts/lib/mariadb';
import type { Served } from '../support/corvat';
import { expect, test } from './corvat';
import { saidInMetres } from './readWords';

/** Other display settings, for as long as a test lasts. */
async function saidAs(
  { home }: Served,
  settings: Partial<TeamRecord['settings']>,
): Promise<() => Promise<void>> {
  const db = openDatabase(privateUrl(home, 'demo'));
  const team = await findTeam(db);
  if (team === null) throw new Error('no team');
  const said = await saveTeam(db, { ...team, settings: { ...team.settings, ...settings } });
  return async () => {
    await saveTeam(db, { ...said, settings: team.settings });
    await db.sequelize.close();
  };
}

test('a team that counts in inches, with a comma and turns to the right reads no metric word', async ({
  corvat: page,
  served,
}) => {
  test.slow();
  const back = await saidAs(served, { length: 'in', decimalSign: ',', positiveTurn: 'right' });
  try {
    await page.goto('/runs');
    const series = await page.locator('main a[href^="/runs/0"]').first().getAttribute('href');
    const pages = [
      '/',
      '/robot',
      '/robot/sheet',
      '/course',
      '/course/table',
      '/course/match',
      '/course/building?version=01DEMV00000000000000000010',
      '/course/card?version=01DEMV00000000000000000003',
      '/runs',
      '/runs/all',
      series ?? '',
      `${series ?? ''}/sheet`,
      (series ?? '').replace('runs', 'findings'),
      '/findings/compare',
      '/findings/season',
      ...BENCH_PAGES.map(({ id }) => (id === 'overview' ? '/bench' : `/bench/${id}`)),
    ];
    const found: string[] = [];
    for (const path of pages) {
      await page.goto(path);
      await expect(page.locator('main')).not.toBeEmpty();
      found.push(...(await saidInMetres(page)));
    }
    expect(found).toEqual([]);
  } finally {
    await back();
  }
});
