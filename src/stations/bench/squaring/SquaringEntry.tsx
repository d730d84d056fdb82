import { radiansFromDegrees } from '../../../core/geometry/angle';
import { ulid } from 'ulid';
import type { SquaringTrialRecord } from '../../../formats/benchRecords';
import { fieldsOf } from '../../../ui/recordForm';
import { HEADING, PERCENT, SECONDS } from '../../../ui/units';
import { squaringForm } from '../../parsers';
import type { SquaringEntryValues } from '../entrySchemas';
import { ProgramButton } from '../standIn/ProgramButton';
import { ProgramProblem } from '../standIn/ProgramProblem';
import { useProgram } from '../standIn/useProgram';
import { TrialEntry } from '../TrialEntry';

const F = fieldsOf<SquaringEntryValues>();
const MOST_DEG = 90;

/** So far off the wall the stand-in is placed, where nothing is typed. */
const USUAL_BEFORE_RAD = radiansFromDegrees(8);

/** A press against a wall, its headings read off before and after, or made by the stand-in. */
export function SquaringEntry({ onTrial }: { onTrial(trial: SquaringTrialRecord): void }) {
  const program = useProgram();
  const press = ({ power, timeS, beforeRad }: SquaringEntryValues) => {
    const offRad = beforeRad ?? USUAL_BEFORE_RAD;
    void program.run(
      [{ kind: 'press', share: power, durationS: timeS, beforeRad: offRad }],
      ({ turnedRad }) =>
        onTrial({
          id: ulid(),
          power,
          timeS,
          beforeRad: offRad,
          afterRad: offRad + turnedRad,
          setAsideReason: null,
        }),
    );
  };
  return (
    <>
      <TrialEntry<SquaringEntryValues, SquaringTrialRecord>
        start={{ power: 0.35, timeS: 0.8, beforeRad: null, afterRad: null }}
        schema={squaringForm}
        button="Add the press"
        trialOf={({ beforeRad, afterRad, ...told }) =>
          beforeRad === null || afterRad === null ? null : { ...told, beforeRad, afterRad }
        }
        next={(entry) => ({ ...entry, beforeRad: null, afterRad: null })}
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
      >
        {(first) => (
          <>
            <F.Number name="power" label="Pressed with" unit={PERCENT} min={1} max={100} />
            <F.Number name="timeS" label="for" unit={SECONDS} min={0.05} max={20} />
            <F.Number
              name="beforeRad"
              label="Off the wall before"
              unit={HEADING}
              min={-MOST_DEG}
              max={MOST_DEG}
              optional
              inputRef={first}
            />
            <F.Number
              name="afterRad"
              label="Off the wall after"
              unit={HEADING}
              min={-MOST_DEG}
              max={MOST_DEG}
              optional
            />
          </>
        )}
      </TrialEntry>
      <ProgramProblem program={program} />
    </>
  );
}
