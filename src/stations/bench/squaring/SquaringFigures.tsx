import { headingFigure, headingText, number, percent } from '../../../core/text/quantities';
import type { Squaring } from '../../../core/walls/squaring';
import { halvedS, leftAfter, type SquaringStudy } from '../../../core/walls/squaringStudy';
import type { SquaringTrialRecord } from '../../../formats/benchRecords';
import { Plot } from '../../../ui/chart/Plot';
import { Frame } from '../../../ui/Frame';
import { Table } from '../../../ui/Table';

const CURVE_POINTS = 30;
/** Times for which the table says what is left. */
const TIMES_S = [0.3, 0.5, 1, 1.5];

/** What is left of each trial's error, and of what the power leaves after so long. */
export function SquaringChart({
  study,
  trials,
}: {
  study: SquaringStudy;
  trials: readonly SquaringTrialRecord[];
}) {
  const { found, advice, sentences } = study;
  const longest = Math.max(advice.timeS, ...trials.map(({ timeS }) => timeS));
  return (
    <Frame
      title="Off the wall after pressing"
      sentence={`Each mark is one press; the lines are what is left of ${headingText(advice.fromRad)}.`}
      legend="◆ a press   — as fitted, the strongest power lowest"
    >
      <Plot
        label={`Heading off the wall after pressing, against the time. ${sentences.found}`}
        xTitle="pressed for, s"
        yTitle="off the wall, °"
        xRange={{ min: 0, max: longest * 1.05 }}
        curves={[
          ...found.powers.map((power) => ({
            label: percent(power.power),
            points: Array.from({ length: CURVE_POINTS + 1 }, (_, i) => {
              const timeS = (longest * i) / CURVE_POINTS;
              return { x: timeS, y: headingFigure(advice.fromRad * leftAfter(power, timeS)) };
            }),
            tone: 'predicted' as const,
            look: 'line' as const,
          })),
          {
            label: 'presses',
            points: trials.map(({ timeS, afterRad }) => ({ x: timeS, y: headingFigure(afterRad) })),
            tone: 'measured',
            look: 'points',
            shape: 'rectRot',
          },
        ]}
      />
    </Frame>
  );
}

/** How fast each power straightens the robot, and what share is left after some times. */
export const SquaringTable = ({ powers }: Squaring) => (
  <Table
    label="What is left after pressing"
    rows={powers}
    keyOf={({ power }) => String(power)}
    columns={[
      { title: 'Power', head: true, cell: ({ power }) => percent(power) },
      {
        title: 'Halves in (95 %)',
        number: true,
        cell: ({ timeConstantS, low95, high95 }) =>
          `${number(halvedS(timeConstantS), 2)} s (${number(halvedS(low95), 2)} to ${Number.isFinite(high95) ? number(halvedS(high95), 2) : 'any'} s)`,
      },
      ...TIMES_S.map((timeS) => ({
        title: `left after ${number(timeS, 1)} s`,
        number: true,
        cell: (power: Squaring['powers'][number]) => percent(leftAfter(power, timeS)),
      })),
    ]}
  />
);
