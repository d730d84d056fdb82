import { z } from 'zod';

/** A colour as screens show it, so that it can be picked. */
export const colourSchema = z
  .string()
  .regex(/^#[0-9a-f]{6}$/, 'expected a colour such as "#c03020"');
