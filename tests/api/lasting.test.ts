import { existsSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, inject, it, vi } from 'vitest';
import { ulid } from 'ulid';
import { SequelizeStorage } from 'umzug';
import { pipit } from '../../src/server/demo/scenario';
import * as firstTables from '../../src/server/migrations/0001-first-tables';
import { findRobot } from '../../src/server/stores/robots';
import { listStillChecks } from '../../src/server/stores/stillChecks';
import { openDatabase } from '../../src/server/database';
import { migrate } from '../../src/server/migrate';
import { privateUrl } from '../../scripts/lib/mariadb';
import {
  databasePid,
  newHome,
  removeHome,
  runScript,
  serve,
  untilAnswers,
  webPid,
  type Served,
} from '../support/corvat';
import { newSeries, put, runIn, runsOf } from './records';

describe('what survives', () => {
  const kills = {
    'the web process': () => webPid({ pid: inject('pid') }),
    'the database': () => databasePid({ home: inject('home') }),
  };

  it.each(Object.keys(kills) as (keyof typeof kills)[])(
    'every confirmed run survives a kill -9 of %s',
    async (what) => {
      const seriesId = await newSeries();
      const confirmed: string[] = [];
      let killed = false;
      for (let i = 0; i < 40; i += 1) {
        const run = runIn(seriesId);
        if (i === 15) process.kill(kills[what](), 'SIGKILL');
        try {
          const { status } = await put('runs', run);
          if (status === 200) confirmed.push(run.id);
          else killed = true;
        } catch {
          killed = true;
        }
        if (killed) break;
      }
      expect(killed).toBe(true);
      await untilAnswers(inject('url'));
      const after = (await runsOf(seriesId)).map(({ id }) => id);
      expect(confirmed.length).toBeGreaterThanOrEqual(15);
      expect(after).toEqual(expect.arrayContaining(confirmed));
      expect((await put('runs', runIn(seriesId))).status).toBe(200);
    },
  );

  it('brings the data of the version before along, once, and refuses data of a newer Corvat', async () => {
    const db = openDatabase(privateUrl(inject('home'), 'demo'));
    try {
      await firstTables.up(db.sequelize.getQueryInterface());
      await new SequelizeStorage({ ...db, tableName: 'migration' }).logMigration({
        name: '0001-first-tables',
      });
      // A robot as it was written before there were signs and ports.
      const { signs: _signs, build: _build, ...before } = pipit;
      const [teamId, id] = [ulid(), ulid()];
      await db.models.team.create({ id: teamId, version: 1, name: 'Quillon Yard' });
      await db.models.robot.create({ id, version: 1, teamId, name: 'Pipit', robot: before });
      expect(await migrate(db)).toEqual(['0002-bench', '0003-still-settings']);
      expect(await migrate(db)).toEqual([]);
      const robot = await findRobot(db, id);
      expect(robot?.robot).toMatchObject({
        ...before,
        signs: { heading: 1 },
        build: { units: [] },
      });
      expect(await listStillChecks(db, id)).toEqual([]);
      await db.sequelize.query("INSERT INTO migration (name) VALUES ('9999-from-the-future')");
      await expect(migrate(db)).rejects.toThrow(/newer Corvat/);
    } finally {
      await db.sequelize.query("DELETE FROM migration WHERE name LIKE '9999%'");
      await db.sequelize.close();
    }
  });
});

