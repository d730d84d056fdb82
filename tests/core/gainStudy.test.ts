import { describe, expect, it } from 'vitest';
import { radiansFromDegrees } from '../../src/core/geometry/angle';
import { evidenceText } from '../../src/core/tuning/evidenceText';
import { asTyped, gainText } from '../../src/core/control/tuned';
import { gainStudy, seenOf, type GainTrial } from '../../src/core/tuning/gainStudy';
import { readGainTrace } from '../../src/formats/csv/gainTraceCsv';
import { recordedText } from '../support/recorded';

const look = (gain: number, seen: GainTrial['seen']): GainTrial => ({
  gain,
  seen,
  proposedGainFactor: null,
});
const file = (text: string, name = 'trace.csv') => new File([text], name);
const BESIDE = { target: 0.1, side: 'right' } as const;
const VERDICTS = ['too-weak', 'good', 'too-strong', 'wrong-sign'] as const;

describe('gains that were tried', () => {
  it('say what the last was and which is next, once more where it looked good', () => {
    const first = gainStudy('wall', [look(10, 'too jerky')]);
    expect(first?.sentences.found).toBe(`${gainText('wall', 10)} is too strong: it swings on.`);
    expect(first?.gain).toBeLessThan(5);
    const once = gainStudy('wall', [look(10, 'too jerky'), look(3, 'good')]);
    expect(once?.sentences.next).toBe(`Look at ${gainText('wall', 3)} once more.`);
    const twice = gainStudy('wall', [look(10, 'too jerky'), look(3, 'good'), look(3, 'good')]);
    expect(twice).toMatchObject({ gain: 3, isFound: true });
    expect(gainStudy('wall', [])).toBeNull();
  });

  it('go by what a trace proposed when the last was judged by one', () => {
    const weak = { gain: 2, seen: seenOf('too-weak'), proposedGainFactor: 4 };
    const study = gainStudy('turn', [look(100, 'too jerky'), weak]);
    expect(study?.gain).toBe(8);
    expect(study?.sentences.means).toBe('Judged by 1 trace.');
  });

  it('are said in the units that a coach types, to three digits', () => {
    // 1 m/s for a radian is 17.45 mm/s for a degree.
    expect(gainText('heading-hold', 1).replaceAll('\u00a0', ' ')).toBe('17.5 mm/s per °');
    expect(asTyped('heading-hold', 1) * 1000 * radiansFromDegrees(1)).toBeCloseTo(17.5, 9);
    expect(gainText('line', -0.002).replaceAll('\u00a0', ' ')).toBe('−0.0011 °/s per %');
  });
});

describe('a trace from a file', () => {
  it.each(VERDICTS.map((verdict, i) => [i + 1, verdict] as const))(
    'of a wall, the %i. is %s, and says so',
    async (n, verdict) => {
      const { judged, bad } = await readGainTrace(
        file(recordedText(`wall-follow-${n}.csv`)),
        'wall',
        BESIDE,
      );
      expect(bad).toEqual([]);
      expect(judged?.verdict).toBe(verdict);
      expect(evidenceText(judged).toLowerCase()).toMatch(
        new RegExp(`^${verdict.replace('-', ' ')}`),
      );
    },
  );

  it('of a turn is judged by what is left at its end, not by how far it had to turn', async () => {
    // 90° to go, and then 8° to either side for ever.
    const lines = Array.from({ length: 200 }, (_, i) => {
      const left = i < 25 ? 90 - 3.6 * i : 8 * Math.sin((i - 25) / 3);
      return `${i * 0.02},${-left},${4 * left}`;
    });
    const text = ['t_s,error_deg,correction_deg_per_s', ...lines].join('\n');
    const { judged } = await readGainTrace(file(text), 'turn', BESIDE);
    expect(judged?.verdict).toBe('too-strong');
  });

  it('says what is missing, where time goes back, and that it is too short', async () => {
    await expect(readGainTrace(file('t_s,error_deg\n0,1'), 'turn', BESIDE)).rejects.toThrow(
      'There is no column correction_deg_per_s in the heading line',
    );
    const head = 't_s,error_deg,correction_deg_per_s\n';
    await expect(
      readGainTrace(file(`${head}0,1,0\n0.2,1,0\n0.1,1,0`), 'turn', BESIDE),
    ).rejects.toThrow('Line 4: the time goes back (0.1 s).');
    const short = await readGainTrace(file(`${head}0,8,-4\n0.1,7,-4\nx,6,-3`), 'turn', BESIDE);
    expect(short.bad).toEqual([{ line: 4, why: 't_s: “x” is no number' }]);
    expect(evidenceText(short.judged)).toContain('Too short to tell');
    await expect(
      readGainTrace(file('t_s,reading_cm,correction_deg_per_s\n0,,0'), 'wall', BESIDE),
    ).rejects.toThrow('There is no reading in the column reading_cm.');
  });
});
