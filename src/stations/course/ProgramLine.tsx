import { COMMAND_WAYS, turnUnit } from '../../core/program/commands';
import { commandedTravel, travelledFor } from '../../core/program/commandedTravel';
import { notesOnStep, stepGainInProgram } from '../../core/course/programSentence';
import { TRAVEL_WAYS } from '../../core/program/travels';
import type { Robot } from '../../core/robot/robot';
import { kindOfStep } from '../../core/steps/registry';
import type { MotionStep } from '../../core/steps/descriptions';
import { errorLength } from '../../core/text/quantities';
import { ProgramField } from '../../ui/fields/ProgramField';
import styles from './CourseStation.module.css';

interface Props {
  step: MotionStep;
  robot: Robot;
  onChange(step: MotionStep): void;
}

/** How fast, as the robot's programs say it. */
function CommandField({ step, robot, onChange }: Props) {
  const { command } = robot.program;
  const { speed } = kindOfStep(step).inProgram;
  if (command === null || speed === undefined) return null;
  const way = COMMAND_WAYS[command];
  const value = speed.commanded(step, robot, command);
  return (
    <>
      {' '}
      at{' '}
      <ProgramField
        inline
        label="Speed in the program"
        unit={speed.isTurn === true ? turnUnit(command) : way.unit}
        decimals={way.decimals}
        value={value}
        most={way.most}
        lacks={way.lacks}
        onTake={(typed) => {
          const next = speed.withCommand(step, robot, command, typed);
          if (next !== null) onChange(next);
          return next !== null;
        }}
      />
      {value === null && ` ${way.lacks}`}
    </>
  );
}

function TravelField({ step, robot, onChange }: Props) {
  const { travel } = kindOfStep(step).inProgram;
  const { travel: way, coastM } = robot.program;
  if (way === null || travel === undefined) return null;
  const { unit, decimals } = TRAVEL_WAYS[way];
  return (
    <>
      <ProgramField
        inline
        label="Distance in the program"
        {...{ unit, decimals }}
        value={commandedTravel(robot, way, travel.distanceM(step))}
        onTake={(typed) => {
          onChange(travel.withDistance(step, travelledFor(robot, way, typed)));
          return true;
        }}
      />
      {coastM !== 0 && ` (it rolls on by ${errorLength(coastM)})`}
    </>
  );
}

function GainText({ step, robot }: Omit<Props, 'onChange'>) {
  const gain = stepGainInProgram(robot, step);
  return gain === null ? null : `, ${gain}`;
}

/** A step as the robot's programs have it, in the team's own way of counting; either may be typed. */
export function ProgramLine(props: Props) {
  const { command, travel } = props.robot.program;
  const { inProgram } = kindOfStep(props.step);
  const says =
    (command !== null && inProgram.speed !== undefined) ||
    (travel !== null && inProgram.travel !== undefined);
  const notes = notesOnStep(props.robot, props.step).join(' ');
  if (!says) return notes === '' ? null : <small className={styles.inProgram}>{notes}</small>;
  return (
    <small className={styles.inProgram}>
      In the program: <TravelField {...props} />
      <CommandField {...props} />
      <GainText {...props} /> {notes}
    </small>
  );
}
