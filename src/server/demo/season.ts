import { ulid } from 'ulid';
import { randomStream } from '../../core/stats/random';
import type { TeamDatabase } from '../database';
import { freeze } from '../stores/frozen';
import { placeRuns } from '../stores/runsFound';

const PER_SERIES = 50;
/** One of them is a long one. */
const LONG_SERIES = 1000;
const AT_ONCE = 2000;
const HOUR_MS = 3_600_000;
const PLACERS = ['Juniper', 'Moss', 'Alder', 'Fern'];
const NOTES = ['the wheel squeaked', 'bumped at the start', 'a cable hung low'];
const BATTERIES = ['B1', 'B2', 'B3'];

/** Sizes of series that make up so many runs, a long one first. */
function sizes(runs: number): number[] {
  const long = runs > 2 * LONG_SERIES ? [LONG_SERIES] : [];
  const rest = runs - (long[0] ?? 0);
  const whole = Array.from({ length: Math.floor(rest / PER_SERIES) }, () => PER_SERIES);
  return [...long, ...whole, ...(rest % PER_SERIES > 0 ? [rest % PER_SERIES] : [])];
}

/** A made-up run: its end scatters about a place of its series. */
function run(seriesId: string, number: number, index: number, startMs: number) {
  const random = randomStream(index, number, 'made-up run');
  const [endXM, endYM] = [0.012 * random.normal(), 0.008 * random.normal()];
  const worked = Math.hypot(endXM, endYM) < 0.02;
  return {
    id: ulid(),
    version: 1,
    seriesId,
    number,
    happenedAt: new Date(startMs + number * 90_000),
    placedBy: PLACERS[number % PLACERS.length],
    battery: BATTERIES[index % BATTERIES.length],
    batteryV: 8.2 - 0.01 * (number % 50),
    endXM,
    endYM,
    endHeadingRad: 0.02 * random.normal(),
    worked,
    missions: {},
    cause: worked ? null : 'wheel slipped',
    note: number % 7 === 3 ? NOTES[index % NOTES.length] : null,
    setAsideReason: null,
  };
}

/**
 * Fill a database that has a route with so many made-up runs, in series of 50 (one of 1,000 where there are
 * more than 2,000), for the figures of speed and for whoever wants to see a season.
 *
 * @returns the long series, or else the first
 */
export async function loadSeason(
  db: TeamDatabase,
  runs: number,
  onProgress: (done: number) => void,
): Promise<string> {
  const version = await db.models.routeVersion.findOne({ order: [['savedAt', 'DESC']] });
  const routeVersionId = String(version?.get('id'));
  const frozen = await freeze(db, routeVersionId);
  if (frozen === null) throw new Error('There is no route to run: ./corvat demo makes one.');
  const startMs = Date.now() - runs * 120_000;
  const all = sizes(runs).map((size, index) => ({ id: ulid(), size, index }));
  await db.models.series.bulkCreate(
    all.map(({ id, size, index }) => ({
      id,
      version: 1,
      routeVersionId,
      trying: `made-up try ${index + 1}`,
      plannedRuns: size,
      battery: null,
      tableLabel: null,
      archivedAt: null,
      startedAt: new Date(startMs + index * HOUR_MS),
      frozen,
    })),
  );
  let done = 0;
  let batch: object[] = [];
  const flush = async () => {
    await db.models.run.bulkCreate(batch as never);
    done += batch.length;
    batch = [];
    onProgress(done);
  };
  for (const { id, size, index } of all) {
    for (let number = 1; number <= size; number += 1) {
      batch.push(run(id, number, index, startMs + index * HOUR_MS));
    }
    if (batch.length >= AT_ONCE) await flush();
  }
  if (batch.length > 0) await flush();
  await placeRuns(db);
  return all[0]?.id ?? '';
}
