import { errorFigure, errorScale } from '../../core/text/lengths';
import {
  Chart as ChartJs,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
} from 'chart.js';
import { Line } from 'react-chartjs-2';
import type { SeriesFindings } from '../../core/runs/findings';
import { number } from '../../core/text/quantities';
import { useColours } from '../../ui/chart/useColours';
import { Frame } from '../../ui/Frame';

ChartJs.register(LinearScale, LineController, LineElement, PointElement, Tooltip);

interface Props {
  errors: SeriesFindings['errors'];
}

/** End error of each run in the order in which they were made, with the limits of ordinary scatter. */
export function OrderPlot({ errors: { numbers, valuesM, stretches, sentence } }: Props) {
  const colours = useColours();
  const points = valuesM.map((value, index) => ({ x: numbers[index] ?? 0, y: errorFigure(value) }));
  const first = numbers[0] ?? 0;
  const last = numbers.at(-1) ?? 1;
  const levels = stretches.flatMap(({ from, to, chart }) => {
    if (chart === null) return [];
    const level = (valueM: number, label: string, dash: number[]) => ({
      label,
      data: [from, to].map((index) => ({ x: numbers[index] ?? 0, y: errorFigure(valueM) })),
      borderColor: colours?.faint,
      borderWidth: 1.2,
      borderDash: dash,
      pointRadius: 0,
      pointHitRadius: 0,
    });
    return [
      level(chart.centre, 'Mean', []),
      level(chart.high, 'Upper limit', [5, 4]),
      ...(chart.low > 0 ? [level(chart.low, 'Lower limit', [5, 4])] : []),
    ];
  });
  const signals = new Set(
    stretches.flatMap(({ from, chart }) => chart?.signals.map(({ index }) => from + index) ?? []),
  );
  const pointColour = points.map((_, index) =>
    signals.has(index) ? colours?.brick : colours?.marigold,
  );
  const axis = (title: string) => ({
    title: { display: true, text: title, color: colours?.faint },
    ticks: { color: colours?.faint, precision: 0 },
    grid: { color: colours?.line },
    border: { color: colours?.line },
  });
  return (
    <Frame
      title="In the order of the runs"
      sentence={sentence}
      legend="◆ a run (▲ where something changed)   - - limits of ordinary scatter"
    >
      {colours !== undefined && (
        <Line
          role="img"
          aria-label={`End error by run. ${sentence}`}
          data={{
            datasets: [
              {
                label: 'Distance from the target',
                data: points,
                borderColor: colours.marigold,
                borderWidth: 1.2,
                pointStyle: points.map((_, index) => (signals.has(index) ? 'triangle' : 'rectRot')),
                pointRadius: points.map((_, index) => (signals.has(index) ? 7 : 5)),
                pointBackgroundColor: pointColour,
                pointBorderColor: colours.sheet,
              },
              ...levels,
            ],
          }}
          options={{
            animation: false,
            responsive: true,
            maintainAspectRatio: false,
            parsing: false,
            scales: {
              x: {
                ...axis('run'),
                type: 'linear',
                min: first - 0.5,
                max: last + 0.5,
                ticks: {
                  color: colours.faint,
                  callback: (value) => (Number.isInteger(value) ? value : ''),
                },
              },
              y: {
                ...axis(`${errorScale().label} from the target`),
                type: 'linear',
                beginAtZero: true,
              },
            },
            plugins: {
              tooltip: {
                callbacks: {
                  title: (items) => `Run ${items[0]?.parsed.x ?? ''}`,
                  label: (item) =>
                    `${number(item.parsed.y ?? 0, errorScale().decimals)} ${errorScale().label} from the target`,
                },
              },
            },
          }}
        />
      )}
    </Frame>
  );
}
