import { anywhere, type DrillCause } from '../cause';
import { movesBy, readInLoop, commandedLine } from '../loopLog';

export const longWay: DrillCause = {
  id: 'long-way',
  family: 'program',
  why: 'It was a few degrees away across the 180°, and turned nearly all the way round instead. Bring the difference into −180° to 180° before you use it.',
  make(random) {
    const from = Math.round(anywhere(random, 155, 175));
    const to = -Math.round(anywhere(random, 160, 175));
    const turned = movesBy(0.3, anywhere(random, 180, 260), to - from);
    return {
      told: `Turn from ${from}° to ${String(to).replace('-', '−')}°.`,
      charts: [
        {
          title: 'Heading',
          yTitle: 'heading, °',
          curves: [
            {
              label: 'by the heading sensor',
              ...readInLoop(random, (t) => from + turned(t)),
              is: 'read',
            },
            commandedLine('told', to),
          ],
        },
      ],
    };
  },
};
