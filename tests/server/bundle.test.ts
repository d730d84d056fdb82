import { deflateRawSync } from 'node:zlib';
import { ulid } from 'ulid';
import { describe, expect, it } from 'vitest';
import { checkBundle, openBundle } from '../../src/server/bundle';
import { packColumn } from '../../src/server/packedColumn';

const logId = ulid();
const column = (channel: string, packed: Buffer, number = 0) => ({
  table: 'benchLogColumn',
  row: { logId, channel, number, data: packed.toString('base64') },
});
const HEAD = {
  format: 'corvat-backup',
  formatVersion: 3,
  data: 'team',
  madeAt: '2026-11-20T10:00:00.000Z',
};

/** A backup of some rows, and what comes before and after it. */
function read(rows: object[], { before = '', after = [] as string[] } = {}) {
  const lines = [HEAD, ...rows, { end: true, rows: rows.length }].map((row) => JSON.stringify(row));
  async function* texts() {
    yield before + (lines[0] ?? '');
    for (const text of [...lines.slice(1), ...after]) yield await Promise.resolve(text);
  }
  return openBundle(texts()).then(checkBundle);
}

describe('a backup', () => {
  it('is read with a byte-order mark before it and empty lines behind it', async () => {
    const { counts } = await read([column('t', packColumn([0, 1]))], {
      before: '\uFEFF',
      after: ['', ' '],
    });
    expect(counts.benchLogColumn).toBe(1);
  });

  it('is refused with lines behind its end, and which is said', async () => {
    const after = ['', JSON.stringify(column('t', packColumn([0])))];
    await expect(read([], { after })).rejects.toThrow(/Line 4 of this file stands behind the end/);
  });

  it('is refused where a channel would inflate to more than a piece of a log', async () => {
    const bomb = deflateRawSync(Buffer.alloc(60_000_000));
    await expect(read([column('t', bomb)])).rejects.toThrow(/no more than a piece of a log/);
  });

  it('is refused where a channel has other than as many readings as times', async () => {
    const rows = [column('headingRad', packColumn([0, 0, 0])), column('t', packColumn([0, 1]))];
    await expect(read(rows)).rejects.toThrow(/expected 3 readings.*found 2/);
    // Another piece is another matter.
    const [first] = rows;
    const { counts } = await read([first ?? {}, column('t', packColumn([0, 1]), 1)]);
    expect(counts.benchLogColumn).toBe(2);
  });

  it('is refused where a line is nested without end', async () => {
    const deep = JSON.parse(`${'['.repeat(4000)}${']'.repeat(4000)}`) as unknown;
    await expect(read([{ table: 'team', row: { deep } }])).rejects.toThrow(/not readable as JSON/);
  });
});
