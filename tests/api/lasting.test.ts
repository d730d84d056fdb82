import { existsSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, inject, it, vi } from 'vitest';
import { ulid } from 'ulid';
import { QueryTypes } from 'sequelize';
import { SequelizeStorage } from 'umzug';
import { headingOf, lookingAhead } from '../../src/core/devices/ofRobot';
import { pipit } from '../../src/server/demo/scenario';
import { findRobot } from '../../src/server/stores/robots';
import { listStillChecks } from '../../src/server/stores/stillChecks';
import { openDatabase } from '../../src/server/database';
import { storesOf } from '../../src/server/storesOf';
import { migrate, MIGRATIONS } from '../../src/server/migrate';
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
import { wipe } from '../support/wipe';
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
      await MIGRATIONS[0].up(db.sequelize.getQueryInterface());
      await new SequelizeStorage({ ...db, tableName: 'migration' }).logMigration({
        name: '0001-first-tables',
      });
      // A robot as it was written before there were signs, ports and units.
      const { format: _format, signs: _signs, build: _build, units: _units, ...sizes } = pipit;
      const sensors = { gyro: { driftRadPerS: 0.001 }, distance: { aheadM: 0.08 } };
      const before = { ...sizes, ...sensors };
      const [teamId, id] = [ulid(), ulid()];
      await db.models.team.create({ id: teamId, version: 1, name: 'Quillon Yard' });
      await db.models.robot.create({ id, version: 1, teamId, name: 'Pipit', robot: before });
      expect(await migrate(db)).toEqual(MIGRATIONS.slice(1).map(({ name }) => name));
      expect(await migrate(db)).toEqual([]);
      const robot = await findRobot(storesOf(db, teamId), id);
      expect(robot?.robot).toMatchObject({
        ...sizes,
        signs: { heading: 1 },
      });
      expect(robot && headingOf(robot.robot)).toMatchObject(sensors.gyro);
      expect(robot && lookingAhead(robot.robot)?.place).toMatchObject(sensors.distance);
      expect(await listStillChecks(storesOf(db, teamId), id)).toEqual([]);
      await db.sequelize.query("INSERT INTO migration (name) VALUES ('9999-from-the-future')");
      await expect(migrate(db)).rejects.toThrow(/newer Corvat/);
    } finally {
      await db.sequelize.query("DELETE FROM migration WHERE name LIKE '9999%'");
      await db.sequelize.close();
    }
  });
});

describe('a start that is killed', () => {
  /**
   * Migrate until a second statement would come that no start before has reached: as a kill between the two.
   * Every statement of every migration, and the note that it was run, is the last of one such start.
   */
  const killedAfterOneMore = async (url: string, reached: Set<string>) => {
    let isKilled = false;
    let fresh = '';
    const logging = (said: string) => {
      const statement = said.replace(/^Executing \(.*?\): /, '');
      isKilled ||= fresh !== '' && !reached.has(statement) && fresh !== statement;
      if (isKilled) throw new Error('killed');
      if (!reached.has(statement)) fresh = statement;
    };
    const db = openDatabase(url, { pool: { max: 1, min: 1 }, logging });
    await migrate(db).catch((error: unknown) => {
      expect(String(error)).toContain('killed');
    });
    if (fresh !== '') reached.add(fresh);
    await db.sequelize.close();
    return isKilled;
  };

  it('goes on from any statement of any migration', async () => {
    const url = privateUrl(inject('home'), 'demo');
    const db = openDatabase(url);
    const tables = () =>
      db.sequelize.query(
        "SELECT CONCAT(table_name, '.', column_name, ' ', column_type) AS c FROM information_schema.columns WHERE table_schema = DATABASE() ORDER BY c",
        { type: QueryTypes.SELECT },
      );
    await wipe(db);
    await migrate(db);
    const expected = await tables();
    await wipe(db);
    const reached = new Set<string>();
    let kills = 0;
    while (await killedAfterOneMore(url, reached)) kills += 1;
    expect(kills).toBeGreaterThan(60);
    expect(await tables()).toEqual(expected);
    expect(await migrate(db)).toEqual([]);
    await db.sequelize.close();
  });
});

describe('a folder with demo data', () => {
  const home = newHome();
  const backup = join(home, 'backup.jsonl');
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

  it('writes no backup to what looks like an option', () => {
    for (const name of ['--help', '-v', '']) {
      const refused = runScript('backup', [name], { home });
      expect(refused.status, name).toBe(1);
      expect(refused.err, name).toContain('./corvat backup FILE');
      expect(existsSync(name), name).toBe(false);
    }
  });

  it('refuses a file that is no backup, and leaves the data alone', async () => {
    const before = await findings();
    const bad = join(home, 'bad.jsonl');
    const lines = readFileSync(backup, 'utf8').trim().split('\n');
    const without = (table: string) => lines.filter((line) => !line.includes(`"table":"${table}"`));
    const [head = ''] = lines;
    for (const [text, sentence] of [
      ['', /not a backup/],
      ['{"format":"other"}', /not a backup/],
      [lines.slice(0, -1).join('\n'), /cut off/],
      [
        [...without('team').slice(0, -1), `{"end":true,"rows":${lines.length - 3}}`].join('\n'),
        /of a team that is not in it.*Nothing was changed/,
      ],
      [
        [...lines.slice(0, 2), '{"table":"run","row":{"id":"x"}}', '{"end":true,"rows":2}'].join(
          '\n',
        ),
        /table run, id x, id: expected/,
      ],
      [`${head}\n{"end":true,"rows":0}`, /empty backup.*--yes/],
    ] as const) {
      writeFileSync(bad, text);
      const refused = runScript('restore', [bad], { home });
      expect(refused.status).toBe(1);
      expect(refused.err.trim().split('\n').at(-1)).toMatch(/^corvat: /);
      expect(refused.err).toMatch(sentence);
      expect(refused.err).not.toMatch(/\n\s+at /);
    }
    expect(await findings()).toBe(before);
  });

  it('keeps what it writes from others, backups too', () => {
    const mode = (path: string) => statSync(path).mode & 0o777;
    expect(mode(home)).toBe(0o700);
    expect(mode(backup)).toBe(0o600);
    for (const entry of readdirSync(home, { withFileTypes: true })) {
      if (entry.name === 'bad.jsonl') continue;
      expect([entry.name, mode(join(home, entry.name))]).toEqual([
        entry.name,
        entry.isDirectory() ? 0o700 : 0o600,
      ]);
    }
    expect(mode(join(home, 'database', 'corvat_demo', 'team.ibd'))).toBe(0o600);
  });

  it('stops its database too when nobody listens to it any more', async () => {
    const database = databasePid({ home });
    served.deafen();
    await served.stop();
    await vi.waitFor(() => expect(() => process.kill(database, 0)).toThrow(), 15_000);
    served = await serve('demo', home);
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
