import { lazy, Suspense, useEffect, useMemo, useRef, useState } from 'react';
import { ulid } from 'ulid';
import type { Mission } from '../../core/course/table';
import type { Pose } from '../../core/geometry/pose';
import { CAUSES } from '../../core/runs/causes';
import { seriesFindings } from '../../core/runs/findings';
import { counted } from '../../core/text/quantities';
import { toLoggedRun } from '../../formats/loggedRun';
import type { SavedRun, SavedSeries } from '../../formats/records';
import { Button } from '../../ui/Button';
import { KeyHelp } from '../../ui/KeyHelp';
import { Notice, Toast } from '../../ui/Notice';
import { useKeys } from '../../ui/useKeys';
import { useToast } from '../../ui/useToast';
import { ConflictDialog } from '../ConflictDialog';
import { EntryForm, type EntryRefs } from './EntryForm';
import { entryOf, newEntry, nextName, toggleMission, toRun, workedAsAWhole } from './entry';
import { logKeys } from './keys';
import styles from './LogStation.module.css';
import { MISSION_KEYS } from './MissionToggles';
import { RunList } from './RunList';
import { SetAsideDialog } from './SetAsideDialog';
import { useOutbox } from './useOutbox';
import { useRuns } from './useRuns';

interface Props {
  series: SavedSeries;
  /** The missions of the route, in its order. */
  missions: Mission[];
  target: Pose;
  endMission: Mission | null;
  loaded: SavedRun[];
  /** Everybody who placed a robot before, and every battery, the last first. */
  placers: string[];
  batteries: string[];
}

/** Reading files is not needed for logging: it comes when it is asked for. */
const ImportDialog = lazy(async () => ({ default: (await import('./ImportDialog')).ImportDialog }));

const TYPED_BY_MISTAKE = 'Typed by mistake';

/** A pad that holds the ends so far with some room. */
function reachFor(runs: readonly SavedRun[]): number {
  const far = Math.max(
    0.04,
    ...runs.map(({ endXM, endYM }) => Math.max(Math.abs(endXM ?? 0), Math.abs(endYM ?? 0))),
  );
  return far <= 0.06 ? 0.06 : far <= 0.15 ? 0.15 : 0.4;
}

const distinct = (...names: (string | null)[]) => [
  ...new Set(names.filter((name): name is string => name !== null && name !== '')),
];

