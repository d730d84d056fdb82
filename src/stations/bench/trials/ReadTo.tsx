import { NumberField } from '../../../ui/fields/NumberField';
import { SMALL_LENGTH } from '../../../ui/fields/units';

interface Props {
  /** m; null: as the readings show it. */
  value: number | null;
  onChange(readToM: number | null): void;
}

/** In which step the tape is read: no interval is narrower than what it hides. Asked once: the next list takes it over. */
export const ReadTo = ({ value, onChange }: Props) => (
  <NumberField
    label="The tape is read to"
    unit={SMALL_LENGTH}
    min={0.1}
    max={100}
    value={value}
    onChange={onChange}
    onClear={() => onChange(null)}
    hint="empty: as the readings show"
  />
);
