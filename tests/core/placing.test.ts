import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { calibrationFromPlacing } from '../../src/core/calibration/kinds/placing/fromStudy';
import { fittedRobot } from '../../src/core/calibration/fittedRobot';
import { isPlacedAsMeasured, withPlacing } from '../../src/core/calibration/applyPlacing';
import { routeSchema } from '../../src/core/course/route';
import { type PlacingWay } from '../../src/core/calibrationValues/placingWays';
import {
  noseAndTailAt,
  placing,
  poseOnGrid,
  type PlacingTrial,
} from '../../src/core/placing/placing';
import { closer, placingSentences } from '../../src/core/placing/placingStudy';
import { randomStream } from '../../src/core/stats/random';
import { simulateAll } from '../../src/core/forecast/simulateAll';
import { doubtsOf, sampledRobot } from '../../src/core/sources/sources';
import { scatterInterval } from '../../src/core/stats/scatterInterval';
import { mean } from '../../src/core/stats/moments';
import { pipit, winterGarden } from '../../src/server/demo/scenario';
import { deg } from './support';

const MARKS = { noseToTailM: 0.18, noseToAxleM: 0.11 };
const AT_ZERO = noseAndTailAt({ xM: 0, yM: 0, headingRad: 0 }, MARKS);

/** Placings of a hand with known habits, read to whole steps by geometry written out once more. */
function placings(
  seed: number,
  n: number,
  { way = 'by hand' as PlacingWay, sdM = 0.002, sdRad = 0.01, atM = 0, atRad = 0, stepM = 0.001 },
): PlacingTrial[] {
  const random = randomStream(seed, 0, 'placings of the test');
  const read = (metres: number) => Math.round(metres / stepM) * stepM;
  return Array.from({ length: n }, () => {
    const [x, y, h] = [
      sdM * random.normal(),
      atM + sdM * random.normal(),
      atRad + sdRad * random.normal(),
    ];
    return {
      person: 'Ida',
      way,
      noseAlongM: read(x + 0.11 * Math.cos(h)),
      noseAcrossM: read(y + 0.11 * Math.sin(h)),
      tailAcrossM: read(y - 0.07 * Math.sin(h)),
    };
  });
}

const first = placings(1, 10, {});

describe('placing a robot at its start', () => {
  it('finds the pose of the axle from a right triangle of nose and tail', () => {
    // 3-4-5: the nose 108 mm further left than the tail of a robot of 180 mm.
    const pose = poseOnGrid({ noseAlongM: 0.2, noseAcrossM: 0.158, tailAcrossM: 0.05 }, MARKS);
    expect(pose?.headingRad).toBeCloseTo(Math.asin(0.6), 12);
    expect(pose?.xM).toBeCloseTo(0.2 - 0.11 * 0.8, 12);
    expect(pose?.yM).toBeCloseTo(0.158 - 0.11 * 0.6, 12);
    expect(
      poseOnGrid({ noseAlongM: 0, noseAcrossM: 0.19, tailAcrossM: 0 }, MARKS),
      'no robot of 18 cm stands so',
    ).toBeNull();
  });

  it('reads of a pose what gives that pose back', () => {
    const within = (most: number) => fc.double({ min: -most, max: most, noNaN: true });
    fc.assert(
      fc.property(within(1), within(1), within(1.4), (xM, yM, headingRad) => {
        const back = poseOnGrid(noseAndTailAt({ xM, yM, headingRad }, MARKS), MARKS);
        expect(back?.xM).toBeCloseTo(xM, 9);
        expect(back?.yM).toBeCloseTo(yM, 9);
        expect(back?.headingRad).toBeCloseTo(headingRad, 7);
      }),
    );
  });

  it.each([
    { n: 3, stepM: 0.001, sdM: 0.0004 },
    { n: 10, stepM: 0.001, sdM: 0.002 },
    { n: 10, stepM: 0.005, sdM: 0.001 },
    { n: 5, stepM: 0.01, sdM: 0.005 },
  ])('holds aim and scatter, $n placings of $sdM m read to $stepM m', ({ n, stepM, sdM }) => {
    const benches = 400;
    const held = { across: 0, heading: 0, acrossSd: 0, headingSd: 0 };
    const within = ({ low95, high95 }: { low95: number; high95: number }, truth: number) =>
      low95 <= truth && truth <= high95 ? 1 / benches : 0;
    for (let seed = 0; seed < benches; seed += 1) {
      const atM = 0.01 * randomStream(seed, 1, 'aim of the test').uniform();
      const habits = { stepM, sdM, sdRad: 8 * sdM, atM, atRad: 2 * atM };
      const [group] = placing(placings(seed, n, habits), MARKS, AT_ZERO);
      if (group === undefined) throw new Error('no group');
      held.across += within(group.across, atM);
      held.heading += within(group.heading, 2 * atM);
      held.acrossSd += within(group.across.scatter, sdM);
      held.headingSd += within(group.heading.scatter, 8 * sdM);
    }
    for (const share of Object.values(held)) expect(share).toBeGreaterThan(0.92);
  });

  it('takes equal readings for no proof of a perfect hand', () => {
    const same = Array.from({ length: 6 }, () => ({
      person: 'Ida',
      way: 'by hand' as const,
      ...AT_ZERO,
    }));
    const [group] = placing(same, MARKS, AT_ZERO);
    expect(group?.along.scatter.sd).toBeGreaterThan(0);
    expect(group?.along.scatter.high95).toBeGreaterThan(0.0003);
    expect(group?.along.high95).toBeGreaterThan(0.0004);
  });

  it('agrees with the χ² interval of a standard deviation', () => {
    // Ten values with s = 1: 0.688 to 1.826 (Montgomery, table of χ²: 19.023 and 2.700).
    const values = Array.from({ length: 10 }, (_, i) => i / Math.sqrt(82.5 / 9));
    const { sd, low95, high95 } = scatterInterval(values, 0);
    expect(sd).toBeCloseTo(1, 6);
    expect(low95).toBeCloseTo(Math.sqrt(9 / 19.023), 3);
    expect(high95).toBeCloseTo(Math.sqrt(9 / 2.7), 3);
  });
});

