import { readToM } from '../../../core/description/values';
import { ValueField } from '../../../ui/fields/ValueField';

interface Props {
  /** m; null: as the readings show it. */
  value: number | null;
  onChange(readToM: number | null): void;
}

/** In which step the tape is read: no interval is narrower than what it hides. Asked once: the next list takes it over. */
export const ReadTo = ({ value, onChange }: Props) => (
  <ValueField field={readToM} {...{ value, onChange }} onClear={() => onChange(null)} />
);
