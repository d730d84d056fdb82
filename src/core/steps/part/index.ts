import type { OwnerKind } from '../kind';
import type { PartStep } from './description';

export const part: OwnerKind<PartStep> = {
  group: 'block',
  isOffered: () => true,
  asAdded: () => ({ kind: 'part', name: 'Part of the way' }),
  inOrder: (_part, steps) => [...steps],
  repeats: false,
};
