import { describe, expect, it } from 'vitest';
import { rangeStudy } from '../../src/core/ranging/rangeStudy';

describe('a sensor that sticks', () => {
  const bench = (reads: (trueM: number) => number) =>
    [0.02, 0.04, 0.06, 0.1, 0.2, 0.3].flatMap((trueM) =>
      [0, 1, 2].map((i) => ({ unit: 'D', trueM, readingM: reads(trueM) + 0.0005 * (i - 1) })),
    );
  const studyOf = (readings: ReturnType<typeof bench>) => rangeStudy(readings, 'D', 0.01);

  it('near a wall, is not taken for one with another scale', () => {
    const found = studyOf(bench((trueM) => Math.max(0.06, trueM)));
    expect(found?.value?.scaleFactor).toBeCloseTo(1, 2);
    expect(found?.value?.validFromM).toBeCloseTo(0.1, 9);
    expect(found?.sentences?.means).toMatch(/At 2 cm, 4 cm, 6 cm it reads something else/);
    const short = studyOf(bench((trueM) => Math.min(0.1, trueM)));
    expect(short?.value?.validToM).toBeCloseTo(0.06, 9);
  });

  it('or bends, is told by its repeats: not applied where it bends far, less surely known where it bends a little', () => {
    const far = studyOf(bench((trueM) => trueM + 0.03 * Math.sin(22 * trueM)));
    expect(far?.value).toBeNull();
    expect(far?.sentences?.next).toMatch(
      /does not read straight with the distance: up to [123]\d mm off/,
    );
    const straight = studyOf(bench((trueM) => trueM + 0.004));
    const little = studyOf(bench((trueM) => trueM + 0.004 + 0.002 * Math.sin(20 * trueM)));
    expect(straight?.found.units[0]?.bendM).toBeNull();
    expect(little?.found.units[0]?.bendM).toBeGreaterThan(0.0005);
    expect(little?.value?.offsetSeM).toBeGreaterThan(3 * (straight?.value?.offsetSeM ?? Infinity));
  });

  it('or reads in another unit, is not applied', () => {
    const found = studyOf(bench((trueM) => trueM / 2.54));
    expect(found?.value).toBeNull();
    expect(found?.sentences?.next).toMatch(/No distance sensor reads × 0\.39/);
  });
});
