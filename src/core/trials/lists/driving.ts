import { choice, number, orNothing, themselves } from '../../description/description';
import { driftRadPerS, sideM } from '../../description/values';
import { KEPT_BY } from '../../drive/straightGroups';

export const TURN_LIST = {
  driftRadPerS: { ...driftRadPerS, hint: 'taken out of every trial', min: -1, max: 1 },
  readingSdRad: number({
    label: 'Protractor good to ±',
    about: 'of whoever reads the protractor',
    quantity: 'angle',
    min: 0,
    max: 0.2,
  }),
  stopMode: choice({
    label: 'On a stop the motors',
    options: themselves(['coast', 'brake', 'hold']),
  }),
};

export const LAP_LIST = {
  sideM,
  driven: choice({
    label: 'Sides and turns by',
    options: { encoders: 'encoders, heading hold off', gyro: 'the gyro' },
  }),
  corners: choice({
    label: 'Corners',
    options: { spin: 'on the spot', pivot: 'inner wheel stands' },
    default: 'spin',
  }),
  lapS: orNothing(
    number({ label: 'A lap takes', about: 'what a lap takes', quantity: 'time', min: 1, max: 600 }),
  ),
};

export const STRAIGHT_LIST = {
  keep: choice({ label: 'Kept straight by', options: KEPT_BY }),
};
