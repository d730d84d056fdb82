import { z } from 'zod';
import { shapeOf } from '../../description/schema';
import { SETTINGS } from './description';

/** What a coach may set about the still check, as it is kept and asked for; apart, for screens need no Zod. */
export const stillSettingsSchema = z.object(shapeOf(SETTINGS));
