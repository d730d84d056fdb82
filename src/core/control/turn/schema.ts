import { z } from 'zod';

const rate = z.number().min(0.05).max(20);
const lead = z.number().min(0).max(1.5);

/** Ways to program a turn; angles in radians, rates of the robot's turning in rad/s. */
export const turnStrategySchema = z.discriminatedUnion('school', [
  z.object({
    school: z.literal('encoder'),
    rateRadPerS: rate,
    endRateRadPerS: z
      .number()
      .min(0.01)
      .max(20)
      .optional()
      .describe('it slows down to this before it stops, so that it does not coast'),
  }),
  z.object({ school: z.literal('stop-early'), rateRadPerS: rate, leadRad: lead.default(0) }),
  z.object({
    school: z.literal('two-speed'),
    rateRadPerS: rate,
    slowRateRadPerS: rate,
    slowFromRad: z.number().min(0).max(3.2).describe('angle left at which it slows down'),
    leadRad: lead.default(0),
  }),
  z.object({
    school: z.literal('proportional'),
    rateRadPerS: rate.describe('the highest rate'),
    kpPerS: z.number().min(0).max(100).describe('rate per angle left'),
    kd: z.number().min(0).max(10).default(0).describe('rate taken off per turning rate'),
    kiPerS2: z.number().min(0).max(100).default(0),
    leastRateRadPerS: z.number().min(0).max(5).default(0.25).describe('below this it stands'),
    integralLimitRadPerS: z.number().min(0).max(5).default(0.4),
    settledRad: z.number().min(0.0005).max(0.5).default(0.0175),
    settledRateRadPerS: z.number().min(0.001).max(5).default(0.09),
    settledS: z.number().min(0).max(2).default(0.1),
  }),
]);

export type TurnStrategy = z.output<typeof turnStrategySchema>;
