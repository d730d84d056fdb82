import { displaySettings } from '../../core/text/displaySettings';
import {
  Chart as ChartJs,
  Filler,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
  type ChartDataset,
  type Plugin,
} from 'chart.js';
import { useEffect } from 'react';
import { Line } from 'react-chartjs-2';
import type { Band, Curve, PlotProps, Tone } from './plotProps';
import { useColours, type Colours } from './useColours';

ChartJs.register(Filler, LinearScale, LineController, LineElement, PointElement, Tooltip);

const colourOf = (colours: Colours, tone: Tone): string =>
  ({
    planned: colours.ink,
    predicted: colours.spruce,
    measured: colours.marigold,
    fault: colours.brick,
    faint: colours.faint,
  })[tone];

type Set = ChartDataset<'line', { x: number; y: number }[]>;

function toSet(curve: Curve, colours: Colours): Set {
  const colour = colourOf(colours, curve.tone);
  const isPoints = curve.look === 'points';
  return {
    label: curve.label,
    data: [...curve.points],
    showLine: !isPoints,
    stepped: curve.look === 'step',
    borderColor: colour,
    backgroundColor: colour,
    borderWidth: isPoints ? 0 : 1.6,
    borderDash: curve.dashed === true || curve.tone === 'planned' ? [5, 4] : [],
    pointRadius: !isPoints ? 0 : curve.large === true ? 9 : 4.5,
    pointHitRadius: isPoints ? 8 : 0,
    pointStyle: curve.shape ?? 'circle',
    pointBorderColor: curve.shape === 'crossRot' ? colour : colours.sheet,
    pointBorderWidth: curve.shape === 'crossRot' ? 2 : 1,
  };
}

function toBand({ label, x, low, high }: Band, colours: Colours): Set[] {
  const edge = (values: readonly number[]) =>
    x.map((at, i) => ({ x: at, y: values[i] ?? Number.NaN }));
  const plain = { borderWidth: 0, pointRadius: 0, pointHitRadius: 0 };
  return [
    { ...plain, label, data: edge(low), fill: '+1', backgroundColor: `${colours.spruce}2e` },
    { ...plain, label: '', data: edge(high), fill: false },
  ];
}

/** Marked stretches behind the curves. */
const shading = (
  shades: readonly { from: number; to: number }[],
  colours: Colours,
): Plugin<'line'> => ({
  id: 'shades',
  beforeDatasetsDraw: ({ ctx, chartArea, scales }) => {
    ctx.save();
    ctx.fillStyle = colours.brickWash;
    for (const { from, to } of shades) {
      const left = scales.x?.getPixelForValue(from) ?? 0;
      const right = scales.x?.getPixelForValue(to) ?? 0;
      ctx.fillRect(left, chartArea.top, Math.max(3, right - left), chartArea.height);
    }
    ctx.restore();
  },
});

/** The chart itself, with the library that draws it: fetched when there is something to draw. */
export function PlotCanvas(props: PlotProps) {
  const { label, xTitle, yTitle, curves, bands = [], shades = [], xRange, yRange, onPick } = props;
  const { wholeX = false, yFromZero = false } = props;
  const colours = useColours();
  useEffect(() => {
    // Charts speak in the page's own type.
    ChartJs.defaults.font = { family: getComputedStyle(document.body).fontFamily, size: 14 };
  }, []);
  if (colours === undefined) return null;
  const axis = (title: string) => ({
    type: 'linear' as const,
    title: { display: true, text: title, color: colours.faint },
    ticks: { color: colours.faint, maxTicksLimit: 9 },
    grid: { color: colours.line },
    border: { color: colours.line },
  });
  const datasets = [
    ...bands.flatMap((band) => toBand(band, colours)),
    ...curves.map((curve) => toSet(curve, colours)),
  ];
  return (
    <Line
      // Plugins are fixed when a chart is made: other shades, another chart.
      key={JSON.stringify([shades, colours.ink])}
      role="img"
      aria-label={label}
      data={{ datasets }}
      plugins={[shading(shades, colours)]}
      options={{
        animation: false,
        locale: displaySettings().decimalSign === ',' ? 'de' : 'en',
        responsive: true,
        maintainAspectRatio: false,
        parsing: false,
        ...(onPick !== undefined && {
          onClick: ({ x }, _elements, { scales, chartArea }) => {
            if (x === null || x < chartArea.left || x > chartArea.right) return;
            onPick(scales.x?.getValueForPixel(x) ?? 0);
          },
        }),
        scales: {
          x: {
            ...axis(xTitle),
            ...xRange,
            ticks: {
              color: colours.faint,
              maxTicksLimit: 9,
              ...(wholeX && {
                callback: (value: number | string) => (Number.isInteger(value) ? value : ''),
              }),
            },
          },
          y: { ...axis(yTitle), ...yRange, beginAtZero: yFromZero },
        },
        plugins: {
          tooltip: { filter: ({ dataset }) => dataset.label !== '', displayColors: false },
        },
      }}
    />
  );
}