export function LogStation(props: Props) {
  const { series, missions, target, loaded } = props;
  const { runs, take, change, problem, setProblem, conflict, takeTheirs, dismiss } =
    useRuns(loaded);
  const outbox = useOutbox(series.id, take);
  const missionIds = missions.map(({ id }) => id);
  const last = runs.at(-1);
  const [entry, setEntry] = useState(() =>
    newEntry('', missionIds, {
      placedBy: last?.placedBy ?? null,
      battery: last?.battery ?? series.battery,
    }),
  );
  const [logged, setLogged] = useState(0);
  const [reachM, setReachM] = useState(() => reachFor(loaded));
  const [dialog, setDialog] = useState<'import' | 'keys' | null>(null);
  const [settingAside, setSettingAside] = useState<SavedRun | null>(null);
  const [toast, tell] = useToast();
  const refs: EntryRefs = {
    x: useRef<HTMLInputElement>(null),
    y: useRef<HTMLInputElement>(null),
    heading: useRef<HTMLInputElement>(null),
  };
  // The screen is made on the server: until it listens, typing must not be lost into it.
  const [ready, setReady] = useState(false);
  // eslint-disable-next-line react-hooks/set-state-in-effect
  useEffect(() => setReady(true), []);

  const findings = useMemo(
    () => seriesFindings(target.headingRad, runs.map(toLoggedRun)),
    [runs, target],
  );
  const placers = distinct(...runs.toReversed().map((run) => run.placedBy), ...props.placers);
  const used = runs.length - findings.setAside + outbox.waiting.length;
  const correcting = entry.version > 0 ? runs.find(({ id }) => id === entry.id) : undefined;

  const startOver = (placedBy: string | null, battery: string | null) => {
    setEntry(newEntry('', missionIds, { placedBy, battery }));
    setLogged((n) => n + 1);
  };
  const log = async () => {
    const run = toRun(entry.id === '' ? { ...entry, id: ulid() } : entry, series.id);
    if (entry.version > 0) {
      if (await change(run)) {
        tell(`Run ${correcting?.number ?? ''} is corrected.`);
        startOver(last?.placedBy ?? null, last?.battery ?? null);
      }
      return;
    }
    if (!outbox.add(run)) {
      setProblem(
        'This browser keeps nothing (its storage is full or switched off): make room, then log the run again.',
      );
      return;
    }
    setProblem(null);
    startOver(run.placedBy, run.battery);
  };
  const undo = async () => {
    const latest = runs.findLast((run) => run.setAsideReason === null);
    if (outbox.waiting.length > 0 || latest === undefined) return;
    if (!(await change({ ...latest, setAsideReason: TYPED_BY_MISTAKE }))) return;
    setEntry(entryOf(latest, ulid(), 0));
    setLogged((n) => n + 1);
    tell(`Run ${latest.number} is set aside and back in the form.`);
  };
  const setAside = async (run: SavedRun, setAsideReason: string | null) => {
    setSettingAside(null);
    if (!(await change({ ...run, setAsideReason }))) return;
    tell(
      setAsideReason === null
        ? `Run ${run.number} counts again.`
        : `Run ${run.number} is set aside.`,
    );
  };
  const focusPad = () => document.querySelector<HTMLElement>('[data-testid=pad]')?.focus();
  const onKey = (key: string): boolean => {
    const mission = missions[MISSION_KEYS.indexOf(key)];
    const cause = /^[1-9]$/.test(key) ? CAUSES[Number(key) - 1] : undefined;
    if (mission !== undefined) setEntry(toggleMission(entry, mission.id));
    else if (cause !== undefined && !workedAsAWhole(entry)) setEntry({ ...entry, cause });
    else if (key === 'w' && missions.length === 0) setEntry({ ...entry, worked: !entry.worked });
    else if (key === 'x') refs.x.current?.focus();
    else if (key === 'y') refs.y.current?.focus();
    else if (key === 'r') refs.heading.current?.focus();
    else if (key === 'z') focusPad();
    else if (key === 'p') setEntry({ ...entry, placedBy: nextName(placers, entry.placedBy) });
    else if (key === 'u') void undo();
    else if (key === 'Enter') void log();
    else if (key === '?') setDialog('keys');
    else return false;
    return true;
  };
  useKeys(onKey);

  const title =
    correcting !== undefined
      ? `Correct run ${correcting.number}`
      : `Run ${used + 1} of ${Math.max(series.plannedRuns, used + 1)}`;
  return (
    <div data-ready={ready}>
      <p className={styles.headline} data-testid="log-sentence">
        {findings.verdict.found}{' '}
        <span className="faint">
          {counted(used, 'run')} of {series.plannedRuns} logged
          {findings.setAside > 0 && `, ${findings.setAside} set aside`}.
        </span>
      </p>
      {outbox.away !== null && outbox.waiting.length > 0 && (
        <Notice tone="careful">
          <strong data-testid="not-yet-saved">
            {counted(outbox.waiting.length, 'run')} not yet saved.
          </strong>{' '}
          Corvat’s server is away just now. They are kept in this browser and go out by themselves;
          go on logging.
        </Notice>
      )}
      {outbox.refused.map(({ run, reason }) => (
        <Notice
          key={run.id}
          tone="fault"
          action={
            <Button
              onClick={() => {
                setEntry(entryOf(run, ulid(), 0));
                outbox.settle(run);
              }}
            >
              Back into the form
            </Button>
          }
        >
          A run was not taken: {reason}
        </Notice>
      ))}
      {problem !== null && <Notice tone="fault">{problem}</Notice>}
      <div className={styles.columns}>
        <EntryForm
          key={`${entry.id}-${logged}`}
          title={title}
          entry={entry}
          missions={missions}
          target={target}
          endMission={props.endMission}
          earlier={runs.flatMap(({ endXM, endYM, setAsideReason }) =>
            endXM === null || endYM === null || setAsideReason !== null
              ? []
              : [{ xM: endXM, yM: endYM }],
          )}
          reachM={reachM}
          placers={placers}
          batteries={distinct(...runs.map((run) => run.battery), ...props.batteries)}
          refs={refs}
          takesFocus={logged > 0}
          onReach={setReachM}
          onChange={setEntry}
          onLog={() => void log()}
          onCancel={() => startOver(last?.placedBy ?? null, last?.battery ?? null)}
        />
        <section className={styles.side} aria-label="Logged runs">
          <div className={styles.actions}>
            <Button
              disabled={runs.length === 0 || outbox.waiting.length > 0}
              onClick={() => void undo()}
            >
              Undo the last <kbd>u</kbd>
            </Button>
            <Button onClick={() => setDialog('import')}>Import…</Button>
            <Button onClick={() => setDialog('keys')} aria-label="Keys on this screen">
              <kbd>?</kbd>
            </Button>
          </div>
          {runs.length + outbox.waiting.length === 0 ? (
            <p className="faint">
              The runs will stand here. Press <kbd>?</kbd> for the keys: a run takes a few of them
              and no mouse.
            </p>
          ) : (
            <RunList
              runs={runs}
              waiting={outbox.waiting}
              onCorrect={(run) => {
                setEntry(entryOf(run, run.id, run.version));
                setLogged((n) => n + 1);
              }}
              onSetAside={setSettingAside}
              onTakeBack={(run) => void setAside(run, null)}
            />
          )}
        </section>
      </div>
      {dialog === 'keys' && (
        <KeyHelp keys={logKeys(missions.length)} onClose={() => setDialog(null)} />
      )}
      {dialog === 'import' && (
        <Suspense>
          <ImportDialog
            seriesId={series.id}
            missions={missions}
            onClose={() => setDialog(null)}
            onImported={(imported) => {
              take(...imported);
              setDialog(null);
              tell(`${counted(imported.length, 'run')} imported.`);
            }}
          />
        </Suspense>
      )}
      {settingAside !== null && (
        <SetAsideDialog
          run={settingAside}
          onConfirm={(reason) => void setAside(settingAside, reason)}
          onClose={() => setSettingAside(null)}
        />
      )}
      {conflict !== null && (
        <ConflictDialog
          what="run"
          mine={conflict.mine}
          theirs={conflict.theirs}
          onKeepMine={(mine) => void change(mine)}
          onTakeTheirs={takeTheirs}
          onClose={dismiss}
        />
      )}
      <Toast text={toast} />
    </div>
  );
}
