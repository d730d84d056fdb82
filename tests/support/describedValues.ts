import { expect } from 'vitest';
import type { Fields } from '../../src/core/description/description';

const JUST = 1e-6;

/** A value fits up to its limits and no further; `takes`: whether a record with such a value is taken. */
export function holdsItsLimits(fields: Fields, takes: (name: string, value: unknown) => boolean) {
  for (const [name, field] of Object.entries(fields)) {
    if (field.is !== 'number') continue;
    const { min, max, open, whole } = field;
    const step = whole === true ? 1 : JUST;
    const inside = [open === undefined ? min : min + step, open === 'both' ? max - step : max];
    const outside = [open === undefined ? min - step : min, open === 'both' ? max : max + step];
    expect(
      [...inside, ...outside].map((value) => takes(name, value)),
      `${name}, ${min} to ${max}`,
    ).toEqual([true, true, false, false]);
  }
}
