import { describe, expect, it } from 'vitest';
import { compareRoutes } from '../../src/core/course/compare';
import { describeStep } from '../../src/core/course/describe';
import { knowledgeAge } from '../../src/core/text/freshness';
import { seriesFindings, type LoggedRun } from '../../src/core/runs/findings';
import { orderChart } from '../../src/core/runs/order';
import { orderSentence } from '../../src/core/runs/orderSentence';
import { orderStretches } from '../../src/core/runs/orderStretches';
import { runsToProveBias } from '../../src/core/runs/biasTest';
import { deg, recordedRuns, routeOf } from './support';

const logged = (run: Partial<LoggedRun>, index: number): LoggedRun => ({
  number: index + 1,
  placedBy: null,
  battery: null,
  missions: {},
  setAside: false,
  ...run,
});

describe('findings of a series', () => {
  const before = recordedRuns('runs-before').map((run, i) =>
    logged({ ...run, placedBy: i % 2 === 0 ? 'Moss' : 'Tam' }, i),
  );

  it('tells bias along and across the travel, not along x and y', () => {
    const { travel } = seriesFindings(deg(90), before, 30);
    expect(travel?.biasAlongM).toBeCloseTo(0.0088666667, 8);
    expect(travel?.biasAcrossM).toBeCloseTo(-0.0036333333, 8);
    expect(travel?.sdAlongM).toBeCloseTo(0.019690245, 8);
  });

  it('counts what is set aside, and leaves it out of every figure', () => {
    const odd = logged({ xM: 3, yM: 3, success: false, setAside: true }, 30);
    const findings = seriesFindings(0, [...before, odd], 30);
    expect(findings.setAside).toBe(1);
    expect(findings.end).toEqual(seriesFindings(0, before, 30).end);
  });

  it('splits by who placed the robot so that the parts add up', () => {
    const { byPlacer } = seriesFindings(0, before, 30);
    expect(byPlacer.map(({ name, n }) => [name, n])).toEqual([
      ['Moss', 15],
      ['Tam', 15],
    ]);
    const mean = byPlacer.reduce((sum, { figures }) => sum + (figures?.biasAlongM ?? 0) / 2, 0);
    expect(mean).toBeCloseTo(0.0036333333, 8);
  });

  it('says to re-aim only for an offset that is proved', () => {
    const at = (x: number, spread: number) =>
      Array.from({ length: 10 }, (_, i) =>
        logged({ xM: x + spread * Math.sin(i * 2.1), yM: spread * Math.cos(i * 3.7) }, i),
      );
    expect(seriesFindings(0, at(0.03, 0.004), 30).verdict.next).toMatch(/^Aim 30 mm less far/);
    expect(seriesFindings(0, at(0.002, 0.02), 30).verdict.next).toMatch(/^Do not re-aim\./);
  });

  it('puts a heading that is off before any aiming', () => {
    const turned = Array.from({ length: 8 }, (_, i) =>
      logged({ xM: 0.04 + i / 1000, yM: (i % 3) / 500, headingRad: deg(-4.5 + (i % 2)) }, i),
    );
    const { verdict } = seriesFindings(0, turned, 30);
    expect(verdict.found).toContain('turned 4° to the right');
    expect(verdict.next).toMatch(/^First find why the heading is off/);
  });

  it('says how many more runs would tell, from none on', () => {
    const { verdict } = seriesFindings(0, [], 30);
    expect(verdict.found).toBe('No runs yet.');
    expect(verdict.next).toContain('Measure the end of 3 more');
    // The smaller the offset beside the scatter, the more runs; d² = 0.5 and 0.2 by simulation of Hotelling's test.
    expect(runsToProveBias(0.5, 5)).toBeGreaterThan(20);
    expect(runsToProveBias(0.5, 5)).toBeLessThan(26);
    expect(runsToProveBias(0.01, 5)).toBeNull();
  });
});

