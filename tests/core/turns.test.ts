import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { randomStream } from '../../src/core/stats/random';
import { linearFit } from '../../src/core/stats/linearFit';
import { adviceByEye, eyeAdvices, type EyeLook, type Seen } from '../../src/core/turns/byEye';
import { aicc } from '../../src/core/stats/aicc';
import { turnErrorModel } from '../../src/core/turns/errorModel';
import { trueAngle, type TurnTrial } from '../../src/core/turns/trial';
import { turnModel } from '../../src/core/turns/turnModel';
import { TURN_KINDS, turnCoverage } from '../../scripts/lib/turnCoverage';
import { studyTurns } from '../../src/core/turns/turnStudy';
import { recordedTable } from './logs';
import { deg } from './support';
import { BOTH_WAYS, trialsOf } from './turnTrials';

const recorded = (): TurnTrial[] =>
  recordedTable('turn-trials').map((row) => ({
    targetRad: deg(Number(row.target_deg)),
    actualRad: deg(Number(row.actual_deg)),
    rateRadPerS: deg(Number(row.rate_deg_per_s)),
    kind: 'spin',
  }));

describe('the model of turns', () => {
  it('agrees with least squares and AICc computed apart on the recorded trials', () => {
    const { groups, commands } = turnModel(recorded(), 0, [deg(90)]);
    expect(
      groups.map(({ direction, rateRadPerS, model }) => [
        direction,
        rateRadPerS,
        model.model,
        model.n,
      ]),
    ).toEqual([
      ['left', deg(90), 'c', 6],
      ['left', deg(180), 'both', 6],
      ['right', deg(90), 'c', 6],
      ['right', deg(180), 'both', 6],
    ]);
    const [slow, fast] = groups;
    expect(slow?.model.constantRad).toBeCloseTo(deg(3.2), 8);
    expect(slow?.model.residualSdRad).toBeCloseTo(deg(1.0601887), 8);
    expect(fast?.model.constantRad).toBeCloseTo(deg(11.2465347), 8);
    expect(fast?.model.scaleError).toBeCloseTo(-0.0170517, 7);
    expect(fast?.model.residualSdRad).toBeCloseTo(deg(0.1194045), 8);
    expect(slow?.model.aiccAbove.k).toBeCloseTo(7.018, 2);
    const at180 = commands.find(({ rateRadPerS }) => rateRadPerS > 3);
    expect(at180?.commandRad).toBeCloseTo(deg(80.1197), 4);
    expect(((at180?.high95Rad ?? 0) - (at180?.low95Rad ?? 0)) / 2).toBeCloseTo(deg(0.3751926), 7);
  });

  it('tells lag and braking of the recorded trials within their uncertainty', () => {
    const { lagS, lagSeS, brakingRadPerS2, brakingSeRadPerS2 } = turnModel(recorded(), 0, []);
    expect(Math.abs((lagS ?? 0) - 0.034145)).toBeLessThan(3.29 * (lagSeS ?? 0));
    expect(Math.abs((brakingRadPerS2 ?? 0) - deg(4656.9))).toBeLessThan(
      3.29 * (brakingSeRadPerS2 ?? 0),
    );
  });

  it('finds errors without scatter exactly, whatever they are', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 0.08, noNaN: true }),
        fc.double({ min: 300, max: 4000, noNaN: true }),
        fc.double({ min: -0.03, max: 0.03, noNaN: true }),
        (lag, braking, k) => {
          const c = (rate: number) => rate * lag + (rate * rate) / (2 * braking);
          const model = turnModel(trialsOf(BOTH_WAYS, [60, 120, 180], { c, k }), 0, [
            deg(90),
            deg(-130),
          ]);
          expect(model.lagS).toBeCloseTo(lag, 4);
          expect((model.brakingRadPerS2 ?? 0) / deg(braking)).toBeCloseTo(1, 2);
          for (const { wantedRad, rateRadPerS, commandRad } of model.commands) {
            const sign = Math.sign(wantedRad);
            const truly = deg(c(rateRadPerS / deg(1))) + (1 + k) * Math.abs(commandRad ?? 0);
            // Told from trials to the last digit, but for what fitting it leaves: under 0.003°.
            expect(sign * truly).toBeCloseTo(wantedRad, 4);
          }
        },
      ),
      { numRuns: 25 },
    );
  });

  it('takes a known drift out, which would pass for a scale error', () => {
    const drift = deg(0.5);
    const trials = trialsOf([90, 180, 270, 90, 180, 270], [90], {}).map((trial) => ({
      ...trial,
      durationS: 2 * (trial.targetRad / trial.rateRadPerS),
      actualRad: trial.targetRad - drift * 2 * (trial.targetRad / trial.rateRadPerS),
    }));
    expect(turnModel(trials, 0, []).groups[0]?.model.scaleError).toBeLessThan(-0.01);
    expect(turnModel(trials, drift, []).groups[0]?.model.model).toBe('none');
  });

  it('keeps directions apart when they differ, and when there are too few trials to tell', () => {
    const differ = trialsOf(BOTH_WAYS, [90], { c: () => 4, sd: 0.4, rightExtra: 3 });
    expect(turnModel(differ, 0, []).groups.map(({ direction }) => direction)).toEqual([
      'left',
      'right',
    ]);
    const few = trialsOf([90, -90, 180, -180], [90], { c: () => 4, sd: 0.4 });
    expect(turnModel(few, 0, []).groups.map(({ direction }) => direction)).toEqual([
      'left',
      'right',
    ]);
    const alike = trialsOf([...BOTH_WAYS, ...BOTH_WAYS, ...BOTH_WAYS], [90], {
      c: () => 4,
      sd: 0.4,
    });
    expect(turnModel(alike, 0, []).groups.map(({ direction }) => direction)).toEqual(['both']);
  });

  it('hardly ever pools directions that differ by half again the scatter', () => {
    let pooled = 0;
    for (let seed = 0; seed < 100; seed += 1) {
      const trials = trialsOf(BOTH_WAYS, [90], { c: () => 4, sd: 1, rightExtra: 1.5, seed });
      if (turnModel(trials, 0, []).groups.length === 1) pooled += 1;
    }
    expect(pooled).toBeLessThan(5);
  });

  it('has no command where the robot does not turn as told, and says why', () => {
    const commandsOf = (trials: TurnTrial[], wanted: number) =>
      turnModel(trials, 0, [deg(wanted)]).commands;
    const four = (actualDeg: number): TurnTrial[] =>
      Array.from({ length: 4 }, () => ({
        targetRad: deg(90),
        actualRad: deg(actualDeg),
        rateRadPerS: deg(90),
        kind: 'spin',
      }));
    const [otherWay] = commandsOf(four(-92), 90);
    expect(otherWay).toMatchObject({ commandRad: null, low95Rad: null, high95Rad: null });
    expect(otherWay?.reason).toMatch(/turned the other way/);
    const [none] = commandsOf(four(0), 90);
    expect(none?.commandRad).toBeNull();
    expect(none?.reason).toMatch(/hardly turned/);
    const coasting = trialsOf([45, 90, 180, 45, 90, 180], [180], { c: () => 20, sd: 0.3 });
    const [short] = commandsOf(coasting, 15);
    expect(short?.commandRad).toBeNull();
    expect(short?.reason).toMatch(/turns on by (19\.\d|20\.?\d?)° after the stop alone/);
    expect(commandsOf(coasting, 45)[0]?.commandRad).toBeGreaterThan(0);
    const study = studyTurns(four(-92), 0, [deg(90)], deg(0.5));
    expect(study.sentences.found).toMatch(/turned the other way/);
  });

  it('from one angle foretells a full turn as far as a scale error may hide', () => {
    for (const kind of TURN_KINDS) {
      const { share, least } = turnCoverage(kind, 300, 11);
      expect(share, kind.name).toBeGreaterThanOrEqual(least - 0.03);
    }
  });

  it('says that one angle cannot tell a constant from a share, and flags what was not tried', () => {
    const model = turnModel(trialsOf([90, 90, 90, 90], [90], { c: () => 4, sd: 0.3 }), 0, [
      deg(90),
      deg(15),
      deg(-90),
    ]);
    expect(model.groups[0]?.model).toMatchObject({ model: 'c', oneTarget: true });
    expect(model.lagS).toBeNull();
    expect(model.commands.map(({ extrapolated }) => extrapolated)).toEqual([false, true, true]);
    const single = turnModel(trialsOf([90], [90], { c: () => 4 }), 0, [deg(90)]);
    expect(single.commands[0]).toMatchObject({ low95Rad: null, high95Rad: null });
  });

  it('has intervals that hold 95 of 100 new turns', () => {
    let held = 0;
    const logs = 400;
    for (let seed = 0; seed < logs; seed += 1) {
      const c = () => 5;
      const model = turnModel(
        trialsOf([45, 90, 180, 45, 90, 180], [90], { c, k: 0.01, sd: 1, seed }),
        0,
        [deg(90)],
      );
      const [command] = model.commands;
      const truly =
        deg(5) + 1.01 * (command?.commandRad ?? 0) + deg(randomStream(seed, 1, 'new').normal());
      if (truly >= (command?.low95Rad ?? 9) && truly <= (command?.high95Rad ?? -9)) held += 1;
    }
    expect(held / logs).toBeGreaterThan(0.92);
    expect(held / logs).toBeLessThan(0.985);
  });

  it('uses AICc as published, and refuses to judge too few', () => {
    // n·ln(RSS/n) + 2K + 2K(K+1)/(n−K−1) with K = 3, n = 10, RSS = 10.
    expect(aicc(10, 10, 2)).toBeCloseTo(6 + 24 / 6, 12);
    expect(aicc(10, 4, 2)).toBe(Infinity);
    expect(
      turnErrorModel([
        { target: 1, actual: 1.1 },
        { target: 1, actual: 1.1 },
      ]).model,
    ).toBe('c');
    expect(
      linearFit(
        [
          [1, 2],
          [2, 4],
          [3, 6],
        ],
        [1, 2, 3],
      ),
    ).toBeNull();
  });
});

