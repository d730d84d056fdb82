import type { ChoiceValue } from '../../core/description/description';
import { Choice } from './Choice';

/** One of a few words, as they are described. */
export const ChoiceField = <T extends string>({
  field: { label, options },
  value,
  onChange,
}: {
  field: ChoiceValue<T>;
  value: NoInfer<T>;
  onChange(value: NoInfer<T>): void;
}) => (
  <Choice
    label={label}
    value={value}
    options={(Object.keys(options) as T[]).map((one) => ({ value: one, label: options[one] }))}
    onChange={onChange}
  />
);
