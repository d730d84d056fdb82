/** An answer of the server that is not the wished-for one, or no answer at all. */
export class ApiError extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly current: unknown = undefined,
  ) {
    super(message);
  }

  /** Worth trying again by itself: the server or its database is away for a while, or its disk is full. */
  get isPassing(): boolean {
    return this.status === 0 || this.status === 503 || this.status === 507;
  }
}

interface ErrorBody {
  error?: { code?: string; message?: string; current?: unknown };
}

const TIMEOUT_MS = 15_000;

async function send<T>(method: 'GET' | 'PUT' | 'POST', path: string, body?: unknown): Promise<T> {
  let response: Response;
  try {
    response = await fetch(path, {
      method,
      headers: { 'content-type': 'application/json' },
      ...(body !== undefined && { body: JSON.stringify(body) }),
      signal: AbortSignal.timeout(TIMEOUT_MS),
    });
  } catch {
    throw new ApiError(
      0,
      'no-answer',
      'Corvat does not answer just now. Nothing is lost: what you typed is still here.',
    );
  }
  if (response.ok) return (await response.json()) as T;
  const { error } = (await response.json().catch(() => ({}))) as ErrorBody;
  throw new ApiError(
    response.status,
    error?.code ?? 'fault',
    error?.message ?? `Corvat answered with ${response.status}.`,
    error?.current,
  );
}

export const putRecord = <T>(kind: string, record: { id: string }): Promise<T> =>
  send<T>('PUT', `/api/${kind}/${record.id}`, record);

export const get = <T>(path: string): Promise<T> => send<T>('GET', path);

export const post = <T>(path: string, body: unknown): Promise<T> => send<T>('POST', path, body);

/** A sentence for whatever was thrown. */
export const sentenceOf = (error: unknown): string =>
  error instanceof Error ? error.message : String(error);
