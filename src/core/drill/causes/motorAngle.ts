import { anywhere, type DrillCause } from '../cause';
import { movesBy, readInLoop, commandedLine } from '../loopLog';

export const motorAngle: DrillCause = {
  id: 'motor-angle',
  family: 'program',
  why: 'The motor turns by just what was told, and the robot by less: a wheel has to roll along the track to turn the robot. Use the heading, or the motor’s angle times track over wheel.',
  make(random) {
    const told = random.uniform() < 0.5 ? 90 : 180;
    const share = anywhere(random, 0.35, 0.5);
    const rate = anywhere(random, 150, 250);
    const periodS = anywhere(random, 0.02, 0.03);
    return {
      told: `Turn to the left by ${told}°.`,
      charts: [
        {
          title: 'Motor and robot',
          yTitle: 'angle, °',
          curves: [
            {
              label: 'robot, by the heading sensor',
              ...readInLoop(random, movesBy(0.3, rate * share, told * share), periodS),
              is: 'read',
            },
            {
              label: 'right motor',
              ...readInLoop(random, movesBy(0.3, rate, told), periodS),
              is: 'other',
            },
            commandedLine('told', told),
          ],
        },
      ],
    };
  },
};
