import { wrap, type Remote } from 'comlink';
import { displaySettings, type DisplaySettings } from '../core/text/displaySettings';

/** Work under way in a worker. */
export interface WorkerJob<T> {
  result: Promise<T>;
  cancel(): void;
}

/** What every worker that says something is told first. */
interface Speaks {
  speakAs(display: DisplaySettings): void;
}

/** A promise that fails when the worker itself does: its script is not there, or ran out of room. */
export const faultOf = (worker: Worker): Promise<never> =>
  new Promise((_, reject) => {
    worker.addEventListener('error', (event) =>
      reject(new Error(`The computation stopped: ${event.message}`)),
    );
  });

interface AtWork {
  worker: Worker;
  api: Remote<Speaks>;
  fault: Promise<never>;
}

/** Workers that have answered and wait for what the page asks next, by what starts them. */
const atRest = new Map<() => Worker, AtWork[]>();

function started(start: () => Worker): AtWork {
  const worker = start();
  const fault = faultOf(worker);
  // While nobody waits for it, its fault is nobody's.
  fault.catch(() => undefined);
  return { worker, api: wrap<Speaks>(worker), fault };
}

/**
 * Ask a worker for something that it alone does meanwhile. It lives as long as the page and is asked again, unless it
 * failed or what it did was no longer wanted.
 *
 * @param start the same function each time, since workers are kept by it
 */
export function inWorker<Api extends Speaks, T>(
  start: () => Worker,
  ask: (api: Remote<Api>) => Promise<T>,
): WorkerJob<T> {
  const mine = atRest.get(start)?.pop() ?? started(start);
  let isOver = false;
  const cancel = () => {
    if (!isOver) mine.worker.terminate();
    isOver = true;
  };
  const answer = async () => {
    await mine.api.speakAs(displaySettings());
    const answered = await ask(mine.api as unknown as Remote<Api>);
    if (!isOver) atRest.set(start, [...(atRest.get(start) ?? []), mine]);
    isOver = true;
    return answered;
  };
  return { result: Promise.race([answer(), mine.fault]).finally(cancel), cancel };
}
