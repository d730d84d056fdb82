import { approach } from './approach';
import { arc } from './arc';
import { attachment } from './attachment';
import { decide } from './decide';
import { decideColour } from './decideColour';
import type { MotionStep, OwnerStep, Step } from './descriptions';
import { followLine } from './followLine';
import { followWall } from './followWall';
import { free } from './free';
import type { NewStepPlace, Offered, OwnerKind, StepKind } from './kind';
import { mark } from './mark';
import { meanwhile } from './meanwhile';
import { part } from './part';
import { repeat } from './repeat';
import { setHeading } from './setHeading';
import { squareOnLine } from './squareOnLine';
import { squareUp } from './squareUp';
import { straight } from './straight';
import { timed } from './timed';
import { toLine } from './toLine';
import { touch } from './touch';
import { turn } from './turn';
import { wait } from './wait';

/** What every kind of motion does. */
const MOTION_KINDS: Record<MotionStep['kind'], StepKind<MotionStep>> = {
  straight,
  turn,
  arc,
  timed,
  approach,
  touch,
  'square-up': squareUp,
  'to-line': toLine,
  'square-on-line': squareOnLine,
  'follow-line': followLine,
  'follow-wall': followWall,
  attachment,
  mark,
  wait,
  'set-heading': setHeading,
  free,
};

/** And every kind that owns steps. */
const OWNER_KINDS: { [K in OwnerStep['kind']]: OwnerKind<Extract<OwnerStep, { kind: K }>> } = {
  part,
  repeat,
  decide,
  'decide-colour': decideColour,
  meanwhile,
};

/** What is known of a motion's kind. */
export const kindOfStep = ({ kind }: Pick<MotionStep, 'kind'>): StepKind<MotionStep> =>
  MOTION_KINDS[kind];

/** What a step runs of those that it owns. */
export const ownerKindOf = ({ kind }: Pick<OwnerStep, 'kind'>): OwnerKind<OwnerStep> =>
  OWNER_KINDS[kind] as OwnerKind<OwnerStep>;

/** How a step of a kind comes into a route. */
export const offerOf = ({
  kind,
}: Pick<Step, 'kind'>): Pick<Offered<Step>, 'group' | 'isOffered'> & {
  asAdded(place: NewStepPlace): object;
} => ({ ...MOTION_KINDS, ...OWNER_KINDS })[kind];
