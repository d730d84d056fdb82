import { z } from 'zod';

/** A few words on a unit or a port. */
export const label = z.string().trim().max(40, 'expected at most 40 characters');
