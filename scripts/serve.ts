import type { ChildProcess } from 'node:child_process';
import { openDatabase } from '../src/server/database';
import { isDemoLoaded } from '../src/server/demo/loaded';
import { migrate } from '../src/server/migrate';
import { Problem } from '../src/server/problem';
import { isFull } from '../src/server/room';
import { elsewhereUrl, needToWrite, sentenceFor } from './lib/elsewhere';
import { privateUrl, startMariadb, type Data, type PrivateDatabase } from './lib/mariadb';
import { home } from './lib/paths';
import { freePortFrom, isFree, isRefused } from './lib/ports';
import { endProcess } from './lib/processes';
import { findRunning, noteRunning, noteStopped } from './lib/running';
import { main, pause, say, Sentence } from './lib/sentence';
import { answers, startWeb, webLog } from './lib/web';

const FIRST_PORT = 7340;
/** So often the web application is started before that is given up. */
const START_ATTEMPTS = 5;
/** More restarts than this within a minute mean that restarting does not help. */
const RESTARTS_PER_MINUTE = 6;

async function choosePort(): Promise<number> {
  const wished = process.env.CORVAT_PORT;
  if (wished === undefined) return freePortFrom(FIRST_PORT);
  const port = Number(wished);
  if (!Number.isInteger(port) || port < 1 || port > 65535) {
    throw new Sentence(`CORVAT_PORT is “${wished}”; a number from 1 to 65535 is expected.`);
  }
  if (isRefused(port)) {
    throw new Sentence(`Browsers open no page on port ${port}. Choose another in CORVAT_PORT.`);
  }
  if (!(await isFree(port))) {
    throw new Sentence(`Port ${port} is taken or not allowed. Choose another in CORVAT_PORT.`);
  }
  return port;
}

const addressOf = (port: number) => `http://127.0.0.1:${port}`;

/** Another Corvat that starts at the same moment may take the port just found free: then the next one. */
async function startWebOnFreePort(start: (port: number) => ChildProcess) {
  for (let attempt = 0; attempt < START_ATTEMPTS; attempt += 1) {
    const port = await choosePort();
    const child = start(port);
    if (await answers(addressOf(port), child)) return { port, child };
  }
  throw new Sentence(`The web application does not start; see ${webLog}.`);
}

async function prepareData(url: string, data: Data): Promise<void> {
  const db = openDatabase(url);
  try {
    const done = await migrate(db);
    await needToWrite(db);
    if (done.length > 0) say(`… tables brought up to date (${done.join(', ')})`);
    if (data === 'demo' && !(await isDemoLoaded(db))) {
      // Fetched only when it is needed: it brings the simulator along.
      const { loadDemo } = await import('../src/server/demo/load');
      try {
        await loadDemo(db);
        say('… demo data loaded');
      } catch (error) {
        // Demo data of an earlier Corvat that somebody has worked with: theirs stand.
        if (!(error instanceof Problem)) throw error;
        say('… the demo data were changed: they are left as they are');
      }
    }
  } catch (error) {
    throw sentenceFor(error);
  } finally {
    await db.sequelize.close();
  }
}

/** The longest wait before another try while there is no room. */
const FULL_WAIT_MS = 5000;

/** Keeps a child process alive until it is told to stop; while the disk is full, it waits for room. */
function keepAlive(what: string, start: () => Promise<ChildProcess>, isStopping: () => boolean) {
  let restarts: number[] = [];
  const giveUp = (why: string) => {
    say(why);
    process.kill(process.pid, 'SIGTERM');
  };
  const again = async (): Promise<void> => {
    for (let full = isFull(home); !isStopping(); full = isFull(home)) {
      if (full) say(`… the disk is full: ${what} waits for room`);
      // Longer each time: what is in the way, such as a taken port, may go.
      await pause(full ? FULL_WAIT_MS : 100 * 2 ** restarts.length);
      if (isStopping()) return;
      try {
        watch(await start());
        return;
      } catch (error) {
        if (isFull(home)) continue;
        giveUp(`corvat: ${what} does not start again: ${(error as Error).message}`);
        return;
      }
    }
  };
  const watch = (child: ChildProcess) => {
    const onExit = () => {
      if (isStopping()) return;
      restarts = isFull(home) ? [] : restarts.filter((time) => Date.now() - time < 60_000);
      restarts.push(Date.now());
      if (restarts.length > RESTARTS_PER_MINUTE) {
        giveUp(`corvat: ${what} keeps ending; stopping. See the log in ${home}.`);
        return;
      }
      say(`… ${what} has ended unexpectedly; starting it again`);
      void again();
    };
    if (child.exitCode !== null || child.signalCode !== null) onExit();
    else child.once('exit', onExit);
  };
  return watch;
}

async function serve(data: Data): Promise<void> {
  const other = findRunning(home);
  if (other !== undefined) {
    throw new Sentence(
      `Corvat is already running from this folder ${other.url === '' ? '(still starting)' : `at ${other.url}`} (process ${other.pid}). Use that, or stop it first.`,
    );
  }
  let database: PrivateDatabase | undefined;
  let web: ChildProcess | undefined;
  let webUses = '';
  let stopping = false;
  const stop = async () => {
    if (stopping) return;
    stopping = true;
    say('\n… stopping');
    if (web?.pid !== undefined) await endProcess(web.pid, 3000);
    await database?.stop();
    noteStopped(home);
    process.exit(0);
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) {
    process.on(signal, () => void stop());
  }
  let url = '';
  noteRunning(home, { pid: process.pid, data, url });
  const elsewhere = elsewhereUrl();
  try {
    if (elsewhere === undefined) {
      say('… starting the database');
      const startDatabase = async () => {
        database = await startMariadb(home);
        // Its port may have been taken meanwhile: whoever knows the old one alone begins anew.
        if (web?.pid !== undefined && webUses !== privateUrl(home, data)) {
          say('… the database has another port now; the web application follows');
          void endProcess(web.pid, 3000);
        }
        return database.child;
      };
      keepAlive('the database', startDatabase, () => stopping)(await startDatabase());
    }
    const databaseUrl = elsewhere ?? privateUrl(home, data);
    await prepareData(databaseUrl, data);
    say('… starting the web application');
    const startWebAt = (port: number) => {
      // The private database may have had to change its port meanwhile.
      webUses = elsewhere ?? privateUrl(home, data);
      web = startWeb(port, webUses);
      return web;
    };
    const { port, child } = await startWebOnFreePort(startWebAt);
    url = addressOf(port);
    noteRunning(home, { pid: process.pid, data, url });
    keepAlive(
      'the web application',
      () => Promise.resolve(startWebAt(port)),
      () => stopping,
    )(child);
  } catch (error) {
    stopping = true;
    if (web?.pid !== undefined) await endProcess(web.pid, 3000);
    await database?.stop();
    noteStopped(home);
    throw error;
  }
  process.stdout.write(`Corvat is ready: ${url}   (Ctrl-C stops it)\n`);
}

main(() => serve(process.argv[2] === 'demo' ? 'demo' : 'team'));
