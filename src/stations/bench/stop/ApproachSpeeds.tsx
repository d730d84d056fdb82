import { STOP_LIST } from '../../../core/trials/lists/distance';
import { useMemo } from 'react';
import { approachWays, bestWithin, type ApproachWay } from '../../../core/ranging/approachSpeeds';
import { askewSentence, waysSentence } from '../../../core/ranging/approachText';
import type { StopModel } from '../../../core/ranging/stopModel';
import { planFrom, type Reads } from '../../../core/ranging/stopStudy';
import type { Robot } from '../../../core/robot/robot';
import { errorFigure, errorScale } from '../../../core/text/lengths';
import type { StopTrials } from '../../../formats/benchRecords';
import { Plot } from '../../../ui/chart/Plot';
import type { Curve } from '../../../ui/chart/plotProps';
import { Frame } from '../../../ui/Frame';
import { ValueField } from '../../../ui/fields/ValueField';
import styles from '../Bench.module.css';

interface Props {
  robot: Robot;
  model: StopModel;
  reads: Reads;
  conditions: StopTrials['conditions'];
  onChange(part: Partial<StopTrials['conditions']>): void;
}

/** Faster than this nobody drives up to a wall. */
const FASTEST_M_PER_S = 0.5;

const curve = (
  label: string,
  ways: readonly ApproachWay[],
  more: Omit<Curve, 'label' | 'points'>,
): Curve => ({
  label,
  points: ways
    .map(({ timeS, gapSdM }) => ({ x: timeS, y: errorFigure(gapSdM) }))
    .toSorted((a, b) => a.x - b.x),
  ...more,
});

/** Time against spread: one speed, or fast and then slow; the best for the time at hand is marked. */
export function ApproachSpeeds({ robot, model, reads, conditions, onChange }: Props) {
  const { timeAtHandS } = conditions;
  const ways = useMemo(() => {
    const fastest = Math.min(FASTEST_M_PER_S, robot.motors.maxSpeedMPerS);
    return approachWays(planFrom(model, reads, conditions), fastest);
  }, [robot, model, reads, conditions]);
  const best = bestWithin(ways, timeAtHandS);
  const isOne = ({ fastMPerS }: ApproachWay) => fastMPerS === null;
  const sentence = waysSentence(ways, timeAtHandS);
  return (
    <section aria-label="One speed or two" className={styles.do}>
      <h2>One speed or two?</h2>
      <div className={styles.fields}>
        <ValueField
          field={STOP_LIST.timeAtHandS}
          value={timeAtHandS}
          onChange={(next) => onChange({ timeAtHandS: next })}
        />
      </div>
      <p data-testid="approach-ways">{sentence}</p>
      <Frame
        title="Spread against time"
        sentence="By the sensor alone. Each mark is a speed at which it stops; with two, the fastest comes before it."
        legend="● one speed   ■ fast, then slow   ▲ best for the time at hand"
      >
        <Plot
          label={`Spread of the gap against the time of the approach. ${sentence}`}
          xTitle="the way takes, s"
          yTitle={`spread, ± ${errorScale().label}`}
          yFromZero
          curves={[
            curve('best for the time at hand', best === null ? [] : [best], {
              tone: 'planned',
              look: 'points',
              shape: 'triangle',
              large: true,
            }),
            curve('one speed', ways.filter(isOne), {
              tone: 'faint',
              look: 'points',
              shape: 'circle',
            }),
            curve(
              'fast, then slow',
              ways.filter((way) => !isOne(way)),
              { tone: 'predicted', look: 'points', shape: 'rect' },
            ),
          ]}
        />
      </Frame>
      <small className="faint">{askewSentence(robot, conditions.wantedM)}</small>
    </section>
  );
}
