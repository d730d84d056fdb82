import { AsyncLocalStorage } from 'node:async_hooks';
import { readDisplaySettingsFrom, type DisplaySettings } from '../core/text/displaySettings';

const ofRequest = new AsyncLocalStorage<DisplaySettings>();
readDisplaySettingsFrom(() => ofRequest.getStore() ?? null);

/** Whatever is said within a work, and in what it waits for, is said by these display settings. */
export const speakingAs = <T>(settings: DisplaySettings, work: () => Promise<T>): Promise<T> =>
  ofRequest.run(settings, work);

/** A page is said while it is read: read here, so that none of it is said after its request. */
export async function saidWhole(response: Response): Promise<Response> {
  const type = response.headers.get('content-type') ?? '';
  return type.startsWith('text/html') ? new Response(await response.text(), response) : response;
}
