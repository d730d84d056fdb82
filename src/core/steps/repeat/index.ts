import type { OwnerKind } from '../kind';
import type { RepeatStep } from './description';

export const repeat: OwnerKind<RepeatStep> = {
  group: 'block',
  isOffered: () => true,
  asAdded: () => ({ kind: 'repeat', times: 2 }),
  inOrder: ({ times }, steps) => Array.from({ length: times }, () => steps).flat(),
  repeats: true,
};
