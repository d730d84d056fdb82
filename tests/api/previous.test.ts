import { afterAll, beforeEach, describe, expect, inject, it } from 'vitest';
import { privateUrl } from '../../scripts/lib/mariadb';
import { exportLines, openBundle } from '../../src/server/bundle';
import { importBundle } from '../../src/server/bundleImport';
import { openDatabase } from '../../src/server/database';
import { migrate, MIGRATIONS } from '../../src/server/migrate';
import { columnName } from '../../src/server/models';
import { unpackColumn } from '../../src/server/packedColumn';
import { robotSchema } from '../../src/core/robot/robot';
import { headingOf, lookingAhead } from '../../src/core/devices/ofRobot';
import { recordedText } from '../support/recorded';
import { wipe } from '../support/wipe';

interface Line {
  table: string;
  row: Record<string, unknown>;
}

/** The demo's data as the version before wrote them: everything that it had, in its own form. */
const [head = '', ...texts] = recordedText('backup-of-format-2.jsonl').trim().split('\n');
const before = texts.map((text) => JSON.parse(text) as Line).filter(({ table }) => table);
/** The migrations that the version before knew. */
const KNOWN_BEFORE = 6;

const db = openDatabase(privateUrl(inject('home'), 'demo'));
const { sequelize } = db;

async function everything(): Promise<Line[]> {
  const lines: Line[] = [];
  await sequelize.transaction(async (transaction) => {
    for await (const text of exportLines(db, 'demo', transaction)) {
      lines.push(JSON.parse(text) as Line);
    }
  });
  return lines.slice(1, -1);
}

interface OldRobot {
  gyro: object;
  distance: { aheadM: number; leftM: number } | null;
  build: { ports: string[]; units: Record<string, unknown>[] };
}

/** A robot of the version before has all that it had; its sensors stand in its list of units. */
function robotIsThere(after: unknown, { gyro, distance, build, ...rest }: OldRobot): void {
  const robot = robotSchema.parse(after);
  const { units: _units, ports, ...built } = build;
  expect(robot).toMatchObject({ ...rest, build: built });
  expect(robot.build.ports.map(({ name }) => name)).toEqual(ports);
  expect(headingOf(robot)).toEqual(gyro);
  for (const { id, role, label, port, mounting, heightM } of build.units) {
    const unit = robot.units.find((one) => one.id === id);
    expect(unit).toMatchObject({ kind: role, label, port, mounting, place: { heightM } });
  }
  if (distance === null) return;
  const { aheadM, leftM, ...behaviour } = distance;
  expect(lookingAhead(robot)).toMatchObject({ place: { aheadM, leftM }, behaviour });
}

/** What holds a robot, and the record without it. */
function withoutRobot({ table, row }: Line): { rest: object; robot: unknown } {
  if (table === 'robot') return { rest: { ...row, robot: undefined }, robot: row.robot };
  if (table !== 'standIn') return { rest: row, robot: undefined };
  const state = row.state as Record<string, unknown>;
  return { rest: { ...state, record: undefined }, robot: state.record };
}

function isThere(line: Line, row: Record<string, unknown> | undefined): void {
  const told = `${line.table} ${String(line.row.id)}`;
  const { rest, robot } = withoutRobot(line);
  const after = withoutRobot({ table: line.table, row: row ?? {} });
  expect(after.rest, told).toMatchObject(rest);
  if (robot !== undefined) robotIsThere(after.robot, robot as OldRobot);
}

