import { benchScale } from '../text/lengths';
import { number, turnSign } from '../text/quantities';
import type { ChannelKind } from './kinds';

/** How values of a channel are shown: multiplied by this, in this unit. */
export interface ShownScale {
  factor: number;
  unit: string;
  decimals: number;
}

/** In the team's unit of length; headings and rates by the turn that counts as positive. */
export function shownScale({ units, shownDecimals, sign, isLength }: ChannelKind): ShownScale {
  if (isLength === true) {
    const { perM, label, decimals } = benchScale();
    return { factor: perM, unit: label, decimals };
  }
  const [{ name, factor }] = units;
  const direction = sign === 'heading' ? turnSign() : 1;
  return { factor: direction / factor, unit: name, decimals: shownDecimals };
}

/** A value of a channel as the screen shows it: its figure, and its unit apart. */
export interface ShownValue {
  figure: string;
  unit: string;
}

/** @param value in the core's unit */
export function shownValue(kind: ChannelKind, value: number): ShownValue {
  if (kind.says !== undefined) return { figure: kind.says(value), unit: '' };
  const { factor, unit, decimals } = shownScale(kind);
  return { figure: number(value * factor, decimals), unit };
}

/** The same as one text: "31.5 cm", "12.0°". */
export function shownText(kind: ChannelKind, value: number): string {
  const { figure, unit } = shownValue(kind, value);
  return unit === '' || unit.startsWith('°') ? `${figure}${unit}` : `${figure} ${unit}`;
}

/** From the lowest to the highest as it is shown: "−4.0° to 12.0°". */
export const shownRange = (kind: ChannelKind, low: number, high: number): string =>
  (shownScale(kind).factor < 0 ? [high, low] : [low, high])
    .map((value) => shownText(kind, value))
    .join(' to ');
