import { meanStopM } from '../../../control/meanStop';
import { devicesOf } from '../../../devices/ofRobot';
import { pastEdgeM } from '../../../sensing/pastEdge';
import { seenLaterBy } from '../../seenLater';
import { directionText, SEEN_BY } from '../../../light/linePassWords';
import { benchSpeed, errorLength } from '../../../text/quantities';
import type { CalibrationKindOf } from '../../kind';
import type { LineCrossingCalibration } from '../../../calibrationValues/lineCrossing';

export const lineCrossing: CalibrationKindOf<LineCrossingCalibration> = {
  kind: 'line-crossing',
  name: 'stops by a line',
  unit: null,
  measuredBy: { procedure: 'line-speed', words: 'Cross a line' },
  restsOn: ['wheels and track', 'motors', 'light sensor'],
  describe: ({ by, speedMPerS, overruns }) =>
    `by ${SEEN_BY[by]} at ${benchSpeed(speedMPerS)}: ${overruns
      .map(
        (one) =>
          `${errorLength(one.overM)} ± ${errorLength(one.sdM, 1)} past the edge ${directionText(one)}`,
      )
      .join(', ')}`,
  fit(robot, { by, speedMPerS, overruns: [first] }) {
    const [sensor] = devicesOf(robot, 'light sensor');
    if (sensor === undefined || first === undefined || by !== 'brightness') return robot;
    const { behaviour } = sensor;
    const lineIs = behaviour.lineShare < behaviour.floorShare ? 'darker' : 'lighter';
    const foreseenM =
      pastEdgeM(behaviour, lineIs, first.on) +
      meanStopM(robot, behaviour.periodS, speedMPerS, Infinity);
    // What it stands further on, driving forwards, is as if its sensors sat further behind.
    const way = first.drives === 'forwards' ? 1 : -1;
    return seenLaterBy(robot, way * (first.overM - foreseenM));
  },
};
