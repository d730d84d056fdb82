import { approach } from './approach';
import type { MotionStep, OwnerStep, Step } from './descriptions';
import type { Offered, OwnerKind, StepKind } from './kind';
import { mark } from './mark';
import { part } from './part';
import { squareUp } from './squareUp';
import { straight } from './straight';
import { turn } from './turn';

/** What every kind of motion does. */
const MOTION_KINDS: Record<MotionStep['kind'], StepKind<MotionStep>> = {
  straight,
  turn,
  approach,
  'square-up': squareUp,
  mark,
};

/** And every kind that owns steps. */
const OWNER_KINDS: Record<OwnerStep['kind'], OwnerKind<OwnerStep>> = { part };

const OFFERED: Record<Step['kind'], Offered<Step>> = { ...MOTION_KINDS, ...OWNER_KINDS };

/** What is known of a motion's kind. */
export const kindOfStep = ({ kind }: Pick<MotionStep, 'kind'>): StepKind<MotionStep> =>
  MOTION_KINDS[kind];

/** What a step runs of those that it owns. */
export const ownerKindOf = ({ kind }: Pick<OwnerStep, 'kind'>): OwnerKind<OwnerStep> =>
  OWNER_KINDS[kind];

/** How a step of a kind comes into a route. */
export const offerOf = ({ kind }: Pick<Step, 'kind'>): Offered<Step> => OFFERED[kind];
