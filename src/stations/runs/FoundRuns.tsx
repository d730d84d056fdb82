import type { SavedRun } from '../../formats/records';
import { clockOf, dayOf } from '../../ui/dates';
import styles from './SeriesList.module.css';
import { Table } from '../../ui/Table';
import { anchorOf, endText, WorkedMark } from './runWords';

type Found = SavedRun & { trying: string; routeName: string; robotName: string };

const noteOf = ({ note, setAsideReason }: SavedRun) =>
  [setAsideReason !== null && `set aside: ${setAsideReason}`, note].filter(Boolean).join('; ') ||
  '–';

/** Single runs of all series, the newest first. */
export const FoundRuns = ({ runs }: { runs: readonly Found[] }) => (
  <Table
    label="Runs"
    rows={runs}
    keyOf={({ id }) => id}
    isAside={({ setAsideReason }) => setAsideReason !== null}
    columns={[
      {
        title: 'When',
        cell: ({ happenedAt }) => (
          <>
            <span className={styles.whole}>{dayOf(happenedAt)}</span> {clockOf(happenedAt)}
          </>
        ),
      },
      {
        title: 'Run',
        head: true,
        cell: ({ seriesId, number, trying }) => (
          <a href={`/runs/${seriesId}#${anchorOf(number)}`}>
            {number} of “{trying}”
          </a>
        ),
      },
      { title: 'Robot, route', cell: ({ robotName, routeName }) => `${robotName}, ${routeName}` },
      { title: 'Worked', cell: ({ worked }) => <WorkedMark worked={worked} /> },
      { title: 'End, from the planned one', cell: endText },
      { title: 'What went wrong', cell: ({ cause }) => cause ?? '–' },
      { title: 'Placed by', cell: ({ placedBy }) => placedBy ?? '–' },
      { title: 'Battery', cell: ({ battery }) => battery ?? '–' },
      { title: 'Noted', cell: noteOf },
    ]}
  />
);
