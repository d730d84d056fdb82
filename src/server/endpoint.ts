import type { APIContext, APIRoute } from 'astro';
import type { z } from 'zod';
import { describeIssue, issuePath } from '../formats/issues';
import { readJson } from '../formats/jsonText';
import { withVisibleText } from '../formats/visibleText';
import type { TeamDatabase } from './database';
import { isDatabaseError, refusalOf, type Refusal } from './databaseError';
import { log } from './log';
import { pointsNowhere, Problem } from './problem';

/** Largest body of an ordinary save; an import says so itself. */
const MAX_BODY_BYTES = 256 * 1024;

export const json = (body: unknown, status = 200): Response =>
  new Response(JSON.stringify(body), {
    status,
    headers: { 'content-type': 'application/json; charset=utf-8', 'cache-control': 'no-store' },
  });

async function readLimited(request: Request, maxBytes: number): Promise<string> {
  const tooLarge = new Problem(
    413,
    'too-large',
    `This is more than ${Math.round(maxBytes / 1024)} kB, the most that fits here.`,
  );
  if (Number(request.headers.get('content-length') ?? 0) > maxBytes) throw tooLarge;
  const chunks: Uint8Array[] = [];
  let size = 0;
  const reader = request.body?.getReader();
  for (let part = await reader?.read(); part?.done === false; part = await reader?.read()) {
    size += part.value.byteLength;
    if (size > maxBytes) throw tooLarge;
    chunks.push(part.value);
  }
  return new TextDecoder('utf-8', { fatal: true }).decode(Buffer.concat(chunks));
}

/** Half of a pair of surrogates: no character, and nothing that a database could keep. */
const HALF_PAIR = /\p{Surrogate}/u;

/** The path of the first text that is no Unicode (half of a pair of surrogates); null where all is well. */
function illFormed(value: unknown, path = ''): string | null {
  if (typeof value === 'string') return HALF_PAIR.test(value) ? path || '(input)' : null;
  if (typeof value !== 'object' || value === null) return null;
  for (const [key, inner] of Object.entries(value)) {
    const at = path === '' ? key : `${path}.${key}`;
    const found = HALF_PAIR.test(key) ? path || '(input)' : illFormed(inner, at);
    if (found !== null) return found;
  }
  return null;
}

/** The body as JSON that fits the schema, or a problem that says where it does not. */
export async function readBody<S extends z.ZodType>(
  request: Request,
  schema: S,
  maxBytes = MAX_BODY_BYTES,
): Promise<z.output<S>> {
  if (!(request.headers.get('content-type') ?? '').startsWith('application/json')) {
    throw new Problem(415, 'not-json', 'Expected JSON (content-type application/json).');
  }
  let value: unknown;
  try {
    value = readJson(await readLimited(request, maxBytes));
  } catch (error) {
    if (error instanceof Problem) throw error;
    const why = error instanceof SyntaxError && /nested/.test(error.message) ? error.message : '';
    throw new Problem(
      400,
      'not-json',
      `The body is not readable as JSON in UTF-8${why === '' ? '' : `: ${why}`}.`,
    );
  }
  const odd = illFormed(value);
  if (odd !== null) {
    throw new Problem(422, 'invalid', `${odd}: expected text without half characters`, {
      path: odd,
    });
  }
  const parsed = schema.safeParse(withVisibleText(value));
  const issue = parsed.success ? undefined : parsed.error.issues[0];
  if (issue !== undefined) {
    throw new Problem(422, 'invalid', describeIssue(issue), { path: issuePath(issue) });
  }
  return parsed.data as z.output<S>;
}

export const problemResponse = ({ status, code, message, details }: Problem): Response =>
  json({ error: { code, message, ...details } }, status);

/** Errors of the database in words: what is at fault with the input is said, and not asked again. */
const FROM_DATABASE: Record<Exclude<Refusal, 'points-nowhere'>, [number, string, string]> = {
  taken: [409, 'taken', 'There is a record with this name or number already: choose another.'],
  'no-fit': [422, 'does-not-fit', 'Something in this is too long, too large, or no text.'],
  full: [
    507,
    'disk-full',
    'The disk of the computer that runs Corvat is full. Nothing is lost: make room, and it goes on by itself.',
  ],
  away: [
    503,
    'database-away',
    'The database does not answer just now. Nothing is lost: try again in a few seconds.',
  ],
};

export function refusedBy(refusal: Refusal): Problem {
  if (refusal === 'points-nowhere') return pointsNowhere();
  const [status, code, sentence] = FROM_DATABASE[refusal];
  return new Problem(status, code, sentence);
}

/** An endpoint whose thrown problems become JSON with a code, a sentence and a path. */
export function endpoint(
  work: (db: TeamDatabase, context: APIContext) => Promise<Response>,
): APIRoute {
  return async (context) => {
    try {
      return await work(context.locals.db, context);
    } catch (error) {
      if (error instanceof Problem) return problemResponse(error);
      if (isDatabaseError(error)) {
        log.warn({ err: error, path: context.url.pathname }, 'database error');
        return problemResponse(refusedBy(refusalOf(error)));
      }
      log.error({ err: error, path: context.url.pathname }, 'unexpected error');
      return problemResponse(
        new Problem(500, 'fault', 'Something went wrong in Corvat itself; it is in the log.'),
      );
    }
  };
}

/** PUT of a record whose id stands in the address. */
export const putEndpoint = <S extends z.ZodType<{ id: string }>>(
  schema: S,
  save: (db: TeamDatabase, record: z.output<S>) => Promise<unknown>,
): APIRoute =>
  endpoint(async (db, { request, params }) => {
    const record = await readBody(request, schema);
    if (record.id !== params.id) {
      throw new Problem(422, 'invalid', 'id: expected the id of the address', { path: 'id' });
    }
    return json(await save(db, record));
  });
