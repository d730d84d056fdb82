import { TYPED } from '../../../core/gyro/still/description';
import { useState } from 'react';
import { ulid } from 'ulid';
import { degreesFromRadians, radiansFromDegrees } from '../../../core/geometry/angle';
import type { RawConvention } from '../../../core/channels/rawConvention';
import { Button } from '../../../ui/Button';
import { ValueField } from '../../../ui/fields/ValueField';
import styles from '../Bench.module.css';
import { logOf } from '../logs/sources';
import { POWER_UP_NOT_KNOWN, PowerUpFields } from './PowerUpFields';
import type { StillFile } from './StillFromFile';

interface Props {
  raw: RawConvention;
  onJudge(file: StillFile, displayStepRad: number): void;
}

/** For a robot with a small screen and no log: what it shows, some time later what it shows again. */
export function TypedStill({ raw, onJudge }: Props) {
  const [first, setFirst] = useState<number | null>(null);
  const [again, setAgain] = useState<number | null>(null);
  const [durationS, setDuration] = useState(60);
  const [stepRad, setStep] = useState(radiansFromDegrees(1));
  const [powerUp, setPowerUp] = useState(POWER_UP_NOT_KNOWN);
  const judge = () => {
    if (first === null || again === null) return;
    const shown = [
      { t_s: 0, heading_deg: degreesFromRadians(first) },
      { t_s: durationS, heading_deg: degreesFromRadians(again) },
    ];
    const log = logOf(shown, raw);
    const takenAt = new Date().toISOString();
    onJudge({ log, logId: ulid(), name: 'typed still check', takenAt, ...powerUp }, stepRad);
  };
  return (
    <details className={styles.work}>
      <summary>No log? Type what its screen shows</summary>
      <div className={styles.fields}>
        <ValueField
          field={TYPED.shown}
          value={first}
          onChange={setFirst}
          onClear={() => setFirst(null)}
        />
        <ValueField field={TYPED.durationS} value={durationS} onChange={setDuration} />
        <ValueField
          field={TYPED.shown}
          label="it shows"
          value={again}
          onChange={setAgain}
          onClear={() => setAgain(null)}
        />
        <ValueField field={TYPED.stepRad} value={stepRad} onChange={setStep} />
        <PowerUpFields
          value={powerUp}
          onChange={(part) => setPowerUp((old) => ({ ...old, ...part }))}
          asksWhen
        />
      </div>
      <div className={styles.actions}>
        <Button look="strong" disabled={first === null || again === null} onClick={judge}>
          Judge the two readings
        </Button>
      </div>
    </details>
  );
}
