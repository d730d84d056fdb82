import { describe, expect, it } from 'vitest';
import { turnAfterDrive, type TurnStart } from '../../src/core/turns/afterDrive';
import { turnModel } from '../../src/core/turns/turnModel';
import { generator, normal } from '../support/eulerRobot';
import { deg } from './support';

const COAST = deg(5);
/** Its gyro reads one percent too much. */
const SCALE = 1.01;

/** Turns that go on by 5°, each after a drive that left the robot askew by a degree or two: where each ended, from the line. */
function turnsAfterDrives(turnsTo: boolean, n: number) {
  const random = generator(91);
  return Array.from({ length: n }, (_, i) => {
    const targetRad = deg(i % 2 === 0 ? 90 : 45);
    const facedRad = deg(1.5) * normal(random);
    const readingRad = SCALE * facedRad;
    const commandedRad = turnsTo ? targetRad - readingRad : targetRad;
    const turnedRad = commandedRad / SCALE + COAST + deg(0.2) * normal(random);
    return { targetRad, facedRad, readingRad, endedRad: facedRad + turnedRad };
  });
}

const modelOf = (turns: ReturnType<typeof turnsAfterDrives>, start: (i: number) => TurnStart) =>
  turnModel(
    turns.map((turn, i) => ({
      ...turnAfterDrive(turn, start(i)),
      rateRadPerS: deg(90),
      kind: 'spin' as const,
    })),
    0,
    [deg(90)],
  ).groups[0]?.model;

describe('turns that follow a drive', () => {
  it.each([true, false])(
    'go on as turns do that begin along the line (told to a heading: %s)',
    (turnsTo) => {
      const turns = turnsAfterDrives(turnsTo, 24);
      const known = modelOf(turns, (i) => {
        const { facedRad = 0, readingRad = 0 } = turns[i] ?? {};
        return { facedRad, readingRad, turnsTo };
      });
      const at90 = (known?.constantRad ?? 0) + (known?.scaleError ?? 0) * deg(90);
      expect(at90).toBeGreaterThan(COAST + deg(90) / SCALE - deg(90) - deg(0.3));
      expect(at90).toBeLessThan(COAST + deg(90) / SCALE - deg(90) + deg(0.3));
      expect(known?.residualSdRad).toBeLessThan(deg(0.5));
      // Either heading alone will do: a gyro is off by little in so few degrees.
      for (const only of ['facedRad', 'readingRad'] as const) {
        const half = modelOf(turns, (i) => ({
          facedRad: null,
          readingRad: null,
          turnsTo,
          [only]: turns[i]?.[only] ?? null,
        }));
        expect(half?.residualSdRad).toBeLessThan(deg(0.5));
      }
    },
  );

  it('count with less weight where nobody knows how they began', () => {
    const turn = { targetRad: deg(90), endedRad: deg(96) };
    const unknown = turnAfterDrive(turn, { facedRad: null, readingRad: null, turnsTo: false });
    expect(unknown).toEqual({ targetRad: deg(90), actualRad: deg(96), readingSdRad: deg(1) });
  });
});
