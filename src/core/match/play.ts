import { neededBefore, worthOfWorked } from '../forecast/points';
import { randomStream } from '../stats/random';
import type { Load } from '../table/moved';
import type { Target } from '../table/targets';
import { drawnChangeOver } from './changeOver';
import type { Attempt, DrivenLaunch } from './drivenLaunch';
import type { Match } from './match';

/** How a launch went in one match. */
export interface LaunchPlayed {
  id: string;
  /** When it started; null: the clock had run out before. */
  startS: number | null;
  /** Stopped on the way, at the last try. */
  isFailed: boolean;
  /** Back before the clock had run out. */
  isInTime: boolean;
  /** What it added. */
  points: number;
}

export interface MatchPlayed {
  points: number;
  /** When all launches were over, had the clock not run out. */
  endS: number;
  launches: LaunchPlayed[];
}

/** The rules that a match is played by. */
export interface Played {
  match: Pick<Match, 'clockS' | 'fetchS' | 'fetchPoints'>;
  /** All that the table is scored by. */
  targets: readonly Target[];
  /** What is carried from one mission to another. */
  loads: readonly Load[];
  /** So many runs one after the other are of the same robot. */
  runsEach: number;
  seed: number;
}

/** A run of the same robot: each further try of a route takes the next one. */
function nextAttempt(
  { attempts }: DrivenLaunch,
  match: number,
  tries: number,
  runsEach: number,
): Attempt | undefined {
  const robot = Math.floor(match / runsEach);
  return attempts[robot * runsEach + ((match + tries) % runsEach)];
}

/**
 * One match: the launches follow one another, each after its change-over; what is worked before the clock has run out
 * counts, if all that had to be worked before it was, in this launch or one before. A robot that stops is fetched, and
 * what it carried is lost.
 *
 * @param index of the match: what it draws follows from it and the seed, and from nothing that another order changes
 */
export function playMatch(
  launches: readonly DrivenLaunch[],
  { match, targets, loads, runsEach, seed }: Played,
  index: number,
): MatchPlayed {
  const { clockS, fetchS, fetchPoints } = match;
  const tries = new Map<string, number>();
  const worked: Target[] = [];
  const isWorked = ({ key }: Target) => worked.some((one) => one.key === key);
  const isDone = (missionId: string) => worked.some(({ id }) => id === missionId);
  /** Missions whose load was lost on the way to them. */
  const lost = new Set<string>();
  let nowS = 0;
  let penalty = 0;
  const drive = (launch: DrivenLaunch): Attempt | undefined => {
    const before = tries.get(launch.routeId) ?? 0;
    const attempt = nextAttempt(launch, index, before, runsEach);
    if (attempt === undefined) return undefined;
    tries.set(launch.routeId, before + 1);
    for (const { target, atS } of attempt.hits) {
      const counts = nowS + atS <= clockS && !isWorked(target) && !lost.has(target.id);
      if (counts && neededBefore(target, targets).every(isWorked)) worked.push(target);
    }
    nowS += attempt.endS;
    if (attempt.isFailed && nowS <= clockS) penalty += fetchPoints;
    if (attempt.isFailed) {
      nowS += fetchS;
      const carried = loads.filter(({ takenBy, leftBy }) => isDone(takenBy) && !isDone(leftBy));
      for (const { leftBy } of carried) lost.add(leftBy);
    }
    return attempt;
  };
  const played = launches.map((launch, place): LaunchPlayed => {
    const readyIn = randomStream(seed, index, `change-over ${launch.id}`);
    if (place > 0) nowS += drawnChangeOver(launch.changeOversS, readyIn);
    const before = worthOfWorked(worked) - penalty;
    const startS = nowS < clockS ? nowS : null;
    let last = drive(launch);
    if (last?.isFailed === true && launch.whenFailed === 'again') {
      const readyS = nowS + drawnChangeOver(launch.changeOversS, readyIn);
      if (readyS + launch.medianS <= clockS) {
        nowS = readyS;
        last = drive(launch);
      }
    }
    return {
      id: launch.id,
      startS,
      isFailed: last?.isFailed ?? true,
      isInTime: nowS <= clockS,
      points: worthOfWorked(worked) - penalty - before,
    };
  });
  return { points: worthOfWorked(worked) - penalty, endS: nowS, launches: played };
}
