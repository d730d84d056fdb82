import { errorFigure, errorScale } from '../../../core/text/lengths';
import type { EncoderSquare } from '../../../core/square/squareFit';
import { squareReturn, type Corners, type LapReturn } from '../../../core/square/squarePath';
import { Plot } from '../../../ui/chart/Plot';
import type { Curve } from '../../../ui/chart/plotProps';
import { Frame } from '../../../ui/Frame';

interface Props {
  cw: readonly LapReturn[];
  ccw: readonly LapReturn[];
  sideM: number;
  trackM: number;
  corners: Corners;
  /** For encoder-driven laps: what the fit says the laps come to. */
  fit: EncoderSquare | null;
  sentence: string;
}

const onScale = ({ xM, yM }: LapReturn) => ({ x: errorFigure(xM), y: errorFigure(yM) });

/** Where the laps ended, both clouds about their start, and where the fitted sizes say they end. */
export function SquarePlot({ cw, ccw, sideM, trackM, corners, fit, sentence }: Props) {
  const laps: Curve[] = [
    {
      label: 'clockwise',
      points: cw.map(onScale),
      tone: 'measured',
      look: 'points',
      shape: 'rectRot',
    },
    {
      label: 'counter-clockwise',
      points: ccw.map(onScale),
      tone: 'measured',
      look: 'points',
      shape: 'triangle',
    },
    {
      label: 'start',
      points: [{ x: 0, y: 0 }],
      tone: 'planned',
      look: 'points',
      shape: 'crossRot',
    },
  ];
  const foretold: Curve[] =
    fit === null
      ? []
      : (['cw', 'ccw'] as const).map((direction) => ({
          label: `by the fit, ${direction === 'cw' ? 'clockwise' : 'counter-clockwise'}`,
          points: [onScale(squareReturn(sideM, trackM, fit, direction, corners))],
          tone: 'predicted',
          look: 'points',
          shape: direction === 'cw' ? 'rectRot' : 'triangle',
        }));
  const reach =
    1.15 * Math.max(0.02, ...[...cw, ...ccw].flatMap(({ xM, yM }) => [Math.abs(xM), Math.abs(yM)]));
  // Whole fifties (of inches: twos), so that the marks of the axes do not crowd.
  const { label } = errorScale();
  const step = label === 'in' ? 2 : 50;
  const end = Math.ceil(errorFigure(reach) / step) * step;
  const range = { min: -end, max: end };
  return (
    <Frame
      square
      title="Where the laps ended"
      sentence={sentence}
      legend="◆ clockwise   ▲ counter-clockwise   (green: as the fitted sizes foretell)   ✕ start; x forward, y to the left"
    >
      <Plot
        label={`Returns of the laps. ${sentence}`}
        xTitle={`forward of the start, ${label}`}
        yTitle={`left of the start, ${label}`}
        curves={[...laps, ...foretold]}
        xRange={range}
        yRange={range}
      />
    </Frame>
  );
}
