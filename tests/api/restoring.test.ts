import { spawn } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { expect, inject, it } from 'vitest';
import { databasePid, root, runScript, scriptEnvironment, untilAnswers } from '../support/corvat';
import { newSeries, put, runIn, runsOf } from './records';

it('a restore loses no run that was confirmed while it went on', async () => {
  const home = inject('home');
  const seriesId = await newSeries();
  for (let i = 0; i < 5; i += 1) await put('runs', runIn(seriesId));
  const file = join(home, 'before-all.jsonl');
  expect(runScript('backup', [file], { home }).status).toBe(0);

  const restoring = spawn('node', ['--import', 'tsx', 'scripts/restore.ts', file], {
    cwd: root,
    env: scriptEnvironment(home),
  });
  let said = '';
  restoring.stderr.on('data', (part: Buffer) => {
    said += part.toString();
  });
  const ended = new Promise<number | null>((done) => restoring.once('exit', done));
  let isOver = false;
  void ended.then(() => {
    isOver = true;
  });
  const confirmed: string[] = [];
  // Several people log, as fast as they can, until it is over and a little longer.
  const logging = Array.from({ length: 4 }, async () => {
    for (let after = 0; after < 3; after += Number(isOver)) {
      const run = runIn(seriesId);
      const { status } = await put('runs', run);
      if (status === 200) confirmed.push(run.id);
    }
  });
  const status = await ended;
  await Promise.all(logging);
  expect(said, String(status)).toContain('Restored from');
  const keptBeside = readdirSync(home)
    .filter((name) => name.startsWith('before-restore-'))
    .map((name) => readFileSync(join(home, name), 'utf8'))
    .join('\n');
  const here = new Set((await runsOf(seriesId)).map(({ id }) => id));
  const lost = confirmed.filter((id) => !here.has(id) && !keptBeside.includes(`"${id}"`));
  expect(confirmed.length).toBeGreaterThan(20);
  expect(lost).toEqual([]);
  // Both ways were taken: some were there before the data were replaced, some came after.
  expect(confirmed.some((id) => here.has(id))).toBe(true);
  expect(confirmed.some((id) => !here.has(id))).toBe(true);
});

it('a private database that comes back on another port is found', async () => {
  const home = inject('home');
  const port = Number(readFileSync(join(home, 'database-port'), 'utf8'));
  const taker = createServer();
  const taken = new Promise<void>((done) => {
    const listen = () => taker.listen(port, '127.0.0.1');
    taker.on('error', () => setTimeout(listen, 1));
    taker.once('listening', done);
    process.kill(databasePid({ home }), 'SIGKILL');
    listen();
  });
  await taken;
  try {
    await expect
      .poll(() => readFileSync(join(home, 'database-port'), 'utf8'), { timeout: 60_000 })
      .not.toBe(String(port));
    await untilAnswers(inject('url'));
    expect((await put('runs', runIn(await newSeries()))).status).toBe(200);
  } finally {
    taker.close();
  }
});
