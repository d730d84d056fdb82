import { useEffect, useMemo, useState } from 'react';
import { ulid } from 'ulid';
import type { Mission } from '../../../core/table/table';
import type { Pose } from '../../../core/geometry/pose';
import { seriesFindings } from '../../../core/runs/findings';
import { toLoggedRun } from '../../../formats/runs/loggedRun';
import type { RunRecord, SavedRun, SavedSeries } from '../../../formats/records';
import { entryOf, newEntry, toRun, workedAsAWhole, type Entry } from './entry';
import { forgetEntry, keepEntry, keptEntry } from './keptEntry';
import { useOutbox } from './useOutbox';
import { useRuns } from './useRuns';

export interface Logged {
  series: SavedSeries;
  /** The missions of the route, in its order. */
  missions: Mission[];
  target: Pose;
  loaded: SavedRun[];
}

const TYPED_BY_MISTAKE = 'Typed by mistake';
const SAY_IT =
  'Say first whether it worked: w when everything did, or a key for each mission that was tried.';
const KEEPS_NOTHING =
  'This browser keeps nothing (its storage is full or switched off): make room, then log the run again.';

/** The runs of a series, the one that is being entered, and everything that can be done with them. */
export function useLogging(
  { series, target, loaded }: Logged,
  tell: (text: string) => void,
  /** A field holds something that is refused: nothing is logged until it is mended. */
  isRefused: boolean,
) {
  const saved = useRuns(loaded);
  const { runs, change } = saved;
  const outbox = useOutbox(series.id, saved.take);
  const last = runs.at(-1);
  const sticky = { placedBy: last?.placedBy ?? null, battery: last?.battery ?? series.battery };
  const [entry, show] = useState(() => newEntry('', sticky));
  /** Counts the entries begun: each has a form of its own. */
  const [begun, setBegun] = useState(0);
  const findings = useMemo(
    () => seriesFindings(target.headingRad, runs.map(toLoggedRun), series.plannedRuns),
    [runs, series, target],
  );

  useEffect(() => {
    // Only the browser knows what was being typed: it cannot be part of the first, server-made picture.
    // What was said of the run since then stands.
    void keptEntry(series.id).then((kept) => {
      if (kept !== null) show((now) => (now.id === '' ? kept : now));
    });
  }, [series.id]);

  const setEntry = (next: Entry) => {
    // Named with the first thing said of it: logged twice, it is still one run.
    const named = next.id === '' ? { ...next, id: ulid() } : next;
    show(named);
    keepEntry(series.id, named);
  };
  const begin = (next: Entry) => {
    setEntry(next);
    setBegun((n) => n + 1);
  };
  const startOver = (from: Pick<RunRecord, 'placedBy' | 'battery'> = sticky) => {
    begin(newEntry('', from));
    forgetEntry(series.id);
  };
  const correcting = entry.version > 0 ? runs.find(({ id }) => id === entry.id) : undefined;

  const log = async (now: Entry = entry) => {
    if (isRefused) return;
    if (workedAsAWhole(now) === null) {
      saved.setProblem(SAY_IT);
      return;
    }
    // Named with the first thing said of it; where nothing was, now.
    const run = toRun(now.id === '' ? { ...now, id: ulid() } : now, series.id);
    if (correcting !== undefined) {
      if (!(await change(run))) return;
      saved.setProblem(null);
      tell(`Run ${correcting.number} is corrected.`);
      startOver();
    } else if (outbox.add(run)) {
      saved.setProblem(null);
      startOver(run);
    } else {
      saved.setProblem(KEEPS_NOTHING);
    }
  };
  const undo = async () => {
    const latest = runs.findLast((run) => run.setAsideReason === null);
    if (outbox.waiting.length > 0 || latest === undefined) return;
    if (!(await change({ ...latest, setAsideReason: TYPED_BY_MISTAKE }))) return;
    begin(entryOf(latest, ulid(), 0));
    tell(`Run ${latest.number} is set aside and back in the form.`);
  };
  const setAside = async (run: SavedRun, reason: string | null) => {
    if (!(await change({ ...run, setAsideReason: reason }))) return;
    tell(reason === null ? `Run ${run.number} counts again.` : `Run ${run.number} is set aside.`);
  };
  return {
    ...saved,
    outbox,
    findings,
    /** Runs that count, saved or on their way. */
    used: runs.length - findings.setAside + outbox.waiting.length,
    entry,
    setEntry,
    begun,
    correcting,
    log,
    undo,
    setAside,
    startOver,
    correct: (run: SavedRun) => begin(entryOf(run, run.id, run.version)),
    /** A run that the server did not take, back in the form. */
    takeUp: (run: RunRecord) => {
      begin(entryOf(run, ulid(), 0));
      outbox.settle(run);
    },
  };
}

export type Logging = ReturnType<typeof useLogging>;
