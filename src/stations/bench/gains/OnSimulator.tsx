import { gainText, type TunedId } from '../../../core/tuning/controllers/shown';
import type { RobotRecord } from '../../../formats/records';
import type { GoodReply } from '../../../workers/gains.worker';

interface Props {
  robot: RobotRecord;
  controller: TunedId;
  /** Null while it is sought. */
  reply: GoodReply | null;
}

/** Which gains are good on the simulator, for the robot as it was measured, or why that cannot be said. */
export function OnSimulator({ robot, controller, reply }: Props) {
  const said = (): string => {
    if (reply === null) return 'Trying gains on the simulator …';
    if (reply.lack !== null) return `${reply.lack} Without it the simulator has no first guess.`;
    if (reply.good === null) {
      return 'On the simulator no gain is good for this robot: a sensor that looks to a wall or a line has to sit ahead of the axle; or drive slower.';
    }
    const { from, to, middle } = reply.good;
    return `On the simulator, with ${robot.name} as it was measured, ${gainText(controller, from)} to ${gainText(controller, to)} are good; ${gainText(controller, middle)} is in their middle.`;
  };
  return (
    <p className="faint" data-testid="on-simulator">
      {said()}
    </p>
  );
}
