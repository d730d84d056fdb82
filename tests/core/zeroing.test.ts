import { describe, expect, it } from 'vitest';
import { robotSchema } from '../../src/core/robot/robot';
import { randomStream } from '../../src/core/stats/random';
import { runBenchProgram } from '../../src/core/standIn/program';
import { turnErrorModel } from '../../src/core/turns/errorModel';
import { afterTurns, zeroingSentence } from '../../src/core/turns/zeroing';
import { deg } from './support';

/** A group of turns by 90° that go 3° too far, with a scatter of 1°. */
function model(n = 40) {
  const random = randomStream(4, 0, 'turns');
  const points = Array.from({ length: n }, () => ({
    target: deg(90),
    actual: deg(93) + deg(1) * random.normal(),
  }));
  const found = turnErrorModel(points);
  if (found === null) throw new Error('no model');
  return found;
}

describe('zeroing before each turn', () => {
  it('adds up the errors of all turns, counting on leaves that of the last', () => {
    const four = afterTurns(model(), deg(90))[2];
    expect(four?.turns).toBe(4);
    expect(four?.zeroedRad).toBeCloseTo(4 * (four?.countedOnRad ?? 0), 9);
    expect(four?.zeroedSdRad).toBeCloseTo(2 * (four?.countedOnSdRad ?? 0), 9);
    expect(four?.countedOnRad).toBeGreaterThan(deg(2.6));
    expect(zeroingSentence(afterTurns(model(), deg(90)), deg(90))).toMatch(
      /After 8 turns of 90° to one side it then faces (\d(?:\.\d)?)° ± \d(?:\.\d)?° wrong.*zeroed before each, 2\d(?:\.\d)?° ± [23](?:\.\d)?°/,
    );
  });

  it('does so on the simulator, too: turns each by its own angle', () => {
    const robot = robotSchema.parse({
      wheelDiameterM: 0.056,
      trackM: 0.12,
      units: [
        { id: 'l', kind: 'left motor', label: 'M1' },
        { id: 'r', kind: 'right motor', label: 'M2' },
        { id: 'g', kind: 'heading sensor', label: 'H1' },
      ],
    });
    const how = { school: 'stop-early' as const, rateRadPerS: 1.5, leadRad: 0 };
    const turn = { kind: 'turn' as const, angleRad: deg(90), how };
    const after = (n: number) => {
      const samples = runBenchProgram(
        robot,
        Array.from({ length: n }, () => turn),
        3,
      );
      return (samples.at(-1)?.pose.headingRad ?? 0) - n * deg(90);
    };
    expect(after(4)).toBeGreaterThan(3.4 * after(1));
    expect(after(4)).toBeLessThan(4.6 * after(1));
  });

  it('says nothing where nobody can know how turns scatter', () => {
    expect(zeroingSentence(afterTurns(model(3), deg(90)), deg(90))).toBeNull();
  });
});