/** Every record is there with all that it held; the readings of each log are the same to the last digit. */
function nothingIsLost(after: readonly Line[]): void {
  // A stand-in was the team's, and is its robot's.
  const ownerOf = ({ row }: Line) => (row.state as { robotId: string }).robotId;
  const idOf = (line: Line) =>
    `${line.table} ${String(line.table === 'standIn' ? ownerOf(line) : (line.row.id ?? line.row.number))}`;
  const there = new Map(after.map((line) => [idOf(line), line.row]));
  const columns = new Map(
    after
      .filter(({ table }) => table === 'benchLogColumn')
      .map(({ row: { logId, channel, number, data } }) => [
        [logId, channel, number].join(' '),
        unpackColumn(Buffer.from(data as string, 'base64')),
      ]),
  );
  let readings = 0;
  for (const line of before) {
    if (line.table !== 'benchLogPiece') {
      if (line.row.id !== undefined) isThere(line, there.get(idOf(line)));
      continue;
    }
    const { logId, number, data } = line.row;
    const piece = data as { tS: number[]; columns: Record<string, number[]> };
    for (const [channel, values] of Object.entries({ ...piece.columns, t: piece.tS })) {
      expect([...(columns.get([logId, channel, number].join(' ')) ?? [])]).toEqual(values);
      readings += values.length;
    }
  }
  expect(readings).toBeGreaterThan(10_000);
  const counted = (lines: readonly Line[], table: string) =>
    lines.filter((line) => line.table === table).length;
  for (const table of ['mission', 'run', 'stillCheck', 'calibration']) {
    expect(counted(after, table), table).toBe(counted(before, table));
  }
}

/** The values of a row as the database takes them. */
const asStored = (value: unknown): unknown => {
  if (typeof value === 'object' && value !== null) return JSON.stringify(value);
  const isTime = typeof value === 'string' && /^\d{4}-\d\d-\d\dT.*Z$/.test(value);
  return isTime ? new Date(value) : value;
};

describe('the data of the version before', () => {
  beforeEach(() => wipe(db));
  afterAll(async () => {
    await wipe(db);
    await sequelize.close();
  });

  it('in its own database are brought forward, with nothing lost', async () => {
    for (const { name, up } of MIGRATIONS.slice(0, KNOWN_BEFORE)) {
      await up(sequelize.getQueryInterface());
      await sequelize.query('CREATE TABLE IF NOT EXISTS migration (name VARCHAR(255) PRIMARY KEY)');
      await sequelize.query('INSERT INTO migration VALUES (?)', { replacements: [name] });
    }
    await sequelize.transaction(async (transaction) => {
      for (const { table, row } of before) {
        const names = Object.keys(row).map((key) => `\`${columnName(key)}\``);
        await sequelize.query(
          `INSERT INTO ${columnName(table)} (${names.join(', ')}) VALUES (${names.map(() => '?').join(', ')})`,
          { replacements: Object.values(row).map(asStored), transaction },
        );
      }
    });
    expect(await migrate(db)).toEqual(MIGRATIONS.slice(KNOWN_BEFORE).map(({ name }) => name));
    nothingIsLost(await everything());
  });

  it('in its backup are taken back, with nothing lost', async () => {
    async function* lines() {
      for (const text of [head, ...texts]) yield await Promise.resolve(text);
    }
    await migrate(db);
    await importBundle(db, await openBundle(lines()));
    const after = await everything();
    nothingIsLost(after);
    // And its own backup is read again.
    async function* again() {
      const header = { ...(JSON.parse(head) as object), formatVersion: 3 };
      for (const value of [header, ...after, { end: true, rows: after.length }]) {
        yield await Promise.resolve(JSON.stringify(value));
      }
    }
    await importBundle(db, await openBundle(again()));
    expect(await everything()).toEqual(after);
  });

  it('in a backup of today’s format are taken back as they were', async () => {
    const written = recordedText('backup-of-format-3.jsonl').trim().split('\n');
    async function* lines() {
      for (const text of written) yield await Promise.resolve(text);
    }
    await migrate(db);
    await importBundle(db, await openBundle(lines()));
    const after = await everything();
    const was = written.slice(1, -1).map((text) => JSON.parse(text) as Line);
    expect(after.length).toBe(was.length);
    was.forEach((line, i) => expect(after[i]).toMatchObject(line));
  });
});
