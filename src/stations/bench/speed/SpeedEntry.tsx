import { ulid } from 'ulid';
import { roundLength } from '../../../core/text/lengths';
import { SPEED_TRIAL, type SpeedTrialRecord } from '../../../core/trials/speed';
import { DescribedEntry } from '../trials/DescribedEntry';
import { ProgramButton } from '../standIn/ProgramButton';
import { ProgramProblem } from '../standIn/ProgramProblem';
import { useProgram } from '../standIn/useProgram';

/** The stand-in drives for so long. */
const DRIVE_S = 3;

/** A drive at a power, timed with a tape and a watch, or driven by the stand-in. */
export function SpeedEntry({ onTrial }: { onTrial(trial: SpeedTrialRecord): void }) {
  const program = useProgram();
  const drive = (command: number) =>
    void program.run(
      [{ kind: 'power', share: command, durationS: DRIVE_S }],
      ({ xM, batteryV }) => {
        if (batteryV === null) return;
        const distanceM = Math.max(0, xM);
        onTrial({ id: ulid(), command, batteryV, distanceM, timeS: DRIVE_S, setAsideReason: null });
      },
    );
  return (
    <>
      <DescribedEntry
        kind={SPEED_TRIAL}
        start={{ command: 0.3, batteryV: 8, distanceM: roundLength(1) }}
        onTrial={onTrial}
        more={({ command }, isWrong) => (
          <ProgramButton
            program={program}
            label="Let the stand-in drive"
            isWrong={isWrong}
            onClick={() => drive(command)}
          />
        )}
      />
      <ProgramProblem program={program} />
    </>
  );
}
