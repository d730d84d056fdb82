import { calibrationOfUnit } from '../../../core/calibration/ofUnit';
import { devicesOf } from '../../../core/devices/ofRobot';
import { allHeld } from '../../../formats/holding';
import { calibrationFromLineSquaring } from '../../../core/calibration/kinds/lineSquaring/fromStudy';
import { twoLightSensors } from '../../../core/light/twoLightSensors';
import { lineSquaringStudy } from '../../../core/light/lineSquaringStudy';
import { heldOf, notApplied } from '../known';
import type { Procedure } from '../procedure';
import type { Thresholds } from './SquareEntry';
import { emptyList } from '../trials/emptyList';
import { notAside, openedList, usedTrials } from '../trials/openedList';
import { foundInList } from '../waiting';

export const lineSquare: Procedure = {
  id: 'line-square',
  title: 'Squaring on a line',
  group: 'light and colour',
  goodFor: 'what heading two light sensors leave over, at which speeds',
  minutes: 8,
  gives: ['line-squaring'],
  known: async (facts) => {
    const held = await heldOf(facts, 'line-squaring');
    if (held !== null) return held;
    const { used } = usedTrials(await facts.trials('line-square'));
    return notApplied(lineSquaringStudy(used, twoLightSensors(facts.robot.robot)));
  },
  found: (facts) =>
    foundInList(facts, 'line-square', ({ trials }) => {
      const used = notAside(trials);
      const study = lineSquaringStudy(used, twoLightSensors(facts.robot.robot));
      return { value: study && calibrationFromLineSquaring(study.best), raw: used };
    }),
  props: async (facts) => {
    const [list, holding] = await Promise.all([
      openedList(facts, 'line-square', emptyList('line-square')),
      facts.holding(),
    ]);
    const values = allHeld(holding).map(({ value }) => value);
    const { robot } = facts.robot;
    const thresholds = devicesOf(robot, 'light sensor').map(({ id }) => [
      id,
      calibrationOfUnit(values, 'light-threshold', robot, id),
    ]);
    return { ...list, thresholds: Object.fromEntries(thresholds) as Thresholds };
  },
};
