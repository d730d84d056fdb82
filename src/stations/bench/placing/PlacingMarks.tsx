import { useState } from 'react';
import type { NoseAndTail } from '../../../core/placing/placing';
import type { PlacingTrials } from '../../../formats/benchRecords';
import { NumberField } from '../../../ui/fields/NumberField';
import { SMALL_LENGTH } from '../../../ui/fields/units';
import styles from '../Bench.module.css';

type Conditions = PlacingTrials['conditions'];
const MOST_MM = 5000;
const NOWHERE = { noseAlongM: null, noseAcrossM: null, tailAcrossM: null };
const PARTS = [
  ['noseAlongM', 'Nose, along, as planned'],
  ['noseAcrossM', 'Nose, across, as planned'],
  ['tailAcrossM', 'Tail, across, as planned'],
] as const;

/** Where the marks sit on the robot, and where they should stand: that tells of the aim as well. */
export function PlacingMarks({
  conditions,
  onChange,
}: {
  conditions: Conditions;
  onChange(part: Partial<Conditions>): void;
}) {
  const { noseToTailM, noseToAxleM, planned } = conditions;
  const [entered, setEntered] = useState<Record<keyof NoseAndTail, number | null>>(
    planned ?? NOWHERE,
  );
  const enter = (key: keyof NoseAndTail, value: number | null) => {
    const now = { ...entered, [key]: value };
    setEntered(now);
    const { noseAlongM, noseAcrossM, tailAcrossM } = now;
    onChange({
      planned:
        noseAlongM === null || noseAcrossM === null || tailAcrossM === null
          ? null
          : { noseAlongM, noseAcrossM, tailAcrossM },
    });
  };
  return (
    <details open={planned !== null}>
      <summary>The marks, and where they should stand: that tells of the aim as well</summary>
      <div className={styles.fields}>
        <NumberField
          label="Nose to tail"
          unit={SMALL_LENGTH}
          min={20}
          max={2000}
          value={noseToTailM}
          onChange={(metres) => onChange({ noseToTailM: metres })}
        />
        <NumberField
          label="Nose to axle"
          unit={SMALL_LENGTH}
          min={0}
          max={2000}
          value={noseToAxleM}
          onChange={(metres) => onChange({ noseToAxleM: metres })}
        />
        {PARTS.map(([key, label]) => (
          <NumberField
            key={key}
            label={label}
            unit={SMALL_LENGTH}
            min={-MOST_MM}
            max={MOST_MM}
            value={entered[key]}
            onChange={(value) => enter(key, value)}
            onClear={() => enter(key, null)}
          />
        ))}
      </div>
    </details>
  );
}
