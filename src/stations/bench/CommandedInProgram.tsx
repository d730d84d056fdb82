import { COMMAND_WAYS } from '../../core/program/commands';
import { TRAVEL_WAYS } from '../../core/program/travels';
import type { Robot } from '../../core/robot/robot';
import { ProgramField } from '../../ui/fields/ProgramField';
import { useRecordValue } from '../../ui/fields/recordForm';

interface Props {
  /** The field of the entry, in SI. */
  name: string;
  robot: Robot;
}

/** How fast it was told to drive, as its own programs have it; nothing where nobody has said how they count. */
export function SpeedInProgram({ name, robot }: Props) {
  const [value, set] = useRecordValue(name);
  const { command, forwardSign } = robot.program;
  if (command === null) return null;
  const way = COMMAND_WAYS[command];
  const told = way.commanded(robot, Number(value));
  return (
    <ProgramField
      label="Told in its program"
      unit={way.unit}
      decimals={way.decimals}
      value={told === null ? null : forwardSign * told}
      signed
      most={way.most}
      lacks={way.lacks}
      onTake={(typed) => {
        const mPerS = way.speed(robot, Math.abs(typed));
        if (mPerS === null || mPerS <= 0) return false;
        set(mPerS);
        return true;
      }}
    />
  );
}

/** How far it was told to drive, as its own programs have it: before anything is taken off. */
export function DistanceInProgram({ name, robot }: Props) {
  const [value, set] = useRecordValue(name);
  const { travel } = robot.program;
  if (travel === null) return null;
  const { unit, decimals, distanceM, travel: commandOf } = TRAVEL_WAYS[travel];
  return (
    <ProgramField
      label="As its program has it"
      {...{ unit, decimals }}
      value={Math.sign(Number(value)) * commandOf(robot, Math.abs(Number(value)))}
      signed
      onTake={(typed) => {
        if (typed === 0) return false;
        set(Math.sign(typed) * distanceM(robot, Math.abs(typed)));
        return true;
      }}
    />
  );
}
