import { number } from '../../description/description';
import { MOST_GAIN } from '../../calibrationValues/gains/mostGain';

/** A bend to begin with. */
export const USUAL_BEND_M = 0.15;

/* What is told about following an edge, each value described once. */

export const EDGE = {
  speedMPerS: number({ label: 'It follows at', quantity: 'speed', min: 0.02, max: 1 }),
  radiusM: number({
    label: 'Tightest bend',
    hint: 'radius of the edge',
    quantity: 'length',
    min: 0.03,
    max: 2,
  }),
  lineWidthM: number({
    label: 'Width of the line',
    quantity: 'small length',
    min: 0.005,
    max: 0.2,
  }),
  gainRadPerS: number({
    label: 'Gain',
    hint: 'empty: as much as the bend needs',
    quantity: 'line gain',
    min: 0,
    max: MOST_GAIN.line,
    open: 'below',
  }),
};
