import type { StillSettings } from '../../../core/gyro/stillDefaults';
import { degrees } from '../../../core/text/quantities';
import { Choice } from '../../../ui/Choice';
import { NumberField } from '../../../ui/NumberField';
import { DRIFT_DEG_PER_S } from '../../../ui/units';
import styles from '../Bench.module.css';

const SHARES = [
  { value: '0.1', label: 'a tenth' },
  { value: '0.25', label: 'a quarter' },
] as const;

/** What counts as steady, and from which drift on a sensor was started badly. */
export function SettingsFields({
  settings,
  toleranceRad,
  onChange,
}: {
  settings: StillSettings;
  toleranceRad: number;
  onChange(settings: StillSettings): void;
}) {
  const { steadyShare, healthyRadPerS } = settings;
  return (
    <details>
      <summary>
        Steady means: off by less than {degrees(steadyShare * toleranceRad, 2)} at the end of a run
      </summary>
      <div className={styles.fields}>
        <Choice
          label="Steady, if the drift takes up"
          value={steadyShare === 0.25 ? '0.25' : '0.1'}
          options={SHARES}
          onChange={(value) => onChange({ ...settings, steadyShare: Number(value) })}
        />
        <NumberField
          label="Started badly from"
          unit={DRIFT_DEG_PER_S}
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
