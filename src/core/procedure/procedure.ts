import type { z } from 'zod';

/** A procedure of the core under its public name, with what it takes. */
export interface Procedure {
  name: string;
  summary: string;
  input: z.ZodType;
  run(input: unknown): unknown;
}

const NOT_KNOWN = 'What is null cannot be told from so little.';

/** A result without numbers that are none: null is what cannot be told, and a sentence says so. */
function toldOnly(result: unknown): unknown {
  let untold = false;
  const told = (value: unknown): unknown => {
    if (typeof value === 'number') {
      if (Number.isFinite(value)) return value;
      untold = true;
      return null;
    }
    if (Array.isArray(value)) return value.map(told);
    if (value === null || typeof value !== 'object') return value;
    if (ArrayBuffer.isView(value)) return value;
    return Object.fromEntries(Object.entries(value).map(([name, one]) => [name, told(one)]));
  };
  const all = told(result);
  return untold && typeof all === 'object' && !Array.isArray(all)
    ? { sentence: NOT_KNOWN, ...all }
    : all;
}

export function procedure<Input extends z.ZodType>(
  name: string,
  summary: string,
  input: Input,
  compute: (input: z.output<Input>) => unknown,
): Procedure {
  return { name, summary, input, run: (value) => toldOnly(compute(input.parse(value))) };
}
