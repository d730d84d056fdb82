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
    if (await isFree(port)) return port;
  }
  return anyFreePort();
}
