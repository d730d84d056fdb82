import type { Route } from '../../core/course/route';
import type { Step } from '../../core/steps/step';

/** The route with other steps. */
const withSteps = (route: Route, steps: Step[]): Route => ({ ...route, steps });

export const replaceStep = (route: Route, index: number, step: Step): Route =>
  withSteps(route, route.steps.with(index, step));

export const insertStep = (route: Route, index: number, step: Step): Route =>
  withSteps(route, route.steps.toSpliced(index, 0, step));

export const removeStep = (route: Route, index: number): Route =>
  withSteps(route, route.steps.toSpliced(index, 1));

export function moveStep(route: Route, from: number, to: number): Route {
  const step = route.steps[from];
  if (step === undefined) return route;
  return withSteps(route, route.steps.toSpliced(from, 1).toSpliced(to, 0, step));
}

export function duplicateStep(route: Route, index: number, id: string): Route {
  const step = route.steps[index];
  return step === undefined ? route : insertStep(route, index + 1, { ...step, id });
}