describe('the order of runs', () => {
  it('has the limits of the individuals chart', () => {
    // Moving ranges 2, 3, 1, 2: mean 2; mean of the values 11.
    const chart = orderChart([10, 12, 9, 10, 12].map((v) => v + 0.4));
    expect(chart?.meanMovingRange).toBeCloseTo(2, 9);
    expect(chart?.centre).toBeCloseTo(11, 9);
    expect(chart?.high).toBeCloseTo(11 + 5.32, 9);
    expect(chart?.movingRangeHigh).toBeCloseTo(6.534, 9);
  });

  it('signals a jump, a shift and a trend, and nothing in steady scatter', () => {
    const rules = (values: number[]) =>
      new Set(orderChart(values)?.signals.map(({ rule }) => rule));
    const steady = [5, 7, 4, 6, 5, 8, 4, 6, 7, 5];
    expect(rules(steady).size).toBe(0);
    expect(rules([...steady, 40])).toContain('beyond-limits');
    expect(rules([1, 2, 3, 4, 5, 6, 7])).toContain('six-in-a-trend');
    expect(rules([1, 2, 1, 2, 1, 2, 1, 2, 1, 9, 8, 9, 8, 9, 8, 9, 8, 9])).toContain(
      'nine-on-one-side',
    );
    const jump = [...steady, 40].map((v) => run(v));
    const numbers = jump.map((_, i) => i + 1);
    expect(orderSentence(jump, orderStretches(jump), numbers)).toContain('run 11 lies outside');
  });

  const run = (mm: number, placedBy = 'Moss', battery = 'A') => ({
    valueM: mm / 1000,
    placedBy,
    battery,
  });
  const scatter = [5, 7, 4, 6, 5, 8, 4, 6];

  it('breaks at a change that lasts, and reports no unknown change for it', () => {
    const runs = [...scatter.map((v) => run(v)), ...scatter.map((v) => run(v + 30, 'Moss', 'B'))];
    const stretches = orderStretches(runs);
    expect(stretches).toMatchObject([
      { from: 0, to: 7, changed: [] },
      { from: 8, to: 15, changed: ['battery'] },
    ]);
    const numbers = runs.map((_, i) => i + 1);
    const sentence = orderSentence(runs, stretches, numbers);
    expect(sentence).toContain('From run 9 on, with battery B,');
    expect(sentence).toContain('6 mm from the target before, 36 mm since');
    expect(sentence).toContain('No sign of another change');
    // The same figures without a word of the battery: a change that nobody knows of.
    const silent = runs.map(({ valueM }) => run(valueM * 1000));
    expect(orderSentence(silent, orderStretches(silent), numbers)).toContain('Something changed');
  });

  it('does not break for people who take turns, nor for too few runs', () => {
    const turns = scatter.map((v, i) => run(v, i % 2 === 0 ? 'Moss' : 'Tam'));
    expect(orderStretches(turns)).toHaveLength(1);
    const late = [...scatter.map((v) => run(v)), run(5, 'Tam'), run(6, 'Tam')];
    expect(orderStretches(late)).toHaveLength(1);
  });
});

describe('n of n in a row', () => {
  const runs = (results: boolean[]) =>
    results.map((success, i) => logged({ success, xM: i / 1000, yM: (i % 2) / 1000 }, i));
  const ten = Array.from({ length: 10 }, () => true);

  it('proves a rate when all the planned runs worked', () => {
    // Ten of ten: 0.05^(1/10) = 0.7411; fifty-nine of fifty-nine prove 95 %.
    const findings = seriesFindings(0, runs(ten), 10);
    expect(findings.allWorked?.low95).toBeCloseTo(0.7411, 4);
    expect(findings.verdict.sure).toContain('All 10 planned runs worked in a row');
    expect(0.05 ** (1 / 59)).toBeGreaterThan(0.95);
  });

  it('proves nothing from a streak that was not planned, is not complete, or had runs set aside', () => {
    expect(seriesFindings(0, runs([false, ...ten]), 10).allWorked).toBeNull();
    expect(seriesFindings(0, runs(ten), 12).allWorked).toBeNull();
    const trimmed = runs([...ten, true]).map((one, i) => ({ ...one, setAside: i === 3 }));
    expect(seriesFindings(0, trimmed, 10).allWorked).toBeNull();
  });
});

describe('words', () => {
  it('tells what differs between two versions of a route', () => {
    const step = { id: 'a', kind: 'straight', distanceM: 0.5 };
    const mark = { id: 'b', kind: 'mark', missionId: 'x' };
    const turn = { id: 'c', kind: 'turn', angleRad: deg(90) };
    const found = compareRoutes(
      routeOf([step, mark]),
      routeOf([{ ...step, distanceM: 0.52 }, turn, mark]),
      [],
    );
    expect(found.map(({ kind }) => kind).sort()).toEqual(['added', 'changed']);
    const changed = found.find(({ kind }) => kind === 'changed');
    expect(changed?.before).toContain('50 cm');
    expect(changed?.after).toContain('52 cm');
    expect(compareRoutes(routeOf([step]), routeOf([step]), [])).toEqual([]);
  });

  it('writes a step as a sentence with units', () => {
    const [drive, turn] = routeOf([
      { kind: 'straight', distanceM: -0.255, speedMPerS: 0.2 },
      { kind: 'turn', mode: 'by', angleRad: deg(-45), rateRadPerS: deg(90), leadRad: deg(5.2) },
    ]).steps;
    expect(drive && describeStep(drive, [])).toBe('Drive 25.5 cm back at 20 cm/s with gain 1.2');
    expect(turn && describeStep(turn, [])).toBe(
      'Turn by 45° to the right, at 90°/s, stopping 5.2° early',
    );
  });

  it('knows when knowledge is old', () => {
    const now = new Date('2026-11-24T08:00:00Z');
    expect(knowledgeAge(null, now, 'none').state).toBe('missing');
    expect(knowledgeAge(new Date('2026-11-23T20:00:00Z'), now, '').text).toBe('yesterday');
    expect(knowledgeAge(new Date('2026-11-10T20:00:00Z'), now, '').state).toBe('ageing');
  });
});
