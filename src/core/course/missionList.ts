import { missionOfStep } from '../steps/descriptions';
import type { Route } from './route';

/** Whether a route plans no way: only missions are counted, however the robot comes to them. */
export const isMissionList = ({ steps }: Pick<Route, 'steps'>): boolean =>
  steps.every((step) => missionOfStep(step) !== null);
