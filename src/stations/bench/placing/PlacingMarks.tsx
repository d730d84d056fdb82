import { MARKS_ON_GRID } from '../../../core/trials/placing';
import { PLACING_LIST } from '../../../core/trials/lists/start';
import { useState } from 'react';
import type { NoseAndTail } from '../../../core/placing/placing';
import type { PlacingTrials } from '../../../formats/benchRecords';
import { ValueField } from '../../../ui/fields/ValueField';
import styles from '../Bench.module.css';

type Conditions = PlacingTrials['conditions'];
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
        <ValueField
          field={PLACING_LIST.noseToTailM}
          value={noseToTailM}
          onChange={(metres) => onChange({ noseToTailM: metres })}
        />
        <ValueField
          field={PLACING_LIST.noseToAxleM}
          value={noseToAxleM}
          onChange={(metres) => onChange({ noseToAxleM: metres })}
        />
        {PARTS.map(([key, label]) => (
          <ValueField
            key={key}
            field={MARKS_ON_GRID[key]}
            label={label}
            value={entered[key]}
            onChange={(value) => enter(key, value)}
            onClear={() => enter(key, null)}
          />
        ))}
      </div>
    </details>
  );
}
