import { movesStudy } from '../../../core/attachments/movesStudy';
import { calibrationFromMoves } from '../../../core/calibration/kinds/attachment/fromStudy';
import { devicesOf } from '../../../core/devices/ofRobot';
import { heldOrTrials } from '../known';
import type { Procedure } from '../procedure';
import { notAside, openedList } from '../trials/openedList';
import { foundInList } from '../waiting';
import { newAttachmentTrials } from './newTrials';

export const attachments: Procedure = {
  id: 'attachments',
  title: 'Attachments',
  group: 'control',
  goodFor: 'how exactly an arm reaches its positions, its play, and how late it stops',
  minutes: 8,
  gives: ['attachment'],
  known: (facts) => heldOrTrials(facts, 'attachment', 'attachments', 'move'),
  found: (facts) =>
    foundInList(facts, 'attachments', ({ trials, conditions }) => {
      const used = notAside(trials);
      const study = movesStudy(used, conditions);
      const hasMotor = devicesOf(facts.robot.robot, 'attachment motor').length > 0;
      return {
        value: study && hasMotor ? calibrationFromMoves(study.found, conditions) : null,
        raw: used,
      };
    }),
  props: (facts) => openedList(facts, 'attachments', newAttachmentTrials),
};
