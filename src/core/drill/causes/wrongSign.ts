import { anywhere, type DrillCause } from '../cause';
import { caseOfTurn, DRILLED, goodForIt, turnJudged } from '../drilledTurn';

export const wrongSign: DrillCause = {
  id: 'wrong-sign',
  family: 'gain',
  why: 'What is left grows from the start: each correction drives it further away. A sign is the wrong way round.',
  make: (random) =>
    caseOfTurn(
      turnJudged(random, DRILLED, () => -goodForIt().middle * anywhere(random, 0.5, 2), [
        'wrong-sign',
      ]),
    ),
};
