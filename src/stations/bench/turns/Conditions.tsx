import { driftText } from '../../../core/gyro/stillSentence';
import type { TurnTrials } from '../../../formats/benchRecords';
import { Choice } from '../../../ui/Choice';
import { NumberField } from '../../../ui/NumberField';
import { TextField } from '../../../ui/TextField';
import { DEG, DRIFT_DEG_PER_S } from '../../../ui/units';
import styles from '../Bench.module.css';
import { AnglesField } from './AnglesField';

const STOP_MODES = [
  { value: 'coast', label: 'coast' },
  { value: 'brake', label: 'brake' },
  { value: 'hold', label: 'hold' },
] as const;

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
      <div className={styles.fields}>
        <TextField
          label="Surface"
          value={conditions.surface}
          maxLength={40}
          onChange={(surface) => set({ surface })}
        />
        <TextField
          label="Battery"
          value={conditions.battery}
          maxLength={40}
          onChange={(battery) => set({ battery })}
        />
        <Choice
          label="On a stop the motors"
          value={conditions.stopMode}
          options={STOP_MODES}
          onChange={(stopMode) => set({ stopMode })}
        />
        <TextField
          label="Measured by (nickname)"
          value={conditions.who}
          maxLength={40}
          onChange={(who) => set({ who })}
        />
        <NumberField
          label="Known drift"
          unit={DRIFT_DEG_PER_S}
          min={-20}
          max={20}
          value={conditions.driftRadPerS}
          onChange={(driftRadPerS) => set({ driftRadPerS })}
          hint="taken out of every trial"
        />
        <NumberField
          label="Protractor good to ±"
          unit={DEG}
          min={0}
          max={10}
          value={conditions.readingSdRad}
          onChange={(readingSdRad) => set({ readingSdRad })}
        />
        <AnglesField
          anglesRad={conditions.wantedRad}
          onChange={(wantedRad) => set({ wantedRad })}
        />
      </div>
    </details>
  );
}
