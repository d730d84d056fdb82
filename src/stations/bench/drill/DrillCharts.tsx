import type { DrillCase, DrillCurve } from '../../../core/drill/cause';
import { Plot } from '../../../ui/chart/Plot';
import type { Curve } from '../../../ui/chart/plotProps';
import { Frame } from '../../../ui/Frame';

const LOOKS: Record<DrillCurve['is'], Pick<Curve, 'tone' | 'look' | 'dashed'>> = {
  read: { tone: 'measured', look: 'line' },
  other: { tone: 'faint', look: 'line' },
  told: { tone: 'planned', look: 'line', dashed: true },
};
const SIGNS: Record<DrillCurve['is'], string> = { read: '—', other: '—', told: '- -' };
const WORDS: Record<DrillCurve['is'], string> = { read: '', other: ' (grey)', told: '' };

/** The pictures of a trace, with nothing that tells its cause. */
export const DrillCharts = ({ charts }: Pick<DrillCase, 'charts'>) =>
  charts.map(({ title, yTitle, curves }) => (
    <Frame
      key={title}
      title={title}
      legend={curves.map((one) => `${SIGNS[one.is]} ${one.label}${WORDS[one.is]}`).join(', ')}
    >
      <Plot
        label={`${title} over the time. ${curves.map(({ label }) => label).join(', ')}.`}
        xTitle="time, s"
        yTitle={yTitle}
        curves={curves.map(({ label, x, y, is }) => ({
          label,
          points: x.map((at, i) => ({ x: at, y: y[i] ?? 0 })),
          ...LOOKS[is],
        }))}
      />
    </Frame>
  ));
