import { describe, expect, it } from 'vitest';
import type { LightThresholdCalibration } from '../../src/core/calibrationValues/lightThreshold';
import { calibrationFromThreshold } from '../../src/core/calibration/kinds/lightThreshold/fromStudy';
import { fittedRobot } from '../../src/core/calibration/fittedRobot';
import { routeSchema } from '../../src/core/course/route';
import { devicesOf } from '../../src/core/devices/ofRobot';
import { crossingStudy, shareToCount } from '../../src/core/light/crossing';
import type { LightReading } from '../../src/core/light/heights';
import { evenly, fullOf, inScale, scaleOfDevice } from '../../src/core/light/lightScale';
import { partedLog, partingLevel } from '../../src/core/light/partedLog';
import { profileNow } from '../../src/core/light/profiles';
import { nextSample, sampleAfter } from '../../src/core/light/samplePlan';
import { thresholdStudy } from '../../src/core/light/thresholdStudy';
import { batteryWarning } from '../../src/core/presence/batteryWarning';
import { venueWarning } from '../../src/core/light/venueWarning';
import { doubtsOf } from '../../src/core/sources/sources';
import { pipit } from '../../src/server/demo/scenario';
import { otherNoise } from '../support/otherNoise';

const at = (over: 'line' | 'floor', values: number[], place = '1', heightM: number | null = null) =>
  values.map((reading): LightReading => ({ over, place, reading, heightM }));

const LINE = [15, 16, 14, 15, 16];
const FLOOR = [61, 62, 60, 63, 61];
const PLACES = ['1', '2', '3', '4', '5', '6'].flatMap((place, i) => [
  ...at(
    'line',
    LINE.map((one) => one + (i % 2)),
    place,
  ),
  ...at(
    'floor',
    FLOOR.map((one) => one + (i % 2)),
    place,
  ),
]);

const told = (readings: LightReading[], programs: number | null = null) => {
  const study = thresholdStudy(readings, programs);
  if (study === null) throw new Error('nothing was told');
  return study;
};
const calibrated = (readings: LightReading[], venue = 'home table'): LightThresholdCalibration => {
  const { found } = told(readings);
  const value = calibrationFromThreshold(found, { venue, lighting: '', full: 100, heightM: null });
  if (value === null) throw new Error('nothing to apply');
  return value;
};

describe('what readings of line and floor say', () => {
  it('from five of each only at most how often it errs; from many places how often', () => {
    const few = told([...at('line', LINE), ...at('floor', FLOOR)]);
    expect(few.sentences.found).toMatch(/At most .* so few readings tell no more\.$/);
    expect(few.sentences.next).toMatch(/^Now the same at another place/);
    const many = told(PLACES);
    expect(many.sentences.found).toContain('Fewer than one reading in 10\u00a0000 is wrong');
    expect(many.sentences.next).toMatch(/^Apply it/);
  });

  it('a threshold at the line’s own reading misses half of it, and what to type instead is said', () => {
    const { used, sentences } = told(PLACES, 16);
    expect(used?.missed).toBeGreaterThan(0.3);
    expect(used?.falsely).toBeLessThan(1e-6);
    expect(sentences.next).toMatch(/“less than 16” misses \d+ % .* Type in \d+ or less instead\.$/);
    expect(told(PLACES, 38).sentences.next).not.toMatch(/misses/);
    // Of a lighter line more than the number is the line.
    const lighter = told([...at('line', FLOOR), ...at('floor', LINE)], 63);
    expect(lighter.sentences.next).toMatch(/“more than 63” misses/);
  });

  it('a reading beyond what the sensor can show asks in what it counts', () => {
    const counts = [...at('line', [210, 215]), ...at('floor', [700, 720])];
    expect(thresholdStudy(counts, null, 100)?.sentences.next).toMatch(/^720 is more than the 100/);
    expect(thresholdStudy(counts, null, 1023)?.sentences.next).not.toMatch(/is more than/);
  });

  it('line and floor that read alike are not told apart, and that comes first', () => {
    const near = told([...at('line', [40, 42, 44, 41]), ...at('floor', [43, 45, 42, 44])], 40);
    expect(near.sentences.next).toMatch(/^Line and floor read too much alike/);
  });

  it('a height at which the same threshold fails is named', () => {
    const high = PLACES.map((one) => ({ ...one, heightM: 0.01 }));
    const { heights, sentences } = told([
      ...high,
      ...at('line', [33, 34, 42, 43, 44], '1', 0.03),
      ...at('floor', [45, 46, 47, 45, 46], '1', 0.03),
    ]);
    expect(heights.map(({ holds }) => holds)).toEqual([true, false]);
    expect(sentences.next).toContain('30 mm');
  });
});

