/** Something that the caller can be told in a sentence. Everything else is a fault of ours. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    sentence: string,
    readonly details: { path?: string; current?: unknown } = {},
  ) {
    super(sentence);
  }
}

export const notFound = (what: string): Problem =>
  new Problem(404, 'not-found', `This ${what} is not there (any more).`);

/** What it names as its own is not there, or is another team's. */
export const pointsNowhere = (): Problem =>
  new Problem(422, 'points-nowhere', 'This belongs to a record that is not there.');

/** The record has moved on since the caller read it; `current` is what stands there now. */
export const conflict = (what: string, current: unknown): Problem =>
  new Problem(
    409,
    'changed-meanwhile',
    `This ${what} was changed somewhere else since you opened it.`,
    { current },
  );
