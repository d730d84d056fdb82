import { z } from 'zod';

export const finite = z.number();
export const notNegative = z.number().nonnegative();
