import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { drive } from '../../../src/core/control/drive';
import { toLine, type ToLine } from '../../../src/core/control/toLine';
import { robotSchema } from '../../../src/core/robot/robot';
import { otherNoise } from '../../support/otherNoise';
import { perfectMachine } from './perfectMachine';

const TRACK = 0.13;
const robot = robotSchema.parse({ wheelDiameterM: 0.056, trackM: TRACK, loopPeriodS: 0.001 });
const FLOOR = 0.6;
const LINE = 0.1;

const TOLD: ToLine = {
  of: { unitId: 'L1', channel: 'light' },
  enter: 0.3,
  leave: 0.4,
  lineIs: 'darker',
  count: 1,
  on: 'entering',
  speedMPerS: 0.2,
  keep: { strategy: 'open-loop' },
  timeoutS: 20,
};

interface Line {
  fromM: number;
  toM: number;
}

/** Drives over lines until it has come to the one that is asked, and says how, and where. */
function come(lines: readonly Line[], told: Partial<ToLine>, noise = () => 0) {
  const machine = perfectMachine({
    trackM: TRACK,
    readsAt: (xM) =>
      (lines.some(({ fromM, toM }) => xM >= fromM && xM < toM) ? LINE : FLOOR) + noise(),
  });
  const said = drive(machine, toLine({ ...TOLD, ...told }, robot), () => undefined);
  return { said, xM: machine.pose.xM };
}

describe('driving to a line', () => {
  it('stops at the n-th line, as it goes onto it or comes off it, forwards and backwards', () => {
    const widthM = fc.double({ min: 0.01, max: 0.05, noNaN: true });
    const speed = fc.double({ min: 0.03, max: 0.4, noNaN: true });
    fc.assert(
      fc.property(
        fc.array(widthM, { minLength: 1, maxLength: 4 }),
        speed,
        fc.constantFrom('entering' as const, 'leaving' as const),
        fc.constantFrom(-1, 1),
        (widths, speedMPerS, on, sign) => {
          const lines = widths.map((width, i) => ({
            fromM: 0.1 * (i + 1),
            toM: 0.1 * (i + 1) + width,
          }));
          const last = lines.at(-1) ?? { fromM: 0, toM: 0 };
          const mirrored = lines.map(({ fromM, toM }) => ({ fromM: -toM, toM: -fromM }));
          const { said, xM } = come(sign > 0 ? lines : mirrored, {
            count: lines.length,
            on,
            speedMPerS: sign * speedMPerS,
          });
          expect(said).toBe('done');
          const edgeM = on === 'entering' ? last.fromM : last.toM;
          // A look a millisecond: no further than it drives in two.
          expect(Math.abs(sign * xM - edgeM)).toBeLessThan(0.002 * speedMPerS + 1e-6);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('noise between both thresholds makes one line no two', () => {
    const { normal } = otherNoise(3);
    const two = [
      { fromM: 0.1, toM: 0.12 },
      { fromM: 0.3, toM: 0.32 },
    ];
    // Readings scatter by 0.02, far less than either is from a threshold; a soft edge would read between them.
    const { said, xM } = come(two, { count: 2 }, () => 0.02 * normal());
    expect(said).toBe('done');
    expect(xM).toBeGreaterThan(0.299);
    // A reading that wavers about one threshold alone is counted again and again.
    const wavering = [{ fromM: 0.1, toM: 1 }];
    const about = (told: Partial<ToLine>) =>
      come(wavering, { count: 3, timeoutS: 3, ...told }, () => 0.24 + 0.05 * normal());
    expect(about({ enter: 0.34, leave: 0.34 }).said).toBe('done');
    expect(about({ enter: 0.34, leave: 0.7 }).said).toBe('time');
  });

  it('what it stands on at first is no line that it came to; without a sensor, or a line, it says so', () => {
    const under = [
      { fromM: -0.02, toM: 0.02 },
      { fromM: 0.2, toM: 0.22 },
    ];
    expect(come(under, {}).xM).toBeGreaterThan(0.19);
    expect(come(under, { on: 'leaving' }).xM).toBeLessThan(0.03);
    expect(come([], { timeoutS: 2 }).said).toBe('time');
    expect(come(under, { of: null }).said).toBe('no-sensor');
    // A line lighter than the floor is one, too.
    expect(
      come([{ fromM: -5, toM: 0.1 }], { lineIs: 'lighter', enter: 0.4, leave: 0.3 }).xM,
    ).toBeCloseTo(0.1, 2);
  });
});
