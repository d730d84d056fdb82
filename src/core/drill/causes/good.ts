import { anywhere, type DrillCause } from '../cause';
import { caseOfTurn, DRILLED, goodForIt, turnJudged } from '../drilledTurn';

export const good: DrillCause = {
  id: 'good',
  family: 'gain',
  why: 'It comes to 0 within a second, hardly past it, and stays there.',
  make: (random) =>
    caseOfTurn(
      turnJudged(random, DRILLED, () => goodForIt().middle * anywhere(random, 0.8, 1.25), ['good']),
    ),
};
