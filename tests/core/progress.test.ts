import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { nextRunText, progressFigure, progressText } from '../../src/core/runs/progress';

describe('how far a series is', () => {
  it('counts against the plan, and beyond it says so', () => {
    expect(progressText(0, 10)).toBe('0 runs of 10 logged');
    expect(progressText(10, 10)).toBe('10 runs of 10 logged');
    expect(progressText(30, 10)).toBe('30 runs logged, 20 more than planned');
    expect(nextRunText(9, 10)).toBe('Run 10 of 10');
    expect(nextRunText(10, 10)).toBe('Run 11, beyond the 10 planned');
    expect(progressFigure(10, 30)).toEqual(['10', 'of 30']);
    expect(progressFigure(40, 30)).toEqual(['40', '30 planned']);
  });

  it('never counts more runs of a plan than it has', () => {
    const runs = fc.integer({ min: 0, max: 200 });
    fc.assert(
      fc.property(runs, fc.integer({ min: 1, max: 200 }), (used, planned) => {
        for (const text of [progressText(used, planned), nextRunText(used, planned)]) {
          const [, count = '0', of] = /(\d+)(?: runs?)? of (\d+)/.exec(text) ?? [];
          if (of !== undefined) expect(Number(count)).toBeLessThanOrEqual(Number(of));
        }
      }),
    );
  });
});
