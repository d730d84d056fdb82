import { createServer } from 'node:net';

/** Whether nobody listens on a loopback port. */
export const isFree = (port: number): Promise<boolean> =>
  new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(false));
    probe.listen({ port, host: '127.0.0.1', exclusive: true }, () =>
      probe.close(() => resolve(true)),
    );
  });

/**
 * Ports from 1024 on that browsers, and what fetches here, refuse to ask: a page on one of them could never be opened.
 *
 * Source: WHATWG Fetch, section 2.9, port blocking.
 */
const REFUSED = new Set([
  1719, 1720, 1723, 2049, 3659, 4045, 4190, 5060, 5061, 6000, 6566, 6665, 6666, 6667, 6668, 6669,
  6679, 6697, 10080,
]);

/** Whether no browser would open a page there. */
export const isRefused = (port: number): boolean => REFUSED.has(port);

/** A loopback port that is free now. */
export const anyFreePort = (): Promise<number> =>
  new Promise((resolve, reject) => {
    const probe = createServer();
    probe.once('error', reject);
    probe.listen({ port: 0, host: '127.0.0.1' }, () => {
      const address = probe.address();
      const port = typeof address === 'object' && address !== null ? address.port : 0;
      probe.close(() => resolve(port));
    });
  });

/** The wished-for port, or the next free one of the following twenty, or any. */
export async function freePortFrom(wished: number): Promise<number> {
  for (let port = wished; port < wished + 20; port += 1) {
    if (!isRefused(port) && (await isFree(port))) return port;
  }
  return anyFreePort();
}
