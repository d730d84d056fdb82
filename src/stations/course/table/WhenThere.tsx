import { Select } from '../../../ui/fields/Select';
import { useRecordValue } from '../../../ui/fields/recordForm';
import { PRESENT } from '../../../core/table/description';
import { F } from './courseForm';
import { OptionalField } from './OptionalField';
import styles from './TableStation.module.css';

interface Props {
  of: 'walls' | 'fields' | 'obstacles';
  index: number;
  /** "Obstacle 2" */
  name: string;
}

/** The mission by which the robot moves something; not asked where there is none. */
function MovedBy({ name, label, nobody }: { name: string; label: string; nobody: string }) {
  const [value, set] = useRecordValue(name);
  const { missions } = F.useNow().table;
  if (missions.length === 0) return null;
  return (
    <Select
      label={label}
      value={typeof value === 'string' ? value : ''}
      options={[
        { value: '', label: nobody },
        ...missions.map(({ id, name: title }) => ({ value: id, label: `by the ${title}` })),
      ]}
      onChange={(id) => set(id === '' ? null : id)}
    />
  );
}

/** When something is on the table: in which share of the runs, until it is taken away, from when it is left there. */
export function WhenThere({ of, index, name }: Props) {
  const at = `table.${of}.${index}`;
  return (
    <div className={styles.more}>
      <OptionalField
        name={`${at}.share`}
        field={PRESENT.share}
        label={`${name} ${PRESENT.share.label}`}
      />
      <MovedBy name={`${at}.goneAfter`} label={`${name} is taken away`} nobody="by nothing" />
      <MovedBy name={`${at}.thereAfter`} label={`${name} is left there`} nobody="by nothing" />
    </div>
  );
}
