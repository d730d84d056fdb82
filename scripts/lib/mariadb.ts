import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import {
  chmodSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import mariadb from 'mariadb';
import { serverProgram } from './paths';
import { anyFreePort, isFree } from './ports';
import { endProcess, isProcess } from './processes';
import { comesTrue, say, Sentence } from './sentence';

/** Demo data and a team's own data never mix: each has a database of its own. */
export type Data = 'demo' | 'team';

/** The files of the private MariaDB in a data folder. */
export const databaseFiles = (home: string) => ({
  data: join(home, 'database'),
  /** Written when the data folder is complete; without it an interrupted set-up is begun again. */
  ready: join(home, 'database-ready'),
  password: join(home, 'database-password'),
  port: join(home, 'database-port'),
  pid: join(home, 'database', 'corvat.pid'),
  init: join(home, 'database-init.sql'),
  log: join(home, 'database', 'corvat.log'),
  /** Its own, for two servers that share a folder of temporary tables can trip over each other. */
  temporary: join(home, 'database-tmp'),
});

const read = (path: string): string | undefined =>
  existsSync(path) ? readFileSync(path, 'utf8').trim() : undefined;

/** The address of a database of the private server, from the files in the data folder. */
export function privateUrl(home: string, data: Data): string {
  const files = databaseFiles(home);
  const name = data === 'demo' ? 'corvat_demo' : 'corvat';
  return `mariadb://corvat:${read(files.password) ?? ''}@127.0.0.1:${read(files.port) ?? ''}/${name}`;
}

const amRoot = process.getuid?.() === 0;

/**
 * Started by root, the server runs as mysql, and the folder, which nobody else may look into, is given to
 * mysql; unless mysql cannot reach it: then the server runs as root.
 */
function serverUser(home: string): string | undefined {
  if (!amRoot) return undefined;
  if (spawnSync('chown', ['mysql:', home]).status !== 0) return 'root';
  const reaches = spawnSync('runuser', ['-u', 'mysql', '--', 'test', '-x', home]).status === 0;
  if (!reaches) spawnSync('chown', ['root:', home]);
  return reaches ? 'mysql' : 'root';
}

/** A folder of somebody else's cannot be closed to others, and its database not opened. */
function needOwnFolder(home: string): void {
  const me = process.getuid?.();
  if (amRoot || me === undefined) return;
  for (const path of [home, databaseFiles(home).data]) {
    if (!existsSync(path) || statSync(path).uid === me) continue;
    throw new Sentence(
      `${path} belongs to another user. Start Corvat as that user, or set CORVAT_HOME to a folder of yours.`,
    );
  }
}

/** The data folder and its files are its user's alone, also those that an earlier Corvat made. */
function closeToOthers(home: string): void {
  chmodSync(home, 0o700);
  for (const entry of readdirSync(home, { withFileTypes: true })) {
    if (entry.isFile()) chmodSync(join(home, entry.name), 0o600);
  }
}

/** MariaDB does not go by the mask of whoever starts it. */
const PRIVATE_FILES = { ...process.env, UMASK: '0600', UMASK_DIR: '0700' };

function own(path: string, user: string | undefined): void {
  if (user !== undefined) spawnSync('chown', ['-R', `${user}:`, path]);
}

function lastLogLines(path: string): string {
  const lines = (read(path) ?? '').split('\n').filter((line) => /ERROR|error/.test(line));
  return lines.slice(-3).join('\n');
}

function writeSecret(path: string, text: string): void {
  writeFileSync(path, text, { mode: 0o600 });
  chmodSync(path, 0o600);
}

/** Making the tables of the server itself takes seconds; where it takes so long, it hangs. */
const INSTALL_MS = 180_000;

function prepareFolder(home: string, user: string | undefined): void {
  const files = databaseFiles(home);
  mkdirSync(files.temporary, { recursive: true, mode: 0o700 });
  own(files.temporary, user);
  if (existsSync(files.ready)) return;
  say('… making a private database');
  rmSync(files.data, { recursive: true, force: true });
  mkdirSync(files.data, { mode: 0o700 });
  own(files.data, user);
  const made = spawnSync(
    'mariadb-install-db',
    [
      '--no-defaults',
      `--datadir=${files.data}`,
      `--tmpdir=${files.temporary}`,
      '--auth-root-authentication-method=normal',
      '--skip-test-db',
      ...(user === undefined ? [] : [`--user=${user}`]),
    ],
    { env: PRIVATE_FILES, timeout: INSTALL_MS },
  );
  if (made.status !== 0) {
    throw new Sentence(
      `The private database could not be made in ${files.data}: ${String(made.stderr).trim().split('\n').at(-1) ?? ''}`,
    );
  }
  writeFileSync(files.ready, new Date().toISOString());
}

/** SQL that runs at each start: the two databases, one user with the password, nobody else. */
function writeInitFile(home: string, user: string | undefined): string {
  const files = databaseFiles(home);
  const password = read(files.password) ?? randomBytes(24).toString('hex');
  writeSecret(files.password, password);
  writeSecret(
    files.init,
    [
      ...['corvat', 'corvat_demo'].map(
        (name) =>
          `CREATE DATABASE IF NOT EXISTS ${name} CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;`,
      ),
      `CREATE OR REPLACE USER corvat@'127.0.0.1' IDENTIFIED BY '${password}';`,
      ...['corvat', 'corvat_demo'].map(
        (name) => `GRANT ALL PRIVILEGES ON ${name}.* TO corvat@'127.0.0.1';`,
      ),
      `DELETE FROM mysql.global_priv WHERE User NOT IN ('corvat', 'mariadb.sys');`,
      'FLUSH PRIVILEGES;',
      '',
    ].join('\n'),
  );
  own(files.init, user);
  return password;
}

/** A server of this folder that outlived its Corvat is ended in good order before a new one starts. */
async function takeOverOrphan(home: string): Promise<void> {
  const files = databaseFiles(home);
  const pid = Number(read(files.pid));
  if (!pid || !isProcess(pid, files.data)) return;
  say(`… taking over the database that was left running (process ${pid})`);
  await endProcess(pid);
}

async function choosePort(home: string): Promise<number> {
  const files = databaseFiles(home);
  const last = Number(read(files.port));
  const port = last > 0 && (await isFree(last)) ? last : await anyFreePort();
  writeFileSync(files.port, String(port));
  return port;
}

/** A server that has not answered by then never will, even after mending what a kill left behind. */
const START_MS = 60_000;

/** So often the server is started before that is given up. */
const START_ATTEMPTS = 2;

/** Wait until the server lets its user in; false when it says nothing. */
async function answers(
  child: ChildProcess,
  port: number,
  password: string,
  logFile: string,
): Promise<boolean> {
  const options = { host: '127.0.0.1', port, user: 'corvat', password, connectTimeout: 500 };
  return comesTrue(async () => {
    if (child.exitCode !== null || child.signalCode !== null) {
      throw new Sentence(`The private database did not start.\n${lastLogLines(logFile)}`);
    }
    try {
      await (await mariadb.createConnection(options)).end();
      return true;
    } catch {
      return false;
    }
  }, START_MS);
}

/** A running private MariaDB. */
export interface PrivateDatabase {
  child: ChildProcess;
  stop(): Promise<void>;
}

function spawnServer(home: string, port: number, user: string | undefined): ChildProcess {
  const files = databaseFiles(home);
  return spawn(
    serverProgram('mariadbd'),
    [
      '--no-defaults',
      `--datadir=${files.data}`,
      `--tmpdir=${files.temporary}`,
      // Relative to the data folder: a socket's path must be short.
      '--socket=corvat.sock',
      `--pid-file=${files.pid}`,
      `--log-error=${files.log}`,
      `--init-file=${files.init}`,
      '--bind-address=127.0.0.1',
      `--port=${port}`,
      '--skip-name-resolve',
      '--skip-log-bin',
      '--innodb-flush-log-at-trx-commit=1',
      '--innodb-buffer-pool-size=256M',
      '--character-set-server=utf8mb4',
      ...(user === undefined ? [] : [`--user=${user}`]),
    ],
    // A group of its own, so that Ctrl-C reaches only Corvat, which then stops it in good order.
    { stdio: 'ignore', detached: true, env: PRIVATE_FILES },
  );
}

/** Start the private MariaDB of a data folder on loopback, making or mending what it needs. */
export async function startMariadb(home: string): Promise<PrivateDatabase> {
  const files = databaseFiles(home);
  mkdirSync(home, { recursive: true, mode: 0o700 });
  needOwnFolder(home);
  closeToOthers(home);
  const user = serverUser(home);
  await takeOverOrphan(home);
  prepareFolder(home, user);
  const password = writeInitFile(home, user);
  for (let attempt = 0; attempt < START_ATTEMPTS; attempt += 1) {
    const port = await choosePort(home);
    const child = spawnServer(home, port, user);
    const stop = async () => {
      if (child.pid !== undefined) await endProcess(child.pid);
    };
    const failed = new Promise<never>((_, reject) => {
      child.once('error', () =>
        reject(new Sentence('mariadbd could not be run: is it installed?')),
      );
    });
    const answered = answers(child, port, password, files.log);
    if (await Promise.race([answered, failed])) return { child, stop };
    say(`… the private database does not answer; ending it (see ${files.log})`);
    await stop();
  }
  throw new Sentence(`The private database does not answer; its log is ${files.log}.`);
}
