import type { z } from 'zod';
import { valuesSchema } from '../../../core/description/schema';
import { TURN_ENTRY } from '../../../core/trials/turn';

/** A turn while it is entered: what was told, and what was read off by which means. */
export const turnEntrySchema = valuesSchema(TURN_ENTRY);

export type TurnEntryValues = z.output<typeof turnEntrySchema>;
