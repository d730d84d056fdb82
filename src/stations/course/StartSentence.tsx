import { BEGINNING, PLACEMENT } from '../../core/course/description';
import type { Route } from '../../core/course/route';
import type { Table } from '../../core/table/table';
import { PhraseFields } from '../../ui/fields/PhraseFields';

interface Props {
  route: Route;
  table: Table;
  onChange(route: Route): void;
}

/** Where the robot starts and how exactly it is placed, as a sentence with its values in place. */
export function StartSentence({ route, table, onChange }: Props) {
  const { start, placement } = route;
  const { xM, yM, ...others } = BEGINNING.fields;
  const onTable = {
    xM: { ...xM, min: 0, max: table.widthM },
    yM: { ...yM, min: 0, max: table.heightM },
  };
  return (
    <PhraseFields
      description={{ ...BEGINNING, fields: { ...others, ...onTable } }}
      record={{ ...start, ...placement }}
      onChange={(name, value) =>
        onChange(
          name in PLACEMENT
            ? { ...route, placement: { ...placement, [name]: value } }
            : { ...route, start: { ...start, [name]: value } },
        )
      }
    />
  );
}
