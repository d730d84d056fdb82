import { describeCalibration } from '../../../core/calibration/registry';
import { missionTolerance } from '../../../core/ranging/missionTolerance';
import { openedList } from '../openedList';
import type { Procedure } from '../procedure';
import { newRangeTrials } from './newTrials';

export const range: Procedure = {
  id: 'range',
  title: 'Distance sensors',
  group: 'distance and touch',
  goodFor: 'what each reads against a tape, and which are out of tolerance',
  minutes: 8,
  gives: 'range',
  known: async (facts) => {
    const [{ range: held }, validity] = await Promise.all([facts.holding(), facts.validity()]);
    if (held === undefined) return { sentence: null, freshness: null };
    const line = describeCalibration(held.value);
    return {
      sentence: `${line.charAt(0).toUpperCase()}${line.slice(1)}.`,
      freshness: validity.range,
    };
  },
  props: async (facts) => {
    const [list, routes] = await Promise.all([
      openedList(facts, 'range', newRangeTrials),
      facts.routes(),
    ]);
    const driven = routes.map(({ name, version: { route }, table }) => ({ name, route, table }));
    return { ...list, ofMissions: missionTolerance(driven) };
  },
};
