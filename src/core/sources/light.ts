import { goesBy } from '../steps/goesBy';
import { calibrationOf } from '../calibration/find';
import { devicesOf, withDevice } from '../devices/ofRobot';
import { percent } from '../text/quantities';
import { guess, onRobot, plusMinusShare, type Source } from './source';

/** Lamps, windows and shadows of another room change what a floor sends back by about so much. */
const ANOTHER_ROOM = 0.1;

const shareOf = (share: number): number => Math.min(1, Math.max(0, share));

/** What may be off about what is read of the floor. */
export const LIGHT: readonly Source[] = [
  {
    name: 'light of the room',
    level: 'robot',
    measuredBy: 'light',
    touches: ({ steps }) => goesBy(steps, 'light sensor'),
    doubt: (values) => {
      const held = calibrationOf(values, 'light-threshold');
      // Counts that nobody knows the largest of tell the robot that is computed with nothing.
      if (held === null || held.full === null || held.floorReads === 0) return guess(ANOTHER_ROOM);
      return { sdRobot: held.floorSd / Math.abs(held.floorReads), measured: true };
    },
    figure: (robot) => {
      const [sensor] = devicesOf(robot, 'light sensor');
      if (sensor === undefined) return null;
      const { lineShare, floorShare } = sensor.behaviour;
      return `line ${percent(lineShare)}, floor ${percent(floorShare)}`;
    },
    within: plusMinusShare,
    sample: (one, share) =>
      onRobot(one, (robot) =>
        // One room, one light: it is the same for every sensor of the robot.
        devicesOf(robot, 'light sensor').reduce(
          (lit, { id, behaviour: { floorShare, lineShare } }) =>
            withDevice(lit, 'light sensor', id, {
              floorShare: shareOf(floorShare * (1 + share)),
              lineShare: shareOf(lineShare * (1 + share)),
            }),
          robot,
        ),
      ),
  },
];
