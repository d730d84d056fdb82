import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { tableSchema, type Segment } from '../../src/core/table/table';
import { bodyRadius, clearanceM, hitsWall, pushInside } from '../../src/core/machine/contact';
import { Gyro } from '../../src/core/machine/gyro';
import { gapAhead, nearestInBeam, rayToSegment } from '../../src/core/table/ray';
import { randomStream } from '../../src/core/stats/random';
import { sampleSd } from '../../src/core/stats/moments';
import { headingOf } from '../../src/core/devices/ofRobot';
import { bareTable, deg, idealRobot } from './support';

const wall = { x1M: 2, y1M: -1, x2M: 2, y2M: 1 };

describe('what a distance sensor sees', () => {
  it('a narrow beam at heading error φ reads gap/cos φ', () => {
    for (const phi of [0, 5, 15, 25]) {
      expect(rayToSegment(1, 0, deg(phi), wall)).toBeCloseTo(1 / Math.cos(deg(phi)), 9);
    }
    expect(rayToSegment(1, 0, deg(90), wall)).toBe(Infinity);
    expect(rayToSegment(1, 0, deg(180), wall)).toBe(Infinity);
    expect(rayToSegment(1, 2, 0, wall)).toBe(Infinity);
  });

  it('a wide beam reads the perpendicular until φ leaves the beam', () => {
    for (const phi of [0, 5, 9.9]) {
      expect(nearestInBeam(1, 0, deg(phi), deg(10), [wall])).toBeCloseTo(1, 9);
    }
    // Then the beam's nearer edge.
    expect(nearestInBeam(1, 0, deg(15), deg(10), [wall])).toBeCloseTo(1 / Math.cos(deg(5)), 9);
  });

  it('never sees further with a wider beam, nor nearer than the nearest point', () => {
    const angle = fc.double({ min: -Math.PI, max: Math.PI, noNaN: true });
    const beam = fc.double({ min: 0, max: 0.8, noNaN: true });
    fc.assert(
      fc.property(angle, beam, beam, (heading, a, b) => {
        const narrow = nearestInBeam(1, 0.3, heading, Math.min(a, b), [wall]);
        const wide = nearestInBeam(1, 0.3, heading, Math.max(a, b), [wall]);
        expect(wide).toBeLessThanOrEqual(narrow + 1e-12);
        expect(wide).toBeGreaterThanOrEqual(1 - 1e-12);
      }),
    );
  });

  it('measures from where it sits on the robot, to the nearest of all surfaces', () => {
    const sensor = { place: { aheadM: 0.1, leftM: 0.05, heightM: null }, facingRad: 0 };
    const nearer = { x1M: 1.5, y1M: 0.04, x2M: 1.5, y2M: 0.06 };
    const at = (yM: number) => gapAhead({ xM: 1, yM, headingRad: 0 }, sensor, 0, [wall, nearer]);
    expect(at(0)).toBeCloseTo(0.4, 9);
    expect(at(0.1)).toBeCloseTo(0.9, 9);
  });
});

