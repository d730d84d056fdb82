import { PRESENT } from '../../../core/table/description';
import { useRecordValue } from '../../../ui/fields/recordForm';
import { ValueField } from '../../../ui/fields/ValueField';

import styles from './TableStation.module.css';

interface Props {
  of: 'walls' | 'fields';
  one: string;
  index: number;
}

/** In how many of the runs something is on the table: empty, always. */
export function Share({ of, one, index }: Props) {
  const [value, set] = useRecordValue(`table.${of}.${index}.share`);
  return (
    <div className={styles.share}>
      <ValueField
        field={PRESENT.share}
        label={`${one} ${index + 1} ${PRESENT.share.label}`}
        value={typeof value === 'number' ? value : null}
        onChange={set}
        onClear={() => set(null)}
      />
    </div>
  );
}
