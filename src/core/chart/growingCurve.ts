import type { ChartPoint } from './decimate';

/** Of neighbouring points those that a picture needs, in their order. */
type Piece = readonly ChartPoint[];

/** The first, lowest, highest and last of some points, each once. */
function extremesOf(points: Piece): Piece {
  const places = points.map((_, i) => i);
  const by = (isBetter: (a: number, b: number) => boolean) =>
    places.reduce((best, i) => (isBetter(points[i]?.y ?? 0, points[best]?.y ?? 0) ? i : best), 0);
  const kept = new Set([0, by((a, b) => a < b), by((a, b) => a > b), points.length - 1]);
  return points.filter((_, i) => kept.has(i));
}

/**
 * A curve that is drawn while it grows: what comes is added to what is kept of the earlier points, so that its picture
 * costs no more after an hour than after a minute, and looks as that of the whole curve (`decimate`).
 */
export class GrowingCurve {
  private pieces: Piece[] = [];
  private newest: ChartPoint[] = [];
  private perPiece = 1;

  /** @param most about how many points are left at most */
  constructor(private readonly most: number) {}

  add(point: ChartPoint): void {
    this.newest.push(point);
    if (this.newest.length < this.perPiece) return;
    this.pieces.push(extremesOf(this.newest));
    this.newest = [];
    if (this.pieces.reduce((sum, { length }) => sum + length, 0) < this.most) return;
    const pairs = this.pieces.filter((_, i) => i % 2 === 0);
    this.pieces = pairs.map((piece, i) =>
      extremesOf([...piece, ...(this.pieces[2 * i + 1] ?? [])]),
    );
    this.perPiece *= 2;
  }

  points(): ChartPoint[] {
    return [...this.pieces, extremesOf(this.newest)].flat();
  }
}
