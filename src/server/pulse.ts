import mariadb from 'mariadb';

/** Who waits so long for the database asks whether it still lives. */
const WAIT_MS = 5000;
/** One that is well lets a caller in far sooner, also where it is busy. */
const ANSWER_MS = 3000;

async function letIn(): Promise<true> {
  const url = process.env.CORVAT_DATABASE_URL ?? '';
  const more = `connectTimeout=${ANSWER_MS}`;
  const connection = await mariadb.createConnection(
    `${url}${url.includes('?') ? '&' : '?'}${more}`,
  );
  await connection.end();
  return true;
}

const after = <T>(ms: number, value: T): Promise<T> =>
  new Promise((resolve) => setTimeout(() => resolve(value), ms).unref());

let asking: Promise<boolean> | undefined;

/** Whether the database lets a caller in; those who ask at the same time ask once. */
function isAlive(): Promise<boolean> {
  asking ??= Promise.race([letIn().catch(() => false), after(ANSWER_MS, false)]).finally(() => {
    asking = undefined;
  });
  return asking;
}

/**
 * What a work answers; null as soon as it is clear that it waits for a database that does not live: one that was
 * halted says nothing, and would be waited for for ever.
 */
export async function whileAlive<T extends object>(work: Promise<T>): Promise<T | null> {
  // Where nobody waits for it any more, nobody is told what became of it.
  work.catch(() => undefined);
  for (;;) {
    const found = await Promise.race([work, after(WAIT_MS, null)]);
    if (found !== null) return found;
    const alive = await Promise.race([work, isAlive()]);
    if (alive === false) return null;
    if (alive !== true) return alive;
  }
}
