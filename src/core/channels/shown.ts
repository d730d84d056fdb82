import { number } from '../text/quantities';
import type { ChannelKind } from './kinds';

/** A value of a channel as the screen shows it: its figure, and its unit apart. */
export interface ShownValue {
  figure: string;
  unit: string;
}

/** @param value in the core's unit */
export function shownValue({ units, shownDecimals, says }: ChannelKind, value: number): ShownValue {
  if (says !== undefined) return { figure: says(value), unit: '' };
  const [{ name, factor }] = units;
  return { figure: number(value / factor, shownDecimals), unit: name };
}

/** The same as one text: "31.5 cm", "12.0°". */
export function shownText(kind: ChannelKind, value: number): string {
  const { figure, unit } = shownValue(kind, value);
  return unit === '' || unit.startsWith('°') ? `${figure}${unit}` : `${figure} ${unit}`;
}
