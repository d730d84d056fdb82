import { anywhere, type DrillCause } from '../cause';
import { movesBy, readInLoop, commandedLine } from '../loopLog';

const COMMANDED_DEG = 90;

export const missedEquality: DrillCause = {
  id: 'missed-equality',
  family: 'program',
  why: 'It steps from below 90° to above it in one round, so it was never 90°, and it turns on and on. Use ≥ instead of =.',
  make(random) {
    const periodS = anywhere(random, 0.025, 0.035);
    // Rounds that never meet 90°, whatever their steps.
    const rate = (3.5 / periodS) * anywhere(random, 0.95, 1.05);
    const startS = 0.3;
    let log = readInLoop(random, movesBy(startS, rate, 1e4), periodS);
    for (let i = 1; log.y.includes(COMMANDED_DEG) && i < 20; i += 1) {
      log = readInLoop(random, movesBy(startS + (i * periodS) / 20, rate, 1e4), periodS);
    }
    return {
      told: 'Turn to the left until the heading is 90°.',
      charts: [
        {
          title: 'Heading',
          yTitle: 'heading, °',
          curves: [
            { label: 'by the heading sensor', ...log, is: 'read' },
            commandedLine('90°', COMMANDED_DEG),
          ],
        },
      ],
    };
  },
};
