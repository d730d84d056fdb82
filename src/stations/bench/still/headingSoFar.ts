import { GrowingCurve } from '../../../core/chart/growingCurve';
import type { ChartPoint } from '../../../core/chart/decimate';
import type { RawConvention } from '../../../core/channels/rawConvention';
import { meaningOf } from '../../../core/channels/title';
import { headingUnwrapper } from '../../../core/channels/unwrap';
import { degreesFromRadians } from '../../../core/geometry/angle';
import type { Reading } from '../../../formats/readings';

const MOST_POINTS = 800;

/** Where the heading stands in a reading, and how many radians one of its units is. */
function headingIn(reading: Reading): { title: string; factor: number } | null {
  const taken = new Set<string>();
  for (const title of Object.keys(reading)) {
    if (title === 't_s') continue;
    const { key, factor } = meaningOf(title, taken);
    taken.add(key);
    if (key === 'headingRad') return { title, factor };
  }
  return null;
}

/** The heading from its first reading on, degrees over seconds, while readings come. */
export class HeadingSoFar {
  private readonly curve = new GrowingCurve(MOST_POINTS);
  private readonly unwrapped = headingUnwrapper();
  private heading: ReturnType<typeof headingIn> = null;
  private taken = 0;
  private from: { tS: number; headingRad: number } | null = null;

  constructor(private readonly raw: Pick<RawConvention, 'signs'>) {}

  /** @param readings those of before, and what came since */
  pointsOf(readings: readonly Reading[]): ChartPoint[] {
    for (; this.taken < readings.length; this.taken += 1) {
      const reading = readings[this.taken];
      if (reading !== undefined) this.take(reading);
    }
    return this.curve.points();
  }

  private take(reading: Reading): void {
    this.heading ??= headingIn(reading);
    if (this.heading === null) return;
    const { title, factor } = this.heading;
    const read = reading[title];
    if (typeof read !== 'number') return;
    const headingRad = this.unwrapped(read * factor * this.raw.signs.heading);
    this.from ??= { tS: reading.t_s, headingRad };
    this.curve.add({
      x: reading.t_s - this.from.tS,
      y: degreesFromRadians(headingRad - this.from.headingRad),
    });
  }
}
