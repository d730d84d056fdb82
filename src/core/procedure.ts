import type { z } from 'zod';

/** A procedure of the core under its public name, with what it takes. */
export interface Procedure {
  name: string;
  summary: string;
  input: z.ZodType;
  run(input: unknown): unknown;
}

export function procedure<Input extends z.ZodType>(
  name: string,
  summary: string,
  input: Input,
  compute: (input: z.output<Input>) => unknown,
): Procedure {
  return { name, summary, input, run: (value) => compute(input.parse(value)) };
}
