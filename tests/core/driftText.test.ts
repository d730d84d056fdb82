import { describe, expect, it } from 'vitest';
import { measuredDrift } from '../../src/core/gyro/driftText';
import { deg } from './support';

describe('a measured drift', () => {
  it('is said as finely as it is known, and never as known for certain', () => {
    const measured = (driftDeg: number, halfDeg: number) =>
      measuredDrift({
        driftRadPerS: deg(driftDeg),
        low95: deg(driftDeg - halfDeg),
        high95: deg(driftDeg + halfDeg),
      });
    expect(measured(-0.5664, 0.0041)).toBe('−0.566 ± 0.004 °/s');
    expect(measured(0.25, 0.16)).toBe('0.25 ± 0.16 °/s');
    expect(measured(0.003, 0.0004)).toBe('0.0030 ± 0.0004 °/s');
  });
});
