import type { SquaringTrialRecord } from '../../../formats/benchRecords';
import { fieldsOf } from '../../../ui/recordForm';
import { HEADING, PERCENT, SECONDS } from '../../../ui/units';
import { squaringForm } from '../../parsers';
import type { SquaringEntryValues } from '../entrySchemas';
import { TrialEntry } from '../TrialEntry';

const F = fieldsOf<SquaringEntryValues>();
const MOST_DEG = 90;

/** A press against a wall, its headings read off before and after. */
export const SquaringEntry = ({ onTrial }: { onTrial(trial: SquaringTrialRecord): void }) => (
  <TrialEntry<SquaringEntryValues, SquaringTrialRecord>
    start={{ power: 0.35, timeS: 0.8, beforeRad: null, afterRad: null }}
    schema={squaringForm}
    button="Add the press"
    trialOf={({ beforeRad, afterRad, ...told }) =>
      beforeRad === null || afterRad === null ? null : { ...told, beforeRad, afterRad }
    }
    next={(entry) => ({ ...entry, beforeRad: null, afterRad: null })}
    onTrial={onTrial}
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
);
