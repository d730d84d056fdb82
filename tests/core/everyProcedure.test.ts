import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { catalog } from '../../src/core/procedures/catalog';
import { legalInput } from '../support/legalInput';
import { draws } from '../support/draws';

const INPUTS = draws(60);
/** Of the processor, ms; a slow machine is given twice what is promised. */
const MOST_MS = 10_000;

const nameOf = (low: string) => low.replace('Low95', '').replace('low95', '');

/** Names under which the estimate of a bare interval may stand. */
const BESIDE = ['value', 'rate', 'mean', 'driftRadPerS', 'difference', 'ratio', 'timeConstantS'];

/** Every interval of a result is ordered, and holds its estimate. */
function checkIntervals(value: unknown, where: string): void {
  if (Array.isArray(value)) value.forEach((one, i) => checkIntervals(one, `${where}[${i}]`));
  if (value === null || typeof value !== 'object' || Array.isArray(value)) return;
  const record = value as Record<string, unknown>;
  for (const [name, one] of Object.entries(record)) {
    checkIntervals(one, `${where}.${name}`);
    if (typeof one !== 'number' || !/[lL]ow95/.test(name)) continue;
    const high = record[name.replace('Low95', 'High95').replace('low95', 'high95')];
    if (typeof high !== 'number') continue;
    expect(one, `${where}.${name}`).toBeLessThanOrEqual(high);
    const beside = nameOf(name) === '' ? BESIDE : [nameOf(name)];
    const estimate = beside.map((each) => record[each]).find((each) => typeof each === 'number');
    if (typeof estimate !== 'number') continue;
    const slack = 1e-9 * Math.max(1, Math.abs(estimate));
    expect(estimate, `${where}.${name}`).toBeGreaterThanOrEqual(one - slack);
    expect(estimate, `${where}.${name}`).toBeLessThanOrEqual(high + slack);
  }
}

/** No number is none. */
function checkNumbers(value: unknown, where: string): void {
  if (typeof value === 'number') expect(Number.isFinite(value), where).toBe(true);
  if (value === null || typeof value !== 'object') return;
  for (const [name, one] of Object.entries(value)) checkNumbers(one, `${where}.${name}`);
}

describe('every procedure answers whatever its schema lets in', () => {
  // Simulations are asked for their longest by themselves, below.
  const quick = catalog.filter(({ name }) => !['simulate', 'forecast', 'match'].includes(name));
  it.each(quick.map((procedure) => [procedure.name, procedure] as const))(
    '%s: in time, by finite figures in ordered intervals, or by a sentence',
    (name, procedure) => {
      for (const input of fc.sample(legalInput(procedure.input), { numRuns: INPUTS, seed: 21 })) {
        const began = process.cpuUsage().user;
        const result = procedure.run(input);
        expect((process.cpuUsage().user - began) / 1000, JSON.stringify(input)).toBeLessThan(
          MOST_MS,
        );
        checkNumbers(result, name);
        checkIntervals(result, name);
      }
    },
  );

  const run = (name: string, input: unknown) =>
    catalog.find((one) => one.name === name)?.run(input) as Record<string, unknown>;

  it('readings that come too closely for their noise are refused with a sentence', () => {
    const approach = {
      wantedM: 0.1,
      speedMPerS: 0.001,
      samplePeriodS: 0.001,
      latencyS: 0,
      brakingMPerS2: 1,
      confirmations: 1,
      offsetM: 0,
      scaleFactor: 1,
      startGapM: 2,
    };
    expect(run('approach', { ...approach, noiseM: 0.05 }).sentence).toMatch(/longer sample period/);
    expect(run('approach', { ...approach, noiseM: 0.001 }).expectedGapM).toBeCloseTo(0.1, 5);
  });

  it('a robot that hardly moves, and more runs than are simulated at once, come to an end', () => {
    const simulation = {
      robot: {
        wheelDiameterM: 0.056,
        trackM: 0.13,
        units: [],
        motors: { maxSpeedMPerS: 1e-9, maxAccelerationMPerS2: 1e-9 },
      },
      table: { widthM: 2, heightM: 1 },
      route: {
        start: { xM: 0.5, yM: 0.5, headingRad: 0 },
        steps: [{ kind: 'straight', distanceM: 0.5 }],
      },
    };
    const [end] = run('simulate', { ...simulation, runs: 2 }).ends as { failure: string }[];
    expect(end?.failure).toBe('time');
    expect(run('simulate', { ...simulation, runs: 5000 }).sentence).toMatch(
      /^5000 runs of this length are too many at once: .* Ask for at most \d+\.$/,
    );
    const { table, ...launch } = simulation;
    const launches = ['a', 'b'].map((id) => ({ id, ...launch }));
    const match = { table, launches, runs: 8 };
    expect(run('match', match).sentence).toMatch(
      /^2 launches: 0 points on average, 0 the best of 3 matches\. All launches are back before the clock has run out \(2:30 min\) in 0 of 100/,
    );
    expect(run('match', { ...match, runs: 2000 }).sentence).toMatch(/^2000 runs of this length/);
  });

  it('two readings of a robot that lies still are a check, as if they were typed', () => {
    const samples = [0, 20].map((tS) => ({ tS, headingRad: 0.001 * tS }));
    const found = run('still-check', { samples, runDurationS: 100, toleranceRad: 0.03 });
    expect(found.driftRadPerS).toBeCloseTo(0.001, 9);
    expect(found.low95).toBeLessThan(0.001);
    expect(found.high95).toBeGreaterThan(0.001);
    const atOnce = samples.map((sample) => ({ ...sample, tS: 5 }));
    const none = run('still-check', { samples: atOnce, runDurationS: 100, toleranceRad: 0.03 });
    expect(none.sentence).toMatch(/at least a second/);
  });
});
