import { anywhere, type DrillCause } from '../cause';
import { caseOfTurn, DRILLED, goodForIt, turnJudged } from '../drilledTurn';

export const tooWeak: DrillCause = {
  id: 'too-weak',
  family: 'gain',
  why: 'It never goes past 0, but takes its time to get there: the program tells it too little.',
  make: (random) =>
    caseOfTurn(
      turnJudged(random, DRILLED, () => goodForIt().from / anywhere(random, 1.5, 5), ['too-weak']),
    ),
};
