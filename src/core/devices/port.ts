import { z } from 'zod';
import { label } from './label';
import { PORT_CLASSES } from './portClasses';

/** A port of the controller. */
export const portSchema = z.strictObject({
  name: label.min(1, 'expected a name'),
  takes: z.array(z.enum(PORT_CLASSES)).default([]).describe('empty: any unit'),
});

export type Port = z.output<typeof portSchema>;
