import { number } from '../description/description';
import { turningRateRadPerS } from '../description/values';

const angle = (label: string, min: number, max: number) =>
  number({ label, quantity: 'angle', min, max });

/** What is asked of ways to turn that are compared, each value described once. */
export const WAYS_ASKED = {
  targetRad: number({ label: 'Turn by', quantity: 'heading', min: 0.17, max: 6.3 }),
  rateRadPerS: { ...turningRateRadPerS, label: 'Highest rate' },
  leadRad: angle('Stop early by', 0, 1.05),
  slowRateRadPerS: { ...turningRateRadPerS, label: 'Slow rate' },
  slowFromRad: angle('Slow for the last', 0.017, 3),
};

/** How far a turn may go beyond before it counts as swinging. */
export const OVERSHOOT = angle('May go beyond by', 0.0017, 0.35);

const gain = (label: string, min: number, max: number) =>
  number({ label, quantity: 'gain', min, max });

/** Of a controller that turns by proportion, braking and what is left over. */
export const CONTROLLER_ASKED = {
  kpPerS: gain('P: gain', 0.5, 20),
  kd: gain('D: braking', 0, 1),
  kiPerS2: gain('I: pushing', 0, 10),
};