describe('what placings say', () => {
  const jig = placings(3, 10, { way: 'in the jig', sdM: 0.001, sdRad: 0.004, atRad: deg(1) });
  const groups = placing([...first, ...jig], MARKS, AT_ZERO);
  const inJig = groups.find(({ way }) => way === 'in the jig');
  const byHand = groups.find(({ way }) => way === 'by hand');

  it('tells which way a jig is turned and how much closer it is, where that is proved', () => {
    if (inJig === undefined || byHand === undefined) throw new Error('two groups');
    const said = placingSentences(inJig, groups, true);
    expect(said.found).toMatch(/On average it stands .*turned to the left/);
    expect(said.means).toMatch(
      /in the jig, lands \d\.\d times \(1\.\d+ to \d+\.\d\) closer together/,
    );
    expect(said.next).toContain('Move the jig');
    expect(closer(byHand, byHand), 'nobody is closer than himself').toBeNull();
    expect(placingSentences(inJig, groups, false).found).toContain('of its aim nothing is known');
  });

  it('says nothing of the scatter of one placing, and little of three', () => {
    const [one] = placing(first.slice(0, 1), MARKS, null);
    const [three] = placing(first.slice(0, 3), MARKS, null);
    if (one === undefined || three === undefined) throw new Error('groups');
    expect(placingSentences(one, [one], false).found).toContain('says nothing');
    expect(placingSentences(three, [three], false).next).toContain('5 more times');
    expect(calibrationFromPlacing(one, false)).toBeNull();
  });

  it('applied, runs begin where the jig truly aims, and the doubt about it shrinks', () => {
    const value = inJig === undefined ? null : calibrationFromPlacing(inJig, true);
    if (value === null) throw new Error('a calibration');
    const { robot } = fittedRobot(pipit, [value]);
    const plain = routeSchema.parse({
      start: { xM: 0.3, yM: 0.5, headingRad: 0 },
      steps: [{ id: 's1', kind: 'straight', distanceM: 1, speedMPerS: 0.3 }],
    });
    const route = withPlacing(plain, value);
    expect(isPlacedAsMeasured(plain, value)).toBe(false);
    expect(isPlacedAsMeasured(route, value)).toBe(true);
    const meanY = (one: typeof robot) => {
      const found = simulateAll({ robot: one, table: winterGarden, route, seed: 4 }, 40);
      if (!('runs' in found)) throw new Error(found.sentence);
      return mean(found.runs.map(({ end }) => end.yM));
    };
    // About 1° over a metre, held by nothing but the heading it was placed with.
    expect(meanY(robot) - meanY(pipit)).toBeGreaterThan(0.01);
    const aimOf = (values: Parameters<typeof doubtsOf>[0]) =>
      doubtsOf(values).find(({ name }) => name === 'aim of the start jig');
    expect(aimOf([])).toMatchObject({ measured: false });
    expect(aimOf([value])?.measured).toBe(true);
    expect(aimOf([value])?.sdRobot).toBeLessThan(deg(0.2));
    // A placement that nobody has measured is taken as it is told; one that was is only known so well.
    const scatters = (values: Parameters<typeof doubtsOf>[0]) =>
      [1, 2, 3].map(
        (robotIndex) =>
          sampledRobot(pipit, doubtsOf(values), 7, robotIndex).off['scatter of placing'] ?? 0,
      );
    expect(scatters([])).toEqual([0, 0, 0]);
    expect(new Set(scatters([value])).size).toBe(3);
  });
});
