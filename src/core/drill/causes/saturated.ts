import type { Robot } from '../../robot/robot';
import { anywhere, type DrillCause } from '../cause';
import { caseOfTurn, DRILLED, goodForIt, simulatedTurn } from '../drilledTurn';

const slow = (maxSpeedMPerS: number): Robot => ({
  ...DRILLED,
  motors: { ...DRILLED.motors, maxSpeedMPerS },
});

export const saturated: DrillCause = {
  id: 'saturated',
  family: 'gain',
  why: 'What is left falls in a straight line, though the program tells far more: the motors give all they have. No gain helps; a slower turn or a fuller battery does.',
  make: (random) =>
    caseOfTurn(simulatedTurn(random, slow(anywhere(random, 0.02, 0.03)), goodForIt().middle)),
};
