import { errorFigure, errorScale } from '../../core/text/lengths';
import type { SeriesFindings } from '../../core/runs/findings';
import { Plot } from '../../ui/chart/Plot';
import type { Curve } from '../../ui/chart/plotProps';
import { Frame } from '../../ui/Frame';

interface Props {
  errors: SeriesFindings['errors'];
  title?: string;
  legend?: string;
  /** Above the chart, where what it says is said elsewhere. */
  sentence?: string;
}

/** The mean and the limits of a stretch without a change, from its first run to its last. */
function levels({ numbers, stretches }: Props['errors']): Curve[] {
  return stretches.flatMap(({ from, to, chart }) => {
    if (chart === null) return [];
    const level = (valueM: number, label: string, dashed: boolean): Curve => ({
      label,
      points: [from, to].map((index) => ({ x: numbers[index] ?? 0, y: errorFigure(valueM) })),
      tone: 'faint',
      look: 'line',
      dashed,
    });
    return [
      level(chart.centre, '', false),
      level(chart.high, '', true),
      ...(chart.low > 0 ? [level(chart.low, '', true)] : []),
    ];
  });
}

/** End error of each run in the order in which they were made, with the limits of ordinary scatter. */
export function OrderPlot({
  errors,
  title = 'In the order of the runs',
  legend = '◆ a run (▲ where something changed)   - - limits of ordinary scatter',
  sentence = errors.sentence,
}: Props) {
  const { numbers, valuesM, stretches } = errors;
  const points = valuesM.map((value, index) => ({ x: numbers[index] ?? 0, y: errorFigure(value) }));
  const signals = new Set(
    stretches.flatMap(({ from, chart }) => chart?.signals.map(({ index }) => from + index) ?? []),
  );
  const run = { look: 'points', shape: 'rectRot' } as const;
  const curves: Curve[] = [
    {
      ...run,
      label: 'where something changed',
      points: points.filter((_, index) => signals.has(index)),
      tone: 'fault',
      shape: 'triangle',
    },
    {
      ...run,
      label: 'a run',
      points: points.filter((_, index) => !signals.has(index)),
      tone: 'measured',
    },
    { label: '', points, tone: 'measured', look: 'line' },
    ...levels(errors),
  ];
  return (
    <Frame {...{ title, sentence, legend }}>
      <Plot
        label={`End error by run. ${errors.sentence}`}
        xTitle="run"
        yTitle={`${errorScale().label} from the target`}
        curves={curves}
        xRange={{ min: (numbers[0] ?? 0) - 0.5, max: (numbers.at(-1) ?? 1) + 0.5 }}
        yFromZero
        wholeX
      />
    </Frame>
  );
}
