import { dayOf } from '../../ui/dates';
import { classes } from '../../ui/classes';
import styles from './ChangesDone.module.css';

interface Props {
  changes: readonly {
    id: string;
    trying: string;
    startedAt: string;
    before: string | null;
    href: string;
    sentence: string;
    verdict: 'helped' | 'hurt' | 'no-difference-shown' | null;
    unfair: string | null;
    isFair: boolean;
  }[];
}

/** What each change did, the newest first: the sentence, and whether the comparison is fair. */
export const ChangesDone = ({ changes }: Props) => (
  <ol className={styles.list} aria-label="What each change did, the newest first">
    {changes.map(({ id, trying, startedAt, before, href, sentence, verdict, unfair, isFair }) => (
      <li key={id} className={classes(styles.change, !isFair && styles.unfair)}>
        <h2>
          <a href={href}>{trying}</a>
        </h2>
        <small className="faint">
          {dayOf(startedAt)}
          {before !== null && `, against “${before}”`}
        </small>
        <p data-verdict={verdict ?? undefined}>{sentence}</p>
        {unfair !== null && <p className={styles.why}>{unfair}</p>}
      </li>
    ))}
  </ol>
);
