import { ulid } from 'ulid';
import { openDatabase } from '../../src/server/database';
import { loadSeason } from '../../src/server/demo/season';
import { storesOf } from '../../src/server/storesOf';
import { findTeam } from '../../src/server/stores/teams';
import { privateUrl } from './mariadb';

const RUNS = 100_000;
const REPEATS = 40;
const IMPORTED = 1000;

export interface SeasonFigures {
  runs: number;
  /** Server time of each page, 95th percentile in ms. */
  pages: { path: string; p95Ms: number }[];
  firstFindingsMs: number;
  saveP95Ms: number;
  importMs: number;
}

const p95 = (values: readonly number[]) =>
  values.toSorted((a, b) => a - b)[Math.ceil(0.95 * values.length) - 1] ?? 0;

async function timed(url: string): Promise<number> {
  const { headers } = await fetch(url);
  return Number(/dur=([\d.]+)/.exec(headers.get('server-timing') ?? '')?.[1]);
}

const runRecord = (seriesId: string) => ({
  id: ulid(),
  version: 0,
  seriesId,
  happenedAt: new Date().toISOString(),
  placedBy: 'Moss',
  battery: 'B1',
  batteryV: 8,
  endXM: 0.01,
  endYM: 0.002,
  endHeadingRad: 0,
  worked: true,
  missions: {},
  cause: null,
  note: null,
  setAsideReason: null,
});

async function send(url: string, method: string, body: unknown): Promise<number> {
  const started = performance.now();
  const answer = await fetch(url, {
    method,
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  if (!answer.ok) throw new Error(`${url}: ${answer.status} ${await answer.text()}`);
  return performance.now() - started;
}

/** Pages, a save and an import over a season of made-up runs in the demo that is served. */
export async function seasonSpeed(url: string, home: string): Promise<SeasonFigures> {
  const db = openDatabase(privateUrl(home, 'demo'));
  try {
    const long = await loadSeason(
      storesOf(db, (await findTeam(db))?.id ?? ''),
      RUNS,
      () => undefined,
    );
    const short = String(
      (await db.models.series.findOne({ where: { trying: 'made-up try 9' } }))?.get('id'),
    );
    const firstFindingsMs = await timed(`${url}/findings/${long}`);
    const paths = [
      '/',
      '/runs',
      `/runs/${short}`,
      `/findings/${short}`,
      `/findings/${long}`,
      '/runs?by=tried',
      '/runs/all',
      '/runs/all?q=squeaked&person=Fern',
      '/findings/season',
      '/findings/compare',
      '/course',
      '/bench',
    ];
    const pages = [];
    for (const path of paths) {
      await timed(url + path);
      const times: number[] = [];
      for (let i = 0; i < REPEATS; i += 1) times.push(await timed(url + path));
      pages.push({
        path: path.replace(long, '(1,000 runs)').replace(short, '(50 runs)'),
        p95Ms: p95(times),
      });
    }
    const save = () => {
      const record = runRecord(short);
      return send(`${url}/api/runs/${record.id}`, 'PUT', record);
    };
    await save();
    const saves: number[] = [];
    for (let i = 0; i < REPEATS; i += 1) saves.push(await save());
    const runs = Array.from({ length: IMPORTED }, () => runRecord(short));
    const importMs = await send(`${url}/api/series/${short}/import`, 'POST', { runs });
    return { runs: RUNS, pages, firstFindingsMs, saveP95Ms: p95(saves), importMs };
  } finally {
    await db.sequelize.close();
  }
}