describe('contact', () => {
  const table = tableSchema.parse({ widthM: 2, heightM: 1 });
  const body = { frontM: 0.1, rearM: 0.06, halfWidthM: 0.08 };

  it('brings every corner back onto the table, and turns a robot that hits askew towards the wall', () => {
    const pose = { xM: 1.95, yM: 0.5, headingRad: deg(8) };
    for (let i = 0; i < 200; i += 1) pushInside(pose, body, table);
    const cos = Math.cos(pose.headingRad);
    const reach = pose.xM + 0.1 * cos + 0.08 * Math.abs(Math.sin(pose.headingRad));
    expect(reach).toBeLessThan(2.0001);
    const pressed = { xM: 1.9, yM: 0.5, headingRad: deg(8) };
    for (let i = 0; i < 400; i += 1) {
      pressed.xM += 0.001;
      pushInside(pressed, body, table);
    }
    // Pressed on and on it stands square to the wall.
    expect(Math.abs(pressed.headingRad)).toBeLessThan(deg(0.5));
  });

  it('leaves a robot alone that touches nothing', () => {
    const pose = { xM: 1, yM: 0.5, headingRad: 1 };
    expect(pushInside(pose, body, table)).toBe(false);
    expect(pose).toEqual({ xM: 1, yM: 0.5, headingRad: 1 });
  });

  it('agrees with sampled points of the wall on whether the robot stands on it', () => {
    const coordinate = fc.double({ min: 0, max: 1, noNaN: true });
    const pose = fc.record({
      xM: coordinate,
      yM: coordinate,
      headingRad: fc.double({ min: -3, max: 3, noNaN: true }),
    });
    const segment = fc.record({
      x1M: coordinate,
      y1M: coordinate,
      x2M: coordinate,
      y2M: coordinate,
    });
    fc.assert(
      fc.property(pose, segment, (robot, line) => {
        const inside = Array.from({ length: 401 }, (_, i) => {
          const x = line.x1M + (i / 400) * (line.x2M - line.x1M) - robot.xM;
          const y = line.y1M + (i / 400) * (line.y2M - line.y1M) - robot.yM;
          const ahead = Math.cos(robot.headingRad) * x + Math.sin(robot.headingRad) * y;
          const left = Math.cos(robot.headingRad) * y - Math.sin(robot.headingRad) * x;
          return ahead < 0.0999 && ahead > -0.0599 && Math.abs(left) < 0.0799;
        }).some(Boolean);
        // Sampling can miss a corner that is only grazed, never the other way round.
        if (inside) expect(hitsWall(robot, body, bodyRadius(body), line)).toBe(true);
        const far = [line.x1M, line.x2M].every(
          (x) => Math.abs(x - robot.xM) > 0.14 && x > robot.xM,
        );
        if (far) expect(hitsWall(robot, body, bodyRadius(body), line)).toBe(false);
      }),
    );
  });

  it('is looked for only where something is within reach', () => {
    const table = (wall: Segment) => ({ ...bareTable, walls: [wall] });
    const at = fc.double({ min: 0.2, max: 2, noNaN: true });
    const heading = fc.double({ min: -3, max: 3, noNaN: true });
    const segment = fc.record({ x1M: at, y1M: at, x2M: at, y2M: at });
    const pose = fc.record({ xM: at, yM: at, headingRad: heading });
    fc.assert(
      fc.property(pose, segment, heading, heading, (robot, wall, way, turned) => {
        const freeM = clearanceM(robot, bodyRadius(body), table(wall));
        if (freeM <= 0) return;
        // Anywhere that is not farther off than what is free, facing anywhere.
        const there = {
          xM: robot.xM + 0.999 * freeM * Math.cos(way),
          yM: robot.yM + 0.999 * freeM * Math.sin(way),
          headingRad: turned,
        };
        expect(hitsWall(there, body, bodyRadius(body), wall)).toBe(false);
        expect(pushInside(there, body, table(wall))).toBe(false);
      }),
    );
  });
});

describe('the heading sensor', () => {
  /** Shown a heading at each of its samples until a time. */
  function shown(gyro: Gyro, untilS: number, headingAt: (tS: number) => number): void {
    while (gyro.nextS <= untilS + 1e-9) gyro.sample(headingAt(gyro.nextS));
  }
  const ideal = headingOf(idealRobot);
  if (ideal === null) throw new Error('no heading sensor');
  const still = (part: Partial<typeof ideal>, seconds: number, run = 0) => {
    const noise = randomStream(1, run, 'gyro');
    const gyro = new Gyro({ ...ideal, ...part }, 0.01, 0, noise);
    shown(gyro, seconds, () => 0);
    return gyro.readRad(seconds);
  };

  it('drifts at its rate while it lies still', () => {
    expect(still({ driftRadPerS: deg(0.2) }, 10)).toBeCloseTo(deg(2), 4);
  });

  it('walks: the spread of the reading after T seconds is N·√T', () => {
    const noise = deg(0.05);
    for (const seconds of [4, 16]) {
      const ends = Array.from({ length: 300 }, (_, run) =>
        still({ noiseRadPerSqrtS: noise, periodS: 0.01 }, seconds, run),
      );
      expect(sampleSd(ends) / (noise * Math.sqrt(seconds))).toBeGreaterThan(0.88);
      expect(sampleSd(ends) / (noise * Math.sqrt(seconds))).toBeLessThan(1.12);
    }
  });

  it('reads in whole quanta, late by its latency, and only once a period', () => {
    const spec = { ...ideal, quantumRad: deg(1), periodS: 0.02, latencyS: 0.04 };
    const gyro = new Gyro(spec, 0.002, 0, randomStream(1, 0, 'gyro'));
    const readings: number[] = [];
    // Turning at 100°/s, read every 2 ms.
    for (let step = 0; step <= 500; step += 1) {
      shown(gyro, step * 0.002, (tS) => deg(100) * tS);
      readings.push(gyro.readRad(step * 0.002) / deg(1));
    }
    for (const reading of readings) expect(reading).toBeCloseTo(Math.round(reading), 6);
    expect(readings[500]).toBeCloseTo(96, 6);
    // A new reading every 20 ms, which is every tenth step.
    expect(new Set(readings.slice(400, 500)).size).toBe(10);
  });
});
