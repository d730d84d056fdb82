import { inOrder } from '../steps/inOrder';
import { kindOfStep } from '../steps/registry';
import type { Route } from './route';

/** So often a route turns. */
export const turnsIn = ({ steps }: Pick<Route, 'steps'>): number =>
  inOrder(steps).filter(({ step }) => (kindOfStep(step).turning?.of(step) ?? null) !== null).length;
