import { whether } from '../choice';
import type { OwnerOf } from '../descriptions';
import type { OwnerKind } from '../kind';

/** So often it is tried where nobody says how often. */
const MOST_TIMES = 20;

export const repeat: OwnerKind<OwnerOf<'repeat'>> = {
  group: 'block',
  isOffered: () => true,
  asAdded: () => ({ kind: 'repeat', times: 2, steps: [] }),
  looksAt: ({ until }) => (until === undefined ? [] : [until]),
  *inOrder({ times, until, most = MOST_TIMES }, { made, ask }) {
    if (until === undefined) {
      for (let round = 0; round < times; round += 1) yield* made('steps');
      return;
    }
    const asks = { ...whether(until, ['done', 'again']), usual: null };
    for (let round = 1; round <= most; round += 1) {
      yield* made('steps');
      const isLast = round === most;
      if ((yield* ask({ ...asks, ...(isLast && { givesUp: 'again' }) })) !== 'again') return;
    }
  },
  times: ({ times, until, most = MOST_TIMES }) => (until === undefined ? times : most),
  repeats: true,
};
