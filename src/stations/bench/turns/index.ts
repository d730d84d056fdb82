import { turnsIn } from '../../../core/course/turnsIn';
import { allHeld } from '../../../formats/holding';
import { measuredTurns, studied, turnsValue } from './studied';
import { foundInList } from '../waiting';
import { ulid } from 'ulid';
import { DRIFT_HOLDS_MS } from '../../../core/gyro/creepFirst';
import { doubtsOf } from '../../../core/sources/sources';
import { heldOrTrials } from '../known';
import type { Procedure } from '../procedure';
import { newTurnTrials } from './newTrials';

export const turns: Procedure = {
  id: 'turns',
  title: 'Turns',
  group: 'heading',
  goodFor: 'where to tell a turn to stop, so that it ends where it should',
  minutes: 12,
  gives: ['turns'],
  goesByHeading: true,
  known: (facts) =>
    heldOrTrials(facts, 'turns', 'turns', 'turn', (text) => `Goes on after the stop, ${text}`),
  found: (facts) =>
    foundInList(facts, 'turns', ({ trials, conditions }) => ({
      value: turnsValue(studied(trials, conditions).study),
      raw: measuredTurns(trials),
    })),
  props: async (facts) => {
    const [{ lists, open }, routes, holding] = await Promise.all([
      facts.trials('turns'),
      facts.routes(),
      facts.holding(),
    ]);
    const drift = holding['gyro-drift'];
    const isFresh =
      drift !== undefined && facts.now.getTime() - Date.parse(drift.madeAt) < DRIFT_HOLDS_MS;
    const driftRadPerS = isFresh ? drift.value.driftRadPerS : 0;
    const wantsNew = facts.wishes.has('new');
    const trials =
      open === null || wantsNew ? newTurnTrials(ulid(), facts.robot, driftRadPerS) : open;
    const values = allHeld(holding).map(({ value }) => value);
    return {
      trials,
      lists,
      routes,
      turning: routes
        .filter(({ version }) => turnsIn(version.route) > 0)
        .map(({ routeId }) => routeId),
      fitted: facts.fitted(values).robot,
      doubts: doubtsOf(values),
    };
  },
};
