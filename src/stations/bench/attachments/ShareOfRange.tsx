import { useState } from 'react';
import { number } from '../../../core/description/description';
import { ValueField } from '../../../ui/fields/ValueField';
import styles from '../Bench.module.css';

const SHARE = number({
  label: 'Or as a share of its range',
  hint: 'fills the angle above',
  quantity: 'share',
  min: 0,
  max: 1,
});

/** A position told as a share of the whole range, as a motor without feedback is told it. */
export function ShareOfRange({ onShare }: { onShare(share: number): void }) {
  const [share, setShare] = useState<number | null>(null);
  return (
    <div className={styles.fields}>
      <ValueField
        field={SHARE}
        value={share}
        onClear={() => setShare(null)}
        onChange={(next) => {
          setShare(next);
          onShare(next);
        }}
      />
    </div>
  );
}
