import { describe, expect, it } from 'vitest';
import { calibrationFromTurns } from '../../src/core/calibration/kinds/turns/fromStudy';
import { fittedRobot } from '../../src/core/calibration/fittedRobot';
import { headingScaleOf, leadFor } from '../../src/core/calibrationValues/turnStop';
import { withTurnCalibration } from '../../src/core/calibration/applyTurns';
import { planText, turnsStandText } from '../../src/core/calibration/planText';
import { doubtsOf } from '../../src/core/sources/sources';
import { headingOf } from '../../src/core/devices/ofRobot';
import { turnModel } from '../../src/core/turns/turnModel';
import { studyTurns } from '../../src/core/turns/turnStudy';
import type { TurnTrial } from '../../src/core/turns/trial';
import { generator, normal } from '../support/eulerRobot';
import { bareTable, deg, idealRobot, routeOf } from './support';

interface Made {
  scale: number;
  coastDeg?: number;
  withReadings?: boolean;
  sdDeg?: number;
  angles?: number[];
  rates?: number[];
  /** Beyond this rate the sensor loses what comes too fast. */
  topRate?: number;
  seed?: number;
}

/** Turns that the gyro ended, on a protractor that is read to a degree. */
function trialsOf({
  scale,
  coastDeg = 3,
  withReadings = true,
  sdDeg = 0.5,
  angles = [45, -45, 90, -90, 180, -180],
  rates = [90],
  topRate = Infinity,
  seed = 1,
}: Made): TurnTrial[] {
  const random = generator(seed);
  return rates.flatMap((rate) =>
    [...angles, ...angles].map((told) => {
      const own = (1 + scale) * (rate > topRate ? 0.96 : 1);
      const reading = Math.abs(told) + coastDeg + sdDeg * normal(random);
      const truly = reading / own + 0.4 * normal(random);
      const sign = Math.sign(told);
      return {
        targetRad: deg(told),
        actualRad: sign * deg(Math.round(truly)),
        rateRadPerS: deg(rate),
        kind: 'spin',
        ...(withReadings && { readingRad: sign * deg(Math.round(10 * reading) / 10) }),
      };
    }),
  );
}

const scaleOf = (made: Made) => turnModel(trialsOf(made), 0, []).gyroScale;

