import { statfsSync } from 'node:fs';

/** With less than this free, nothing works reliably. */
const LEAST_BYTES = 16_000_000;
/** With less than this, it is time to make room. */
const LITTLE_BYTES = 200_000_000;

/** Room left on the disk of a folder; null where that cannot be told. */
function roomOf(folder: string): number | null {
  try {
    const { bavail, bsize } = statfsSync(folder);
    return bavail * bsize;
  } catch {
    return null;
  }
}

/** Whether the disk of a folder is (nearly) full. */
export const isFull = (folder: string): boolean => (roomOf(folder) ?? Infinity) < LEAST_BYTES;

/** What a coach should know of the disk that Corvat keeps its data on; null while there is room. */
export function roomNotice(folder: string | undefined): string | null {
  const room = folder === undefined ? null : roomOf(folder);
  if (room === null || room >= LITTLE_BYTES) return null;
  return room < LEAST_BYTES
    ? 'The disk of the computer that runs Corvat is full: nothing can be saved until there is room. What you type is kept in this browser and goes out by itself.'
    : `Only ${Math.round(room / 1e6)} MB are left on the disk of the computer that runs Corvat: make room soon.`;
}
