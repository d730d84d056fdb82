import { approach } from './approach';
import type { MotionStep, OwnerStep, Step } from './descriptions';
import type { NewStepPlace, Offered, OwnerKind, StepKind } from './kind';
import { mark } from './mark';
import { part } from './part';
import { repeat } from './repeat';
import { squareUp } from './squareUp';
import { straight } from './straight';
import { toLine } from './toLine';
import { turn } from './turn';
import { wait } from './wait';

/** What every kind of motion does. */
const MOTION_KINDS: Record<MotionStep['kind'], StepKind<MotionStep>> = {
  straight,
  turn,
  approach,
  'square-up': squareUp,
  'to-line': toLine,
  mark,
  wait,
};

/** And every kind that owns steps. */
const OWNER_KINDS: { [K in OwnerStep['kind']]: OwnerKind<Extract<OwnerStep, { kind: K }>> } = {
  part,
  repeat,
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
}: Pick<Step, 'kind'>): Pick<Offered<Step>, 'isOffered'> & {
  asAdded(place: NewStepPlace): object;
} => ({ ...MOTION_KINDS, ...OWNER_KINDS })[kind];
