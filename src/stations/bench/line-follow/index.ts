import { allHeld } from '../../../formats/holding';
import { calibrationOf } from '../../../core/calibration/find';
import { gainText } from '../../../core/control/tuned';
import { FOLLOWING } from '../../../core/control/tunedDrives';
import { benchLength, benchSpeed } from '../../../core/text/quantities';
import { USUAL_BEND_M } from '../../../core/tuning/edge/description';
import { neededGainRadPerS } from '../../../core/tuning/edge/fastestRound';
import { looksAtEdge } from '../../../core/tuning/edge/followBend';
import { heldOf, NOTHING_KNOWN } from '../known';
import { lineWidths } from '../line-speed';
import { emptyList } from '../trials/emptyList';
import { openedList } from '../trials/openedList';
import type { Procedure } from '../procedure';

export const lineFollow: Procedure = {
  id: 'line-follow',
  title: 'Following an edge',
  group: 'light and colour',
  goodFor: 'target, gain and speed round the tightest bend, and when the line is lost',
  minutes: 4,
  gives: ['line-following'],
  known: async (facts) => {
    const held = await heldOf(facts, 'line-following');
    if (held !== null) return held;
    const { robot } = facts.robot;
    if (looksAtEdge(robot) === null) return NOTHING_KNOWN;
    const gain = neededGainRadPerS(robot, USUAL_BEND_M, FOLLOWING.usual);
    return {
      sentence: `By the record: a bend of ${benchLength(USUAL_BEND_M)} at ${benchSpeed(FOLLOWING.usual)} wants ${gainText('line', gain)}.`,
      freshness: null,
    };
  },
  props: async (facts) => {
    const [list, holding, widthsM] = await Promise.all([
      openedList(facts, 'line-follow', emptyList('line-follow')),
      facts.holding(),
      lineWidths(facts),
    ]);
    const values = allHeld(holding).map(({ value }) => value);
    return {
      ...list,
      fitted: facts.fitted(values).robot,
      held: calibrationOf(values, 'light-threshold'),
      widthsM,
    };
  },
};
