import { z } from 'zod';

/** Values that kinds of step have in common. */
export const stepId = z.string().min(1).max(40).optional();
export const speed = z.number().min(0.01).max(5);
export const gain = z.number().min(0).max(20);
