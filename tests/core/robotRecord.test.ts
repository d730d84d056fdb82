import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { calibrationValidity } from '../../src/core/calibration/validity';
import { changedParts, staleSince } from '../../src/core/calibration/robotChanges';
import { judgeDirection, recordErrors } from '../../src/core/directions/directionCheck';
import { rolledOver, unwrapEncoder } from '../../src/core/channels/unwrapEncoder';
import { rawConvention } from '../../src/core/channels/rawConvention';
import { portSentence, routeNeeds } from '../../src/core/course/wiring';
import { pipit, ROUTE_VERSIONS } from '../../src/server/demo/scenario';
import { deg, withoutDevices } from './support';

describe('the robot’s record', () => {
  const log = (heading: number[], left: number[], right: number[]) => ({
    headingRad: Float64Array.from(heading.map(deg)),
    leftMotorDegrees: Float64Array.from(left),
    rightMotorDegrees: Float64Array.from(right),
  });

  it('learns its directions from three moves by hand', () => {
    expect(judgeDirection('turn-left', log([0, -40, -88], [0, 0, 0], [0, 0, 0])).signs).toEqual({
      heading: -1,
    });
    // Wrapped on the way: still a turn to growing numbers.
    expect(judgeDirection('turn-left', log([150, 175, -120], [], [])).signs).toEqual({
      heading: 1,
    });
    expect(judgeDirection('roll-forward', log([0, 0], [0, 600], [0, -590])).signs).toEqual({
      leftMotor: 1,
      rightMotor: -1,
    });
    expect(judgeDirection('roll-forward', log([0, 0], [0, 600], [0, 2])).sentence).toMatch(
      /right motor did not turn/,
    );
    expect(judgeDirection('tilt', log([0, 1, 0], [], [])).ok).toBe(true);
    expect(judgeDirection('tilt', log([0, 24, 0], [], [])).sentence).toMatch(/crooked/);
    expect(
      recordErrors(rawConvention(pipit), { heading: 1, leftMotor: 1, rollsOver: null }),
    ).toEqual(['the heading the wrong way round']);
  });

  it('an encoder that rolls over is found out by rolling, and its sign with it', () => {
    const rolled = Float64Array.from({ length: 60 }, (_, i) => rolledOver(350 + 12 * i));
    const back = Float64Array.from({ length: 60 }, (_, i) => rolledOver(5 - 12 * i));
    const wheels = { headingRad: null, leftMotorDegrees: rolled, rightMotorDegrees: back };
    const found = judgeDirection('roll-forward', wheels);
    expect(found).toMatchObject({
      ok: true,
      signs: { leftMotor: 1, rightMotor: -1 },
      rollsOver: true,
    });
    expect(recordErrors(rawConvention(pipit), { ...found.signs, rollsOver: true })).toEqual([
      'encoders that count on, and they roll over',
    ]);
    const short = wheels.leftMotorDegrees.map((_, i) => i);
    const little = judgeDirection('roll-forward', {
      headingRad: null,
      leftMotorDegrees: short,
      rightMotorDegrees: short,
    });
    // Less than a turn: nobody can tell.
    expect(little.rollsOver).toBeNull();
  });

  it('counts on through any rolling of less than half a turn between readings', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -170, max: 170, noNaN: true }), { minLength: 2 }),
        (steps) => {
          const truth: number[] = [];
          for (const step of steps) truth.push((truth.at(-1) ?? 0) + step);
          const counted = unwrapEncoder(Float64Array.from(truth, rolledOver));
          const offset = (counted[0] ?? 0) - (truth[0] ?? 0);
          truth.forEach((value, i) => expect(counted[i]).toBeCloseTo(value + offset, 6));
        },
      ),
    );
  });

  it('flags a port that is used twice, and counts what the routes need', () => {
    const [first, second, ...rest] = pipit.units;
    if (first === undefined || second === undefined) throw new Error('no units');
    const clash = { ...pipit, units: [first, { ...second, port: first.port }, ...rest] };
    expect(portSentence(clash)).toMatch(/Port A is used twice \(M-left, M-right\)/);
    const routes = ROUTE_VERSIONS.map(({ route }) => route);
    expect(routeNeeds(routes, pipit).every(({ plugged }) => plugged)).toBe(true);
    const without = withoutDevices(pipit, 'distance sensor');
    expect(routeNeeds(routes, without).find(({ plugged }) => !plugged)?.sentence).toMatch(
      /approaches fail/,
    );
  });

  it('makes stale what rests on a changed part, and nothing else', () => {
    const wider = { ...pipit, trackM: 0.14 };
    expect(changedParts(pipit, wider)).toEqual(['wheels and track']);
    const [unit, ...others] = pipit.units;
    if (unit === undefined) throw new Error('no unit');
    // Swapping ports is wiring: a calibration belongs to the unit.
    const swapped = { ...pipit, units: [{ ...unit, port: 'F' }, ...others] };
    expect(changedParts(pipit, swapped)).toEqual(['wiring']);
    const at = (day: number) => new Date(Date.UTC(2026, 10, day));
    const made = (day: number) => ({ at: at(day), unitId: null });
    const changes = [{ part: 'wheels and track' as const, changedAt: at(12) }];
    expect(staleSince('turns', made(10), changes)).toEqual(['wheels and track']);
    expect(staleSince('turns', made(14), changes)).toEqual([]);
    expect(staleSince('gyro-drift', made(10), changes)).toEqual([]);
    expect(calibrationValidity('turns', made(10), changes, at(22))).toEqual({
      text: 'measure again: wheels and track changed since',
      state: 'missing',
    });
    // What an earlier method claimed is applied again from its trials.
    const earlier = { ...made(20), isByEarlierMethod: true };
    expect(calibrationValidity('turns', earlier, [], at(22))).toEqual({
      text: 'by an earlier method: apply again',
      state: 'ageing',
    });
    // Several changes are all named, each once.
    const more = [
      { part: 'heading sensor' as const, changedAt: at(15) },
      { part: 'wheels and track' as const, changedAt: at(14) },
      ...changes,
    ];
    expect(calibrationValidity('turns', made(10), more, at(22)).text).toBe(
      'measure again: wheels and track, heading sensor changed since',
    );
  });
});
