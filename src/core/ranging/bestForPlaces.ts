import type { Route } from '../course/route';
import { inOrder } from '../steps/inOrder';
import { kindOfStep } from '../steps/registry';
import { benchLength, errorLength } from '../text/quantities';
import type { DeviceRange } from './rangeCalibration';

/** Somewhere on a route a distance sensor has to be right: at this distance. */
export interface RangePlace {
  route: string;
  /** Its number in the route: "4.2" is the second within the fourth. */
  step: string;
  distanceM: number;
}

/** How a unit would read there: its error as measured, and one reading's scatter. */
export interface DeviceAtPlace {
  unit: string;
  errorM: number;
  noiseM: number;
  /** Its distance was within what was measured of the unit. */
  isMeasured: boolean;
}

export interface BestForPlace {
  place: RangePlace;
  /** The best first. */
  units: DeviceAtPlace[];
}

/** The places of routes at which a distance reading ends a step; of several at one distance the first. */
export function rangePlaces(routes: readonly { name: string; route: Route }[]): RangePlace[] {
  const all = routes.flatMap(({ name, route }) =>
    inOrder(route.steps).flatMap(({ step, number }) => {
      const stops = kindOfStep(step).stopsBy?.(step);
      return stops === undefined
        ? []
        : [{ route: name, step: number, distanceM: stops.thresholdM }];
    }),
  );
  return all.filter(
    (place, i) => all.findIndex(({ distanceM }) => distanceM === place.distanceM) === i,
  );
}

/** A single reading is off by so much, as a rule: the error of the unit and its scatter together. */
const offBy = ({ errorM, noiseM }: DeviceAtPlace): number => Math.hypot(errorM, noiseM);

function atPlace(one: DeviceRange, distanceM: number): DeviceAtPlace[] {
  const { unit, offsetM, scaleFactor, noiseM, noisePerM, validFromM, validToM } = one;
  if (scaleFactor === null) return [];
  const middleM = (validFromM + validToM) / 2;
  return [
    {
      unit,
      errorM: offsetM + (scaleFactor - 1) * distanceM,
      noiseM: Math.max(0, noiseM + noisePerM * (distanceM - middleM)),
      isMeasured: distanceM >= validFromM && distanceM <= validToM,
    },
  ];
}

/**
 * Which of the team's units is best for which place: the one whose single readings there are off least, those first
 * that were measured at such distances.
 */
export const bestForPlaces = (
  units: readonly DeviceRange[],
  places: readonly RangePlace[],
): BestForPlace[] =>
  places.map((place) => ({
    place,
    units: units
      .flatMap((unit) => atPlace(unit, place.distanceM))
      .toSorted((a, b) => Number(b.isMeasured) - Number(a.isMeasured) || offBy(a) - offBy(b)),
  }));

/** "D3 for step 7 of “Pond and back” (12 cm): off by 2 mm ± 3 mm there, D1 by 9 mm." */
export function placeSentence({ place, units }: BestForPlace): string | null {
  const [best, next] = units;
  if (best === undefined || next === undefined) return null;
  const off = ({ errorM }: DeviceAtPlace) => errorLength(Math.abs(errorM), 1);
  const told = best.isMeasured ? '' : ', farther than it was measured';
  return `${best.unit} for step ${place.step} of “${place.route}”, at ${benchLength(place.distanceM)}${told}: off by ${off(best)} there ± ${errorLength(best.noiseM, 1)}, ${next.unit} by ${off(next)}.`;
}
