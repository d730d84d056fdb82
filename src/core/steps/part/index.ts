import type { OwnerKind } from '../kind';
import type { OwnerOf } from '../descriptions';

export const part: OwnerKind<OwnerOf<'part'>> = {
  group: 'block',
  isOffered: () => true,
  asAdded: () => ({ kind: 'part', name: 'Part of the way', steps: [] }),
  inOrder: (_part, { made }) => made('steps'),
  times: () => 1,
  repeats: false,
};
