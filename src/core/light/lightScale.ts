import type { Device } from '../devices/device';

/** What a sensor's readings are counted in. */
export interface LightScale {
  scale: 'percent' | 'share' | 'byte' | 'counts';
  /** Of counts, the largest; null: not known. */
  full: number | null;
}

const FULL = { percent: 100, share: 1, byte: 255 } as const;

/** The largest reading; null where nobody knows it. */
export const fullOf = ({ scale, full }: LightScale): number | null =>
  scale === 'counts' ? full : FULL[scale];

/** In what a unit's readings come, as its record says. */
export function scaleOfDevice(unit: Pick<Device, 'raw'> | undefined): LightScale {
  const raw = unit?.raw ?? null;
  if (raw === null || raw.reading === 'percent') return { scale: 'percent', full: null };
  if (raw.max === 1) return { scale: 'share', full: null };
  return raw.max === 255 ? { scale: 'byte', full: null } : { scale: 'counts', full: raw.max };
}

/** Of readings that were made in quick succession so many, evenly apart. */
export const evenly = <T>(readings: readonly T[], wanted: number): T[] =>
  readings.length <= wanted
    ? [...readings]
    : Array.from(
        { length: wanted },
        (_, i) => readings[Math.round((i * (readings.length - 1)) / Math.max(1, wanted - 1))] as T,
      );

/** A share of the whole scale as the sensor shows it, without what the rounding of numbers adds. */
export const inScale = (share: number, full: number): number =>
  Number((share * full).toPrecision(9));
