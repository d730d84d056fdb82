import { spawn } from 'node:child_process';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { ulid } from 'ulid';
import type { RunRecord, SavedRun } from '../../src/formats/records';
import { routeOf } from '../core/support';
import { runIn, setUp } from '../api/records';
import {
  databasePid,
  newHome,
  removeHome,
  root,
  scriptEnvironment,
  serve,
  untilAnswers,
  webPid,
  type Served,
} from '../support/corvat';

const RUNS = 1000;
const KILLS = 20;

/** Something like chance that is the same each time. */
const fraction = (n: number) => {
  const x = Math.sin(n * 127.1) * 43758.5453;
  return x - Math.floor(x);
};

describe('a thousand runs over twenty kills', () => {
  const home = newHome();
  let served: Served;
  beforeAll(async () => {
    served = await serve('start', home);
  }, 120_000);
  afterAll(async () => {
    await served.stop();
    removeHome(home);
  });

  const save = async (path: string, record: object, method = 'PUT'): Promise<number> => {
    try {
      const response = await fetch(`${served.url}${path}`, {
        method,
        headers: { 'content-type': 'application/json', connection: 'close' },
        body: JSON.stringify(record),
      });
      await response.arrayBuffer();
      return response.status;
    } catch {
      return 0;
    }
  };

  /** As the browser does: what is not confirmed is sent again. */
  const untilSaved = async (run: RunRecord): Promise<void> => {
    for (let tries = 0; tries < 600; tries += 1) {
      const status = await save(`/api/runs/${run.id}`, run);
      if (status === 200) return;
      expect([0, 503]).toContain(status);
      await new Promise((next) => setTimeout(next, 100));
    }
    throw new Error('never saved');
  };

  const kill = async (n: number): Promise<void> => {
    const what = n % 3;
    if (what === 0) process.kill(webPid(served), 'SIGKILL');
    else if (what === 1) process.kill(databasePid(served), 'SIGKILL');
    else {
      process.kill(served.pid, 'SIGKILL');
      served = await serve('start', home);
    }
  };

  it('loses none and doubles none', async () => {
    const records = setUp();
    expect(await save('/api/teams', records, 'POST')).toBe(200);
    const versionId = ulid();
    const version = { id: versionId, routeId: records.route.id, note: '', route: routeOf([]) };
    await save(`/api/route-versions/${versionId}`, version);
    const seriesId = ulid();
    await save(`/api/series/${seriesId}`, {
      id: seriesId,
      version: 0,
      routeVersionId: versionId,
      trying: 'kills',
      plannedRuns: RUNS,
      battery: null,
      tableLabel: null,
    });
    const runs = Array.from({ length: RUNS }, () => runIn(seriesId));
    for (const [i, run] of runs.entries()) {
      const every = RUNS / KILLS;
      // The kill comes while the run is on its way.
      const blow = i % every === every / 2 ? kill(Math.floor(i / every)) : Promise.resolve();
      await Promise.all([untilSaved(run), blow]);
      if (i % every === every / 2) await untilAnswers(served.url);
    }
    const answer = await fetch(`${served.url}/api/series/${seriesId}/runs`);
    const saved = ((await answer.json()) as { runs: SavedRun[] }).runs;
    expect(saved.map(({ id }) => id)).toEqual(runs.map(({ id }) => id));
    expect(saved.map(({ number }) => number)).toEqual(runs.map((_, i) => i + 1));
  }, 1_200_000);
});

describe('thirty first starts that are killed', () => {
  it('start again each time, with the demo data whole', async () => {
    const home = newHome();
    const kills = 30;
    for (let n = 0; n < kills; n += 1) {
      const child = spawn('node', ['--import', 'tsx', 'scripts/serve.ts', 'demo'], {
        cwd: root,
        env: scriptEnvironment(home),
        stdio: ['ignore', 'pipe', 'pipe'],
      });
      let ready = false;
      child.stdout.on('data', () => {
        ready = true;
      });
      child.stderr.resume();
      // From before the database is made until after the demo data are loaded.
      const patienceMs = 300 + 9000 * fraction(n + 1);
      await new Promise((next) => setTimeout(next, patienceMs));
      child.kill('SIGKILL');
      await new Promise((ended) =>
        child.exitCode !== null ? ended(0) : child.once('exit', ended),
      );
      // A start that was whole is begun anew, so that each kill meets a first start.
      if (ready) removeHome(home);
    }
    const served = await serve('demo', home);
    const page = await (await fetch(`${served.url}/findings`)).text();
    expect(page).toContain('95 of 100 runs land within');
    const calibrations = await (await fetch(`${served.url}/bench/calibrations`)).text();
    expect(calibrations).toContain('Quarter turns came out as 96°');
    await served.stop();
    removeHome(home);
  }, 1_200_000);
});
