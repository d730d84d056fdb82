import { SETTINGS } from '../../../core/gyro/still/description';
import type { StillSettings } from '../../../core/gyro/still/stillDefaults';
import { degrees } from '../../../core/text/quantities';
import { Choice } from '../../../ui/fields/Choice';
import { ValueField } from '../../../ui/fields/ValueField';
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
          label={SETTINGS.driftShare.label}
          value={SHARES.find(({ value }) => Number(value) === driftShare)?.value ?? '0.5'}
          options={SHARES}
          onChange={(value) => onChange({ ...settings, driftShare: Number(value) })}
        />
        <ValueField
          field={SETTINGS.healthyRadPerS}
          value={healthyRadPerS}
          onChange={(value) => onChange({ ...settings, healthyRadPerS: value })}
        />
      </div>
    </details>
  );
}
