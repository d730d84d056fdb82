import { loadSeason } from '../src/server/demo/season';
import { storesOf } from '../src/server/storesOf';
import { findTeam } from '../src/server/stores/teams';
import { withData } from './lib/openData';
import { main, say, Sentence } from './lib/sentence';

const MOST = 1_000_000;

/** Made-up runs beside the demo data, for whoever wants to see a season. */
main(async () => {
  const runs = Number(process.argv[2]);
  if (!Number.isInteger(runs) || runs < 1 || runs > MOST) {
    throw new Sentence('Say how many runs: ./corvat load 10000');
  }
  await withData('demo', async (db) => {
    const team = await findTeam(db);
    if (team === null || (await db.models.routeVersion.count()) === 0) {
      throw new Sentence('There are no demo data yet: start ./corvat demo once, then load.');
    }
    await loadSeason(storesOf(db, team.id), runs, (done) => say(`… ${done} of ${runs} runs`));
  });
});
