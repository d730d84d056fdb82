import { displaySettings, type LengthName } from './displaySettings';

/** A unit in which lengths are said. */
export interface LengthScale {
  label: string;
  spoken: string;
  perM: number;
  /** Digits after the point that are worth saying. */
  decimals: number;
  /** What one press of an arrow key changes. */
  step: number;
}

const CM: LengthScale = { label: 'cm', spoken: 'centimetres', perM: 100, decimals: 1, step: 1 };
const MM: LengthScale = { label: 'mm', spoken: 'millimetres', perM: 1000, decimals: 0, step: 1 };
/** By definition 25.4 mm (international inch of 1959). */
const INCHES: LengthScale = {
  label: 'in',
  spoken: 'inches',
  perM: 1 / 0.0254,
  decimals: 2,
  step: 0.1,
};

const SCALES: Record<LengthName, { bench: LengthScale; error: LengthScale }> = {
  cm: { bench: CM, error: MM },
  mm: { bench: MM, error: MM },
  in: { bench: INCHES, error: INCHES },
};

/** For lengths that are measured with a tape. */
export const benchScale = (): LengthScale => SCALES[displaySettings().length].bench;

/** For the small ones: errors of runs, sizes of parts. */
export const errorScale = (): LengthScale => SCALES[displaySettings().length].error;

/** The graph lines of a picture of ends: a centimetre apart, or half an inch. */
export const gridM = (): number => (benchScale().label === 'in' ? 0.0127 : 0.01);

/** A length to begin with, as round in the team's unit as it is in metres. */
export function roundLength(metres: number): number {
  const { label, perM } = benchScale();
  if (label !== 'in') return metres;
  const inches = metres * perM;
  return (inches < 2 ? Math.round(inches * 4) / 4 : Math.round(inches)) / perM;
}

/** A length on the scale for small ones, at least as exact as a tenth of a millimetre. */
export const errorFigure = (metres: number): number => metres * errorScale().perM;

/** Digits with which a figure on the scale for small ones tells a tenth of a millimetre. */
export const fineDecimals = (): number => (errorScale().label === 'in' ? 3 : 1);
