import type { OwnerOf } from '../descriptions';
import type { OwnerKind } from '../kind';
import { straight } from '../straight';

const USUAL_GAP_M = 0.2;
const USUAL_HYSTERESIS_M = 0.02;

export const meanwhile: OwnerKind<OwnerOf<'meanwhile'>> = {
  group: 'block',
  isOffered: () => true,
  asAdded: (place) => ({
    kind: 'meanwhile',
    on: {
      reading: { unit: 'distance sensor', channel: 'distance' },
      is: 'below',
      value: USUAL_GAP_M,
      confirmations: 1,
    },
    hysteresis: USUAL_HYSTERESIS_M,
    motion: { ...straight.asAdded(place), id: `${place.id}m` },
    up: [],
    down: [],
  }),
  looksAt: ({ on }) => [on],
  *inOrder({ on, hysteresis, up, down }, { during }) {
    yield* during('motion', { on, hysteresis, up, down });
  },
  times: () => 1,
  repeats: false,
};
