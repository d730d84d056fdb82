import { useState } from 'react';
import { ulid } from 'ulid';
import { degreesFromRadians, radiansFromDegrees } from '../../../core/geometry/angle';
import type { RawConvention } from '../../../core/channels/rawConvention';
import { Button } from '../../../ui/Button';
import { NumberField } from '../../../ui/fields/NumberField';
import { DEG, SECONDS } from '../../../ui/fields/units';
import styles from '../Bench.module.css';
import { logOf } from '../logs/sources';
import { POWER_UP_NOT_KNOWN, PowerUpFields } from './PowerUpFields';
import type { StillFile } from './StillFromFile';

interface Props {
  raw: RawConvention;
  onJudge(file: StillFile, displayStepRad: number): void;
}

const LEAST_S = 10;
const LONGEST_S = 1800;

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
  const reading = { unit: DEG, min: -100_000, max: 100_000 };
  return (
    <details className={styles.work}>
      <summary>No log? Type what its screen shows</summary>
      <div className={styles.fields}>
        <NumberField
          label="It shows"
          {...reading}
          value={first}
          onChange={setFirst}
          onClear={() => setFirst(null)}
        />
        <NumberField
          label="and after"
          unit={SECONDS}
          min={LEAST_S}
          max={LONGEST_S}
          value={durationS}
          onChange={setDuration}
        />
        <NumberField
          label="it shows"
          {...reading}
          value={again}
          onChange={setAgain}
          onClear={() => setAgain(null)}
        />
        <NumberField
          label="Its screen counts in steps of"
          unit={DEG}
          min={0.001}
          max={10}
          value={stepRad}
          onChange={setStep}
          hint="the longer the time, the less this matters"
        />
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