describe('measuring a turn', () => {
  it('by protractor, along the reference or along the edge', () => {
    expect(trueAngle({ by: 'protractor', angleRad: deg(94) }, deg(-90), 'whole')).toBeCloseTo(
      deg(-94),
      12,
    );
    expect(
      trueAngle({ by: 'along-reference', alongM: 0.1, offsetM: 0.1 }, deg(90), 'over'),
    ).toBeCloseTo(deg(135), 12);
    expect(trueAngle({ by: 'along-edge', edgeM: 0.2, offsetM: 0.1 }, deg(-90), 'over')).toBeCloseTo(
      deg(-120),
      12,
    );
    expect(() => trueAngle({ by: 'along-edge', edgeM: 0.1, offsetM: 0.2 }, 1, 'whole')).toThrow(
      /longer than the edge/,
    );
  });

  it('by eye proves little, and says so', () => {
    const at90 = (seen: Seen) => ({ seen, commandedRad: deg(90), wantedRad: deg(90) });
    const none = adviceByEye([at90('over'), at90('under'), at90('right')]);
    expect(none?.sentence).toContain('not proved');
    const over = adviceByEye(Array.from({ length: 6 }, () => at90('over')));
    expect(over?.low95Rad).toBeGreaterThan(0);
    expect((over?.high95Rad ?? 0) - (over?.low95Rad ?? 0)).toBeGreaterThan(deg(8));
    expect(adviceByEye([])).toBeNull();
  });

  it('by eye bracket the number to tell, whatever the robot does', () => {
    const random = randomStream(3, 0, 'looks');
    for (const beyondDeg of [-12, -5, 0, 8, 15]) {
      const looks: EyeLook[] = [];
      let commandedDeg = 90;
      for (let look = 0; look < 8; look += 1) {
        const offDeg = commandedDeg + beyondDeg + 1 * random.normal() - 90;
        const seen = offDeg < -3 ? 'under' : offDeg > 3 ? 'over' : 'right';
        looks.push({ seen, commandedRad: deg(commandedDeg), wantedRad: deg(90) });
        const advice = adviceByEye(looks);
        if (advice === null || advice.isFound) break;
        commandedDeg = (advice.tellRad * 180) / Math.PI;
      }
      const found = adviceByEye(looks);
      expect(found?.isFound, `${beyondDeg}°`).toBe(true);
      expect(Math.abs((found?.tellRad ?? 0) - deg(90 - beyondDeg))).toBeLessThan(deg(4.5));
    }
  });

  it('by eye are told apart by what was told and what was wanted, and by side', () => {
    const trial = (targetDeg: number, seen: Seen, wantedDeg: number | null) => ({
      targetRad: deg(targetDeg),
      wantedRad: wantedDeg === null ? null : deg(wantedDeg),
      seen,
    });
    // Whoever tells 82 and finds it right means that 82 makes 90.
    const [left, right] = eyeAdvices([
      trial(82, 'right', 90),
      trial(-90, 'right', null),
      trial(82, 'right', 90),
    ]);
    expect(left).toMatchObject({ direction: 'left', advice: { isFound: true } });
    expect(left?.advice.tellRad).toBeCloseTo(deg(82), 9);
    expect(left?.advice.sentence).toMatch(/^By eye, for 90°: telling 82° makes it/);
    expect(right).toMatchObject({ direction: 'right', advice: { isFound: false } });
    expect(right?.advice.sentence).toMatch(/look at 90° once more/);
  });
});
