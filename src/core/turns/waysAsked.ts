import { number } from '../description/description';
import { radiansFromDegrees } from '../geometry/angle';
import type { QuantityName } from '../quantities/quantities';

const inDegrees = (label: string, quantity: QuantityName, least: number, most: number) =>
  number({
    label,
    quantity,
    min: radiansFromDegrees(least),
    max: radiansFromDegrees(most),
  });

/** What is asked of ways to turn that are compared, each value described once: what simulates in a moment. */
export const WAYS_ASKED = {
  targetRad: inDegrees('Turn by', 'heading', 10, 360),
  rateRadPerS: inDegrees('Highest rate', 'turning rate', 20, 600),
  leadRad: inDegrees('Stop early by', 'angle', 0, 60),
  slowRateRadPerS: inDegrees('Slow rate', 'turning rate', 5, 300),
  slowFromRad: inDegrees('Slow for the last', 'angle', 1, 170),
};

/** How far a turn may go beyond before it counts as swinging. */
export const OVERSHOOT = inDegrees('May go beyond by', 'angle', 0.1, 20);

const gain = (label: string, min: number, max: number) =>
  number({ label, quantity: 'gain', min, max });

/** Of a controller that turns by proportion, braking and what is left over. */
export const CONTROLLER_ASKED = {
  kpPerS: gain('P: gain', 0.5, 20),
  kd: gain('D: braking', 0, 1),
  kiPerS2: gain('I: pushing', 0, 10),
};
