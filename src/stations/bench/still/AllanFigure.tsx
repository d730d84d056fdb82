import { degreesFromRadians } from '../../../core/geometry/angle';
import type { AllanResult } from '../../../core/gyro/allan';
import { number } from '../../../core/text/quantities';
import { Plot } from '../../../ui/chart/Plot';
import { Frame } from '../../../ui/Frame';

/** Allan deviation of a long rate log; both axes in powers of ten. */
export function AllanFigure({ allan }: { allan: AllanResult }) {
  const walk = number(degreesFromRadians(allan.randomWalkRadPerSqrtS), 4);
  const { biasInstabilityRadPerS: bias } = allan;
  const instability =
    bias === null
      ? 'the bias instability is not reached within a tenth of this log'
      : `the bias instability is ${number(degreesFromRadians(bias) * 3600, 1)} ° per hour`;
  const sentence = `Angle random walk ${walk} °/√s; ${instability}.`;
  return (
    <Frame
      title="Allan deviation"
      sentence={sentence}
      legend="both axes by powers of ten; trusted up to a tenth of the log"
    >
      <Plot
        label={`Allan deviation. ${sentence}`}
        xTitle="averaging time, 10^x seconds"
        yTitle="10^y °/s"
        curves={[
          {
            label: 'Allan deviation',
            points: allan.points.map(({ tauS, deviationRadPerS }) => ({
              x: Math.log10(tauS),
              y: Math.log10(degreesFromRadians(deviationRadPerS)),
            })),
            tone: 'measured',
            look: 'line',
          },
        ]}
      />
    </Frame>
  );
}
