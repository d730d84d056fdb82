import { degreesFromRadians } from '../../../core/geometry/angle';
import { degrees, number, percent } from '../../../core/text/quantities';
import { SCHOOL_NAMES } from '../../../core/turns/schoolText';
import type { SchoolOutcome } from '../../../core/turns/simulateSchool';
import { Plot, type Curve } from '../../../ui/chart/Plot';
import { Frame } from '../../../ui/Frame';
import styles from '../Bench.module.css';

const LOOKS: Pick<Curve, 'tone' | 'dashed'>[] = [
  { tone: 'faint', dashed: true },
  { tone: 'faint' },
  { tone: 'measured', dashed: true },
  { tone: 'predicted', dashed: true },
  { tone: 'predicted' },
  { tone: 'fault' },
];

/** The first turn of each way, heading against time. */
export function TimeChart({
  outcomes,
  targetRad,
}: {
  outcomes: SchoolOutcome[];
  targetRad: number;
}) {
  const curves = outcomes.map((outcome, i): Curve => ({
    label: SCHOOL_NAMES[i] ?? '',
    points: outcome.trace.map(({ tS, headingRad }) => ({
      x: tS,
      y: degreesFromRadians(headingRad),
    })),
    look: 'line',
    ...(LOOKS[i] ?? { tone: 'faint' }),
  }));
  const longest = Math.max(...outcomes.map(({ trace }) => trace.at(-1)?.tS ?? 0));
  const sentence = `Simulated turns of ${degrees(targetRad, 0)}, each by its own program.`;
  return (
    <Frame
      title="Heading against time"
      sentence={sentence}
      legend="grey: encoders (dashed), stop early   amber dashed: two speeds   green: P (dashed), PD   red: PID   black dashed: target"
    >
      <Plot
        label={`Heading against time. ${sentence}`}
        xTitle="seconds"
        yTitle="degrees"
        curves={[
          ...curves,
          {
            label: 'target',
            points: [0, longest].map((x) => ({ x, y: degreesFromRadians(targetRad) })),
            tone: 'planned',
            look: 'line',
          },
        ]}
      />
    </Frame>
  );
}

/** Each way's time, error and scatter. */
export function OutcomeTable({ outcomes }: { outcomes: SchoolOutcome[] }) {
  const deg = (angle: number, decimals = 1) => `${number(degreesFromRadians(angle), decimals)}°`;
  return (
    <div className={styles.scroll}>
      <table className={styles.table} aria-label="Ways to turn">
        <thead>
          <tr>
            <th>Way</th>
            <th className={styles.number}>Takes</th>
            <th className={styles.number}>Ends too far by</th>
            <th className={styles.number}>± from turn to turn</th>
            <th className={styles.number}>Goes beyond by</th>
            <th className={styles.number}>Never settles</th>
          </tr>
        </thead>
        <tbody>
          {outcomes.map((outcome, i) => (
            <tr key={SCHOOL_NAMES[i]}>
              <td>{SCHOOL_NAMES[i]}</td>
              <td className={styles.number}>{number(outcome.meanDurationS, 2)} s</td>
              <td className={styles.number}>{deg(outcome.meanErrorRad)}</td>
              <td className={styles.number}>{deg(outcome.sdErrorRad, 2)}</td>
              <td className={styles.number}>{deg(outcome.overshootRad)}</td>
              <td className={styles.number}>{percent(outcome.unsettledShare)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
