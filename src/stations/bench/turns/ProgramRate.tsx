import { COMMAND_WAYS } from '../../../core/program/commands';
import { commandFromRate, rateFromCommand } from '../../../core/program/turnRate';
import type { Robot } from '../../../core/robot';
import { ProgramField } from '../../../ui/ProgramField';
import type { TurnSetting } from './TurnEntry';

interface Props {
  robot: Robot;
  setting: TurnSetting;
  onSetting(setting: TurnSetting): void;
}

/** The turning rate as the robot's program tells its motors. */
export function ProgramRate({ robot, setting, onSetting }: Props) {
  const { command } = robot.program;
  if (command === null) return null;
  const way = COMMAND_WAYS[command];
  return (
    <ProgramField
      label="In the program"
      unit={way.unit}
      decimals={way.decimals}
      value={commandFromRate(robot, setting.kind, command, setting.rateRadPerS)}
      max={way.most}
      lacks={way.lacks}
      onTake={(typed) => {
        const rateRadPerS = rateFromCommand(robot, setting.kind, command, typed);
        if (rateRadPerS === null || rateRadPerS <= 0) return false;
        onSetting({ ...setting, rateRadPerS });
        return true;
      }}
    />
  );
}
