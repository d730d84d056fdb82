import { Dialog } from '../Dialog';
import styles from './KeyHelp.module.css';

export interface KeyMeaning {
  keys: readonly string[];
  does: string;
}

/** What each key does on a screen; opened by "?". */
export function KeyHelp({ keys, onClose }: { keys: readonly KeyMeaning[]; onClose(): void }) {
  return (
    <Dialog title="Keys on this screen" onClose={onClose}>
      <dl className={styles.list}>
        {keys.map((meaning) => (
          <div key={meaning.does}>
            <dt>
              {meaning.keys.map((key) => (
                <kbd key={key}>{key}</kbd>
              ))}
            </dt>
            <dd>{meaning.does}</dd>
          </div>
        ))}
      </dl>
    </Dialog>
  );
}
