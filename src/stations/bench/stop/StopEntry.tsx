import type { StopTrialRecord } from '../../../formats/benchRecords';
import { fieldsOf } from '../../../ui/recordForm';
import { BENCH_LENGTH, SPEED } from '../../../ui/units';
import { stopForm } from '../../parsers';
import type { StopEntryValues } from '../entrySchemas';
import { TrialEntry } from '../TrialEntry';

const F = fieldsOf<StopEntryValues>();

/** A stop, typed from the tape. */
export const StopEntry = ({ onTrial }: { onTrial(trial: StopTrialRecord): void }) => (
  <TrialEntry<StopEntryValues, StopTrialRecord>
    start={{ speedMPerS: 0.2, thresholdM: 0.15, stopM: null }}
    schema={stopForm}
    button="Add the stop"
    trialOf={({ stopM, ...told }) => (stopM === null ? null : { ...told, stopM })}
    next={(entry) => ({ ...entry, stopM: null })}
    onTrial={onTrial}
  >
    {(first) => (
      <>
        <F.Number name="speedMPerS" label="Driven at" unit={SPEED} min={1} max={500} />
        <F.Number
          name="thresholdM"
          label="Told to stop at a gap of"
          unit={BENCH_LENGTH}
          min={0}
          max={1000}
        />
        <F.Number
          name="stopM"
          label="Truly stood at"
          unit={BENCH_LENGTH}
          min={-50}
          max={1000}
          optional
          inputRef={first}
          hint="from the bumper to the wall"
        />
      </>
    )}
  </TrialEntry>
);
