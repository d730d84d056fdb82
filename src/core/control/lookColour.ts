import {
  colourBy,
  overReferences,
  type ColourRules,
  type References,
} from '../colour/inequalities';
import { controller, halt, type Controller, type Tick } from './controller';

/** How a program tells the colour that one of its sensors sees. */
export interface ColoursWatched {
  /** Null: the robot has no such sensor. */
  unitId: string | null;
  references: References | null;
  rules: readonly ColourRules[];
}

interface LookState extends ColoursWatched {
  /** Null: none of them. */
  found: string | null;
}

const tick: Tick<LookState> = (state, now, wheels) => {
  halt(wheels);
  const { unitId, references, rules } = state;
  if (unitId === null) return 'no-sensor';
  const of = (channel: string) => now.reading({ unitId, channel });
  const [red, green, blue] = [of('red'), of('green'), of('blue')];
  if (red === null || green === null || blue === null) return 'go on';
  const reading = { red, green, blue, clear: of('clear') };
  const told = references === null ? reading : overReferences(reading, references);
  state.found = colourBy(rules, told);
  return 'done';
};

/** A robot that stands and looks once which colour is under its sensor: the first whose inequalities its reading fulfils. */
export function lookColour(watched: ColoursWatched): Controller & { colour(): string | null } {
  const state: LookState = { ...watched, found: null };
  return { ...controller(tick, state), colour: () => state.found };
}
