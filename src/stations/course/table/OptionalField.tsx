import type { NumberValue } from '../../../core/description/description';
import { useRecordValue } from '../../../ui/fields/recordForm';
import { ValueField } from '../../../ui/fields/ValueField';
import styles from './TableStation.module.css';

interface Props {
  /** Where it stands in the record. */
  name: string;
  field: NumberValue;
  label: string;
}

/** A number about something on the table that may be left empty. */
export function OptionalField({ name, field, label }: Props) {
  const [value, set] = useRecordValue(name);
  return (
    <div className={styles.share}>
      <ValueField
        field={field}
        label={label}
        value={typeof value === 'number' ? value : null}
        onChange={set}
        onClear={() => set(null)}
      />
    </div>
  );
}
