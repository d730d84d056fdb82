import type { GaugeTrialRecord } from '../../../formats/benchRecords';
import { fieldsOf } from '../../../ui/recordForm';
import { SMALL_LENGTH } from '../../../ui/units';
import { gaugeForm } from '../../parsers';
import type { GaugeEntryValues } from '../entrySchemas';
import { TrialEntry } from '../TrialEntry';

const F = fieldsOf<GaugeEntryValues>();

interface Props {
  parts: readonly string[];
  persons: readonly string[];
  onTrial(trial: GaugeTrialRecord): void;
}

/** A length, as somebody reads it. */
export const GaugeEntry = ({ parts, persons, onTrial }: Props) => (
  <TrialEntry<GaugeEntryValues, GaugeTrialRecord>
    start={{ part: parts.at(-1) ?? '', person: persons.at(-1) ?? '', valueM: null }}
    schema={gaugeForm}
    button="Add the reading"
    trialOf={({ part, person, valueM }) =>
      valueM === null || part.trim() === '' || person.trim() === ''
        ? null
        : { part: part.trim(), person: person.trim(), valueM }
    }
    next={(entry) => ({ ...entry, valueM: null })}
    onTrial={onTrial}
  >
    {(first) => (
      <>
        <F.Text name="person" label="Who reads" maxLength={40} suggestions={persons} />
        <F.Text
          name="part"
          label="Which length"
          maxLength={40}
          suggestions={parts}
          hint="box to wall, say"
        />
        <F.Number
          name="valueM"
          label="Read"
          unit={SMALL_LENGTH}
          min={-10_000}
          max={30_000}
          optional
          inputRef={first}
        />
      </>
    )}
  </TrialEntry>
);
