import { describe, expect, it } from 'vitest';
import { pipit, ROUTE_VERSIONS, winterGarden } from '../../src/server/demo/scenario';
import { recordedRuns } from '../core/support';
import { runScript } from '../support/corvat';

const calc = (name: string, input: unknown) =>
  runScript('calc', [name], { input: typeof input === 'string' ? input : JSON.stringify(input) });

describe('corvat calc', () => {
  it('lists what it computes, with a schema for each', () => {
    const list = runScript('calc', ['--list']).out;
    for (const name of ['consistency', 'convert', 'simulate']) {
      expect(list).toContain(name);
      expect(JSON.parse(runScript('calc', [name, '--schema']).out)).toHaveProperty(
        'type',
        'object',
      );
    }
  });

  it('answers as the contract says', () => {
    const consistency = calc('consistency', {
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
    expect(JSON.parse(calc('convert', { ...size, motorDegrees: 360 }).out)).toMatchObject({
      straight: { distanceM: expect.closeTo(0.175929, 6) as number, motorDegrees: 360 },
    });
    const simulation = {
      robot: pipit,
      table: winterGarden,
      route: ROUTE_VERSIONS[2]?.route,
      runs: 3,
      seed: 5,
    };
    const simulated = JSON.parse(calc('simulate', simulation).out) as {
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

  it.each([
    ['consistency', '', /^\(input\): expected JSON/],
    [
      'consistency',
      { target: { xM: 0, yM: 0, headingRad: 0 }, runs: [{ xM: 1 }] },
      /^runs\[0\].*xM and yM together/,
    ],
    ['consistency', { runs: [] }, /^target: expected object/],
    ['convert', { wheelDiameterM: -1 }, /^wheelDiameterM: /],
    ['simulate', { runs: 0 }, /^robot: /],
  ])('%s with wrong input ends with 2 and one line that names the field', (name, input, line) => {
    const { status, err, out } = calc(name, input);
    expect(status).toBe(2);
    expect(out).toBe('');
    expect(err.trim()).toMatch(line);
    expect(err.trim().split('\n')).toHaveLength(1);
  });
});
