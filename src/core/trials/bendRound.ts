import { choice, number } from '../description/description';
import { EDGE } from '../tuning/edge/description';
import { trialKind, type TrialOf } from './kind';

/** A bend along a line's edge that was driven at the table. */
export const BEND_ROUND = trialKind({
  what: 'round',
  fields: {
    radiusM: number({
      ...EDGE.radiusM,
      label: 'Bend',
      title: 'bend_mm',
    }),
    speedMPerS: number({
      ...EDGE.speedMPerS,
      label: 'At',
      title: 'speed_mm_per_s',
    }),
    gainRadPerS: number({
      ...EDGE.gainRadPerS,
      label: 'Gain',
      hint: '°/s for each percent of light',
      title: 'gain_deg_per_s_per_percent',
    }),
    ended: choice({
      label: 'The edge',
      title: 'edge',
      options: { held: 'held', lost: 'lost' },
    }),
  },
  readOff: ['ended'],
});

export type BendRoundRecord = TrialOf<typeof BEND_ROUND>;
