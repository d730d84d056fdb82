import { spawnSync } from 'node:child_process';
import { chmodSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { root } from '../../scripts/lib/paths';

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
        CORVAT_HOME: folder,
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