describe('the heading sensor’s own scale', () => {
  it('is told by its readings beside the protractor, and held by its interval', () => {
    let count = 0;
    for (let seed = 1; seed <= 100; seed += 1) {
      const scale = 0.01 * normal(generator(seed + 500));
      const found = scaleOf({ scale, seed });
      expect(found?.by).toBe('readings');
      if (found && found.low95 <= scale && scale <= found.high95) count += 1;
      expect((found?.high95 ?? 1) - (found?.low95 ?? 0)).toBeLessThan(0.012);
    }
    expect(count).toBeGreaterThanOrEqual(90);
  });

  it('without readings stays doubtful, and with one angle alone a guess of 1 %', () => {
    const bySome = scaleOf({ scale: 0.015, withReadings: false });
    expect(bySome?.by).toBe('trials');
    expect(scaleOf({ scale: 0.015, withReadings: false, angles: [90, -90] })).toBeNull();
    const value = calibrationFromTurns(
      turnModel(trialsOf({ scale: 0.015, withReadings: false, angles: [90] }), 0, []),
    );
    const doubt = doubtsOf([value]).find(({ name }) => name === 'scale of the heading sensor');
    expect(doubt).toMatchObject({ sdRobot: 0.01, measured: false, turnsAreKnown: true });
    expect(headingScaleOf(value)).toBe(1);
  });

  it('is not told by turns that the sensor itself measured', () => {
    const own = trialsOf({ scale: 0.02, withReadings: false }).map((trial) => ({
      ...trial,
      measuredBy: 'own heading',
    }));
    expect(turnModel(own, 0, []).gyroScale).toBeNull();
  });

  it('counts up to the rate that the sensor can follow', () => {
    const found = scaleOf({ scale: 0.01, rates: [90, 180, 360], topRate: 200 });
    expect(found?.upToRateRadPerS).toBeCloseTo(deg(180), 6);
    expect(found?.scaleError).toBeCloseTo(0.01, 2);
  });

  it('applied, is in the robot and in all headings, and turns stop as early as they coast', () => {
    const model = turnModel(trialsOf({ scale: 0.02 }), 0, [deg(90)]);
    const value = calibrationFromTurns(model);
    const { robot } = fittedRobot(idealRobot, [value]);
    expect(robot.program.headingScale).toBeCloseTo(1.02, 2);
    expect(headingOf(robot)?.scaleError).toBeCloseTo(0.02, 2);
    // The sensor reads 3° of coasting beyond what is told.
    for (const angle of [45, 90, 180]) {
      expect(leadFor(value, deg(angle), deg(90))).toBeCloseTo(deg(3), 1.7);
    }
    const [command] = model.commands;
    expect(command?.commandRad).toBeCloseTo(deg(1.02 * 90 - 3), 1.7);
    const route = { ...routeOf([{ kind: 'turn', angleRad: deg(90) }]), turnCalibrationId: 'c' };
    expect(planText(route, { value, day: 'today' }, [])[0]).toMatch(
      /In the program tell every heading × 1\.0[12]\d+, counted from the start/,
    );
  });

  it('of turns about one wheel, or at another rate, says nothing of the turns of a route', () => {
    const route = routeOf([
      { kind: 'turn', angleRad: deg(90), rateRadPerS: deg(90) },
      { kind: 'turn', angleRad: 0, rateRadPerS: deg(40) },
    ]);
    const spins = calibrationFromTurns(turnModel(trialsOf({ scale: 0 }), 0, [deg(90)]));
    const known = withTurnCalibration(route, idealRobot, bareTable, spins, 'c');
    expect(known).toMatchObject({ known: 1, unknown: 1 });
    expect(turnsStandText(known, 'the calibration of today', false)).toMatch(
      /^The calibration of today would change 1 turn\. 1 turn at a rate that nobody tried/,
    );
    const pivots = trialsOf({ scale: 0 }).map((trial) => ({ ...trial, kind: 'pivot' as const }));
    const value = calibrationFromTurns(turnModel(pivots, 0, [deg(90)]));
    const none = withTurnCalibration(route, idealRobot, bareTable, value, 'c');
    expect(turnsStandText(none, 'the calibration of today', true)).toMatch(
      /^No turn of this route/,
    );
    expect(planText({ ...route, turnCalibrationId: 'c' }, { value, day: 'today' }, [])[0]).toMatch(
      /no measured turns stand behind them/,
    );
  });

  it('is said with what it does to drives, or how it would be told', () => {
    const wanted = [deg(90)];
    const told = studyTurns(trialsOf({ scale: 0.02 }), 0, wanted, deg(0.5));
    expect(told.sentences.means).toMatch(
      /reads [12]\.\d % \(.*\) too much: every heading is told ×/,
    );
    const open = studyTurns(trialsOf({ scale: 0.03, withReadings: false }), 0, wanted, deg(0.5));
    expect(open.sentences.means).toMatch(/note what it reads after each turn/);
  });
});

describe('what is not proved', () => {
  const turns = (...made: number[]) =>
    studyTurns(
      made.map((angle) => ({
        targetRad: deg(90),
        actualRad: deg(angle),
        rateRadPerS: deg(90),
        kind: 'spin' as const,
      })),
      0,
      [deg(90), deg(-90)],
      deg(0.5),
    );

  it('is not nothing: it is said, with how many more tell, and the command that it would give', () => {
    const { sentences, model } = turns(93, 95, 92);
    expect(sentences.found).toMatch(
      /3\.3° too far so far; chance could still do that, and \d more tells?/,
    );
    expect(sentences.means).toMatch(/^If that is so/);
    expect(model.commands[0]?.commandRad).toBeCloseTo(deg(86.7), 2);
    expect(turns(92).sentences.found).toMatch(/the one turn that was made went 2° too far/);
    expect(turns(96).sentences.next).toMatch(/stop at 84°\.$/);
    expect(turns(90, 90, 90).sentences.found).toMatch(/no error is seen so far; there may be one/);
  });

  it('gives no command to a side that nobody tried', () => {
    const [, right] = turns(93, 95, 92).model.commands;
    expect(right?.commandRad).toBeNull();
    expect(right?.reason).toMatch(/Nobody has tried a turn to the right/);
  });
});
