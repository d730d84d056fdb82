import type { Robot } from '../../robot/robot';
import { withHeading } from '../../devices/ofRobot';
import { anywhere, type DrillCause } from '../cause';
import { caseOfTurn, DRILLED, goodForIt, turnJudged } from '../drilledTurn';

const late = (latencyS: number): Robot => withHeading(DRILLED, { latencyS });

export const lateSensor: DrillCause = {
  id: 'late-sensor',
  family: 'gain',
  why: 'It swings, but look at the two lines: the heading sensor says what the encoders said a moment before. The program acts on old news.',
  make: (random) =>
    caseOfTurn(
      turnJudged(
        random,
        late(anywhere(random, 0.3, 0.45)),
        () => goodForIt().middle * anywhere(random, 0.8, 1.25),
        ['too-strong'],
      ),
    ),
};
