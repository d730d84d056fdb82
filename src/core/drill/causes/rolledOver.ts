import { anywhere, type DrillCause } from '../cause';
import { readInLoop, commandedLine } from '../loopLog';

export const rolledOver: DrillCause = {
  id: 'rolled-over',
  family: 'program',
  why: 'The count jumps from its largest to its smallest in one round, while the motor turns on as before. Count on from round to round, or set it to 0 before the drive.',
  make(random) {
    const most = random.uniform() < 0.5 ? 1023 : 2047;
    const rate = anywhere(random, 500, 700);
    const from = most - rate * anywhere(random, 0.6, 1.4);
    const span = 2 * (most + 1);
    return {
      told: `Drive on until the left motor has turned to ${most + 300}°.`,
      charts: [
        {
          title: 'Left motor',
          yTitle: 'angle, °',
          curves: [
            {
              label: 'as it counts',
              ...readInLoop(random, (t) => {
                const angle = from + rate * t;
                return angle > most ? angle - span : angle;
              }),
              is: 'read',
            },
            commandedLine('told', most + 300),
          ],
        },
      ],
    };
  },
};
