import { spawnSync } from 'node:child_process';
import { chmodSync, mkdtempSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, inject, it } from 'vitest';
import { privateUrl } from '../../scripts/lib/mariadb';
import { root } from '../../scripts/lib/paths';
import { freePortFrom } from '../../scripts/lib/ports';
import { findRunning } from '../../scripts/lib/running';
import { newHome, removeHome, runScript } from '../support/corvat';
import { putTeam, setUp } from './records';

const LOCKED = 'E: Could not get lock /var/lib/apt/lists/lock. It is held by process 12 (apt-get)';

/**
 * Have the script install a package through an apt-get that answers as it is told: once for each line, the
 * last line ever after; an empty line is success.
 */
function install(answers: readonly string[], patienceS: number) {
  const folder = mkdtempSync(join(tmpdir(), 'corvat-apt-'));
  const file = (name: string, text: string) => {
    writeFileSync(join(folder, name), text);
    chmodSync(join(folder, name), 0o755);
  };
  file('answers', `${answers.join('\n')}\n`);
  file('calls', '');
  file('id', '#!/bin/sh\necho 0\n');
  file(
    'apt-get',
    `#!/bin/bash
echo "$*" >>${folder}/calls
mapfile -t answers <${folder}/answers
n=$(grep -c update ${folder}/calls)
case "$*" in *install*) exit 0 ;; esac
[ "$n" -le "\${#answers[@]}" ] || n=\${#answers[@]}
said="\${answers[$((n - 1))]}"
[ -z "$said" ] && exit 0
echo "$said"
exit 100
`,
  );
  const { status, stderr } = spawnSync(
    'bash',
    ['-c', 'source ./corvat >/dev/null; need_home; need_debian no-such-command no-such-package'],
    {
      cwd: root,
      encoding: 'utf8',
      env: {
        ...process.env,
        PATH: `${folder}:${process.env.PATH}`,
        CORVAT_HOME: join(folder, 'data'),
        CORVAT_LOCK_PATIENCE: String(patienceS),
      },
    },
  );
  return { status, said: stderr, calls: readFileSync(join(folder, 'calls'), 'utf8') };
}

describe('installing what is missing', () => {
  it('waits while another program holds the lock of the packages', () => {
    const { status, said, calls } = install([LOCKED, LOCKED, ''], 60);
    expect(said).not.toContain('corvat:');
    expect(status).toBe(0);
    expect(calls.match(/update/g)).toHaveLength(3);
    expect(calls).toContain('install -y');
  });

  it('says so when the lock is never given back, and that the network is not at fault', () => {
    const { status, said, calls } = install([LOCKED], 2);
    expect(status).toBe(1);
    expect(said).toContain('Another program that installs packages held its lock');
    expect(said).not.toContain('network');
    expect(calls).not.toContain('install');
  });

  it.each([
    ['E: Failed to fetch: Temporary failure resolving a host', 'Is there a network connection?'],
    ['E: Write error - write (28: No space left on device)', 'The disk is full: make room'],
    ['E: Could not open file: Permission denied', 'This user may not write there.'],
  ])('says what truly failed: %s', (answer, sentence) => {
    const { status, said } = install([answer], 2);
    expect(status).toBe(1);
    expect(said).toContain(sentence);
  });
});

