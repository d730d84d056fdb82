import { MOST_LETTERS } from '../../../core/description/description';
import { LIGHT_LIST } from '../../../core/trials/lists/light';
import type { LightTrials } from '../../../formats/benchRecords';
import { ChoiceField } from '../../../ui/fields/ChoiceField';
import { TextField } from '../../../ui/fields/TextField';
import { ValueField } from '../../../ui/fields/ValueField';
import styles from '../Bench.module.css';

type Conditions = LightTrials['conditions'];

interface Props {
  conditions: Conditions;
  /** Where thresholds were found before. */
  venues: readonly string[];
  onChange(part: Partial<Conditions>): void;
}

/** Where it is read, in which light, with what the program compares, and how the sensor counts. */
export function WhereAndHow({ conditions, venues, onChange }: Props) {
  const { venue, lighting, programs, scale, full } = conditions;
  const said = [lighting, LIGHT_LIST.scale.options[scale]].filter((text) => text !== '');
  return (
    <>
      <div className={styles.fields}>
        <TextField
          label={LIGHT_LIST.venue.label}
          maxLength={MOST_LETTERS}
          value={venue}
          suggestions={venues}
          onChange={(text) => onChange({ venue: text })}
        />
        <ValueField
          field={LIGHT_LIST.programs}
          hint="the number in use now"
          value={programs}
          onChange={(typed) => onChange({ programs: typed })}
          onClear={() => onChange({ programs: null })}
        />
      </div>
      <details>
        <summary>Light, and how the sensor counts: {said.join(', ')}</summary>
        <div className={styles.fields}>
          <TextField
            label={LIGHT_LIST.lighting.label}
            maxLength={MOST_LETTERS}
            value={lighting}
            onChange={(text) => onChange({ lighting: text })}
          />
          {scale === 'counts' && (
            <ValueField
              field={LIGHT_LIST.full}
              value={full}
              onChange={(typed) => onChange({ full: typed })}
              onClear={() => onChange({ full: null })}
            />
          )}
        </div>
        <ChoiceField
          field={LIGHT_LIST.scale}
          value={scale}
          onChange={(chosen) => onChange({ scale: chosen })}
        />
      </details>
    </>
  );
}
