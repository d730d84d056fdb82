import { ulid } from 'ulid';
import type { Robot } from '../../../core/robot/robot';
import { roundLength } from '../../../core/text/lengths';
import { STRAIGHT_TRIAL, type StraightTrialRecord } from '../../../core/trials/straight';
import type { StraightTrials } from '../../../formats/benchRecords';
import { DescribedEntry } from '../trials/DescribedEntry';
import { ProgramButton } from '../standIn/ProgramButton';
import { ProgramProblem } from '../standIn/ProgramProblem';
import { useProgram } from '../standIn/useProgram';
import { DistanceInProgram, SpeedInProgram } from '../CommandedInProgram';

interface Props {
  robot: Robot;
  keep: StraightTrials['conditions']['keep'];
  onTrial(trial: StraightTrialRecord): void;
}

/** A straight drive: typed from the tape, or driven by the stand-in. */
export function StraightEntry({ robot, keep, onTrial }: Props) {
  const program = useProgram();
  const drive = ({ commandedM, speedMPerS }: { commandedM: number; speedMPerS: number }) =>
    void program.run(
      [
        {
          kind: 'straight',
          distanceM: commandedM,
          speedMPerS,
          holdHeading: keep === 'heading',
          balanceEncoders: keep === 'encoders',
        },
      ],
      ({ xM, yM, turnedRad }) =>
        onTrial({
          id: ulid(),
          commandedM,
          actualM: xM,
          sidewaysM: yM,
          headingChangeRad: turnedRad,
          keptBy: keep,
          speedMPerS,
          afterReversal: false,
          remark: null,
          setAsideReason: null,
        }),
    );
  return (
    <>
      <DescribedEntry
        kind={STRAIGHT_TRIAL}
        start={{
          commandedM: roundLength(1),
          speedMPerS: roundLength(0.3),
          afterReversal: false,
          keptBy: keep,
          remark: null,
        }}
        beside={{
          commandedM: <DistanceInProgram name="commandedM" robot={robot} />,
          speedMPerS: <SpeedInProgram name="speedMPerS" robot={robot} />,
        }}
        onTrial={onTrial}
        more={(entry, isWrong) => (
          <ProgramButton
            program={program}
            label="Let the stand-in drive it"
            isWrong={isWrong}
            onClick={() => drive(entry)}
          />
        )}
      />
      <ProgramProblem program={program} />
    </>
  );
}
