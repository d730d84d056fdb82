import type { Need } from '../../core/course/wiring';
import styles from './RobotStation.module.css';

/** What the saved routes need of the robot, against what is plugged in. */
export function NeedList({ needs }: { needs: readonly Need[] }) {
  if (needs.length === 0) return null;
  return (
    <section aria-label="What the routes need">
      <h2>What the routes need</h2>
      <ul className={styles.changes}>
        {needs.map(({ kind, plugged, sentence }) => (
          <li key={kind} className={plugged ? undefined : styles.lacking}>
            {plugged ? '' : 'No '}
            {kind}: {sentence}
          </li>
        ))}
      </ul>
    </section>
  );
}
