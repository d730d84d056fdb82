/** An end that a person can understand: printed as it is, without a stack trace. */
export class Sentence extends Error {}

export const say = (text: string): void => {
  process.stderr.write(`${text}\n`);
};

/** Run a script's main function; what goes wrong becomes one sentence and exit status 1. */
export function main(work: () => Promise<void>): void {
  work().catch((error: unknown) => {
    say(`corvat: ${error instanceof Error ? error.message : String(error)}`);
    if (!(error instanceof Sentence) && process.env.CORVAT_DEBUG) console.error(error);
    process.exit(1);
  });
}

export const pause = (ms: number): Promise<void> =>
  new Promise((resolve) => setTimeout(resolve, ms));
