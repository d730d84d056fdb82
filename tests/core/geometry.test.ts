import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isHalfTurn, turnAngle, wrap } from '../../src/core/geometry/angle';
import { alongAcross, isInWindow, offsetFrom, toTable } from '../../src/core/geometry/pose';
import { convert } from '../../src/core/robot/conversions';
import { deg } from './support';

const angle = fc.double({ min: -50, max: 50, noNaN: true });
const metres = fc.double({ min: -5, max: 5, noNaN: true });

describe('angles', () => {
  it('wraps to (−π, π] and keeps the direction', () => {
    expect(wrap(-Math.PI)).toBe(Math.PI);
    expect(wrap(deg(450))).toBeCloseTo(deg(90), 12);
    fc.assert(
      fc.property(angle, (a) => {
        const w = wrap(a);
        expect(w).toBeGreaterThan(-Math.PI - 1e-12);
        expect(w).toBeLessThanOrEqual(Math.PI + 1e-12);
        expect(Math.cos(w)).toBeCloseTo(Math.cos(a), 9);
        expect(Math.sin(w)).toBeCloseTo(Math.sin(a), 9);
      }),
    );
  });

  it('turns the short way, or the way that was said; always ends at the heading', () => {
    expect(turnAngle(deg(170), deg(-170), 'short')).toBeCloseTo(deg(20), 9);
    expect(turnAngle(0, deg(90), 'right')).toBeCloseTo(deg(-270), 9);
    expect(turnAngle(deg(0.4), 0, 'left')).toBeCloseTo(deg(-0.4), 9);
    fc.assert(
      fc.property(angle, angle, fc.constantFrom('short', 'left', 'right'), (from, to, way) => {
        expect(wrap(from + turnAngle(from, to, way as 'short') - to)).toBeCloseTo(0, 9);
      }),
    );
  });

  it('asks for a direction within 5° of a half turn', () => {
    expect([174, 176, 180, 184, 186].map((a) => isHalfTurn(0, deg(a)))).toEqual([
      false,
      true,
      true,
      true,
      false,
    ]);
  });
});

describe('poses', () => {
  it('tells an offset along and across without changing its length', () => {
    fc.assert(
      fc.property(metres, metres, angle, (xM, yM, heading) => {
        const { alongM, acrossM } = alongAcross({ xM, yM }, heading);
        expect(Math.hypot(alongM, acrossM)).toBeCloseTo(Math.hypot(xM, yM), 9);
        const back = toTable({ xM: 0, yM: 0, headingRad: heading }, { xM: alongM, yM: acrossM });
        expect(back.xM).toBeCloseTo(xM, 9);
        expect(back.yM).toBeCloseTo(yM, 9);
      }),
    );
  });

  it('measures a window along and across the mission, headings across ±180°', () => {
    const target = { xM: 1, yM: 1, headingRad: deg(90) };
    const window = { alongM: 0.03, acrossM: 0.01, headingRad: deg(5) };
    expect(isInWindow({ xM: 1, yM: 1.025, headingRad: deg(90) }, target, window)).toBe(true);
    expect(isInWindow({ xM: 1.025, yM: 1, headingRad: deg(90) }, target, window)).toBe(false);
    const back = { ...target, headingRad: deg(179) };
    expect(offsetFrom(back, { ...target, headingRad: deg(-179) }).headingRad).toBeCloseTo(
      deg(2),
      9,
    );
  });
});

describe('conversions', () => {
  const drive = {
    wheelDiameterM: 0.056,
    trackM: 0.12,
    gearRatio: 1.5,
    encoderCountsPerMotorDegree: 2,
  };

  it('agrees with the geometry by hand', () => {
    // One turn of a 56 mm wheel is 175.93 mm; geared 1.5 that is 540° of the motor.
    const turn = convert({ ...drive, distanceM: Math.PI * 0.056 });
    expect(turn.straight.motorDegrees).toBeCloseTo(540, 9);
    expect(turn.encoderStepM).toBeCloseTo((Math.PI * 0.056) / (360 * 1.5 * 2), 12);
    // A spin by 90° rolls each wheel a quarter of the circle over the track: π·0.12/4.
    const spin = convert({ ...drive, headingRad: Math.PI / 2 }).spin;
    expect(spin.rightMotorDegrees).toBeCloseTo((0.12 / 4 / 0.056) * 360 * 1.5, 9);
    expect(spin.leftMotorDegrees).toBeCloseTo(-spin.rightMotorDegrees, 9);
    // A pivot by the same angle rolls one wheel twice as far.
    const pivot = convert({ ...drive, headingRad: Math.PI / 2 }).pivot;
    expect(pivot.motorDegrees).toBeCloseTo(2 * spin.rightMotorDegrees, 9);
  });

  it('goes there and back, whichever quantity is given', () => {
    fc.assert(
      fc.property(fc.double({ min: -2000, max: 2000, noNaN: true }), (motorDegrees) => {
        const given = convert({ ...drive, motorDegrees });
        const byDistance = convert({ ...drive, distanceM: given.straight.distanceM });
        const byHeading = convert({ ...drive, headingRad: given.spin.headingRad });
        expect(byDistance.straight.motorDegrees).toBeCloseTo(motorDegrees, 7);
        expect(byHeading.spin.rightMotorDegrees).toBeCloseTo(motorDegrees, 7);
      }),
    );
  });
});
