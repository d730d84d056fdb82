import { number } from '../../description/description';

/** Of the robot that is placed: what its nose and tail on a grid say of its axle. */
export const PLACING_LIST = {
  noseToTailM: number({ label: 'Nose to tail', quantity: 'small length', min: 0.02, max: 2 }),
  noseToAxleM: number({ label: 'Nose to axle', quantity: 'small length', min: 0, max: 2 }),
};
