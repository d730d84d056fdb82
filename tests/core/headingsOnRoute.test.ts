import { turnsIn } from '../../src/core/course/turnsIn';
import { describe, expect, it } from 'vitest';
import { headingsOnRoute, headingsSentence } from '../../src/core/forecast/headingsOnRoute';
import type { TurnsCalibration } from '../../src/core/calibrationValues/turns';
import { bareTable, deg, idealRobot, routeOf } from './support';

/** Turns by 90° that go on by so much too far, each by its own chance. */
const late = (constantRad: number, residualSdRad: number): TurnsCalibration => ({
  kind: 'turns',
  groups: [
    {
      direction: 'both',
      rateRadPerS: deg(90),
      rates: [deg(90)],
      kind: 'spin',
      constantRad,
      scaleError: 0,
      residualSdRad,
      n: 12,
    },
  ],
  lagS: null,
  brakingRadPerS2: null,
});
const turn = (headingDeg: number) => ({
  kind: 'turn',
  angleRad: deg(headingDeg),
  rateRadPerS: deg(90),
  direction: 'left',
  leadRad: deg(4),
});
const drive = { kind: 'straight', distanceM: 0.4, speedMPerS: 0.3, gainMPerSPerRad: 1.2 };
/** A square, with its last corner turned, so that it faces as at the start. */
const square = {
  ...routeOf([drive, turn(90), drive, turn(180), drive, turn(270), drive, turn(0)]),
  start: { xM: 0.8, yM: 0.3, headingRad: 0 },
};
const simulation = (turns: TurnsCalibration) => ({
  robot: idealRobot,
  table: bareTable,
  route: square,
  seed: 3,
  turns,
});

describe('zeroing before each motion, on a route', () => {
  it('adds up what four turns leave over; counting on leaves that of the last', () => {
    const ways = headingsOnRoute(simulation(late(deg(6), deg(0.5))));
    const [on, zeroed] = ways.map(({ forecast: { end } }) => end);
    // Told to stop 4° early, each goes on by 6°.
    expect(on?.biasHeadingRad).toBeCloseTo(deg(2), 2);
    expect(zeroed?.biasHeadingRad).toBeCloseTo(4 * deg(2), 1);
    expect((zeroed?.sdHeadingRad ?? 0) / (on?.sdHeadingRad ?? 1)).toBeGreaterThan(1.6);
    expect((zeroed?.sdHeadingRad ?? 0) / (on?.sdHeadingRad ?? 1)).toBeLessThan(2.4);
    expect(turnsIn(square)).toBe(4);
    expect(headingsSentence(ways, square)).toMatch(/^On this route count headings on\. Counted on/);
  });

  it('is no matter where turns come right', () => {
    const ways = headingsOnRoute(simulation(late(deg(4), deg(0.05))));
    expect(headingsSentence(ways, square)).toMatch(/^It hardly matters on this route, with its 4 /);
  });
});
