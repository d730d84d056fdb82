import { lengthM } from '../description/values';
import { choice, text, type NumberValue } from '../description/description';
import { trialKind, type TrialOf } from './kind';

const onGrid = (label: string, heading: string, title: string): NumberValue =>
  lengthM({ label, heading, title, quantity: 'small length' });

/** Where nose and tail stand on a grid along the way it starts; across is to the left positive. */
export const MARKS_ON_GRID = {
  noseAlongM: onGrid('Nose, along', 'Nose along', 'nose_along_mm'),
  noseAcrossM: onGrid('Nose, across (left +)', 'Nose across', 'nose_across_mm'),
  tailAcrossM: onGrid('Tail, across (left +)', 'Tail across', 'tail_across_mm'),
};

/** A robot that was placed as for a run. */
export const PLACING_TRIAL = trialKind({
  what: 'placing',
  fields: {
    person: text({
      label: 'Placed by (nickname)',
      heading: 'Who',
      title: 'person',
      isNeeded: true,
      wanted: 'expected who placed it',
    }),
    way: choice({
      label: 'How',
      hint: 'jig or hand',
      title: 'way',
      options: { 'in the jig': 'in the jig', 'by hand': 'by hand' },
      alsoWritten: { jig: 'in the jig', hand: 'by hand' },
    }),
    ...MARKS_ON_GRID,
  },
  readOff: ['noseAlongM', 'noseAcrossM', 'tailAcrossM'],
});

export type PlacingTrialRecord = TrialOf<typeof PLACING_TRIAL>;
