import { describe, expect, it } from 'vitest';
import { measuresDrift } from '../../src/core/calibration/kinds/gyroDrift/fromStudy';
import type { EarlierCheck } from '../../src/core/gyro/still/earlierChecks';
import { judgeLog } from '../../src/core/gyro/judgeLog';
import type { KnownBefore } from '../../src/core/gyro/still/soonAfterPowerUp';
import { STILL_SETTINGS } from '../../src/core/gyro/still/stillDefaults';
import { stillSentences } from '../../src/core/gyro/still/stillSentence';
import { generator, normal } from '../support/eulerRobot';
import { deg } from './support';

const RUN_S = 150;
const TOLERANCE = deg(2);

/** A sensor that warms up: its drift falls from a fading part to a lasting one, logged at 50 Hz in steps of 0.01°. */
function logged(
  { fadingDeg, tauS, lastingDeg }: { fadingDeg: number; tauS: number; lastingDeg: number },
  fromS: number,
  lengthS: number,
  seed: number,
) {
  const random = generator(seed);
  const n = Math.round(lengthS * 50);
  let walk = 0;
  const tS = Float64Array.from({ length: n }, (_, i) => i / 50);
  const headingRad = tS.map((t) => {
    walk += deg(0.003) * Math.sqrt(1 / 50) * normal(random);
    const faded = fadingDeg * (Math.exp(-fromS / tauS) - Math.exp(-(fromS + t) / tauS));
    return Math.round((deg(faded + lastingDeg * t) + walk) / deg(0.01)) * deg(0.01);
  });
  return { kind: 'heading' as const, tS, headingRad };
}

const judge = (log: ReturnType<typeof logged>, before: KnownBefore) =>
  judgeLog(log, RUN_S, TOLERANCE, STILL_SETTINGS, null, before);
const healthy = { fadingDeg: 0, tauS: 1, lastingDeg: 0.05 };
const warms = { fadingDeg: 5, tauS: 200, lastingDeg: 0.02 };

describe('a still check soon after power-up', () => {
  it('is to be made again, and its drift is neither subtracted nor applied, while nothing shows that the sensor has settled', () => {
    for (let seed = 1; seed <= 20; seed += 1) {
      const check = judge(logged(warms, 20, 60, seed), { sincePowerUpS: 20 });
      expect(check.verdict).not.toBe('correctable');
      expect(check.verdict).not.toBe('steady');
    }
    const soon = judge(logged(healthy, 20, 60, 3), { sincePowerUpS: 20 });
    expect(soon).toMatchObject({ verdict: 'check-again', againInS: 240 });
    expect(measuresDrift(soon)).toBe(false);
    expect(stillSentences(soon, RUN_S, TOLERANCE)).toMatchObject({
      means: expect.stringMatching(
        /soon after it was switched on \(20 s\) it may still be warming/,
      ),
      next: 'Subtract nothing yet, and check again in 4 minutes: when both say the same, it has settled.',
    });
  });

  it('is judged as any other later on, when nobody knows how long it was on, and when it is long itself', () => {
    const log = logged(healthy, 400, 60, 4);
    const plain = judge(log, {});
    expect(judge(log, { sincePowerUpS: null })).toEqual(plain);
    expect(judge(log, { sincePowerUpS: 400 })).toEqual({ ...plain, sincePowerUpS: 400 });
    expect(judge(logged(healthy, 20, 320, 5), { sincePowerUpS: 20 }).verdict).toBe('correctable');
  });

  it('is trusted where an early and a late check of the sensor have said the same, and not where they differ', () => {
    const pair = (sensor: typeof warms): EarlierCheck[] =>
      [25, 420].map((fromS, i) =>
        judge(logged(sensor, fromS, 60, 50 + i), { sincePowerUpS: fromS }),
      );
    const again = (sensor: typeof warms, earlier: EarlierCheck[]) =>
      judge(logged(sensor, 20, 60, 60), { sincePowerUpS: 20, earlier });
    expect(again(healthy, pair(healthy)).verdict).toBe('correctable');
    expect(['check-again', 'measure-longer', 're-zero', 're-anchor']).toContain(
      again(warms, pair(warms)).verdict,
    );
    // What was only seen late tells nothing of how it begins.
    expect(again(healthy, pair(healthy).slice(1)).verdict).toBe('check-again');
    // One long check tells it by itself.
    const long = judge(logged(healthy, 10, 320, 70), { sincePowerUpS: 10 });
    expect(again(healthy, [long]).verdict).toBe('correctable');
  });
});
