import { anywhere, type DrillCause } from '../cause';
import { movesBy, readInLoop, commandedLine } from '../loopLog';

export const asCommanded: DrillCause = {
  id: 'as-told',
  family: 'program',
  why: 'It passes 90° by a degree or two and stands: that is one round of the loop and its way to stop, no mistake in the program.',
  make(random) {
    return {
      told: 'Turn to the left until the heading is 90° or more.',
      charts: [
        {
          title: 'Heading',
          yTitle: 'heading, °',
          curves: [
            {
              label: 'by the heading sensor',
              ...readInLoop(
                random,
                movesBy(0.3, anywhere(random, 90, 150), anywhere(random, 91, 93)),
              ),
              is: 'read',
            },
            commandedLine('90°', 90),
          ],
        },
      ],
    };
  },
};
