import type { Route } from '../course/route';
import { kindOfStep } from '../steps/registry';
import { motionsOf } from '../steps/tree';

/** Whether a route asks a light sensor anything. */
export const goesByLight = ({ steps }: Route): boolean =>
  motionsOf(steps).some((step) => kindOfStep(step).needs(step).includes('light sensor'));
