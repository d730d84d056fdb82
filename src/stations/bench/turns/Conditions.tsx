import { teamNames } from '../../../core/text/displaySettings';
import { driftText } from '../../../core/gyro/driftText';
import type { TurnTrials } from '../../../formats/benchRecords';
import { fieldsOf, RecordForm } from '../../../ui/fields/recordForm';
import { DEG, DRIFT } from '../../../ui/fields/units';
import { turnConditionsForm } from '../../parsers';
import styles from '../Bench.module.css';
import { AnglesField } from './AnglesField';

const STOP_MODES = [
  { value: 'coast', label: 'coast' },
  { value: 'brake', label: 'brake' },
  { value: 'hold', label: 'hold' },
];

const F = fieldsOf<TurnTrials['conditions']>();

/** Under what the trials are made, and what is known besides. */
export function Conditions({
  conditions,
  onChange: set,
}: {
  conditions: TurnTrials['conditions'];
  onChange(part: Partial<TurnTrials['conditions']>): void;
}) {
  return (
    <details>
      <summary>
        Conditions: surface, battery, who measures,{' '}
        {conditions.driftRadPerS === 0
          ? 'no known drift'
          : `a drift of ${driftText(conditions.driftRadPerS)} taken out`}
      </summary>
      <RecordForm
        className={styles.fields}
        record={conditions}
        schema={turnConditionsForm}
        onChange={set}
      >
        <F.Text name="surface" label="Surface" maxLength={40} />
        <F.Text name="battery" label="Battery" maxLength={40} />
        <F.Choice name="stopMode" label="On a stop the motors" options={STOP_MODES} />
        <F.Text
          name="who"
          label="Measured by (nickname)"
          maxLength={40}
          suggestions={teamNames()}
        />
        <F.Number
          name="driftRadPerS"
          label="Known drift"
          unit={DRIFT}
          min={-20}
          max={20}
          hint="taken out of every trial"
        />
        <F.Number name="readingSdRad" label="Protractor good to ±" unit={DEG} min={0} max={10} />
        <AnglesField
          anglesRad={conditions.wantedRad}
          onChange={(wantedRad) => set({ wantedRad })}
        />
      </RecordForm>
    </details>
  );
}
