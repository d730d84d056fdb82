import { pipit } from '../../src/server/demo/scenario';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { decimate } from '../../src/core/chart/decimate';
import { correctByAnchors } from '../../src/core/gyro/anchors';
import { encoderHeading, headingLag, loopPeriod, divergences } from '../../src/core/gyro/agreement';
import {
  leftAfterEstimate,
  proveRezero,
  recommendStrategy,
  notPossible,
  strategyRecords,
  stillTimeNeeded,
} from '../../src/core/gyro/rezero';
import { studyRunLog } from '../../src/core/gyro/runLog';
import { gateSentence } from '../../src/core/gyro/gateSentence';
import { standstillGate } from '../../src/core/gyro/still/standstill';
import { column, recordedTable } from './logs';
import { deg, idealRobot } from './support';

describe('correcting a recorded run', () => {
  const rows = recordedTable('run-log');
  const anchors = recordedTable('run-log-anchors').map((row) => ({
    tS: Number(row.t_s),
    headingRad: deg(Number(row.true_heading_deg)),
  }));

  it('finds the drift of the recorded run, and believes its anchors', () => {
    const study = studyRunLog(
      { tS: column(rows, 't_s'), columns: { headingRad: column(rows, 'heading_deg', deg(1)) } },
      anchors,
      idealRobot,
    );
    for (const piece of study.correction?.pieces ?? []) {
      // A reading in whole degrees at both ends: ± 1° over the piece.
      expect(Math.abs(piece.driftRadPerS - deg(-0.35356))).toBeLessThan(
        deg(1) / (piece.toS - piece.fromS),
      );
    }
    expect(study.sentences.next).toMatch(/The anchor in between fits within 0\.3°: believe it/);
    expect(study.loop.meanS).toBeCloseTo(0.02, 6);
  });

  it('takes out any drift that is linear between anchors, wrapped or not', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -0.05, max: 0.05, noNaN: true }),
        fc.integer({ min: -3, max: 3 }),
        (drift, turns) => {
          const samples = Array.from({ length: 61 }, (_, i) => ({
            tS: i,
            headingRad: 0.1 * i + drift * i,
          }));
          const known = [0, 20, 60].map((tS) => ({
            tS,
            headingRad: 0.1 * tS + 2 * Math.PI * turns,
          }));
          const { corrected, leaveOneOutRad } = correctByAnchors(samples, known);
          const offset = corrected[0]?.headingRad ?? 0;
          corrected.forEach(({ tS, headingRad }) =>
            expect(headingRad - offset).toBeCloseTo(0.1 * tS, 6),
          );
          expect(leaveOneOutRad[0]).toBeCloseTo(0, 6);
        },
      ),
    );
  });

  it('carries the last drift on outside the anchors, and says when an inner one does not fit', () => {
    const samples = [0, 10, 20, 30].map((tS) => ({ tS, headingRad: deg(tS) }));
    const { corrected, leaveOneOutRad } = correctByAnchors(samples, [
      { tS: 0, headingRad: 0 },
      { tS: 10, headingRad: 0 },
      { tS: 20, headingRad: deg(4) },
    ]);
    expect(leaveOneOutRad[0]).toBeCloseTo(deg(2), 9);
    expect(corrected[3]?.headingRad).toBeCloseTo(deg(8), 9);
    expect(
      correctByAnchors(samples, [{ tS: 0, headingRad: 0 }], deg(1)).corrected[3]?.headingRad,
    ).toBeCloseTo(0, 9);
  });

  it('compares gyro and encoders: lag, and moments at which they part', () => {
    const tS = Float64Array.from({ length: 1000 }, (_, i) => 0.02 * i);
    const truth = (t: number) => deg(30) * (Math.sin(2.5 * t) + Math.sin(6 * t));
    const gyro = tS.map((t) => truth(t - 0.06) + (t > 12 ? deg(9) : 0));
    const roll = (t: number) => (truth(t) * idealRobot.trackM) / 2;
    const degreesPerM = 360 / (Math.PI * idealRobot.wheelDiameterM);
    const encoder = encoderHeading(
      tS.map((t) => -roll(t) * degreesPerM),
      tS.map((t) => roll(t) * degreesPerM),
      idealRobot,
    );
    expect(encoder[300]).toBeCloseTo(truth(6), 6);
    const untouched = tS.map((t) => truth(t - 0.06));
    expect(headingLag(tS, untouched, encoder)).toBeCloseTo(0.06, 2);
    const parts = divergences(tS, gyro, encoder, 0.06);
    expect(parts).toHaveLength(1);
    expect(parts[0]?.fromS).toBeLessThan(12.01);
    expect(
      headingLag(
        tS,
        tS.map(() => 0),
        tS.map(() => 0),
      ),
    ).toBeNull();
    expect(loopPeriod(Float64Array.from([0, 0.01, 0.05]))).toEqual({
      meanS: 0.025,
      worstS: 0.04,
      samples: 3,
    });
  });
});

