import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fittedRobot } from '../../src/core/calibration/fittedRobot';
import { motionsOf } from '../../src/core/steps/tree';
import { notesOnStep } from '../../src/core/course/programSentence';
import { mountAngle, mountSentence } from '../../src/core/ranging/mountAngle';
import { voltCurve, voltNoiseM, voltsThere } from '../../src/core/ranging/voltCurve';
import {
  distanceAtVolts,
  voltsAt,
  voltsOrNearer,
  type VoltLaw,
} from '../../src/core/sensing/voltLaw';
import { voltStudy } from '../../src/core/ranging/voltStudy';
import { randomStream } from '../../src/core/stats/random';
import { gapAhead } from '../../src/core/table/ray';
import { deg, idealRobot, routeOf, withDevice } from './support';
import { draws, least } from '../support/draws';

/** A triangulating sensor: 2.4 V at 10 cm, 0.4 V at 80 cm. */
const truth = { baseV: 0.1, scaleVM: 0.24, shiftM: 0.004 };
const DISTANCES = [0.1, 0.15, 0.2, 0.3, 0.4, 0.6, 0.8];

function bench(seed: number, law: VoltLaw = truth, noiseV = 0.01) {
  const random = randomStream(seed, 0, 'volts');
  return DISTANCES.flatMap((trueM) =>
    Array.from({ length: 6 }, () => ({
      trueM,
      readingV: voltsAt(law, trueM) + noiseV * random.normal(),
    })),
  );
}

describe('a sensor that shows volts', () => {
  it('gets its curve back, whichever way it runs', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 0.4, noNaN: true }),
        fc.double({ min: -0.03, max: 0.3, noNaN: true }),
        fc.constantFrom(1, -1),
        (scale, shiftM, sign) => {
          const law = { baseV: sign > 0 ? 0.1 : 4, scaleVM: sign * scale, shiftM };
          const found = voltCurve(bench(1, law, 1e-6));
          if (found === null) throw new Error('no curve');
          for (const at of [0.12, 0.35, 0.7]) {
            expect(distanceAtVolts(found.law, voltsAt(law, at))).toBeCloseTo(at, 4);
          }
        },
      ),
      { numRuns: 25 },
    );
  });

  it('tells far distances worse than near ones, by the square of the distance', () => {
    const found = voltCurve(bench(3));
    if (found === null) throw new Error('no curve');
    expect(voltNoiseM(found, 0.8) / voltNoiseM(found, 0.1)).toBeGreaterThan(45);
    expect(voltNoiseM(found, 0.1)).toBeCloseTo((0.01 * 0.104 ** 2) / 0.24, 3.5);
  });

  it('is not trusted where it folds back, and that is said', () => {
    const folded = [0.02, 0.04, 0.06].flatMap((trueM) =>
      [0, 0.01].map((more) => ({ trueM, readingV: 20 * trueM + more })),
    );
    const study = voltStudy([...folded, ...bench(2)], 'D1');
    expect(study?.curve.foldsBackBelowM).toBeCloseTo(0.1, 9);
    expect(study?.sentences.means).toMatch(/Nearer than 10 cm it turns back/);
    expect(study?.sentences.found).toMatch(
      /^D1 shows 2\.4\d V at 10 cm and 0\.4\d V at 80 cm: the nearer, the more\.$/,
    );
  });

  it('that goes straight is told so, by two distances or by many, and exactly where it is exact', () => {
    const straight = { atZeroV: 0.01, perMV: 0.9876 };
    const typed = [0.1, 0.2, 0.3, 0.5, 0.8].flatMap((trueM) =>
      [1, 2].map(() => ({ trueM, readingV: Math.round(100 * voltsAt(straight, trueM)) / 100 })),
    );
    const found = voltCurve(typed);
    if (found === null) throw new Error('no curve');
    expect(found.law).toHaveProperty('perMV');
    // Steps of 0.01 V are 1 cm: it is no surer than that, and not much less sure.
    for (const at of [0.1, 0.3, 0.8]) {
      expect(Math.abs(voltsAt(found.law, at) - voltsAt(straight, at))).toBeLessThan(0.006);
      expect(found.halfWidthM(at)).toBeGreaterThan(0.002);
      expect(found.halfWidthM(at)).toBeLessThan(0.01);
    }
    const two = voltStudy(
      typed.filter(({ trueM }) => trueM === 0.1 || trueM === 0.3),
      'D1',
    );
    expect(two?.thresholds.find(({ distanceM }) => distanceM === 0.3)?.text).toBe('0.31 V or less');
    expect(two?.sentences.means).toMatch(/Two distances cannot show whether/);
    expect(two?.curve.halfWidthM(0.8)).toBeGreaterThan(3 * (found.halfWidthM(0.8) || 1));
  });

  it('holds what it truly shows in 93 of 100 benches, straight or bent, with the step of its readings', () => {
    for (const law of [truth, { atZeroV: 0.02, perMV: 1.3 }]) {
      for (const stepV of [0.001, 0.02]) {
        const benches = draws(150);
        const held = Array.from({ length: benches }, (_, seed) => {
          const read = bench(seed, law, 0.006).map(({ trueM, readingV }) => ({
            trueM,
            readingV: stepV * Math.round(readingV / stepV),
          }));
          const found = voltCurve(read);
          if (found === null) throw new Error('no curve');
          const offM = distanceAtVolts(found.law, voltsAt(law, 0.35)) - 0.35;
          return Math.abs(offM) <= found.halfWidthM(0.35);
        });
        const share = held.filter(Boolean).length / benches;
        expect(share, `${stepV} V`).toBeGreaterThan(least(0.95, benches));
      }
    }
  });

  it('is called a guess beyond what was tried, on the step card as well', () => {
    const found = voltCurve(bench(5));
    if (found === null) throw new Error('no curve');
    expect(voltsThere(found, 0.05).isGuess).toBe(true);
    expect(voltsThere(found, 0.8).isGuess).toBe(false);
    const robot = withDevice(idealRobot, { kind: 'distance sensor', place: { aheadM: 0.1 } });
    const value = voltStudy(bench(5), 'D1')?.value;
    const [step] = motionsOf(routeOf([{ kind: 'approach', thresholdM: 0.06 }]).steps);
    if (value === undefined || step === undefined) throw new Error('nothing to tell');
    expect(notesOnStep(fittedRobot(robot, [value]).robot, step).join(' ')).toMatch(
      /then: a guess, nobody measured it there/,
    );
  });

  it('wants a fourth distance where three contradict a straight line, and volts that change', () => {
    expect(voltCurve(bench(1).filter(({ trueM }) => trueM < 0.25))).toBeNull();
    expect(voltCurve(bench(1, { baseV: 1, scaleVM: 1e-6, shiftM: 0 }))).toBeNull();
  });

  it('is told on the step card in volts, with the inequality turned round', () => {
    const robot = withDevice(idealRobot, { kind: 'distance sensor', place: { aheadM: 0.1 } });
    const value = voltStudy(bench(4), 'D1')?.value;
    if (value === undefined) throw new Error('no value');
    const [step] = motionsOf(routeOf([{ kind: 'approach', thresholdM: 0.15 }]).steps);
    if (step === undefined) throw new Error('no step');
    expect(notesOnStep(fittedRobot(robot, [value]).robot, step).join(' ')).toMatch(
      /shows 1\.6\d V or more then/,
    );
    expect(voltsOrNearer({ baseV: 4, scaleVM: -0.2, shiftM: 0 }, 0.2)).toBe('3.00 V or less');
  });
});

