import { pipit } from '../../src/server/demo/scenario';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { judgeConfirmation } from '../../src/core/calibration/confirm';
import { describeCalibration } from '../../src/core/calibration/registry';
import { calibrationFromTurns } from '../../src/core/calibration/kinds/turns/fromStudy';
import { planText } from '../../src/core/calibration/planText';
import { driftFromCheck } from '../../src/core/calibration/kinds/gyroDrift/fromStudy';
import { proveRezero, recommendStrategy, strategyRecords } from '../../src/core/gyro/rezero';
import { studyRunLog } from '../../src/core/gyro/runLog';
import { stillCheck, type StillCheck } from '../../src/core/gyro/still/stillCheck';
import { stillSentences, VERDICT_NAMES } from '../../src/core/gyro/still/stillSentence';
import type { StillVerdict } from '../../src/core/gyro/still/stillVerdict';
import { encoderSquare, gyroSquare } from '../../src/core/square/squareFit';
import { encoderSquareSentences, gyroSquareSentences } from '../../src/core/square/squareStudy';
import { adviceByEye } from '../../src/core/turns/byEye';
import { studyTurns } from '../../src/core/turns/turnStudy';
import { deg, idealRobot, routeOf } from './support';

/** Whatever was measured: nothing that only a programmer understands, and a full stop. */
function expectPlain(...sentences: string[]): void {
  for (const sentence of sentences) {
    expect(sentence).not.toMatch(/NaN|undefined|null|Infinity|\[object|e[+-]\d|−0(?![.\d])|\d{7}/);
    expect(sentence.trim()).toMatch(/^[A-Z“\d].*[.!?]$/);
  }
}

const angleDeg = (most: number) => fc.double({ min: -most, max: most, noNaN: true });

/** Logs of a robot at rest, some of them hardly any. */
const stillLog = fc
  .record({
    n: fc.integer({ min: 2, max: 400 }),
    periodS: fc.constantFrom(0.02, 0.1, 1),
    driftDegPerS: angleDeg(2),
    noiseDeg: fc.constantFrom(0, 0.02, 0.5),
    stepDeg: fc.constantFrom(0, 0.1, 1),
    seed: fc.integer({ min: 1, max: 1000 }),
  })
  .map(({ n, periodS, driftDegPerS, noiseDeg, stepDeg, seed }) => {
    const tS = Float64Array.from({ length: n }, (_, i) => i * periodS);
    const wobble = (i: number) => Math.sin(seed * 12.9898 * (i + 1) * 78.233);
    const headingRad = tS.map((t, i) => {
      const heading = driftDegPerS * t + noiseDeg * wobble(i);
      return deg(stepDeg === 0 ? heading : stepDeg * Math.round(heading / stepDeg));
    });
    return { kind: 'heading' as const, tS, headingRad };
  });

const turnTrial = fc.record({
  targetRad: fc.constantFrom(45, 90, -90, 180, -180, 360).map(deg),
  actualRad: angleDeg(400).map(deg),
  rateRadPerS: fc.constantFrom(60, 90, 180).map(deg),
  kind: fc.constantFrom('spin' as const, 'pivot' as const),
});

const lap = fc.record({
  xM: fc.double({ min: -0.3, max: 0.3, noNaN: true }),
  yM: fc.double({ min: -0.3, max: 0.3, noNaN: true }),
  headingRad: angleDeg(20).map(deg),
});
const laps = fc.array(lap, { minLength: 1, maxLength: 4 });

describe('what is said', () => {
  it('of a still check and what to do about it is plain, whatever was read', () => {
    const seen = new Set<string>();
    fc.assert(
      fc.property(stillLog, fc.integer({ min: 5, max: 600 }), (log, runDurationS) => {
        const check = stillCheck(log, runDurationS, deg(2));
        seen.add(check.verdict);
        const { found, means, next } = stillSentences(check, runDurationS, deg(2));
        expectPlain(found, means, next);
        if (check.verdict !== 'not-still') expect(found).toMatch(/\d/);
        expect(describeCalibration(driftFromCheck(check))).toMatch(/^drift .*°\/s \(/);
        const advice = recommendStrategy(
          {
            verdict: check.verdict,
            driftRadPerS: check.driftRadPerS,
            walkRadPerSqrtS: check.randomWalkRadPerSqrtS,
            runDurationS,
            allowedRad: deg(1),
            healthyRadPerS: deg(0.1),
            timeS: 60,
          },
          strategyRecords([], pipit),
        );
        // Only a steady sensor leaves nothing to be done.
        expect(advice === null).toBe(check.verdict === 'steady');
        if (advice !== null) expectPlain(advice.reason);
      }),
      { numRuns: 120, seed: 1 },
    );
    expect(seen.size).toBeGreaterThan(3);
  });

  it('of each verdict is plain, for headings and for rates', () => {
    const log = { kind: 'rate' as const, tS: Float64Array.from({ length: 300 }, (_, i) => i / 10) };
    const check = stillCheck(
      { ...log, rateRadPerS: log.tS.map((t) => deg(Math.sin(t))) },
      90,
      deg(2),
    );
    for (const verdict of Object.keys(VERDICT_NAMES) as StillVerdict[]) {
      for (const neededS of [null, 240]) {
        for (const kind of ['heading', 'rate'] as const) {
          const said = stillSentences({ ...check, verdict, neededS, kind }, 90, deg(2));
          expectPlain(said.found, said.means, said.next);
        }
      }
    }
  });

  it('of turn trials is plain, from the first trial on', () => {
    fc.assert(
      fc.property(
        fc.array(turnTrial, { minLength: 1, maxLength: 14 }),
        angleDeg(0.5),
        (trials, drift) => {
          const study = studyTurns(trials, deg(drift), [90, -90, 180].map(deg), deg(0.5));
          expectPlain(study.sentences.found, study.sentences.means, study.sentences.next);
          expectPlain(study.advice.sentence);
          for (const { text } of study.why) expectPlain(text);
          const value = calibrationFromTurns(study.model);
          if (value.kind !== 'turns') throw new Error('no turns');
          expectPlain(judgeConfirmation(value, deg(90), []).sentence);
          const done = [90, -90, 180].map((angle) => ({
            wantedRad: deg(angle),
            actualRad: deg(angle * 1.02),
          }));
          expectPlain(judgeConfirmation(value, deg(90), done).sentence);
          const [step] = planText(
            routeOf([{ kind: 'turn', mode: 'by', angleRad: 1, rateRadPerS: 1, leadRad: 0 }]),
            { value, day: '2026-11-21' },
            [],
          );
          const known = value.groups.some(({ kind }) => kind === 'spin');
          expect(step).toMatch(
            known
              ? /^Turns as measured on 2026-11-21 \(.*\)\.$/
              : /no measured turns stand behind them\.$/,
          );
        },
      ),
      { numRuns: 200, seed: 2 },
    );
  });

  it('of turns judged by eye is plain, and never more than eyes can tell', () => {
    const seen = fc.constantFrom('under' as const, 'right' as const, 'over' as const);
    fc.assert(
      fc.property(fc.array(seen, { maxLength: 12 }), (list) => {
        const looks = list.map((one) => ({ seen: one, commandedRad: deg(85), wantedRad: deg(90) }));
        const estimate = adviceByEye(looks);
        if (list.length === 0) expect(estimate).toBeNull();
        else expectPlain(estimate?.sentence ?? '');
      }),
      { numRuns: 60, seed: 3 },
    );
  });

  it('of a square is plain, with a single lap each way as with many', () => {
    fc.assert(
      fc.property(laps, laps, (cw, ccw) => {
        const list = { sideM: 1.2, trackM: 0.13, cw, ccw };
        const encoders = encoderSquareSentences(encoderSquare(list));
        expectPlain(encoders.found, encoders.means, encoders.next);
        const gyro = gyroSquareSentences(gyroSquare(list));
        expectPlain(gyro.found, gyro.means, gyro.next);
      }),
      { numRuns: 25, seed: 4 },
    );
  });

  it('of a recorded run is plain, wherever the anchors stand', () => {
    const anchor = fc.record({
      tS: fc.integer({ min: -10, max: 100 }).map((half) => half / 2),
      headingRad: angleDeg(400).map(deg),
    });
    const distinct = fc.uniqueArray(anchor, { maxLength: 5, selector: ({ tS }) => tS });
    fc.assert(
      fc.property(stillLog, distinct, (log, anchors) => {
        const known = { driftRadPerS: deg(0.2), day: '2026-11-21' };
        const columns = { headingRad: log.headingRad };
        const { sentences, doubt } = studyRunLog(
          { tS: log.tS, columns },
          anchors,
          idealRobot,
          known,
        );
        expectPlain(sentences.found, sentences.means, sentences.next);
        if (doubt !== null) expectPlain(doubt);
      }),
      { numRuns: 200, seed: 5 },
    );
  });

  it('of a proof names both drifts, and claims no more than the intervals allow', () => {
    const check = fc.record({
      driftRadPerS: angleDeg(1).map(deg),
      half: fc.double({ min: 0.001, max: 0.3, noNaN: true }).map(deg),
      verdict: fc.constantFrom<StillCheck['verdict']>(
        'steady',
        'correctable',
        're-zero',
        'measure-longer',
      ),
    });
    const judged = ({
      driftRadPerS,
      half,
      verdict,
    }: {
      driftRadPerS: number;
      half: number;
      verdict: StillCheck['verdict'];
    }) => ({
      driftRadPerS,
      low95: driftRadPerS - half,
      high95: driftRadPerS + half,
      verdict,
    });
    fc.assert(
      fc.property(check, check, (before, after) => {
        const sentence = proveRezero(judged(before), judged(after));
        expectPlain(sentence);
        expect(sentence).toMatch(/^Before: .* After: /);
        const overlap =
          Math.abs(before.driftRadPerS - after.driftRadPerS) <= before.half + after.half;
        if (overlap) expect(sentence).not.toMatch(/It helped|worse/);
      }),
      { numRuns: 200, seed: 6 },
    );
  });
});
