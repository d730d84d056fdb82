import { clockOf } from '../../../ui/dates';
import { useEffect, useRef, useState } from 'react';
import type { RunRecord, SavedRun } from '../../../formats/records';
import { Button } from '../../../ui/Button';
import { classes } from '../../../ui/classes';
import styles from './LogStation.module.css';
import { ANCHOR, anchorOf, endText, WorkedMark } from '../runWords';

interface Props {
  runs: readonly SavedRun[];
  waiting: readonly RunRecord[];
  /** Without one no run is said to lack its own. */
  hasPlannedEnd: boolean;
  onCorrect(run: SavedRun): void;
  onSetAside(run: SavedRun): void;
  onTakeBack(run: SavedRun): void;
}

const SHOWN = 40;

function RunLine({ run, hasPlannedEnd }: { run: RunRecord; hasPlannedEnd: boolean }) {
  return (
    <span className={styles.runLine}>
      <span>
        {(hasPlannedEnd || run.endXM !== null) && endText(run)}
        {run.cause !== null && <em> {run.cause}</em>}
      </span>
      <small className="faint">
        {clockOf(run.happenedAt)} {run.placedBy ?? ''} {run.battery ?? ''}
        {run.setAsideReason !== null && ` · set aside: ${run.setAsideReason}`}
        {run.note !== null && ` · ${run.note}`}
      </small>
    </span>
  );
}

/** A run that the address names is shown, however long ago it was. */
function useShowAddressed(showAll: () => void): void {
  const show = useRef(showAll);
  useEffect(() => {
    const id = location.hash.slice(1);
    if (!id.startsWith(ANCHOR)) return;
    show.current();
    requestAnimationFrame(() => {
      const line = document.getElementById(id);
      // Only an address that is gone to marks its run.
      location.replace(`#${id}`);
      line?.scrollIntoView({ block: 'center' });
      line?.querySelector('button')?.focus({ preventScroll: true });
    });
  }, []);
}

/** The runs of the series, the last on top, with what waits to be saved above them. */
export function RunList(props: Props) {
  const { runs, waiting, hasPlannedEnd, onCorrect, onSetAside, onTakeBack } = props;
  const [all, setAll] = useState(false);
  useShowAddressed(() => setAll(true));
  const newest = runs.toReversed();
  const shown = all ? newest : newest.slice(0, SHOWN);
  return (
    <ol className={styles.runs} aria-label="Runs of this series, the last first">
      {waiting.toReversed().map((run) => (
        <li key={run.id} className={styles.waiting} data-testid="waiting-run">
          <strong>…</strong>
          <WorkedMark worked={run.worked} />
          <RunLine {...{ run, hasPlannedEnd }} />
          <small>not yet saved</small>
        </li>
      ))}
      {shown.map((run) => (
        <li
          key={run.id}
          id={anchorOf(run.number)}
          className={classes(run.setAsideReason !== null && styles.aside)}
          data-testid="saved-run"
        >
          <strong>{run.number}</strong>
          <WorkedMark worked={run.worked} />
          <RunLine {...{ run, hasPlannedEnd }} />
          <span className={styles.runActions}>
            {run.setAsideReason === null ? (
              <>
                <Button
                  look="bare"
                  aria-label={`Correct run ${run.number}`}
                  onClick={() => onCorrect(run)}
                >
                  Correct
                </Button>
                <Button
                  look="bare"
                  aria-label={`Set run ${run.number} aside`}
                  onClick={() => onSetAside(run)}
                >
                  Set aside…
                </Button>
              </>
            ) : (
              <Button
                look="bare"
                aria-label={`Take run ${run.number} back in`}
                onClick={() => onTakeBack(run)}
              >
                Take back in
              </Button>
            )}
          </span>
        </li>
      ))}
      {shown.length < newest.length && (
        <li>
          <Button onClick={() => setAll(true)}>Show all {newest.length} runs</Button>
        </li>
      )}
    </ol>
  );
}
