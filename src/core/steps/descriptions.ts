import { describedFields, type Description, type RecordOf } from '../description/description';
import { onlyList, type Branch } from './branch';
import { ATTACHMENT } from './attachment/description';
import { APPROACH } from './approach/description';
import { ARC } from './arc/description';
import { DECIDE, decideLists, type DecideLists } from './decide/description';
import { DECIDE_COLOUR, colourLists, type ColourLists } from './decideColour/description';
import { FOLLOW_LINE } from './followLine/description';
import { FOLLOW_WALL } from './followWall/description';
import { FREE } from './free/description';
import { MARK } from './mark/description';
import { MEANWHILE, meanwhileLists, type MeanwhileLists } from './meanwhile/description';
import { PART } from './part/description';
import { REPEAT } from './repeat/description';
import { SET_HEADING } from './setHeading/description';
import { SQUARE_ON_LINE } from './squareOnLine/description';
import { SQUARE_UP } from './squareUp/description';
import { STRAIGHT } from './straight/description';
import { TIMED } from './timed/description';
import { TO_LINE } from './toLine/description';
import { TOUCH } from './touch/description';
import { TURN } from './turn/description';
import { WAIT } from './wait/description';

/** What is told of each kind of step that is a motion, in the order in which they are offered. */
export const MOTION_DESCRIPTIONS = {
  straight: STRAIGHT,
  turn: TURN,
  arc: ARC,
  timed: TIMED,
  approach: APPROACH,
  touch: TOUCH,
  'square-up': SQUARE_UP,
  'to-line': TO_LINE,
  'square-on-line': SQUARE_ON_LINE,
  'follow-line': FOLLOW_LINE,
  'follow-wall': FOLLOW_WALL,
  attachment: ATTACHMENT,
  mark: MARK,
  wait: WAIT,
  'set-heading': SET_HEADING,
  free: FREE,
} as const;

/** And of each that owns steps, which it runs. */
export const OWNER_DESCRIPTIONS = {
  part: PART,
  repeat: REPEAT,
  decide: DECIDE,
  'decide-colour': DECIDE_COLOUR,
  meanwhile: MEANWHILE,
} as const;

/** All of them. */
export const STEP_DESCRIPTIONS = { ...MOTION_DESCRIPTIONS, ...OWNER_DESCRIPTIONS } as const;

type Motions = typeof MOTION_DESCRIPTIONS;
type Owners = typeof OWNER_DESCRIPTIONS;

/** The one list of a step that has no other. */
interface OneList {
  steps: Step[];
}

/** How steps stand within each kind that owns others. */
interface OwnedBy {
  part: OneList;
  repeat: OneList;
  decide: DecideLists;
  'decide-colour': ColourLists;
  meanwhile: MeanwhileLists;
}

/** A motion of any kind. */
export type MotionStep = { [K in keyof Motions]: RecordOf<Motions[K]> }[keyof Motions];
export type OwnerStep = { [K in keyof Owners]: RecordOf<Owners[K]> & OwnedBy[K] }[keyof Owners];
/** A step of a route. */
export type Step = MotionStep | OwnerStep;

/** Whether a step owns others. */
export const isOwner = (step: Step): step is OwnerStep => step.kind in OWNER_DESCRIPTIONS;

/** A step of a kind that owns others. */
export type OwnerOf<K extends OwnerStep['kind']> = Extract<OwnerStep, { kind: K }>;

/** The lists of each kind that owns steps, in the order in which they are shown. */
const BRANCHES: { [K in OwnerStep['kind']]: (step: OwnerOf<K>) => Branch[] } = {
  part: onlyList,
  repeat: onlyList,
  decide: decideLists,
  'decide-colour': colourLists,
  meanwhile: meanwhileLists,
};

/** The lists of a step that owns others. */
export const branchesOf = (step: OwnerStep): Branch[] => BRANCHES[step.kind](step as never);

/** What is told of a step's kind. */
export const descriptionOfStep = ({ kind }: Pick<Step, 'kind'>): Description =>
  STEP_DESCRIPTIONS[kind];

/** In which field each kind names a mission. */
const MISSION_FIELDS = new Map(
  Object.values(STEP_DESCRIPTIONS).flatMap((one: Description) =>
    Object.entries(describedFields(one)).flatMap(([name, field]): [string, string][] =>
      field.is === 'reference' && field.to === 'mission' ? [[one.kind, name]] : [],
    ),
  ),
);

/** The mission that a step works, or null. */
export function missionOfStep(step: Step): string | null {
  const name = MISSION_FIELDS.get(step.kind);
  return name === undefined ? null : String((step as Readonly<Record<string, unknown>>)[name]);
}
