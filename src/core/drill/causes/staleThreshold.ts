import { anywhere, type DrillCause } from '../cause';
import { readInLoop, commandedLine } from '../loopLog';

export const staleThreshold: DrillCause = {
  id: 'stale-threshold',
  family: 'program',
  why: 'The reading dips at each line, but never down to the threshold: it was measured in other light. Measure floor and line anew, and take the middle.',
  make(random) {
    const [floor, dark] = [anywhere(random, 62, 75), anywhere(random, 40, 46)];
    const threshold = Math.round(dark - anywhere(random, 6, 12));
    const lines = [0.7, 1.6].map((at) => at + anywhere(random, -0.1, 0.1));
    return {
      told: `Drive on until the light is ${threshold} % or less, at the first line.`,
      charts: [
        {
          title: 'Light',
          yTitle: 'reflected light, %',
          curves: [
            {
              label: 'by the light sensor',
              ...readInLoop(random, (t) => {
                const depth = Math.max(...lines.map((at) => Math.exp(-(((t - at) / 0.06) ** 2))));
                return floor - (floor - dark) * depth + random.normal();
              }),
              is: 'read',
            },
            commandedLine('threshold', threshold),
          ],
        },
      ],
    };
  },
};
