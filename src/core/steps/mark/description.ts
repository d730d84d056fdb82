import { description, number, reference, type RecordOf } from '../../description/description';
import { say } from '../../description/phrase';

/** A mission is worked here: the robot stands for a while. */
export const MARK = description({
  kind: 'mark',
  label: 'Mission',
  fields: {
    missionId: reference({ label: 'Mission', to: 'mission' }),
    dwellS: number({
      label: 'Time at the mission',
      quantity: 'time',
      min: 0,
      max: 60,
      default: 1,
    }),
  },
  phrase: () => say`Work the ${'missionId'}, taking ${'dwellS'}`,
});

export type MarkStep = RecordOf<typeof MARK>;
