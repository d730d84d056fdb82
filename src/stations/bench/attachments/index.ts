import { movesStudy } from '../../../core/attachments/movesStudy';
import { calibrationFromMoves } from '../../../core/calibration/kinds/attachment/fromStudy';
import { devicesOf } from '../../../core/devices/ofRobot';
import type { AttachmentTrials } from '../../../formats/benchRecords';
import { heldOrTrials } from '../known';
import type { Procedure } from '../procedure';
import { emptyList } from '../trials/emptyList';
import { notAside, openedList } from '../trials/openedList';
import { foundInList } from '../waiting';

const empty = (id: string, robotId: string): AttachmentTrials => {
  const list = emptyList('attachments')(id, robotId);
  return { ...list, conditions: { ...list.conditions, armM: 0, startsAt: '' } };
};

export const attachments: Procedure = {
  id: 'attachments',
  title: 'Attachments',
  group: 'control',
  goodFor: 'how exactly an arm reaches its positions, its play, and how late it stops',
  minutes: 8,
  gives: ['attachment'],
  known: (facts) => heldOrTrials(facts, 'attachment', 'attachments', 'move'),
  found: (facts) =>
    foundInList(facts, 'attachments', ({ trials, conditions: { armM } }) => {
      const used = notAside(trials);
      const study = movesStudy(used, armM);
      const hasMotor = devicesOf(facts.robot.robot, 'attachment motor').length > 0;
      return {
        value: study && hasMotor ? calibrationFromMoves(study.found, armM) : null,
        raw: used,
      };
    }),
  props: (facts) => openedList(facts, 'attachments', empty),
};
