import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Data } from './mariadb';
import { beganAt, isProcess } from './processes';

/** What is being served from a data folder, and what was served last. */
export interface Running {
  pid: number;
  data: Data;
  url: string;
}

/** Numbers of processes are used again; when it began tells which one it was. */
interface Noted extends Running {
  beganAt?: string | null;
}

const file = (home: string) => join(home, 'served.json');

function lastServed(home: string): Noted | undefined {
  if (!existsSync(file(home))) return undefined;
  try {
    return JSON.parse(readFileSync(file(home), 'utf8')) as Noted;
  } catch {
    return undefined;
  }
}

/** The Corvat that serves this folder now, if any. */
export function findRunning(home: string): Running | undefined {
  const last = lastServed(home);
  if (last === undefined || last.pid === process.pid) return undefined;
  const isIt = last.beganAt === undefined || last.beganAt === beganAt(last.pid);
  return isIt && isProcess(last.pid, 'scripts/serve') ? last : undefined;
}

/** Which data this folder served last. */
export const lastData = (home: string): Data | undefined => lastServed(home)?.data;

export function noteRunning(home: string, running: Running): void {
  mkdirSync(home, { recursive: true });
  const noted: Noted = { ...running, beganAt: beganAt(running.pid) };
  writeFileSync(file(home), JSON.stringify(noted));
}

/** Keep which data was served last, but nobody serving. */
export function noteStopped(home: string): void {
  const last = lastServed(home);
  if (last === undefined) rmSync(file(home), { force: true });
  else noteRunning(home, { ...last, pid: 0 });
}
