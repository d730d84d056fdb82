import { COMMAND_WAYS, turnUnit } from '../../../core/program/commands';
import {
  commandFromRate,
  rateFromCommand,
  roughPercent,
  roughRate,
} from '../../../core/program/turnRate';
import type { Robot } from '../../../core/robot/robot';
import { ProgramField } from '../../../ui/fields/ProgramField';
import type { TurnSetting } from './TurnEntry';

/** All of the power, in percent. */
const ALL = 100;

interface Props {
  robot: Robot;
  setting: TurnSetting;
  onSetting(setting: TurnSetting): void;
}

/** The turning rate as the robot's program tells its motors; a power can be typed before anybody has timed it. */
export function ProgramRate({ robot, setting, onSetting }: Props) {
  const { command } = robot.program;
  if (command === null) return null;
  const way = COMMAND_WAYS[command];
  const { kind } = setting;
  const timed = commandFromRate(robot, kind, command, setting.rateRadPerS);
  const isRough = timed === null && way.isPower;
  const set = (rateRadPerS: number | null) => {
    if (rateRadPerS === null || rateRadPerS <= 0) return false;
    onSetting({ ...setting, rateRadPerS });
    return true;
  };
  return (
    <>
      <ProgramField
        label="In the program"
        unit={turnUnit(command)}
        decimals={way.decimals}
        value={isRough ? (roughPercent(robot, kind, setting.rateRadPerS) * way.most) / ALL : timed}
        most={way.most}
        lacks={way.lacks}
        onTake={(typed) =>
          set(
            rateFromCommand(robot, kind, command, typed) ??
              (way.isPower ? roughRate(robot, kind, (ALL * typed) / way.most) : null),
          )
        }
      />
      {isRough && (
        <small className="faint">
          Nobody has timed this power: the rate is only that of the record’s top speed. Turns with
          one power still count together.
        </small>
      )}
    </>
  );
}
