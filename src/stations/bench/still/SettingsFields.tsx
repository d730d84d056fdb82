import type { StillSettings } from '../../../core/gyro/still/stillDefaults';
import { degrees } from '../../../core/text/quantities';
import { Choice } from '../../../ui/fields/Choice';
import { NumberField } from '../../../ui/fields/NumberField';
import { DRIFT_SIZE } from '../../../ui/fields/units';
import styles from '../Bench.module.css';

const SHARES = [
  { value: '0.25', label: 'a quarter' },
  { value: '0.5', label: 'a half' },
  { value: '0.75', label: 'three quarters' },
] as const;

/** How much of what a run can bear drift may use up, and from which drift on a sensor was started badly. */
export function SettingsFields({
  settings,
  toleranceRad,
  onChange,
}: {
  settings: StillSettings;
  toleranceRad: number;
  onChange(settings: StillSettings): void;
}) {
  const { driftShare, healthyRadPerS } = settings;
  return (
    <details>
      <summary>
        Drift may turn it by {degrees(driftShare * toleranceRad, 2)} of that by the end of a run
      </summary>
      <div className={styles.fields}>
        <Choice
          label="Of what a run can bear, drift may use up"
          value={SHARES.find(({ value }) => Number(value) === driftShare)?.value ?? '0.5'}
          options={SHARES}
          onChange={(value) => onChange({ ...settings, driftShare: Number(value) })}
        />
        <NumberField
          label="Started badly from"
          unit={DRIFT_SIZE}
          min={0.005}
          max={10}
          value={healthyRadPerS}
          onChange={(value) => onChange({ ...settings, healthyRadPerS: value })}
          hint="a healthy sensor drifts less"
        />
      </div>
    </details>
  );
}
