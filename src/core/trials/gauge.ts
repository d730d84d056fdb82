import { lengthM } from '../description/values';
import { text } from '../description/description';
import { trialKind, type TrialOf } from './kind';

/** A length that somebody read off, to see how well it can be read. */
export const GAUGE_TRIAL = trialKind({
  what: 'reading',
  fields: {
    person: text({
      label: 'Who reads',
      heading: 'Who',
      title: 'person',
      isNeeded: true,
      wanted: 'expected who read it',
    }),
    part: text({
      label: 'Which length',
      hint: 'box to wall, say',
      heading: 'Which',
      title: 'part',
      isNeeded: true,
      wanted: 'expected what was measured',
    }),
    valueM: lengthM({ label: 'Read', title: 'reading_cm', quantity: 'small length' }),
  },
  readOff: ['valueM'],
});

export type GaugeTrialRecord = TrialOf<typeof GAUGE_TRIAL>;
