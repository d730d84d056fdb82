import type { Device } from '../devices/device';
import type { Robot } from '../robot/robot';
import { growsNearer, voltsAt } from '../sensing/voltLaw';
import { shortNumber } from '../text/quantities';

/** A reading as a robot's programs have it: its number, in this unit; whether it falls while what is measured grows. */
export interface RawReading {
  value: number;
  decimals: number;
  unit: string;
  isTurned: boolean;
}

/** How many of a unit that programs read lengths in are a metre, and with how many digits they read it. */
const LENGTHS = {
  cm: { perM: 100, decimals: 1, unit: 'cm' },
  mm: { perM: 1000, decimals: 0, unit: 'mm' },
  inches: { perM: 1 / 0.0254, decimals: 1, unit: 'in' },
} as const;

const FULL_PERCENT = 100;

/** A share of full scale, in the unit's own counting. */
function rawShare({ raw }: Device, share: number): RawReading {
  const isTurned = raw?.grows === false;
  const own = isTurned ? 1 - share : share;
  const counts = raw === null || raw.reading === 'percent' ? null : raw.max;
  if (counts === null) return { value: FULL_PERCENT * own, decimals: 0, unit: '%', isTurned };
  return { value: counts * own, decimals: counts > FULL_PERCENT ? 0 : 2, unit: '', isTurned };
}

function rawDistance({ raw }: Device, distanceM: number, robot: Robot | null): RawReading {
  const law = robot?.measured.volts?.law;
  if (raw?.reading === 'volts' && law !== undefined) {
    const value = voltsAt(law, distanceM);
    return { value, decimals: 2, unit: 'V', isTurned: growsNearer(law) };
  }
  const known = raw !== null && raw.reading in LENGTHS ? raw.reading : 'cm';
  const { perM, decimals, unit } = LENGTHS[known as keyof typeof LENGTHS];
  return { value: perM * distanceM, decimals, unit, isTurned: false };
}

/**
 * What a unit of a robot shows where the core reads this.
 *
 * @param robot where volts are told by its law; null: lengths and shares alone
 */
export function rawReading(
  unit: Device,
  channel: string,
  value: number,
  robot: Robot | null = null,
): RawReading {
  if (channel === 'distance') return rawDistance(unit, value, robot);
  if (channel === 'angle') return { value, decimals: 0, unit: '°', isTurned: false };
  return rawShare(unit, value);
}

/** The same in words: "12 cm". */
export function rawText({ value, decimals, unit }: RawReading): string {
  const gap = unit === '' || unit === '°' ? '' : ' ';
  return `${shortNumber(value, decimals)}${gap}${unit}`;
}
