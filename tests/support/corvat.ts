import { execFileSync, spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { freePortFrom } from '../../scripts/lib/ports';

export const root = resolve(import.meta.dirname, '../..');

/** A data folder of its own, so that tests touch nobody's data. */
export const newHome = (): string => mkdtempSync(join(tmpdir(), 'corvat-test-'));

/** A copy of a data folder whose Corvat has ended. */
export function copiedHome(prepared: string): string {
  const home = newHome();
  execFileSync('cp', ['-a', `${prepared}/.`, home]);
  // Copies that start at the same moment each look for a port of their own.
  rmSync(join(home, 'database-port'), { force: true });
  return home;
}

/** The environment of a script that works in a data folder. */
export const scriptEnvironment = (home: string, more: Record<string, string> = {}) => {
  const { CORVAT_DATABASE_URL: _url, CORVAT_PORT: _port, ...rest } = process.env;
  return {
    ...rest,
    CORVAT_HOME: home,
    CORVAT_LOG_LEVEL: 'silent',
    NODE_ENV: 'production',
    ...more,
  };
};

/** Run one of the scripts to its end, as `./corvat` does. */
export function runScript(
  name: string,
  args: string[],
  {
    home = '',
    input = '',
    env = {},
  }: { home?: string; input?: string; env?: Record<string, string> } = {},
) {
  const ended = spawnSync('node', ['--import', 'tsx', `scripts/${name}.ts`, ...args], {
    cwd: root,
    env: scriptEnvironment(home, env),
    input,
    encoding: 'utf8',
  });
  return { status: ended.status, out: ended.stdout, err: ended.stderr };
}

/** A served Corvat: the real supervisor, web process and private MariaDB. */
export interface Served {
  url: string;
  home: string;
  pid: number;
  /** What it has said so far. */
  said(): string;
  /** Close the pipes that it speaks to, as a launcher does that has gone. */
  deafen(): void;
  stop(): Promise<void>;
}

/** Corvat that is not ready by then hangs: what it has said tells where. */
const READY_MS = 110_000;

/**
 * A port for a Corvat that tests kill: another one, started at that moment, must not take it before it is up again.
 * Each process of the tests looks in a range of its own, and none where Corvat looks by itself.
 */
export const portOfOwn = async (): Promise<string> =>
  String(await freePortFrom(7400 + 20 * (process.pid % 1000)));

export async function serve(
  data: 'demo' | 'start',
  home: string,
  env: Record<string, string> = {},
): Promise<Served> {
  const child: ChildProcess = spawn('node', ['--import', 'tsx', 'scripts/serve.ts', data], {
    cwd: root,
    env: scriptEnvironment(home, env),
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let said = '';
  const url = await new Promise<string>((found, failed) => {
    const listen = (chunk: Buffer) => {
      said += chunk.toString();
      const match = /Corvat is ready: (\S+)/.exec(said);
      if (match?.[1] !== undefined) found(match[1]);
    };
    child.stdout?.on('data', listen);
    child.stderr?.on('data', listen);
    child.once('exit', () => failed(new Error(said)));
    const hangs = () => failed(new Error(`not ready after ${READY_MS} ms:\n${said}`));
    setTimeout(hangs, READY_MS).unref();
  });
  return {
    url,
    home,
    pid: child.pid ?? 0,
    said: () => said,
    deafen: () => {
      child.stdout?.destroy();
      child.stderr?.destroy();
    },
    stop: () =>
      new Promise((stopped) => {
        if (child.exitCode !== null || child.signalCode !== null) {
          stopped();
          return;
        }
        child.once('exit', () => stopped());
        child.kill('SIGTERM');
      }),
  };
}

export const removeHome = (home: string): void => rmSync(home, { recursive: true, force: true });

/** The process that serves the pages, found among the supervisor's children. */
export function webPid(served: Pick<Served, 'pid'>): number {
  for (const entry of readdirSync('/proc').filter((name) => /^\d+$/.test(name))) {
    try {
      const parent = Number(
        readFileSync(`/proc/${entry}/stat`, 'utf8').split(') ')[1]?.split(' ')[1],
      );
      const command = readFileSync(`/proc/${entry}/cmdline`, 'utf8');
      if (parent === served.pid && command.includes('entry.mjs')) return Number(entry);
    } catch {
      // It has ended meanwhile.
    }
  }
  throw new Error('no web process');
}

export const databasePid = (served: Pick<Served, 'home'>): number =>
  Number(readFileSync(join(served.home, 'database', 'corvat.pid'), 'utf8'));

export const untilAnswers = async (url: string): Promise<void> => {
  for (let tries = 0; tries < 300; tries += 1) {
    try {
      if ((await fetch(`${url}/api/series/none/runs`)).ok) return;
    } catch {
      // Not yet.
    }
    await new Promise((next) => setTimeout(next, 100));
  }
  throw new Error(`${url} does not answer`);
};
