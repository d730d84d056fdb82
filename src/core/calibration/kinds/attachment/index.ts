import { degrees } from '../../../text/quantities';
import type { CalibrationKindOf } from '../../kind';
import type { AttachmentCalibration } from '../../../calibrationValues/attachment';

export const attachment: CalibrationKindOf<AttachmentCalibration> = {
  kind: 'attachment',
  name: 'positions of the attachment',
  unit: 'attachment motor',
  measuredBy: { procedure: 'attachments', words: 'Move it to its positions' },
  restsOn: ['other'],
  isOnlyTyped: true,
  describe: ({ positions }) =>
    positions
      .map(
        ({ name, endedBy, angleRad, sdRad }) =>
          `${name} at ${degrees(angleRad)} ± ${degrees(sdRad)}${endedBy === 'time' ? ' by time' : ''}`,
      )
      .join(', '),
  fit: (robot, { unitId = null, positions }) => ({
    ...robot,
    measured: {
      ...robot.measured,
      arms: [
        ...robot.measured.arms.filter((arm) => arm.unitId !== unitId),
        {
          unitId,
          positions: positions.map(({ name, angleRad, sdRad }) => ({ name, angleRad, sdRad })),
        },
      ],
    },
  }),
};
