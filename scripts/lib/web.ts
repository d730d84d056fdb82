import { spawn, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { closeSync, existsSync, openSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { home, root } from './paths';
import { endProcess } from './processes';
import { comesTrue, pause, say } from './sentence';

/** Where the web application tells what it does, one JSON object a line. */
export const webLog = join(home, 'web.log');
const MOST_LOG_BYTES = 10_000_000;

/**
 * Start the built web application; it ends by itself when this process is gone. Its log goes to a
 * file in the data folder, which is begun anew when it has grown large.
 */
export function startWeb(port: number, databaseUrl: string): ChildProcess {
  const logFile = openSync(
    webLog,
    existsSync(webLog) && statSync(webLog).size < MOST_LOG_BYTES ? 'a' : 'w',
    0o600,
  );
  const child = spawn(
    process.execPath,
    ['--import', join(root, 'scripts/lib/beforeWeb.mjs'), join(root, 'dist/server/entry.mjs')],
    {
      cwd: root,
      env: {
        ...process.env,
        NODE_ENV: 'production',
        HOST: process.env.CORVAT_HOST ?? '127.0.0.1',
        PORT: String(port),
        CORVAT_DATABASE_URL: databaseUrl,
        CORVAT_INSTANCE: instance,
        CORVAT_HOME: home,
      },
      stdio: ['ignore', 'ignore', logFile, 'ipc'],
      detached: true,
    },
  );
  closeSync(logFile);
  return child;
}

/** Told to the application at its start and by it in its health, so that no other is taken for it. */
const instance = randomUUID();

/** One question of an application that only just begins may get no answer: it is asked again. */
const ASK_MS = 2000;

/**
 * Whether the application that answers at this address is the one that was started here; false, too, where it says
 * nothing in time. The time-out is a timer of its own: a signal's can be collected before it is due, and a start that
 * waits for it then waits for ever.
 */
async function isOurs(url: string): Promise<boolean> {
  const asking = new AbortController();
  const asked = fetch(`${url}/api/health`, { signal: asking.signal })
    .then(async (response) => (await response.json()) as { instance?: string })
    .then((health) => health.instance === instance)
    .catch(() => false);
  const isIt = await Promise.race([asked, pause(ASK_MS).then(() => false)]);
  asking.abort();
  return isIt;
}

/** An application that has not answered by then never will. */
const START_MS = 30_000;

/**
 * Wait until the application answers; false when it has ended instead, as it does on a taken port, or had to be
 * ended because it says nothing.
 */
export async function answers(url: string, child: ChildProcess): Promise<boolean> {
  const hasEnded = () => child.exitCode !== null || child.signalCode !== null;
  const isSettled = async () => hasEnded() || (await isOurs(url));
  if (await comesTrue(isSettled, START_MS)) return !hasEnded();
  say(`… the web application does not answer; ending it (see ${webLog})`);
  if (child.pid !== undefined) await endProcess(child.pid, 3000);
  return false;
}
