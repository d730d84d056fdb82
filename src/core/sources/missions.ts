import type { PlannedStep } from '../course/plan';
import type { Route } from '../course/route';
import { radiansFromDegrees as deg } from '../geometry/angle';
import type { MotionStep } from '../steps/descriptions';
import { kindOfStep } from '../steps/registry';
import { motionsOf } from '../steps/tree';
import { degrees, errorLength } from '../text/quantities';
import { guess, type Source } from './source';

/** What a mission may do to a robot that works it, where nobody has told. */
const PUSH_M = 0.003;
const TURN_RAD = deg(1);

const pushesUnknown = (step: MotionStep): boolean =>
  kindOfStep(step).marks?.(step).pushIsKnown === false;

const touches = ({ steps }: Pick<Route, 'steps'>): boolean => motionsOf(steps).some(pushesUnknown);

/** Marks from which the robot goes on: a run ends where its last mission is worked. */
const goesOnFrom = (plan: readonly PlannedStep[]): boolean[] =>
  plan.map(
    ({ step, isMeanwhile }, i) =>
      i < plan.length - 1 && isMeanwhile !== true && pushesUnknown(step),
  );

/** How working a mission moves the robot that stands at it, alike at all of them: models push back, and askew. */
export const MISSIONS: readonly Source[] = [
  {
    name: 'push of missions',
    level: 'robot',
    measuredBy: null,
    touches,
    doubt: () => guess(PUSH_M),
    figure: () => null,
    within: (half) => `± ${errorLength(half, 1)}`,
    inRuns({ plan }) {
      const pushes = goesOnFrom(plan);
      return (run) => ({ pushedM: (motion) => (pushes[motion] === true ? run.off : 0) });
    },
  },
  {
    name: 'turning by missions',
    level: 'robot',
    measuredBy: null,
    touches,
    doubt: () => guess(TURN_RAD),
    figure: () => null,
    within: (half) => `± ${degrees(half)}`,
    inRuns({ plan }) {
      const pushes = goesOnFrom(plan);
      return (run) => ({ kickRad: (motion) => (pushes[motion] === true ? run.off : 0) });
    },
  },
];
