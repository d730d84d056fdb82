import { roundLength } from '../../../core/text/lengths';
import { ulid } from 'ulid';
import { STOPS_BY, type StopKind } from '../../../core/ranging/stopsBy';
import { readingAtGap, type Reads } from '../../../core/ranging/stopStudy';
import type { Robot } from '../../../core/robot/robot';
import { STOP_ENTRY, type StopEntryValues, type StopTrialRecord } from '../../../core/trials/stop';
import { fieldsOf } from '../../../ui/fields/recordForm';
import { stopForm } from '../../parsers';
import { ProgramButton } from '../standIn/ProgramButton';
import { ProgramProblem } from '../standIn/ProgramProblem';
import { useProgram } from '../standIn/useProgram';
import { SpeedInProgram } from '../CommandedInProgram';
import { TrialEntry } from '../trials/TrialEntry';

const F = fieldsOf<StopEntryValues>();
const { fields } = STOP_ENTRY;

/** So far before the stand-in a wall is put. */
const WALL_M = 0.8;

interface Props {
  by: StopKind;
  robot: Robot;
  /** How its distance sensor reads. */
  reads: Reads;
  onTrial(trial: StopTrialRecord): void;
}

/** What was measured, in the one form in which stops of every kind are kept; null while it is missing. */
function trialOf(by: StopKind, { speedMPerS, thresholdM, stopM, overM }: StopEntryValues) {
  if (by === 'distance') return stopM === null ? null : { by, speedMPerS, thresholdM, stopM };
  return overM === null ? null : { by, speedMPerS, thresholdM: 0, stopM: -overM };
}

/** A stop: typed from the tape, or driven by the stand-in. */
export function StopEntry({ by, robot, reads, onTrial }: Props) {
  const program = useProgram();
  const drive = ({ speedMPerS, thresholdM }: StopEntryValues) => {
    const reading = Math.max(0, readingAtGap(robot, reads, thresholdM));
    void program.run(
      [{ kind: 'approach', thresholdM: reading, speedMPerS, wallM: thresholdM + WALL_M }],
      ({ gapM }) => {
        if (gapM === null) return;
        onTrial({ id: ulid(), by, speedMPerS, thresholdM, stopM: gapM, setAsideReason: null });
      },
    );
  };
  return (
    <>
      <TrialEntry<StopEntryValues, StopTrialRecord>
        start={{
          speedMPerS: roundLength(0.2),
          thresholdM: roundLength(0.15),
          stopM: null,
          overM: null,
        }}
        schema={stopForm}
        button="Add the stop"
        trialOf={(entry) => trialOf(by, entry)}
        next={(entry) => ({ ...entry, stopM: null, overM: null })}
        onTrial={onTrial}
        more={(entry, isWrong) =>
          by === 'distance' && (
            <ProgramButton
              program={program}
              label="Let the stand-in stop"
              isWrong={isWrong}
              onClick={() => drive(entry)}
            />
          )
        }
      >
        {(first) => (
          <>
            <F.Value name="speedMPerS" field={fields.speedMPerS} />
            <SpeedInProgram name="speedMPerS" robot={robot} />
            {by === 'distance' ? (
              <>
                <F.Value name="thresholdM" field={fields.thresholdM} />
                <F.Value name="stopM" field={fields.stopM} optional inputRef={first} />
              </>
            ) : (
              <F.Value
                name="overM"
                field={{
                  ...fields.overM,
                  hint: `from ${STOPS_BY[by].mark}; short of it is negative`,
                }}
                optional
                inputRef={first}
              />
            )}
          </>
        )}
      </TrialEntry>
      <ProgramProblem program={program} />
    </>
  );
}
