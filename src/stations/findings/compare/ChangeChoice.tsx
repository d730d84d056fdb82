import { dayAndClockOf } from '../../../ui/dates';
import button from '../../../ui/Button.module.css';
import { PlainSelect } from '../../../ui/fields/PlainFields';
import styles from './Compare.module.css';

interface Props {
  changes: readonly { id: string; robotName: string; what: string; at: string }[];
  chosen: string | undefined;
}

/** What was changed about a robot is compared, too: its runs before and after it. */
export function ChangeChoice({ changes, chosen }: Props) {
  if (changes.length === 0) return null;
  return (
    <form method="get" action="/findings/compare" className={styles.wish}>
      <PlainSelect
        name="change"
        label="Or before and after a change of the robot"
        value={chosen}
        options={changes.map(({ id, robotName, what, at }) => ({
          value: id,
          label: `${dayAndClockOf(at)} ${robotName}: ${what}`,
        }))}
      />
      <button type="submit" className={button.button}>
        Compare around it
      </button>
    </form>
  );
}
