import { ulid } from 'ulid';
import type { LightThresholdCalibration } from '../../../core/calibrationValues/lightThreshold';
import { radiansFromDegrees } from '../../../core/geometry/angle';
import { thresholdShares } from '../../../core/light/thresholdShares';
import { leftAndRight } from '../../../core/light/twoLightSensors';
import { roundLength } from '../../../core/text/lengths';
import type { EntryOf } from '../../../core/trials/kind';
import {
  LINE_SQUARING_TRIAL,
  type LineSquaringTrialRecord,
} from '../../../core/trials/lineSquaring';
import type { RobotRecord } from '../../../formats/records';
import { DescribedEntry } from '../trials/DescribedEntry';
import { ProgramButton } from '../standIn/ProgramButton';
import { ProgramProblem } from '../standIn/ProgramProblem';
import { useProgram } from '../standIn/useProgram';

/** So far off the line's normal the stand-in is placed in turn, where nothing is typed. */
const BEFORE_RAD = [8, -6, 10, -9, 5, -7].map(radiansFromDegrees);

/** What holds for each of its light sensors, by their ids; null: nothing does. */
export type Thresholds = Readonly<Record<string, LightThresholdCalibration | null>>;

interface Props {
  robot: RobotRecord;
  thresholds: Thresholds;
  made: number;
  onTrial(trial: LineSquaringTrialRecord): void;
}

/** A robot squared on a line, its headings read off before and after, or made by the stand-in. */
export function SquareEntry({ robot, thresholds, made, onTrial }: Props) {
  const program = useProgram();
  const sides = leftAndRight(robot.robot);
  const square = (entry: EntryOf<typeof LINE_SQUARING_TRIAL>) => {
    if (sides === null) return;
    const { speedMPerS, secondMPerS, beforeRad: typed } = entry;
    const beforeRad = typed ?? BEFORE_RAD[made % BEFORE_RAD.length] ?? 0;
    const [left, right] = [sides.left, sides.right].map((unit) =>
      thresholdShares(thresholds[unit.id] ?? null, unit.behaviour),
    );
    if (left === undefined || right === undefined) return;
    void program.run(
      [
        {
          kind: 'square-on-line',
          beforeRad,
          speedMPerS,
          secondMPerS,
          leftEnterShare: left.enterShare,
          rightEnterShare: right.enterShare,
          lineIs: left.lineIs,
        },
      ],
      ({ turnedRad }) =>
        onTrial({
          id: ulid(),
          speedMPerS,
          secondMPerS,
          beforeRad,
          afterRad: beforeRad + turnedRad,
          setAsideReason: null,
        }),
    );
  };
  return (
    <>
      <DescribedEntry
        kind={LINE_SQUARING_TRIAL}
        start={{ speedMPerS: roundLength(0.1), secondMPerS: null }}
        onTrial={onTrial}
        more={(entry, isWrong) =>
          sides !== null && (
            <ProgramButton
              program={program}
              label="Let the stand-in square"
              isWrong={isWrong}
              onClick={() => square(entry)}
            />
          )
        }
      />
      <ProgramProblem program={program} />
    </>
  );
}
