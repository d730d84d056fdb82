import { whether } from '../choice';
import type { OwnerOf } from '../descriptions';
import type { OwnerKind } from '../kind';

const USUAL_GAP_M = 0.2;
const LISTS = ['then', 'else'].map((list) => ({ list, at: [list] }));

export const decide: OwnerKind<OwnerOf<'decide'>> = {
  group: 'block',
  isOffered: () => true,
  asAdded: () => ({
    kind: 'decide',
    if: {
      reading: { unit: 'distance sensor', channel: 'distance' },
      is: 'below',
      value: USUAL_GAP_M,
      confirmations: 1,
    },
    usual: 'else',
    then: [],
    else: [],
  }),
  looksAt: (step) => [step.if],
  *inOrder(step, { made, ask }) {
    const answer = yield* ask({
      ...whether(step.if, ['then', 'else']),
      usual: step.usual,
      decides: LISTS,
      withUsual: (usual) => ({ ...step, usual: usual === 'else' ? 'else' : 'then' }),
    });
    yield* made(answer);
  },
  times: () => 1,
  repeats: false,
};
