import { ulid } from 'ulid';
import { radiansFromDegrees } from '../../../core/geometry/angle';
import type { EntryOf } from '../../../core/trials/kind';
import { SQUARING_TRIAL, type SquaringTrialRecord } from '../../../core/trials/squaring';
import { DescribedEntry } from '../trials/DescribedEntry';
import { ProgramButton } from '../standIn/ProgramButton';
import { ProgramProblem } from '../standIn/ProgramProblem';
import { useProgram } from '../standIn/useProgram';

/** So far off the wall the stand-in is placed, where nothing is typed. */
const USUAL_BEFORE_RAD = radiansFromDegrees(8);

/** A press against a wall, its headings read off before and after, or made by the stand-in. */
export function SquaringEntry({ onTrial }: { onTrial(trial: SquaringTrialRecord): void }) {
  const program = useProgram();
  const press = ({ power, timeS, beforeRad: typed }: EntryOf<typeof SQUARING_TRIAL>) => {
    const beforeRad = typed ?? USUAL_BEFORE_RAD;
    void program.run(
      [{ kind: 'press', share: power, durationS: timeS, beforeRad }],
      ({ turnedRad }) => {
        const afterRad = beforeRad + turnedRad;
        onTrial({ id: ulid(), power, timeS, beforeRad, afterRad, setAsideReason: null });
      },
    );
  };
  return (
    <>
      <DescribedEntry
        kind={SQUARING_TRIAL}
        start={{ power: 0.35, timeS: 0.8 }}
        onTrial={onTrial}
        more={(entry, isWrong) => (
          <ProgramButton
            program={program}
            label="Let the stand-in press"
            busy="The stand-in presses …"
            isWrong={isWrong}
            onClick={() => press(entry)}
          />
        )}
      />
      <ProgramProblem program={program} />
    </>
  );
}
