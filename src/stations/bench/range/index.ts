import { rangePlaces } from '../../../core/ranging/bestForPlaces';
import { missionTolerance } from '../../../core/ranging/missionTolerance';
import { heldOrTrials } from '../known';
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
  known: (facts) => heldOrTrials(facts, 'range', 'range', 'reading'),
  props: async (facts) => {
    const [list, routes] = await Promise.all([
      openedList(facts, 'range', newRangeTrials),
      facts.routes(),
    ]);
    const driven = routes.map(({ name, version: { route }, table }) => ({ name, route, table }));
    return { ...list, ofMissions: missionTolerance(driven), places: rangePlaces(driven) };
  },
};
