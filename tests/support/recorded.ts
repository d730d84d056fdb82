import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';

/** The text of a recorded table by its name; long ones are kept compressed. */
export function recordedText(name: string): string {
  const path = join(import.meta.dirname, '../data', name);
  return existsSync(path)
    ? readFileSync(path, 'utf8')
    : gunzipSync(readFileSync(`${path}.gz`)).toString('utf8');
}