describe('a drive over lines', () => {
  it('parts into stretches over line and floor, edges left out', () => {
    const { normal } = otherNoise(5);
    const level = (t: number) => (t % 50 < 8 ? 15 : 60);
    const log = Array.from({ length: 160 }, (_, t) =>
      t % 50 === 8 || t % 50 === 49 ? 38 : level(t) + normal(),
    );
    const parted = partedLog([...log, null, null]) ?? [];
    const stretches = (over: string) =>
      new Set(parted.filter((one) => one.over === over).map(({ place }) => place)).size;
    expect(stretches('line')).toBe(4);
    expect(stretches('floor')).toBe(4);
    expect(parted.some(({ reading }) => reading === 38)).toBe(false);
    expect(partedLog([20, 20, 20])).toBeNull();
    // Of two equal heaps the level lies between them.
    expect(partingLevel([1, 1, 9, 9])).toBe(5);
  });

  it('readings are asked for five over the line, five beside it, then at the next place', () => {
    const over = (what: 'line' | 'floor', n: number, place = '1') =>
      Array.from({ length: n }, () => ({ over: what, place }));
    expect(sampleAfter([])).toEqual({ over: 'line', place: '1' });
    expect(nextSample(over('line', 5), { over: 'line', place: '1' }).over).toBe('floor');
    expect(sampleAfter([...over('line', 5), ...over('floor', 5)])).toEqual({
      over: 'line',
      place: '2',
    });
    expect(evenly([1, 2, 3, 4, 5, 6, 7, 8, 9], 3)).toEqual([1, 5, 9]);
  });

  it('a sensor’s record says in what it counts', () => {
    const raw = (reading: 'counts' | 'percent', max: number | null) => ({
      raw: { reading, max, grows: true },
    });
    expect(fullOf(scaleOfDevice(undefined))).toBe(100);
    expect(fullOf(scaleOfDevice(raw('counts', 1023)))).toBe(1023);
    expect(fullOf(scaleOfDevice(raw('counts', null)))).toBeNull();
    expect(inScale(0.65, 100)).toBe(65);
  });
});

describe('a threshold that was applied', () => {
  const held = calibrated(PLACES);

  it('is the simulated sensor’s, and the light of the room is known by it', () => {
    const { behaviour } = devicesOf(fittedRobot(pipit, [held]).robot, 'light sensor')[0] ?? {};
    expect(behaviour?.lineShare).toBeCloseTo(0.157, 2);
    expect(behaviour?.floorShare).toBeCloseTo(0.619, 2);
    const doubt = (values: LightThresholdCalibration[]) =>
      doubtsOf(values).find(({ name }) => name === 'light of the room');
    expect(doubt([held])).toMatchObject({ measured: true });
    expect(doubt([{ ...held, full: null }])).toMatchObject({ measured: false, sdRobot: 0.1 });
  });

  it('still holds where line and floor read about as they did, and not where the room is another', () => {
    const now = (shift: number) =>
      told([
        ...at(
          'line',
          LINE.map((one) => one + shift),
        ),
        ...at(
          'floor',
          FLOOR.map((one) => one + shift),
        ),
      ]).found;
    expect(profileNow(held, now(3)).holds).toBe(true);
    expect(profileNow(held, now(25))).toMatchObject({ holds: false });
    expect(profileNow({ ...held, lineIs: 'lighter' }, now(0))).toEqual({
      errorRate: 1,
      holds: false,
    });
  });

  it('lets a reading count before all of the spot lies on the line, so that it may be crossed faster', () => {
    expect(shareToCount(null)).toBe(1);
    const share = shareToCount(held);
    expect(share).toBeGreaterThan(0.5);
    expect(share).toBeLessThan(0.8);
    const of = {
      lineWidthM: 0.02,
      spotM: 0.01,
      loopPeriodS: 0.01,
      sensorPeriodS: 0.01,
      readings: 2,
    };
    const [whole, part] = [1, share].map((one) => crossingStudy({ ...of, share: one }, 0.1));
    expect(part?.safe.speedMPerS).toBeGreaterThan(1.3 * (whole?.safe.speedMPerS ?? 0));
    // At half the speed twice the readings; faster than is safe, fewer than are wanted.
    expect(whole?.now.readings).toBe(10);
    expect(crossingStudy({ ...of, share: 1 }, 1).sentences.next).toMatch(/is missed now and then/);
  });

  it('from another venue is said before the run of a route that goes by light, and of no other', () => {
    const start = { xM: 0.3, yM: 0.3, headingRad: 0 };
    const wait = {
      kind: 'wait',
      until: 'reading',
      sensor: 'light sensor',
      passes: 'below',
      value: 0.3,
      timeS: 5,
    };
    const byLight = routeSchema.parse({ start, steps: [wait] });
    const blind = routeSchema.parse({ start, steps: [{ kind: 'straight', distanceM: 0.3 }] });
    expect(venueWarning(blind, held, 'hall')).toBeNull();
    expect(venueWarning(byLight, held, ' Home table')).toBeNull();
    expect(venueWarning(byLight, held, 'hall')).toMatch(/was read at home table, not at hall/);
    expect(venueWarning(byLight, held, null)).toMatch(/If you are somewhere else/);
    expect(venueWarning(byLight, null, 'hall')).toMatch(/nobody has measured/);
  });

  it('a battery below which echoes were lost is said before the next run that goes by distance', () => {
    const start = { xM: 0.3, yM: 0.3, headingRad: 0 };
    const approach = routeSchema.parse({ start, steps: [{ kind: 'approach', thresholdM: 0.1 }] });
    const blind = routeSchema.parse({ start, steps: [{ kind: 'straight', distanceM: 0.3 }] });
    expect(batteryWarning(approach, { lostBelowV: 7.3 }, 7.1)).toMatch(
      /began at 7\.1 V, and below 7\.3 V .* loses echoes/,
    );
    expect(batteryWarning(approach, { lostBelowV: 7.3 }, 7.4)).toBeNull();
    expect(batteryWarning(approach, { lostBelowV: 7.3 }, null)).toBeNull();
    expect(batteryWarning(approach, { lostBelowV: null }, 7.1)).toBeNull();
    expect(batteryWarning(approach, null, 7.1)).toBeNull();
    expect(batteryWarning(blind, { lostBelowV: 7.3 }, 7.1)).toBeNull();
  });
});