describe('the data folder', () => {
  it('is no folder with other things in it: nothing of those is touched', () => {
    const folder = mkdtempSync(join(tmpdir(), 'corvat-thesis-'));
    const thesis = join(folder, 'thesis.odt');
    writeFileSync(thesis, 'five years of work');
    const needed = (home: string) =>
      spawnSync('bash', ['-c', 'source ./corvat >/dev/null; need_home'], {
        cwd: root,
        encoding: 'utf8',
        env: { ...process.env, CORVAT_HOME: home },
      });
    const before = statSync(thesis);
    const refused = needed(folder);
    expect(refused.status).toBe(1);
    expect(refused.stderr).toMatch(/has other things in it \(thesis\.odt\)/);
    expect(statSync(thesis)).toEqual(before);
    // Its own it knows again, whatever lies beside by then.
    const own = join(folder, 'corvat');
    expect(needed(own).status).toBe(0);
    writeFileSync(join(own, 'notes.txt'), '');
    expect(needed(own).status).toBe(0);
    removeHome(folder);
  });

  it('of another user is left to that user', { skip: process.getuid?.() !== 0 }, () => {
    const home = newHome();
    chmodSync(home, 0o777);
    const { status, stderr } = spawnSync(
      'runuser',
      ['-u', 'nobody', '--', process.execPath, '--import', 'tsx', 'scripts/serve.ts', 'start'],
      { cwd: root, encoding: 'utf8', env: { ...process.env, CORVAT_HOME: home } },
    );
    expect(status).toBe(1);
    expect(stderr).toMatch(/belongs to another user\. Start Corvat as that user/);
    removeHome(home);
  });

  it('is not taken by whoever was given the number of a process that served it once', () => {
    const home = newHome();
    const noted = { pid: inject('pid'), data: 'team', url: inject('url') };
    const note = (more: object) =>
      writeFileSync(join(home, 'served.json'), JSON.stringify({ ...noted, ...more }));
    note({ beganAt: '1' });
    expect(findRunning(home)).toBeUndefined();
    // One that an earlier Corvat noted is believed.
    note({});
    expect(findRunning(home)?.url).toBe(inject('url'));
    removeHome(home);
  });
});

describe('a database elsewhere', () => {
  const serveAt = (url: string) =>
    runScript('serve', ['start'], { home: newHome(), env: { CORVAT_DATABASE_URL: url } });

  it('is named by an address', () => {
    const { status, err } = serveAt('hello');
    expect(status).toBe(1);
    expect(err).toMatch(/CORVAT_DATABASE_URL is “hello”; an address such as mariadb:/);
  });

  it('has to let its user write', () => {
    const url = privateUrl(inject('home'), 'team').replace(/[^/]*$/, 'information_schema');
    const { status, err } = serveAt(url);
    expect(status).toBe(1);
    expect(err).toMatch(/may not make tables and write to them/);
  });

  it('keeps the data of a team from being replaced by demo data unasked', async () => {
    await putTeam(setUp());
    const home = newHome();
    const file = join(home, 'demo.jsonl');
    const head = {
      format: 'corvat-backup',
      formatVersion: 3,
      data: 'demo',
      madeAt: '2026-11-20T10:00:00.000Z',
    };
    const stock = {
      id: '01ARZ3NDEKTSV4RRFFQ69G5FAV',
      version: 1,
      teamId: '01ARZ3NDEKTSV4RRFFQ69G5FAV',
    };
    writeFileSync(
      file,
      `${[head, { table: 'team', row: { ...stock, name: 'Demo', settings: {} } }, { end: true, rows: 1 }].map((line) => JSON.stringify(line)).join('\n')}\n`,
    );
    const env = { CORVAT_DATABASE_URL: privateUrl(inject('home'), 'team') };
    const refused = runScript('restore', [file], { home, env });
    expect(refused.status).toBe(1);
    expect(refused.err).toMatch(/holds demo data.*would be replaced.*--yes/);
    removeHome(home);
  });
});

describe('the port', () => {
  it('on which no browser opens a page is refused, and never chosen', async () => {
    const home = newHome();
    try {
      const started = runScript('serve', ['start'], { home, env: { CORVAT_PORT: '10080' } });
      expect(started.status).not.toBe(0);
      expect(started.err).toContain('Browsers open no page on port 10080');
    } finally {
      removeHome(home);
    }
    expect(await freePortFrom(10_080)).not.toBe(10_080);
    await expect(fetch('http://127.0.0.1:10080')).rejects.toThrow();
  });
});
