import type { Step } from '../../core/course/route';
import { COMMAND_WAYS } from '../../core/program/commands';
import { gainInProgram } from '../../core/program/gain';
import { TRAVEL_WAYS } from '../../core/program/travels';
import { commandFromRate, rateFromCommand } from '../../core/program/turnRate';
import type { Robot } from '../../core/robot';
import { number } from '../../core/text/quantities';
import { ProgramField } from '../../ui/ProgramField';
import styles from './CourseStation.module.css';

interface Props {
  step: Step;
  robot: Robot;
  onChange(step: Step): void;
}

const MOST = 1e6;

/** How fast, as the robot's programs say it; for turns that is how fast its wheels go. */
function CommandField({ step, robot, onChange }: Props) {
  const { command } = robot.program;
  if (command === null || step.kind === 'mark') return null;
  const way = COMMAND_WAYS[command];
  const value =
    step.kind === 'turn'
      ? commandFromRate(robot, 'spin', command, step.rateRadPerS)
      : way.told(robot, step.speedMPerS);
  const take = (typed: number): boolean => {
    const rate =
      step.kind === 'turn'
        ? rateFromCommand(robot, 'spin', command, typed)
        : way.speed(robot, typed);
    if (rate === null || rate <= 0) return false;
    onChange(step.kind === 'turn' ? { ...step, rateRadPerS: rate } : { ...step, speedMPerS: rate });
    return true;
  };
  return (
    <>
      {' '}
      at{' '}
      <ProgramField
        inline
        label="Speed in the program"
        unit={way.unit}
        decimals={way.decimals}
        value={value}
        max={way.most}
        lacks={way.lacks}
        onTake={take}
      />
      {value === null && ` ${way.lacks}`}
    </>
  );
}

function TravelField({ step, robot, onChange }: Props) {
  const { travel } = robot.program;
  if (travel === null || step.kind !== 'straight') return null;
  const { unit, decimals, travel: toTravel, distanceM } = TRAVEL_WAYS[travel];
  return (
    <ProgramField
      inline
      label="Distance in the program"
      {...{ unit, decimals }}
      value={toTravel(robot, Math.abs(step.distanceM))}
      max={MOST}
      onTake={(typed) => {
        onChange({ ...step, distanceM: Math.sign(step.distanceM || 1) * distanceM(robot, typed) });
        return true;
      }}
    />
  );
}

function GainText({ step, robot }: Omit<Props, 'onChange'>) {
  const { command } = robot.program;
  if (command === null || (step.kind !== 'straight' && step.kind !== 'approach')) return null;
  const gain = gainInProgram(robot, command, step.gainMPerSPerRad, step.speedMPerS);
  return gain === null ? null : `, gain ${number(gain, 2)} ${COMMAND_WAYS[command].unit} per °`;
}

/** A step as the robot's programs have it, in the team's own way of counting; either may be typed. */
export function ProgramLine(props: Props) {
  const { command, travel } = props.robot.program;
  if (props.step.kind === 'mark' || (command === null && travel === null)) return null;
  return (
    <small className={styles.inProgram}>
      In the program: <TravelField {...props} />
      <CommandField {...props} />
      <GainText {...props} />
    </small>
  );
}
