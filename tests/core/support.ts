import fc from 'fast-check';
import { deviceSchema, type Device } from '../../src/core/devices/device';
import { recordedText } from '../support/recorded';
import type { MeasuredRun } from '../../src/core/runs/consistency';
import { routeSchema, type Route } from '../../src/core/course/route';
import { tableSchema } from '../../src/core/table/table';
import { robotSchema, type Robot } from '../../src/core/robot/robot';

export const deg = (degrees: number) => (degrees * Math.PI) / 180;

/** A recorded series: end offsets in metres, headings in radians. */
export function recordedRuns(name: 'runs-before' | 'runs-after'): MeasuredRun[] {
  const text = recordedText(`${name}.csv`);
  return text
    .trim()
    .split('\n')
    .slice(1)
    .map((line) => {
      const [, , , x, y, heading, success] = line.split(',').map(Number);
      return {
        xM: (x ?? 0) / 1000,
        yM: (y ?? 0) / 1000,
        headingRad: deg(heading ?? 0),
        success: success === 1,
      };
    });
}

export const origin = { xM: 0, yM: 0, headingRad: 0 };
export const bareTable = tableSchema.parse({ widthM: 4, heightM: 3 });

/** A robot without any error: no lag to speak of, no noise, no drift, no slip. */
export const idealRobot: Robot = robotSchema.parse({
  wheelDiameterM: 0.056,
  trackM: 0.13,
  encoderCountsPerMotorDegree: 100,
  motors: { lagS: 0.001, maxAccelerationMPerS2: 3 },
  loopPeriodS: 0.002,
  gyro: { noiseRadPerSqrtS: 0, quantumRad: 0, periodS: 0.002, latencyS: 0 },
  errors: { slipMPerSqrtM: 0 },
});

export const routeOf = (steps: unknown[], start = { xM: 1, yM: 1, headingRad: 0 }): Route =>
  routeSchema.parse({ start, placement: { alongSdM: 0, acrossSdM: 0, headingSdRad: 0 }, steps });

/** The same robot with one more unit on it. */
export const withDevice = (robot: Robot, unit: Record<string, unknown>): Robot => ({
  ...robot,
  units: [
    ...robot.units,
    deviceSchema.parse({ id: `X${robot.units.length}`, label: 'X', ...unit }),
  ],
});

/** The same robot without its units of a kind. */
export const withoutDevices = (robot: Robot, kind: Device['kind']): Robot => ({
  ...robot,
  units: robot.units.filter((unit) => unit.kind !== kind),
});

/** Random lists of drives that stand within each other, each step with an id of its own, `s1` on. */
export function stepTrees(...owners: fc.Arbitrary<object>[]): fc.Arbitrary<object[]> {
  const { list } = fc.letrec<{ step: object; list: object[] }>((tie) => ({
    step: fc.oneof(
      { maxDepth: 3, withCrossShrink: true },
      fc.record({ kind: fc.constant('straight'), distanceM: fc.constant(0.01) }),
      ...owners.map((owner) =>
        fc.tuple(owner, tie('list')).map(([one, steps]) => ({ ...one, steps })),
      ),
    ),
    list: fc.array(tie('step'), { maxLength: 3 }),
  }));
  return list.map((steps) => {
    let made = 0;
    return JSON.parse(JSON.stringify(steps), (_key, one: unknown) =>
      Object(one) === one && !Array.isArray(one)
        ? { ...(one as object), id: `s${(made += 1)}` }
        : one,
    ) as object[];
  });
}