describe('a folder with demo data', () => {
  const home = newHome();
  const backup = join(home, 'backup.json');
  let served: Served;
  beforeAll(async () => {
    served = await serve('demo', home);
  });
  afterAll(async () => {
    await served.stop();
    removeHome(home);
  });
  const findings = async () => {
    const parts: string[] = [];
    for (const path of ['/findings', '/bench/calibrations', '/bench/still']) {
      const answer = await fetch(served.url + path, { headers: { connection: 'close' } });
      parts.push(/<main[\s\S]*<\/main>/.exec(await answer.text())?.[0] ?? '');
    }
    return parts.join('\n');
  };

  it('has its password and its database to itself', () => {
    expect(statSync(join(home, 'database-password')).mode & 0o777).toBe(0o600);
    expect(served.url).not.toBe(inject('url'));
  });

  it('says where it runs when it is started twice, and that a port is taken', async () => {
    expect(runScript('serve', ['demo'], { home }).err).toContain(
      `already running from this folder at ${served.url}`,
    );
    const blocker = createServer();
    await new Promise<void>((listening) => blocker.listen(0, '127.0.0.1', listening));
    const address = blocker.address();
    const port = typeof address === 'object' ? String(address?.port) : '';
    const other = newHome();
    const refused = runScript('serve', ['demo'], { home: other, env: { CORVAT_PORT: port } });
    blocker.close();
    removeHome(other);
    expect(refused.status).toBe(1);
    expect(refused.err).toContain(`Port ${port} is taken`);
  });

  it('leaves a port that another program takes at the last moment', async () => {
    vi.stubEnv('CORVAT_HOME', home);
    vi.resetModules();
    const { answers, startWeb } = await import('../../scripts/lib/web');
    // It accepts connections and never says a word.
    const blocker = createServer();
    await new Promise<void>((listening) => blocker.listen(0, '127.0.0.1', listening));
    const address = blocker.address();
    const port = typeof address === 'object' ? (address?.port ?? 0) : 0;
    const web = startWeb(port, 'mariadb://nobody@127.0.0.1:1/nothing');
    expect(await answers(`http://127.0.0.1:${port}`, web)).toBe(false);
    blocker.close();
  });

  it('starts beside others at the same moment, each with a port of its own', async () => {
    const homes = [newHome(), newHome()];
    const both = await Promise.all(homes.map((one) => serve('start', one)));
    expect(new Set([served.url, ...both.map(({ url }) => url)]).size).toBe(3);
    for (const { url } of both) expect((await fetch(url)).status).toBe(200);
    await Promise.all(both.map((one) => one.stop()));
    homes.forEach(removeHome);
  });

  it('shows the same findings after backup, wipe and restore', async () => {
    const before = await findings();
    expect(before).toContain('95 of 100 runs land within');
    expect(runScript('backup', [backup], { home }).status).toBe(0);
    await served.stop();
    for (const name of ['database', 'database-ready', 'database-password', 'database-port']) {
      rmSync(join(home, name), { recursive: true });
    }
    expect(runScript('restore', [backup], { home }).status).toBe(0);
    served = await serve('demo', home);
    expect(await findings()).toBe(before);
  });

  it('refuses a file that is no backup, and leaves the data alone', async () => {
    const before = await findings();
    const bad = join(home, 'bad.json');
    const bundle = JSON.parse(readFileSync(backup, 'utf8')) as { tables: { run: object[] } };
    for (const text of [
      '',
      '{"format":"other"}',
      JSON.stringify({ ...bundle, tables: { ...bundle.tables, team: [] } }),
      JSON.stringify({ ...bundle, tables: { ...bundle.tables, run: [{ id: 'x' }] } }),
    ]) {
      writeFileSync(bad, text);
      const refused = runScript('restore', [bad], { home });
      expect(refused.status).toBe(1);
      expect(refused.err.trim().split('\n').at(-1)).toMatch(/^corvat: /);
      expect(refused.err).not.toMatch(/\n\s+at /);
    }
    expect(await findings()).toBe(before);
  });

  it('takes over a database whose Corvat was killed', async () => {
    const before = await findings();
    process.kill(served.pid, 'SIGKILL');
    expect(existsSync(join(home, 'database', 'corvat.pid'))).toBe(true);
    served = await serve('demo', home);
    expect(served.said()).toContain('taking over the database');
    expect(await findings()).toBe(before);
  });
});
