import { roundLength } from '../../../core/text/lengths';
import { teamNames } from '../../../core/text/displaySettings';
import { useEffect, useRef, useState } from 'react';
import type { Mission } from '../../../core/table/table';
import { nextRunText, progressText } from '../../../core/runs/progress';
import type { PlanSoFar } from '../../../formats/runs/planSoFar';
import type { SavedRun } from '../../../formats/records';
import { Button } from '../../../ui/Button';
import {
  FieldsInErrorProvider,
  MendFirst,
  useFieldsInError,
} from '../../../ui/fields/fieldsInError';
import { Toast } from '../../../ui/Notice';
import { useToast } from '../../../ui/useToast';
import { EntryForm, reachesM, type EntryRefs } from './EntryForm';
import { LogDialogs, type OpenDialog } from './LogDialogs';
import { LogNotices } from './LogNotices';
import styles from './LogStation.module.css';
import { PlanStrip } from './PlanStrip';
import { RunList } from './RunList';
import { useLogging, type Logged, type Logging } from './useLogging';
import { useLogKeys } from './useLogKeys';

interface Props extends Logged {
  endMission: Mission | null;
  /** Whether the route plans a way, so that there is an end to measure. */
  hasPlannedEnd: boolean;
  /** Everybody who placed a robot before, and every battery, the last first. */
  placers: string[];
  batteries: string[];
  /** The plan that the series is part of. */
  plan: PlanSoFar | null;
}

/** A pad that holds the ends so far with some room. */
function reachFor(runs: readonly SavedRun[]): number {
  const far = Math.max(
    0.04,
    ...runs.map(({ endXM, endYM }) => Math.max(Math.abs(endXM ?? 0), Math.abs(endYM ?? 0))),
  );
  const [, ...wide] = reachesM();
  return wide.find((reach) => far <= reach) ?? roundLength(0.4);
}

const distinct = (...names: (string | null)[]) => [
  ...new Set(names.filter((name): name is string => name !== null && name !== '')),
];

/** False until the screen, which is made on the server, listens to keys. */
function useIsListening(): boolean {
  const [listening, setListening] = useState(false);
  useEffect(() => {
    // A frame on: by then the effects that listen have run, too.
    const frame = requestAnimationFrame(() => setListening(true));
    return () => cancelAnimationFrame(frame);
  }, []);
  return listening;
}

const countedEnds = (runs: readonly SavedRun[]) =>
  runs.flatMap(({ endXM, endYM, setAsideReason }) =>
    endXM === null || endYM === null || setAsideReason !== null ? [] : [{ xM: endXM, yM: endYM }],
  );

interface SideProps {
  logging: Logging;
  hasPlannedEnd: boolean;
  onOpen(dialog: OpenDialog): void;
}

function SideColumn({ logging, hasPlannedEnd, onOpen }: SideProps) {
  const { runs, outbox, undo, correct, setAside } = logging;
  return (
    <section className={styles.side} aria-label="Logged runs">
      <div className={styles.actions}>
        <Button
          disabled={runs.length === 0 || outbox.waiting.length > 0}
          onClick={() => void undo()}
        >
          Undo the last <kbd>u</kbd>
        </Button>
        <Button onClick={() => onOpen('import')}>Import…</Button>
        <Button onClick={() => onOpen('keys')} aria-label="Keys on this screen">
          <kbd>?</kbd>
        </Button>
      </div>
      {runs.length + outbox.waiting.length === 0 ? (
        <p className="faint">
          The runs will stand here. Press <kbd>?</kbd> for the keys: a run takes a few of them and
          no mouse.
        </p>
      ) : (
        <RunList
          runs={runs}
          waiting={outbox.waiting}
          hasPlannedEnd={hasPlannedEnd}
          onCorrect={correct}
          onSetAside={(run) => onOpen({ setAside: run })}
          onTakeBack={(run) => void setAside(run, null)}
        />
      )}
    </section>
  );
}

/** Run after run into a series: a few keys each, and what they say so far on top. */
export const LogStation = (props: Props) => (
  <FieldsInErrorProvider>
    <LogEditor {...props} />
  </FieldsInErrorProvider>
);

function LogEditor(props: Props) {
  const wrong = useFieldsInError();
  const { series, missions } = props;
  const [toast, tell] = useToast();
  const logging = useLogging(props, tell, wrong > 0);
  const { runs, used, findings, entry, correcting, begun } = logging;
  const [reachM, setReachM] = useState(() => reachFor(props.loaded));
  const [dialog, setDialog] = useState<OpenDialog>(null);
  const refs: EntryRefs = {
    x: useRef<HTMLInputElement>(null),
    y: useRef<HTMLInputElement>(null),
    heading: useRef<HTMLInputElement>(null),
  };
  const placers = distinct(
    ...runs.toReversed().map((run) => run.placedBy),
    ...props.placers,
    ...teamNames(),
  );
  const goOn = () => document.querySelector<HTMLElement>('[data-testid=plan-go]')?.click();
  useLogKeys(logging, missions, placers, refs, { help: () => setDialog('keys'), goOn });
  return (
    <div className={styles.station} data-ready={useIsListening()}>
      <p className={styles.headline} data-testid="log-sentence">
        {findings.verdict.found}{' '}
        <span className="faint">
          {progressText(used, series.plannedRuns)}
          {findings.setAside > 0 && `, ${findings.setAside} set aside`}.
        </span>
      </p>
      <MendFirst />
      {props.plan !== null && (
        <PlanStrip
          plan={props.plan}
          seriesId={series.id}
          used={used}
          isWaiting={logging.outbox.waiting.length > 0}
        />
      )}
      <LogNotices logging={logging} />
      <div className={styles.columns}>
        <EntryForm
          key={begun}
          title={
            correcting === undefined
              ? nextRunText(used, series.plannedRuns)
              : `Correct run ${correcting.number}`
          }
          entry={entry}
          missions={missions}
          target={props.target}
          endMission={props.endMission}
          hasPlannedEnd={props.hasPlannedEnd}
          earlier={countedEnds(runs)}
          reachM={reachM}
          placers={placers}
          batteries={distinct(...runs.map((run) => run.battery), ...props.batteries)}
          refs={refs}
          takesFocus={begun > 0}
          onReach={setReachM}
          onChange={logging.setEntry}
          onLog={() => void logging.log()}
          onCancel={() => logging.startOver()}
        />
        <SideColumn hasPlannedEnd={props.hasPlannedEnd} logging={logging} onOpen={setDialog} />
      </div>
      <LogDialogs
        open={dialog}
        logging={logging}
        seriesId={series.id}
        missions={missions}
        onClose={() => setDialog(null)}
        tell={tell}
      />
      <Toast text={toast} />
    </div>
  );
}
