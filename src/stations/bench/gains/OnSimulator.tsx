import { onSimulatorText } from '../../../core/tuning/onSimulator';
import type { TunedId } from '../../../core/robot/tunedIds';
import type { GoodReply } from '../../../workers/gains.worker';

interface Props {
  robotName: string;
  controller: TunedId;
  /** Of the sensor by which it follows something; null: it follows nothing. */
  aheadM: number | null;
  /** Null while it is sought. */
  reply: GoodReply | null;
}

/** Which gains are good on the simulator, for the robot as it was measured, or why that cannot be said. */
export function OnSimulator({ robotName, controller, aheadM, reply }: Props) {
  const said = (): string => {
    if (reply === null) return 'Trying gains on the simulator …';
    if (reply.lack !== null) return `${reply.lack} Without it the simulator has no first guess.`;
    return onSimulatorText(controller, robotName, reply.good, aheadM);
  };
  return (
    <p className="faint" data-testid="on-simulator">
      {said()}
    </p>
  );
}
