import { useMemo } from 'react';
import { conversionOf } from '../../../core/colourClasses/conversion';
import type { ColourStudy } from '../../../core/colourClasses/colourStudy';
import { conversionSentence } from '../../../core/colourClasses/readAnewWords';
import { COLOUR_LIST } from '../../../core/trials/lists/light';
import type { ColourTrials } from '../../../formats/benchRecords';
import { ValueField } from '../../../ui/fields/ValueField';
import styles from '../Bench.module.css';

type Conditions = ColourTrials['conditions'];

interface Props {
  study: ColourStudy;
  conditions: Conditions;
  onChange(part: Partial<Conditions>): void;
}

/** What the team's program makes of the counts: divided, and kept to a largest number. */
export function Conversion({ study: { counted }, conditions, onChange }: Props) {
  const { divisor, keepsTo } = conditions;
  const { samples, scale } = counted;
  const found = useMemo(
    () =>
      keepsTo === null
        ? null
        : conversionOf(samples, scale, { divisor: divisor ?? 1, most: keepsTo }),
    [samples, scale, divisor, keepsTo],
  );
  return (
    <details>
      <summary>What your program makes of the counts</summary>
      <div className={styles.fields}>
        {(['divisor', 'keepsTo'] as const).map((key) => (
          <ValueField
            key={key}
            field={COLOUR_LIST[key]}
            value={conditions[key]}
            onChange={(next) => onChange({ [key]: next })}
            onClear={() => onChange({ [key]: null })}
          />
        ))}
      </div>
      {found !== null && <p>{conversionSentence(found)}</p>}
    </details>
  );
}
