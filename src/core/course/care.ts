import type { Robot } from '../robot/robot';
import { devicesOf } from '../devices/ofRobot';

/** What is to be minded before a robot drives at the Bench. */
export const CARE_AT_THE_BENCH =
  'On the floor, or behind a raised edge: hands, hair and cables away from the wheels.';

/**
 * What is to be minded before a route is run, short.
 *
 * @param isNew nobody has run it yet
 */
export function careOfRoute(robot: Pick<Robot, 'units'>, isNew: boolean): string {
  const arms = devicesOf(robot, 'attachment motor').length > 0;
  return [
    ...(isNew
      ? ['Nobody has run this yet: drive it on the floor first, or behind a raised edge.']
      : []),
    arms
      ? 'Hands, hair and cables away from wheels and arms: arms may move as the program starts.'
      : 'Hands, hair and cables away from the wheels.',
    'The event’s rules and the venue’s instructions come first.',
  ].join(' ');
}
