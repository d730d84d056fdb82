import { roundLength } from '../../../core/text/lengths';
import { ulid } from 'ulid';
import type { Robot } from '../../../core/robot';
import { positiveTurn } from '../../../core/text/quantities';
import type { StraightTrialRecord, StraightTrials } from '../../../formats/benchRecords';
import { fieldsOf } from '../../../ui/recordForm';
import { BENCH_LENGTH, HEADING, SMALL_LENGTH, SPEED } from '../../../ui/units';
import { straightForm } from '../../parsers';
import type { StraightEntryValues } from '../entrySchemas';
import { ProgramButton } from '../standIn/ProgramButton';
import { ProgramProblem } from '../standIn/ProgramProblem';
import { useProgram } from '../standIn/useProgram';
import { DistanceInProgram, SpeedInProgram } from '../ToldInProgram';
import { TrialEntry } from '../TrialEntry';

const F = fieldsOf<StraightEntryValues>();

interface Props {
  robot: Robot;
  keep: StraightTrials['conditions']['keep'];
  onTrial(trial: StraightTrialRecord): void;
}

/** A straight drive: typed from the tape, or driven by the stand-in. */
export function StraightEntry({ robot, keep, onTrial }: Props) {
  const program = useProgram();
  const drive = ({ commandedM, speedMPerS }: StraightEntryValues) =>
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
          setAsideReason: null,
        }),
    );
  return (
    <>
      <TrialEntry<StraightEntryValues, StraightTrialRecord>
        start={{
          commandedM: roundLength(1),
          actualM: null,
          sidewaysM: null,
          headingChangeRad: null,
          speedMPerS: roundLength(0.3),
          afterReversal: false,
        }}
        schema={straightForm}
        button="Add the drive"
        trialOf={({ actualM, ...told }) =>
          actualM === null ? null : { ...told, actualM, keptBy: keep }
        }
        next={(entry) => ({ ...entry, actualM: null, sidewaysM: null, headingChangeRad: null })}
        onTrial={onTrial}
        more={(entry, isWrong) => (
          <ProgramButton
            program={program}
            label="Let the stand-in drive it"
            isWrong={isWrong}
            onClick={() => drive(entry)}
          />
        )}
      >
        {(first) => (
          <>
            <F.Number
              name="commandedM"
              label="Told to drive"
              unit={BENCH_LENGTH}
              min={-1000}
              max={1000}
              hint="backward: a minus, and for what it drove"
            />
            <DistanceInProgram name="commandedM" robot={robot} />
            <F.Number name="speedMPerS" label="At" unit={SPEED} min={1} max={500} />
            <SpeedInProgram name="speedMPerS" robot={robot} />
            <F.Number
              name="actualM"
              label="Truly driven"
              unit={SMALL_LENGTH}
              min={-10_000}
              max={10_000}
              optional
              inputRef={first}
            />
            <F.Number
              name="sidewaysM"
              label="To the left by"
              unit={SMALL_LENGTH}
              min={-5000}
              max={5000}
              optional
              hint="right is negative"
            />
            <F.Number
              name="headingChangeRad"
              label="Turned meanwhile"
              unit={HEADING}
              min={-180}
              max={180}
              optional
              hint={`${positiveTurn()}; empty if nobody measured it`}
            />
            <F.Choice
              name="afterReversal"
              label="Before it, it drove"
              options={[
                { value: false, label: 'the same way' },
                { value: true, label: 'the other way' },
              ]}
            />
          </>
        )}
      </TrialEntry>
      <ProgramProblem program={program} />
    </>
  );
}
