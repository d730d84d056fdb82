import { describe, expect, it } from 'vitest';
import { fittedRobot } from '../../src/core/calibration/fittedRobot';
import { speedOf } from '../../src/core/program/speedOf';
import { speedStudy } from '../../src/core/drive/speedStudy';
import { COMMAND_WAYS } from '../../src/core/program/commands';
import { pipit } from '../../src/server/demo/scenario';
import { rowsOf, number } from '../support/rows';

const recorded = rowsOf('speed-table.csv').map((row) => ({
  command: number(row, 'power_percent') / 100,
  batteryV: number(row, 'battery_V'),
  distanceM: number(row, 'distance_mm') / 1000,
  timeS: number(row, 'time_s'),
}));
const drive = (command: number, mPerS: number, batteryV = 8) => ({
  command,
  batteryV,
  distanceM: 2 * mPerS,
  timeS: 2,
});
/** 0.1 m/s per volt at full power beyond a dead band of a tenth. */
const exact = (command: number, batteryV = 8) =>
  drive(command, 0.1 * batteryV * (command - 0.1), batteryV);

describe('what timed drives say', () => {
  it('says speed, dead band and what a lower battery does, as the table has it', () => {
    const study = speedStudy(recorded);
    if (study === null) throw new Error('nothing found');
    const { sentences, value, table, batteryV } = study;
    const [, percent, speed] =
      /^(\d+) % of power drives ([\d.]+) cm\/s/.exec(sentences.found) ?? [];
    expect(table.at(Number(percent) / 100, batteryV).speedMPerS).toBeCloseTo(
      Number(speed) / 100,
      2,
    );
    expect(sentences.means).toMatch(/1 V lower drives 13 % slower/);
    expect(speedOf(value, 0.4, 8)).toBeCloseTo(table.at(0.4, 8).speedMPerS, 9);
    expect(speedOf(value, value.deadBand / 2, 8)).toBe(0);
  });

  it('tells where the strongest power no longer follows, and leaves it out', () => {
    const powers = [0.2, 0.3, 0.4, 0.5, 0.6];
    const drives = powers.flatMap((command) => [exact(command), exact(command, 7)]);
    expect(speedStudy(drives)?.stopsFollowing).toBeNull();
    const capped = [...drives, drive(1, 0.55), drive(1, 0.55)];
    const study = speedStudy(capped);
    // The line says 0.72 m/s.
    expect(study?.stopsFollowing?.shortShare).toBeCloseTo(1 - 0.55 / 0.72, 3);
    expect(study?.sentences.means).toContain('At 100 % it drives 24 % slower than that');
    expect(study?.value.deadBand).toBeCloseTo(0.1, 6);
    expect(study?.value.highestCommand).toBe(0.6);
  });

  it('gives the robot its speed at a power, and its top speed only where that was timed', () => {
    const { maxSpeedMPerS } = pipit.motors;
    const value = speedStudy([exact(0.2), exact(0.5), exact(0.8), exact(0.8, 7)])?.value;
    if (value === undefined) throw new Error('nothing found');
    const { robot } = fittedRobot(pipit, [value]);
    expect(robot.motors.maxSpeedMPerS).toBe(maxSpeedMPerS);
    const told = COMMAND_WAYS.percent.commanded(robot, speedOf(value, 0.5, value.batteryV));
    expect(told).toBeCloseTo(50, 6);
    expect(COMMAND_WAYS.percent.commanded(robot, speedOf(value, 0.95, value.batteryV))).toBeNull();
    const full = speedStudy([exact(0.2), exact(0.5), exact(1)])?.value;
    if (full === undefined) throw new Error('nothing found');
    expect(fittedRobot(pipit, [full]).robot.motors.maxSpeedMPerS).toBeCloseTo(0.72, 6);
  });

  it('asks for what tells most: another power, another battery', () => {
    const next = (...drives: ReturnType<typeof exact>[]) => speedStudy(drives)?.sentences.next;
    expect(next(exact(0.3), exact(0.4), exact(0.4))).toMatch(/Time a drive at 90 % as well/);
    expect(next(exact(0.2), exact(0.5), exact(0.9))).toMatch(/battery that is nearly empty/);
    // Of one battery nothing is said as if it were known of another.
    const one = speedStudy([exact(0.2), exact(0.5), exact(0.9)]);
    expect(one?.sentences.means).toMatch(/say nothing of other batteries/);
    expect(one?.table.at(0.5, one.batteryV - 1).isExtrapolated).toBe(true);
    expect(speedStudy([exact(0.2), exact(0.2)])).toBeNull();
  });
});
