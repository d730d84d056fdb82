import { z } from 'zod';
import { rest } from '../../control/rest';
import { benchStepKind } from './kind';

export const wait = benchStepKind({
  schema: z.object({ kind: z.literal('wait'), durationS: z.number().min(0).max(60) }),
  control: ({ durationS }) => rest(durationS),
});
