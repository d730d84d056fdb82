import { useState, useSyncExternalStore, type ReactNode } from 'react';
import type { Log } from '../../../formats/toLog';
import { Button } from '../../../ui/Button';
import { classes } from '../../../ui/classes';
import { Select } from '../../../ui/fields/Select';
import { SOURCE_OPTIONS, type Source } from '../logs/SourceChoice';
import { useSource } from '../logs/useSource';
import { Folded } from './Folded';
import { folding } from './folding';
import styles from './Panel.module.css';
import { Readings } from './Readings';
import { Strip } from './Strip';

interface FrameProps {
  source: Source;
  title: string;
  state: string;
  log: Log | null;
  /** What is said while nothing is read. */
  nothing: string;
  children: ReactNode;
}

/** What every source shows: its readings, a strip of one of them, and what can be done with it. */
export function PanelFrame({ source, title, state, log, nothing, children }: FrameProps) {
  const [, setSource] = useSource('stand-in');
  const [chosen, setChosen] = useState('headingRad');
  const isFolded = useSyncExternalStore(folding.watch, folding.isFolded, () => true);
  if (isFolded) return <Folded {...{ source, state, log }} />;
  return (
    <aside className={classes(styles.panel, 'no-print')} aria-label="Robot panel">
      <header>
        <h2>{title}</h2>
        <p className="faint" data-testid="panel-state">
          {state}
        </p>
        <Button look="bare" onClick={() => folding.fold(true)}>
          Fold
        </Button>
      </header>
      <Select
        label="What it shows"
        value={source}
        options={SOURCE_OPTIONS}
        onChange={(value) => setSource(value as Source)}
      />
      {log === null ? (
        <p className="faint">{nothing}</p>
      ) : (
        <>
          <Readings log={log} chosen={chosen} onChoose={setChosen} />
          <Strip log={log} channel={chosen} />
        </>
      )}
      {children}
    </aside>
  );
}
