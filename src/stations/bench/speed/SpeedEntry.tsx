import { roundLength } from '../../../core/text/lengths';
import { ulid } from 'ulid';
import type { SpeedTrialRecord } from '../../../formats/benchRecords';
import { fieldsOf } from '../../../ui/recordForm';
import { BENCH_LENGTH, PERCENT, SECONDS, VOLTS } from '../../../ui/units';
import { speedForm } from '../../parsers';
import type { SpeedEntryValues } from '../entrySchemas';
import { ProgramButton } from '../standIn/ProgramButton';
import { ProgramProblem } from '../standIn/ProgramProblem';
import { useProgram } from '../standIn/useProgram';
import { TrialEntry } from '../TrialEntry';

const F = fieldsOf<SpeedEntryValues>();

/** The stand-in drives for so long. */
const DRIVE_S = 3;

/** A drive at a power, timed with a tape and a watch, or driven by the stand-in. */
export function SpeedEntry({ onTrial }: { onTrial(trial: SpeedTrialRecord): void }) {
  const program = useProgram();
  const drive = ({ command }: SpeedEntryValues) =>
    void program.run(
      [{ kind: 'power', share: command, durationS: DRIVE_S }],
      ({ xM, batteryV }) => {
        if (batteryV === null) return;
        onTrial({
          id: ulid(),
          command,
          batteryV,
          distanceM: Math.max(0, xM),
          timeS: DRIVE_S,
          setAsideReason: null,
        });
      },
    );
  return (
    <>
      <TrialEntry<SpeedEntryValues, SpeedTrialRecord>
        start={{ command: 0.3, batteryV: 8, distanceM: roundLength(1), timeS: null }}
        schema={speedForm}
        button="Add the drive"
        trialOf={({ timeS, ...told }) => (timeS === null ? null : { ...told, timeS })}
        next={(entry) => ({ ...entry, timeS: null })}
        onTrial={onTrial}
        more={(entry, isWrong) => (
          <ProgramButton
            program={program}
            label="Let the stand-in drive"
            isWrong={isWrong}
            onClick={() => drive(entry)}
          />
        )}
      >
        {(first) => (
          <>
            <F.Number
              name="command"
              label="Told"
              unit={PERCENT}
              min={1}
              max={100}
              hint="of full power"
            />
            <F.Number name="batteryV" label="Battery" unit={VOLTS} min={1} max={60} />
            <F.Number
              name="distanceM"
              label="It drove"
              unit={BENCH_LENGTH}
              min={0}
              max={2000}
              hint="0: it stood"
            />
            <F.Number
              name="timeS"
              label="in"
              unit={SECONDS}
              min={0.1}
              max={120}
              optional
              inputRef={first}
              hint="without the start"
            />
          </>
        )}
      </TrialEntry>
      <ProgramProblem program={program} />
    </>
  );
}