describe('getting rid of drift', () => {
  it('counts only checks that could tell, with an interval', () => {
    const trial = (
      school: 'restart' | 'reconnect',
      verdict: 'steady' | 're-zero' | 'measure-longer',
    ) => ({ school, verdict, driftRadPerS: deg(0.01) });
    const records = strategyRecords(
      [
        trial('restart', 'steady'),
        trial('restart', 'steady'),
        trial('restart', 're-zero'),
        trial('restart', 'measure-longer'),
      ],
      pipit,
    );
    expect(records[0]).toMatchObject({ worked: 2, tried: 3 });
    expect(records[0]?.success?.low95).toBeCloseTo(0.2077, 3);
    expect(records[1]?.success).toBeNull();
  });

  it('recommends by the drift, the time at hand and what has worked here', () => {
    const situation = {
      verdict: 're-zero' as const,
      driftRadPerS: deg(0.5),
      walkRadPerSqrtS: deg(0.01),
      runDurationS: 150,
      allowedRad: deg(1),
      healthyRadPerS: deg(0.1),
      timeS: 120,
    };
    const worked = strategyRecords(
      Array.from({ length: 6 }, () => ({
        school: 'reconnect' as const,
        verdict: 'steady' as const,
        driftRadPerS: 0,
      })),
      pipit,
    );
    expect(recommendStrategy(situation, worked)?.school).toBe('reconnect');
    // Where a restart takes minutes, and the cable cannot be pulled, two minutes do for the program's own way only.
    const build = {
      ...pipit.build,
      driftCures: {
        restart: { isPossible: true, takesS: 180 },
        reconnect: { isPossible: false, takesS: null },
      },
    };
    const here = strategyRecords([], { ...pipit, build });
    expect(here.find(({ facts }) => facts.school === 'restart')).toMatchObject({
      isOwnTime: true,
      facts: { takesS: 180 },
    });
    expect(notPossible({ build }).map(({ school }) => school)).toEqual(['reconnect']);
    expect(recommendStrategy(situation, here)).toMatchObject({ school: 're-initialise' });
    expect(recommendStrategy({ ...situation, timeS: 4 }, here)?.school).toBe('re-anchor');
    expect(recommendStrategy({ ...situation, timeS: 2 }, worked)?.school).toBe('re-anchor');
    expect(
      recommendStrategy({ ...situation, verdict: 'correctable', driftRadPerS: deg(0.05) }, worked)
        ?.school,
    ).toBe('estimate at start');
    expect(recommendStrategy({ ...situation, verdict: 'steady' }, worked)).toBeNull();
    // What is not known yet is no reason to start anything anew.
    expect(recommendStrategy({ ...situation, verdict: 'measure-longer' }, worked)).toMatchObject({
      school: null,
      reason: expect.stringContaining('could not tell: leave the sensor as it is') as string,
    });
    const wanders = { ...situation, driftRadPerS: deg(0.02), walkRadPerSqrtS: deg(0.1) };
    expect(recommendStrategy(wanders, worked)?.reason).toContain('wanders so much by itself');
    const hurried = { ...situation, verdict: 'correctable' as const, driftRadPerS: deg(0.02) };
    expect(recommendStrategy({ ...hurried, timeS: 1 }, worked)).toMatchObject({
      school: 're-anchor',
      reason: expect.stringContaining('longer than there is time for') as string,
    });
  });

  it('knows what an estimate at the start leaves: N·√(t²/k + t)', () => {
    expect(leftAfterEstimate(0.01, 25, 100)).toBeCloseTo(0.01 * Math.sqrt(500), 12);
    // Whole seconds: the shortest that is enough.
    const k = stillTimeNeeded(deg(0.01), 150, deg(1)) ?? 0;
    expect(2 * leftAfterEstimate(deg(0.01), k, 150)).toBeLessThanOrEqual(deg(1));
    expect(2 * leftAfterEstimate(deg(0.01), k - 1, 150)).toBeGreaterThan(deg(1));
    expect(stillTimeNeeded(deg(0.1), 150, deg(2))).toBeNull();
  });

  it('proves that it helped, or says that it did not', () => {
    const check = (drift: number, verdict: 'steady' | 're-zero' | 'measure-longer') => ({
      verdict,
      driftRadPerS: deg(drift),
      low95: deg(drift - 0.01),
      high95: deg(drift + 0.01),
    });
    expect(proveRezero(check(0.5, 're-zero'), check(0, 'steady'))).toMatch(
      /It helped, and the robot can drive/,
    );
    expect(proveRezero(check(0.5, 're-zero'), check(0.02, 'measure-longer'))).toMatch(
      /It helped\. Whether it is enough/,
    );
    expect(proveRezero(check(0.2, 're-zero'), check(0.5, 're-zero'))).toMatch(/worse/);
    expect(proveRezero(check(0.2, 're-zero'), check(0.205, 're-zero'))).toMatch(
      /No change is proved/,
    );
  });

  it('lets the heading be zeroed only at standstill, the finger off the button', () => {
    const reading = (i: number, over = {}) => ({
      tS: 0.02 * i,
      headingRad: 0,
      leftMotorDegrees: 0,
      rightMotorDegrees: 0,
      touch: false,
      ...over,
    });
    const quiet = Array.from({ length: 40 }, (_, i) => reading(i));
    expect(standstillGate(quiet).open).toBe(true);
    expect(standstillGate([...quiet, reading(40, { touch: true })]).reasons).toEqual([
      'a finger is on the button',
    ]);
    const turning = Array.from({ length: 40 }, (_, i) => reading(i, { headingRad: 0.01 * i }));
    expect(standstillGate(turning)).toMatchObject({ open: false });
    expect(standstillGate(turning).lostRad).toBeCloseTo(0.25, 2);
    // A creep of 1 °/s passes the gate, and is said; a hand that turned it and let go is none.
    const creeping = Array.from({ length: 200 }, (_, i) =>
      reading(i, { headingRad: deg(0.1 * Math.round(0.2 * i)) }),
    );
    const open = standstillGate(creeping);
    expect(open).toMatchObject({ open: true });
    expect(open.creepsRadPerS).toBeCloseTo(deg(1), 3);
    expect(gateSentence(open)).toMatch(/the heading creeps by 1(\.\d+)? °\/s/);
    const letGo = Array.from({ length: 200 }, (_, i) =>
      reading(i, { headingRad: Math.min(0.5, 0.01 * i) }),
    );
    expect(standstillGate(letGo)).toMatchObject({ open: true, creepsRadPerS: null });
    expect(standstillGate(quiet).creepsRadPerS).toBeNull();
    expect(gateSentence(standstillGate(quiet))).toMatch(/weak proof/);
  });
});

describe('a decimated curve', () => {
  it('keeps every extreme of each piece, in order, with few points', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -1e3, max: 1e3, noNaN: true }), {
          minLength: 1,
          maxLength: 3000,
        }),
        (y) => {
          const x = y.map((_, i) => i);
          const points = decimate(x, y, 200);
          expect(points.length).toBeLessThanOrEqual(200);
          const values = points.map((point) => point.y);
          expect(Math.max(...values)).toBe(Math.max(...y));
          expect(Math.min(...values)).toBe(Math.min(...y));
          expect(points.map((point) => point.x)).toEqual(
            points.map((point) => point.x).toSorted((a, b) => a - b),
          );
        },
      ),
    );
  });
});
