import type { Table } from '../../../core/table/table';
import { ColourField } from '../../../ui/fields/ColourField';
import { useRecordValue } from '../../../ui/fields/recordForm';
import { SegmentFields } from './SegmentFields';
import { WhenThere } from './WhenThere';

/** What a field looks like that was just added. */
const FIRST_COLOUR = '#c81e1e';

export function Colour({ name, label }: { name: string; label: string }) {
  const [value, set] = useRecordValue(name);
  return <ColourField label={label} value={value as string} onChange={set} />;
}

interface Props {
  table: Table;
  onChange(part: Partial<Table>): void;
}

/** How the floor looks to sensors: its own colour, and areas of another. */
export const FloorFields = ({ table, onChange }: Props) => (
  <SegmentFields
    of="fields"
    title="Coloured fields"
    note="Areas of another colour than the floor, by two opposite corners. Light and colour sensors see them; a later one lies on an earlier one, guide lines lie on all of them."
    one="Field"
    segments={table.fields}
    before={<Colour name="table.floorColour" label="Colour of the floor" />}
    more={(index) => (
      <>
        <Colour name={`table.fields.${index}.colour`} label={`Field ${index + 1} colour`} />
        <WhenThere of="fields" index={index} name={`Field ${index + 1}`} />
      </>
    )}
    onChange={(fields) =>
      onChange({ fields: fields.map((field) => ({ colour: FIRST_COLOUR, ...field })) })
    }
  />
);
