import type { AttachmentTrials } from '../../../formats/benchRecords';
import { emptyList } from '../trials/emptyList';

/** An empty list of moves, kept with its first; nothing is said of the arm yet. */
export function newAttachmentTrials(id: string, robotId: string): AttachmentTrials {
  const list = emptyList('attachments')(id, robotId);
  return {
    ...list,
    conditions: {
      ...list.conditions,
      armM: 0,
      windowM: null,
      homesBy: 'nothing',
      homePower: null,
      homeRadPerS: null,
      rangeRad: null,
      counter: 'none',
      startsAt: '',
    },
  };
}
