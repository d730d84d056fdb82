import { anywhere, type DrillCause } from '../cause';
import { caseOfTurn, DRILLED, goodForIt, turnJudged } from '../drilledTurn';

export const tooStrong: DrillCause = {
  id: 'too-strong',
  family: 'gain',
  why: 'It goes past 0 again and again: each time the program tells it to go back too hard. Both sensors agree, so none of them is late.',
  make: (random) =>
    caseOfTurn(
      turnJudged(random, DRILLED, () => goodForIt().to * anywhere(random, 1.6, 4), ['too-strong']),
    ),
};
