import { execFileSync, spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { ulid } from 'ulid';
import { privateUrl } from '../../scripts/lib/mariadb';
import { openDatabase } from '../../src/server/database';
import { packColumn } from '../../src/server/packedColumn';
import { runIn, setUp } from '../api/records';
import { routeOf } from '../core/support';
import {
  newHome,
  removeHome,
  root,
  scriptEnvironment,
  serve,
  untilAnswers,
} from '../support/corvat';

const MEGABYTES = 1_000_000;

/** One of the scripts, and the most memory that it took. */
function measured(home: string, name: string, args: string[]) {
  const ended = spawnSync(
    '/usr/bin/env',
    [
      'bash',
      '-c',
      `node --max-semi-space-size=2 --max-old-space-size=96 --import tsx --import ./tests/endurance/peak.mjs scripts/${name}.ts "$@"`,
      name,
      ...args,
    ],
    { cwd: root, env: scriptEnvironment(home), encoding: 'utf8' },
  );
  const peak = Number(/peak (\d+) kB/.exec(ended.stderr)?.[1] ?? Number.NaN);
  return { status: ended.status, said: ended.stderr, peakBytes: peak * 1000 };
}

describe('sixty megabytes of logs', () => {
  it('are kept and taken back in little memory', async () => {
    const home = newHome();
    let served = await serve('start', home);
    const records = setUp();
    await fetch(`${served.url}/api/teams`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(records),
    });
    const db = openDatabase(privateUrl(home, 'team'));
    const values = (from: number) =>
      Array.from({ length: 8000 }, (_, i) => Number((from + i * 0.0213).toFixed(6)));
    for (let n = 0; n < 30; n += 1) {
      const id = ulid();
      await db.models.benchLog.create({
        id,
        robotId: records.robot.id,
        name: `log ${n}`,
        source: 'file',
        columns: ['headingRad', 'leftMotorDegrees', 'rightMotorDegrees'],
        pieces: 6,
        samples: 48_000,
        takenAt: new Date(),
      });
      for (let number = 0; number < 6; number += 1) {
        const from = 8000 * number * 0.0213;
        const columns = {
          t: values(from),
          headingRad: values(from / 1000),
          leftMotorDegrees: values(from),
          rightMotorDegrees: values(2 * from),
        };
        await db.models.benchLogColumn.bulkCreate(
          Object.entries(columns).map(([channel, column]) => ({
            logId: id,
            channel,
            number,
            data: packColumn(column),
          })),
        );
      }
    }
    await db.sequelize.close();
    await served.stop();
    const file = join(home, 'large.jsonl');
    const backup = measured(home, 'backup', [file]);
    expect(backup.status, backup.said).toBe(0);
    expect(statSync(file).size).toBeGreaterThan(50 * MEGABYTES);
    expect(backup.peakBytes).toBeLessThan(200 * MEGABYTES);
    const other = newHome();
    const restore = measured(other, 'restore', [file]);
    expect(restore.status, restore.said).toBe(0);
    expect(restore.said).toContain('720 benchLogColumn');
    expect(restore.peakBytes).toBeLessThan(200 * MEGABYTES);
    console.info(
      `backup ${backup.peakBytes / MEGABYTES} MB, restore ${restore.peakBytes / MEGABYTES} MB`,
    );
    served = await serve('start', other);
    expect((await fetch(`${served.url}/bench/run-log`)).status).toBe(200);
    await served.stop();
    [home, other].forEach(removeHome);
  }, 600_000);
});

describe('a full disk', () => {
  it('is said, survived, and gone on from by itself', async () => {
    const disk = mkdtempSync(join(tmpdir(), 'corvat-disk-'));
    execFileSync('mount', ['-t', 'tmpfs', '-o', 'size=400m,mode=755', 'tmpfs', disk]);
    const home = join(disk, 'home');
    const filler = join(disk, 'filler');
    try {
      const served = await serve('start', home);
      const post = (path: string, record: object, method = 'PUT') =>
        fetch(`${served.url}${path}`, {
          method,
          headers: { 'content-type': 'application/json', connection: 'close' },
          body: JSON.stringify(record),
        }).then(
          ({ status }) => status,
          () => 0,
        );
      const records = setUp();
      await post('/api/teams', records, 'POST');
      const version = { id: ulid(), routeId: records.route.id, note: '', route: routeOf([]) };
      await post(`/api/route-versions/${version.id}`, version);
      const series = {
        id: ulid(),
        version: 0,
        routeVersionId: version.id,
        trying: 'a full disk',
        plannedRuns: 10,
        battery: null,
        tableLabel: null,
      };
      await post(`/api/series/${series.id}`, series);
      spawnSync('bash', ['-c', `cat /dev/zero > ${filler}`]);
      const during = runIn(series.id);
      const statuses: number[] = [];
      for (let i = 0; i < 30; i += 1) {
        statuses.push(await post(`/api/runs/${during.id}`, during));
        await new Promise((next) => setTimeout(next, 200));
      }
      // Saved, or told to wait: never a fault of Corvat's.
      expect(statuses.filter((status) => ![0, 200, 503, 507].includes(status))).toEqual([]);
      const page = await fetch(served.url).then((answer) => answer.text());
      expect(page).toMatch(/disk of the computer that runs Corvat is full/);
      const backup = spawnSync(
        'node',
        ['--import', 'tsx', 'scripts/backup.ts', join(home, 'b.jsonl')],
        {
          cwd: root,
          env: scriptEnvironment(home),
          encoding: 'utf8',
        },
      );
      expect(backup.status).toBe(1);
      expect(existsSync(join(home, 'b.jsonl.part'))).toBe(false);
      rmSync(filler);
      await untilAnswers(served.url);
      for (let i = 0; i < 100; i += 1) {
        if ((await post(`/api/runs/${during.id}`, during)) === 200) break;
        await new Promise((next) => setTimeout(next, 200));
      }
      const kept = await fetch(`${served.url}/api/series/${series.id}/runs`);
      expect(((await kept.json()) as { runs: { id: string }[] }).runs.map(({ id }) => id)).toEqual([
        during.id,
      ]);
      writeFileSync(join(home, 'room'), 'again');
      await served.stop();
    } finally {
      execFileSync('umount', ['-l', disk]);
      rmSync(disk, { recursive: true, force: true });
    }
  }, 300_000);
});
