import { rangeStudy } from '../../../core/ranging/rangeStudy';
import { voltStudy } from '../../../core/ranging/voltStudy';
import { devicesOf } from '../../../core/devices/ofRobot';
import { foundInList } from '../waiting';
import { rangePlaces } from '../../../core/ranging/bestForPlaces';
import { missionTolerance } from '../../../core/ranging/missionTolerance';
import { heldOrTrials } from '../known';
import { notAside, openedList } from '../trials/openedList';
import type { Procedure } from '../procedure';
import { newRangeTrials } from './newTrials';

export const range: Procedure = {
  id: 'range',
  title: 'Distance sensors',
  group: 'distance and touch',
  goodFor: 'what each reads against a tape, and which are out of tolerance',
  minutes: 8,
  gives: ['range'],
  known: (facts) => heldOrTrials(facts, 'range', 'range', 'reading'),
  found: (facts) =>
    foundInList(facts, 'range', ({ trials, conditions: { shows, toleranceM } }) => {
      const facing = notAside(trials).filter(({ turnedRad }) => turnedRad === 0);
      const labels = devicesOf(facts.robot.robot, 'distance sensor').map(({ label }) => label);
      const [inUse = ''] = labels;
      const own = facing.filter(({ unit }) => unit === inUse);
      const value =
        shows === 'volts'
          ? voltStudy(own, inUse)?.value
          : rangeStudy(facing, inUse, toleranceM, labels)?.value;
      return { value: value ?? null, raw: own };
    }),
  props: async (facts) => {
    const [list, routes] = await Promise.all([
      openedList(facts, 'range', newRangeTrials),
      facts.routes(),
    ]);
    const driven = routes.map(({ name, version: { route }, table }) => ({ name, route, table }));
    return { ...list, ofMissions: missionTolerance(driven), places: rangePlaces(driven) };
  },
};
