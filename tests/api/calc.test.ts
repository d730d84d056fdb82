import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { pipit, ROUTE_VERSIONS, winterGarden } from '../../src/server/demo/scenario';
import { recordedRuns } from '../core/support';
import { calcAnswer } from '../../scripts/lib/calcAnswer';
import { runScript } from '../support/corvat';

const asText = (input: unknown) => (typeof input === 'string' ? input : JSON.stringify(input));
const calc = (name: string, input: unknown) =>
  calcAnswer([name], () => Promise.resolve(asText(input)));

describe('corvat calc', () => {
  it('lists what it computes, with a schema for each', async () => {
    const list = runScript('calc', ['--list']).out;
    for (const name of [
      'consistency',
      'convert',
      'simulate',
      'still-check',
      'turn-model',
      'square-path',
      'drift-anchors',
    ]) {
      expect(list).toContain(name);
      const { out } = await calcAnswer([name, '--schema'], () => Promise.reject(new Error('read')));
      expect(JSON.parse(out)).toHaveProperty('type', 'object');
    }
  });

  it('publishes what a route is: its schema is the one beside the formats', async () => {
    const { out } = await calcAnswer(['route', '--schema'], () =>
      Promise.reject(new Error('read')),
    );
    expect(JSON.parse(out)).toEqual(
      JSON.parse(readFileSync('docs/formats/route.schema.json', 'utf8')),
    );
  });

  it('answers on the command line as within, and ends with 2 for wrong input', async () => {
    const input = { wheelDiameterM: 0.056, trackM: 0.12, gearRatio: 1, motorDegrees: 360 };
    for (const [name, text] of [
      ['convert', JSON.stringify({ ...input, encoderCountsPerMotorDegree: 1 })],
      ['convert', '{"wheelDiameterM":-1}'],
      ['no-such', ''],
    ] as const) {
      expect(runScript('calc', [name], { input: text })).toEqual(await calc(name, text));
    }
    expect(runScript('calc', ['convert', '--colour']).status).toBe(2);
  });

  it('answers as the contract says', async () => {
    const consistency = await calc('consistency', {
      target: { xM: 0, yM: 0, headingRad: 0 },
      runs: [...recordedRuns('runs-before'), { success: false }],
    });
    expect(JSON.parse(consistency.out)).toMatchObject({
      n: 31,
      nPose: 30,
      biasXM: expect.closeTo(0.0036333333, 8) as number,
      accuracyM: expect.closeTo(0.0095822173, 8) as number,
      ellipse95: { semiMajorM: expect.closeTo(0.0532986574, 8) as number },
      success: { n: 31, low95: expect.any(Number) as number },
    });
    const size = {
      wheelDiameterM: 0.056,
      trackM: 0.12,
      gearRatio: 1,
      encoderCountsPerMotorDegree: 1,
    };
    expect(JSON.parse((await calc('convert', { ...size, motorDegrees: 360 })).out)).toMatchObject({
      straight: { distanceM: expect.closeTo(0.175929, 6) as number, motorDegrees: 360 },
    });
    const simulation = {
      robot: pipit,
      table: winterGarden,
      route: ROUTE_VERSIONS[2]?.route,
      runs: 3,
      seed: 5,
    };
    const simulated = JSON.parse((await calc('simulate', simulation)).out) as {
      ends: object[];
      trace: object[];
    };
    expect(simulated.ends).toHaveLength(3);
    expect(simulated.ends[0]).toMatchObject({
      failedStep: null,
      timeS: expect.any(Number) as number,
    });
    expect(simulated.trace.length).toBeGreaterThan(100);
  });

  it('answers for the bench as its contracts say', async () => {
    const deg = Math.PI / 180;
    const samples = Array.from({ length: 601 }, (_, i) => ({
      tS: i / 10,
      headingRad: Math.round(0.5 * i) * 0.1 * deg,
    }));
    const still = JSON.parse(
      (await calc('still-check', { samples, runDurationS: 100, toleranceRad: 0.03 })).out,
    ) as Record<string, unknown>;
    expect(still).toMatchObject({
      driftRadPerS: expect.closeTo(0.5 * deg, 4) as number,
      cleanS: expect.closeTo(60, 6) as number,
      touched: [],
      verdict: 're-zero',
    });
    expect(still.headingErrorAtEndRad).toBeCloseTo((still.driftRadPerS as number) * 100, 12);
    const trials = [90, 90, 180, 180, 45, -90, -90, -180, -45, -180].map((angle) => ({
      targetRad: angle * deg,
      actualRad: (angle + 4 * Math.sign(angle)) * deg,
      rateRadPerS: 1.5,
    }));
    expect(
      JSON.parse((await calc('turn-model', { trials, wantedRad: [-90 * deg] })).out),
    ).toMatchObject({
      groups: [{ direction: 'both', kind: 'spin', model: 'c', n: 10 }],
      lagS: null,
      brakingRadPerS2: null,
      commands: [{ direction: 'right', commandRad: expect.closeTo(-86 * deg, 6) as number }],
    });
    const lap = { xM: 0.1, yM: 0.1, headingRad: -0.1 };
    const square = { sideM: 1, trackM: 0.14, wheelDiameterM: 0.056, cw: [lap], ccw: [lap] };
    expect(
      JSON.parse((await calc('square-path', { ...square, driven: 'gyro' })).out),
    ).toMatchObject({
      turnBiasRad: 0,
      driftRadPerLap: expect.closeTo(0.1, 9) as number,
    });
    const anchored = await calc('drift-anchors', {
      samples,
      anchors: [
        { tS: 0, headingRad: 0 },
        { tS: 60, headingRad: 0 },
      ],
    });
    expect(JSON.parse(anchored.out)).toMatchObject({
      pieces: [{ fromS: 0, toS: 60, driftRadPerS: expect.closeTo(0.5 * deg, 9) as number }],
      leaveOneOutRad: [],
    });
  });

  it.each([
    [
      'still-check',
      {
        samples: [
          { tS: 0, headingRad: 0 },
          { tS: 1, rateRadPerS: 0 },
        ],
        runDurationS: 1,
        toleranceRad: 1,
      },
      /^samples\[1\]: expected headingRad/,
    ],
    [
      'turn-model',
      { trials: [{ targetRad: 0, actualRad: 0, rateRadPerS: 1 }], wantedRad: [] },
      /^trials\[0\]\.targetRad: expected a turn/,
    ],
    [
      'square-path',
      { sideM: 1, trackM: 0.1, wheelDiameterM: 0.05, driven: 'hope', cw: [], ccw: [] },
      /^driven: /,
    ],
    ['drift-anchors', { samples: [], anchors: [] }, /^samples: /],
    ['consistency', '', /^\(input\): expected JSON/],
    [
      'consistency',
      { target: { xM: 0, yM: 0, headingRad: 0 }, runs: [{ xM: 1 }] },
      /^runs\[0\].*xM and yM together/,
    ],
    ['consistency', { runs: [] }, /^target: expected object/],
    ['convert', { wheelDiameterM: -1 }, /^wheelDiameterM: /],
    ['simulate', { runs: 0 }, /^robot: /],
  ])(
    '%s with wrong input ends with 2 and one line that names the field',
    async (name, input, line) => {
      const { status, err, out } = await calc(name, input);
      expect(status).toBe(2);
      expect(out).toBe('');
      expect(err.trim()).toMatch(line);
      expect(err.trim().split('\n')).toHaveLength(1);
    },
  );
});
