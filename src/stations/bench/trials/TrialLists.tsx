import { dayOf } from '../../../ui/dates';
import { counted } from '../../../core/text/quantities';
import type { TrialListEntry } from '../../../formats/benchRecords';
import styles from '../Bench.module.css';

interface Props {
  /** Where a list opens. */
  href: string;
  lists: readonly TrialListEntry[];
  /** What a list holds: "trial", "lap", "anchor". */
  what: string;
  title: string;
  /** The one that is on the screen. */
  openId: string | null;
}

const Entries = ({ href, lists, what, openId }: Omit<Props, 'title'>) => (
  <ul className={styles.routes}>
    {lists.map(({ id, startedAt, name, surface, count }) => {
      const called = name ?? dayOf(startedAt);
      return (
        <li key={id}>
          {id === openId ? (
            <strong aria-current="true">{called}</strong>
          ) : (
            <a href={`${href}&list=${id}`}>{called}</a>
          )}
          {name !== null && `, ${dayOf(startedAt)}`}
          {surface !== '' && `, on ${surface}`}, {counted(count, what)}
        </li>
      );
    })}
  </ul>
);

/** The lists of a procedure that were begun before, each of which opens again. */
export function TrialLists({ title, ...props }: Props) {
  const shown = props.lists.filter(({ archivedAt }) => archivedAt === null);
  const archived = props.lists.filter(({ archivedAt }) => archivedAt !== null);
  if (props.lists.every(({ id }) => id === props.openId)) return null;
  return (
    <section aria-label={title}>
      {shown.length > 0 && (
        <>
          <h2>{title}</h2>
          <Entries {...props} lists={shown} />
        </>
      )}
      {archived.length > 0 && (
        <details>
          <summary>Archived: {archived.length}</summary>
          <Entries {...props} lists={archived} />
        </details>
      )}
    </section>
  );
}
