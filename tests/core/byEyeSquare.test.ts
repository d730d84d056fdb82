import { expect, it } from 'vitest';
import { randomStream } from '../../src/core/stats/random';
import { adviceByEye, type EyeLook } from '../../src/core/turns/byEye';
import { deg } from './support';

it('by eye of a square, whose four turns add up, bracket one turn four times as closely', () => {
  const random = randomStream(8, 0, 'squares');
  for (const beyondDeg of [-6, -1.5, 0, 2.5, 9]) {
    const looks: EyeLook[] = [];
    let commandedDeg = 90;
    for (let look = 0; look < 10; look += 1) {
      const leftOpen = [1, 2, 3, 4].reduce(
        (sum) => sum + commandedDeg + beyondDeg + 0.4 * random.normal() - 90,
        0,
      );
      const seen = leftOpen < -3 ? 'under' : leftOpen > 3 ? 'over' : 'right';
      looks.push({ seen, commandedRad: deg(commandedDeg), wantedRad: deg(90), times: 4 });
      const advice = adviceByEye(looks);
      if (advice === null || advice.isFound) break;
      commandedDeg = (advice.tellRad * 180) / Math.PI;
    }
    const found = adviceByEye(looks);
    expect(found?.isFound, `${beyondDeg}°`).toBe(true);
    expect(Math.abs((found?.tellRad ?? 0) - deg(90 - beyondDeg))).toBeLessThan(deg(1.3));
  }
  // One look at a square leaves less open than one at a turn.
  const once = (times: number) =>
    adviceByEye([{ seen: 'right', commandedRad: deg(90), wantedRad: deg(90), times }]);
  const width = (times: number) => (once(times)?.high95Rad ?? 0) - (once(times)?.low95Rad ?? 0);
  expect(width(4)).toBeLessThan(0.8 * width(1));
});
