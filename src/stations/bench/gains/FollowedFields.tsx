import { DISTANCE_KEPT, LIGHT_KEPT } from '../../../core/trials/gain';
import type { TunedId } from '../../../core/robot/tunedIds';
import type { Followed } from '../../../formats/csv/gainTraceCsv';
import { Choice } from '../../../ui/fields/Choice';
import { ValueField } from '../../../ui/fields/ValueField';
import styles from '../Bench.module.css';

interface Props {
  controller: TunedId;
  followed: Followed;
  onChange(followed: Followed): void;
}

const SIDES = [
  { value: 'left', label: 'left' },
  { value: 'right', label: 'right' },
] as const;

/** What a trace of following does not tell by itself. */
export const FollowedFields = ({ controller, followed, onChange }: Props) => (
  <div className={styles.fields}>
    <ValueField
      field={controller === 'wall' ? DISTANCE_KEPT : LIGHT_KEPT}
      value={followed.target}
      onChange={(target) => onChange({ ...followed, target })}
    />
    <Choice
      label={controller === 'wall' ? 'The wall is on its' : 'The darker side is on its'}
      value={followed.side}
      options={SIDES}
      onChange={(side) => onChange({ ...followed, side })}
    />
  </div>
);
