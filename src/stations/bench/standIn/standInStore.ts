import { ulid } from 'ulid';
import type { StandInAction } from '../../../core/standIn/act';
import type { StandInView } from '../../../core/standIn/view';
import type { RawReading } from '../../../core/standIn/readings';
import type { StandInTruth } from '../../../core/standIn/truth';
import { get, post, sentenceOf } from '../../api';

/** The stand-in as this browser knows it: one source for the panel and for what captures from it. */
export interface StandInSeen {
  view: StandInView | null;
  /** The newest reading; null while it is switched off. */
  latest: RawReading | null;
  truth: StandInTruth | null;
  problem: string | null;
}

interface Report {
  view: StandInView;
  readings: RawReading[];
  truth: StandInTruth | null;
}

const POLL_MS = 200;

/** Whose stand-in it is: a page of the Bench or the Course is about one robot, and says so (`data-robot`). */
const robotId =
  typeof document === 'undefined'
    ? null
    : (document.querySelector<HTMLElement>('[data-robot]')?.dataset.robot ?? null);

/** Its last minutes as a file. */
export const standInFile = (): string =>
  `/api/stand-in/readings${robotId === null ? '' : `?robot=${robotId}`}`;

const since = (seconds: number | string): string =>
  `/api/stand-in?since=${seconds}${robotId === null ? '' : `&robot=${robotId}`}`;

let seen: StandInSeen = { view: null, latest: null, truth: null, problem: null };
let sinceS = 0;
let timer: ReturnType<typeof setTimeout> | undefined;
const watchers = new Set<() => void>();
const listeners = new Set<(readings: RawReading[]) => void>();

function publish(next: Partial<StandInSeen>): void {
  seen = { ...seen, ...next };
  for (const watcher of watchers) watcher();
}

/** What the newest answer with readings brought. */
let heard: readonly RawReading[] = [];

/** Questions are numbered as they are asked. */
let asked = 0;
let newest = 0;

/**
 * Take an answer. One that was overtaken by the answer to a later question tells nothing new; its clock alone does not
 * tell that: an answer that was made while the clock was being stopped may be ahead of it for good.
 */
function accept(question: number, { view, readings, truth }: Report): void {
  if (seen.view !== null && question < newest && view.nowS <= seen.view.nowS) return;
  newest = Math.max(newest, question);
  publish({
    view,
    truth,
    latest: view.on ? (readings.at(-1) ?? seen.latest) : null,
    problem: null,
  });
  if (readings.length === 0) return;
  heard = readings;
  sinceS = readings.at(-1)?.tS ?? sinceS;
  for (const listener of listeners) listener(readings);
}

async function poll(): Promise<void> {
  asked += 1;
  const question = asked;
  try {
    // The first look wants only what is read now; a capture says itself from when on.
    if (seen.view === null) {
      const report = await get<Report>(since('1e12'));
      sinceS = Math.max(0, report.view.nowS - 1);
      accept(question, report);
    } else {
      accept(question, await get<Report>(since(sinceS)));
    }
  } catch (error) {
    publish({ problem: sentenceOf(error) });
  }
  if (watchers.size > 0) timer = setTimeout(() => void poll(), POLL_MS);
  else timer = undefined;
}

/** For React: told at every change, polled while anybody listens. */
export function watchStandIn(watcher: () => void): () => void {
  watchers.add(watcher);
  if (timer === undefined) timer = setTimeout(() => void poll(), 0);
  return () => {
    watchers.delete(watcher);
  };
}

export const standInSeen = (): StandInSeen => seen;
const NOT_YET: StandInSeen = seen;
export const standInUnseen = (): StandInSeen => NOT_YET;

/**
 * Every reading from now on, in order, until the returned function is called.
 *
 * @param alsoHeard those of the newest answer as well: they may have come a moment before anybody listened
 */
export function listenToStandIn(
  listener: (readings: RawReading[]) => void,
  alsoHeard = false,
): () => void {
  if (alsoHeard && seen.view?.on === true && heard.length > 0) listener([...heard]);
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** What its clock shows just now. */
export async function standInNowS(): Promise<number> {
  const report = await get<Report>(since('1e12'));
  return report.view.nowS;
}

/** Do something with it: how it is then; a sentence when it cannot be done. */
export async function askStandIn(action: StandInAction): Promise<StandInView | string> {
  asked += 1;
  const question = asked;
  try {
    const report = await post<Report>('/api/stand-in', { id: ulid(), action, robotId });
    accept(question, { ...report, readings: [] });
    return report.view;
  } catch (error) {
    return sentenceOf(error);
  }
}

/** The same where only what is wrong matters. */
export async function doWithStandIn(action: StandInAction): Promise<string | null> {
  const answer = await askStandIn(action);
  return typeof answer === 'string' ? answer : null;
}
