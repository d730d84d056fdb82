import type { ChartPoint } from '../../core/chart/decimate';

/** Colour has one meaning: planned ink and dashed, predicted spruce, measured marigold, fault brick. */
export type Tone = 'planned' | 'predicted' | 'measured' | 'fault' | 'faint';

export interface Curve {
  label: string;
  points: readonly ChartPoint[];
  tone: Tone;
  /** Points stand for single measurements; lines for what runs on. */
  look: 'line' | 'points' | 'step';
  dashed?: boolean;
  /** One mark among many, to be found at a glance. */
  large?: boolean;
  shape?: 'circle' | 'triangle' | 'rect' | 'rectRot' | 'crossRot';
}

/** The room between two curves of the same x. */
export interface Band {
  label: string;
  x: readonly number[];
  low: readonly number[];
  high: readonly number[];
}

export interface PlotProps {
  label: string;
  xTitle: string;
  yTitle: string;
  curves: readonly Curve[];
  bands?: readonly Band[];
  /** Stretches along x that are marked, such as those left out. */
  shades?: readonly { from: number; to: number }[];
  xRange?: { min: number; max: number };
  yRange?: { min: number; max: number };
  /** Nothing is between two numbers of x: runs, for instance. */
  wholeX?: boolean;
  yFromZero?: boolean;
  /** Told the x at which the chart was clicked. */
  onPick?: (x: number) => void;
}
