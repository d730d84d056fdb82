import { BLACK } from '../../../core/colour/colour';
import { ColourField } from '../../../ui/fields/ColourField';
import { useRecordValue } from '../../../ui/fields/recordForm';

/** How a line on the floor looks: black where nobody has said. */
export function LineColour({ index }: { index: number }) {
  const [value, set] = useRecordValue(`table.lines.${index}.colour`);
  return (
    <ColourField
      label={`Line ${index + 1} colour`}
      value={typeof value === 'string' ? value : BLACK}
      onChange={set}
    />
  );
}
