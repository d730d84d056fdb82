import { fieldsOf, type Description, type RecordOf } from '../description/description';
import { APPROACH } from './approach/description';
import { MARK } from './mark/description';
import { SQUARE_UP } from './squareUp/description';
import { STRAIGHT } from './straight/description';
import { TURN } from './turn/description';

/** What is told of each kind of step, in the order in which they are offered. */
export const STEP_DESCRIPTIONS = {
  straight: STRAIGHT,
  turn: TURN,
  approach: APPROACH,
  'square-up': SQUARE_UP,
  mark: MARK,
} as const;

type Descriptions = typeof STEP_DESCRIPTIONS;

/** A step of a route of one kind, and of any. */
export type StepOf<K extends keyof Descriptions> = RecordOf<Descriptions[K]>;
export type Step = { [K in keyof Descriptions]: StepOf<K> }[keyof Descriptions];

/** What is told of a step's kind. */
export const descriptionOfStep = ({ kind }: Pick<Step, 'kind'>): Description =>
  STEP_DESCRIPTIONS[kind];

/** In which field each kind names a mission. */
const MISSION_FIELDS = new Map(
  Object.values(STEP_DESCRIPTIONS).flatMap((one: Description) =>
    Object.entries(fieldsOf(one)).flatMap(([name, field]): [string, string][] =>
      field.is === 'reference' && field.to === 'mission' ? [[one.kind, name]] : [],
    ),
  ),
);

/** The mission that a step works, or null. */
export function missionOfStep(step: Step): string | null {
  const name = MISSION_FIELDS.get(step.kind);
  return name === undefined ? null : String((step as Readonly<Record<string, unknown>>)[name]);
}
