/** An end that a person can understand: printed as it is, without a stack trace. */
export class Sentence extends Error {}

export const say = (text: string): void => {
  process.stderr.write(`${text}\n`);
};

/**
 * A script's surroundings: what it writes is its user's alone, and a pipe that nobody reads any more, or a
 * full disk behind standard error, is no reason to end half-way.
 */
function settle(): void {
  process.umask(0o077);
  for (const stream of [process.stdout, process.stderr]) stream.on('error', () => undefined);
}

/** Run a script's main function; what goes wrong becomes one sentence and exit status 1. */
export function main(work: () => Promise<void>): void {
  settle();
  work().catch((error: unknown) => {
    say(`corvat: ${error instanceof Error ? error.message : String(error)}`);
    if (!(error instanceof Sentence) && process.env.CORVAT_DEBUG) console.error(error);
    process.exit(1);
  });
}

export const pause = (ms: number): Promise<void> =>
  new Promise((resolve) => setTimeout(resolve, ms));

/** Ask again and again, a tenth of a second apart, until something is so; false when that takes too long by the clock. */
export async function comesTrue(isSo: () => Promise<boolean>, withinMs: number): Promise<boolean> {
  const until = Date.now() + withinMs;
  while (Date.now() < until) {
    if (await isSo()) return true;
    await pause(100);
  }
  return false;
}
