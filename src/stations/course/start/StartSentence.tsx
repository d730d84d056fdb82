import { BEGINNING, PLACEMENT } from '../../../core/course/description';
import type { Route } from '../../../core/course/route';
import type { Table } from '../../../core/table/table';
import type { Robot } from '../../../core/robot/robot';
import { PhraseFields } from '../../../ui/fields/PhraseFields';
import styles from '../CourseStation.module.css';
import { MountedChoice } from './MountedChoice';
import { StillFirst } from './StillFirst';

interface Props {
  route: Route;
  table: Table;
  robot: Robot;
  onChange(route: Route): void;
}

/** Where the robot starts and how exactly it is placed, as a sentence with its values in place, and what is done before it goes. */
export function StartSentence({ route, table, robot, onChange }: Props) {
  const { start, placement } = route;
  const { xM, yM, ...others } = BEGINNING.fields;
  const onTable = {
    xM: { ...xM, min: 0, max: table.widthM },
    yM: { ...yM, min: 0, max: table.heightM },
  };
  return (
    <div className={styles.startRow}>
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
      <div className={styles.mounted}>
        <MountedChoice {...{ route, robot, onChange }} />
      </div>
      <StillFirst {...{ route, robot, onChange }} />
    </div>
  );
}
