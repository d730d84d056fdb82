import type { OwnerKind } from '../kind';
import type { OwnerOf } from '../descriptions';

export const repeat: OwnerKind<OwnerOf<'repeat'>> = {
  group: 'block',
  isOffered: () => true,
  asAdded: () => ({ kind: 'repeat', times: 2, steps: [] }),
  *inOrder({ times }, made) {
    for (let round = 0; round < times; round += 1) yield* made('steps');
  },
  times: ({ times }) => times,
  repeats: true,
};
