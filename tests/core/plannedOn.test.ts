import { expect, it } from 'vitest';
import { planRoute } from '../../src/core/course/plan';
import { tableSchema } from '../../src/core/table/table';
import { deg, idealRobot, routeOf } from './support';

const id = (name: string, step: object) => ({ id: name, ...step });
const decide = (name: string, value: number) =>
  id(name, {
    kind: 'decide',
    if: { reading: 'heading', is: 'above', value, confirmations: 1 },
    then: [id(`${name}t`, { kind: 'straight', distanceM: 0.1, joins: true })],
    else: [id(`${name}e`, { kind: 'turn', mode: 'by', angleRad: deg(30) })],
    usual: 'then',
  });

it('a way that is planned on from what it begins with is the way planned as a whole', () => {
  const place = { xM: 0.5, yM: 0.4, headingRad: 0 };
  const table = tableSchema.parse({
    widthM: 2.4,
    heightM: 1.2,
    obstacles: [{ x1M: 2, y1M: 0.9, x2M: 2.1, y2M: 1, heightM: 0.1, goneAfter: 'm' }],
    missions: [{ id: 'm', name: 'lever', pose: place, window: {} }],
  });
  const route = routeOf(
    [
      id('a', { kind: 'straight', distanceM: 0.2 }),
      id('m', { kind: 'mark', missionId: 'm' }),
      decide('b', deg(10)),
      id('c', { kind: 'straight', distanceM: 0.1 }),
      id('r', { kind: 'repeat', times: 2, steps: [decide('d', deg(20))] }),
      id('z', { kind: 'turn', angleRad: deg(-40) }),
    ],
    { xM: 0.3, yM: 0.4, headingRad: 0 },
  );
  const ways = [[], ['else'], ['then', 'else'], ['else', 'else', 'else'], ['then', 'then', 'else']];
  for (const answers of ways) {
    const whole = planRoute(route, idealRobot, table, answers);
    const asked = whole.flatMap(({ choice }, i) => (choice === undefined ? [] : [i]));
    const last = asked[answers.length - 1] ?? 0;
    for (const other of ways.filter((one) => one.length === answers.length)) {
      if (other.slice(0, -1).join() !== answers.slice(0, -1).join()) continue;
      const known = planRoute(route, idealRobot, table, other).slice(0, last);
      const on = planRoute(route, idealRobot, table, answers, known);
      expect(JSON.stringify(on)).toBe(JSON.stringify(whole));
    }
  }
});