describe('which way a sensor looks on its mount', () => {
  const sensor = { aheadM: 0.1, leftM: 0.03, offsetM: 0.01, scaleFactor: 1.02 };
  const wall = [{ x1M: 0.5, y1M: -3, x2M: 0.5, y2M: 3 }];
  /** What a beam of the simulator sees of a wall 50 cm before the axle. */
  const readings = (facingRad: number, halfBeamRad: number, seed = 1) => {
    const random = randomStream(seed, 0, 'mount');
    const place = { aheadM: sensor.aheadM, leftM: sensor.leftM, heightM: null };
    return [-20, -10, 0, 10, 20].flatMap((turnedDeg) =>
      [1, 2].map(() => {
        const pose = { xM: 0, yM: 0, headingRad: deg(turnedDeg) };
        const gap = gapAhead(pose, { place, facingRad }, halfBeamRad, wall);
        return {
          turnedRad: deg(turnedDeg),
          readingM: sensor.offsetM + sensor.scaleFactor * gap + 0.0015 * random.normal(),
        };
      }),
    );
  };

  it('is found of a narrow beam, with the place of the wall', () => {
    const found = mountAngle(readings(deg(-6), 0), sensor);
    expect(found?.wallM).toBeCloseTo(0.5, 2);
    expect(mountSentence('D1', found ?? neverFound())).toMatch(/^D1 looks \d(\.\d)?° to the right/);
  });

  it('cannot be told of a wide echo, whose facing hardly matters', () => {
    const found = mountAngle(readings(deg(3), deg(35)), sensor);
    expect(found).toMatchObject({ beam: 'wide', facingRad: null });
    expect(mountSentence('D1', found ?? neverFound())).toContain('a wide echo');
  });

  it('needs the robot turned by 20° in all, and six echoes', () => {
    expect(mountAngle(readings(deg(5), 0).slice(4, 8), sensor)).toBeNull();
    expect(
      mountAngle(
        readings(deg(5), 0).map((one) => ({ ...one, turnedRad: 0 })),
        sensor,
      ),
    ).toBeNull();
  });
});

function neverFound(): never {
  throw new Error('nothing was found');
}
