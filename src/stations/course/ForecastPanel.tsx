import { CALIBRATION_KINDS } from '../../core/calibration/registry';
import { errorScale } from '../../core/text/lengths';
import { rareSentence, type RareList } from '../../core/forecast/decisions';
import type { Forecast } from '../../core/forecast/summary';
import { clock, number, errorNumber } from '../../core/text/quantities';
import { SOURCES } from '../../core/sources/sources';
import type { WaitingFor } from '../bench/waiting';
import { Figure } from '../../ui/Figure';
import styles from './ForecastPanel.module.css';

const share = (value: number) => number(value * 100);

interface Props {
  forecast: Forecast;
  rare: readonly RareList[];
  robotId: string;
  /** Procedures that measured something which is not applied. */
  waiting: readonly WaitingFor[];
}

/** What the simulated runs say, mission by mission. */
export function ForecastPanel({ forecast, rare, robotId, waiting }: Props) {
  const { end } = forecast;
  const first = SOURCES.find(({ name }) => name === forecast.measureFirst);
  const measured = CALIBRATION_KINDS.find(
    ({ measuredBy }) => measuredBy.procedure === first?.measuredBy,
  )?.measuredBy;
  return (
    <section aria-label="Forecast" className={styles.forecast}>
      <table className={styles.chances}>
        <thead>
          <tr>
            <th scope="col">Mission</th>
            <th scope="col">Chance</th>
            <th scope="col">For this robot</th>
            <th scope="col">Points</th>
          </tr>
        </thead>
        <tbody>
          {forecast.missions.map(({ mission, chance, low, high, why }) => (
            <tr key={mission.key}>
              <th scope="row">
                {mission.name}
                {why !== null && <small className={styles.why}>{why}</small>}
              </th>
              <td>
                <span className={styles.meter} aria-hidden="true">
                  <span style={{ width: `${chance.rate * 100}%` }} />
                </span>
                <strong>{share(chance.rate)} %</strong>
              </td>
              <td className="faint">
                {share(low)} to {share(high)} %
              </td>
              <td>{mission.points}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <dl className={styles.figures}>
        <Figure
          tone="predicted"
          label="95 of 100 end within"
          value={end.r95AboutTargetM === null ? null : errorNumber(end.r95AboutTargetM)}
          unit={`${errorScale().label} of the plan`}
        />
        <Figure
          tone="predicted"
          label="Points expected"
          value={number(forecast.expectedPoints, 1)}
          unit={`a run; best of three: ${number(forecast.bestOfThree, 1)}`}
        />
        <Figure tone="predicted" label="Time" value={clock(forecast.medianTimeS)} />
      </dl>
      {forecast.decisions.map(({ number: step, asked, lists }) => (
        <p key={step} className={styles.first} data-testid={`decision-${step}`}>
          Step {step}:{' '}
          {lists
            .map(({ words, taken }) => `${words} in ${share(taken / asked)} of 100 times`)
            .join(', ')}
          .
        </p>
      ))}
      {rare.map((one) => (
        <p key={one.number} className={styles.first}>
          {rareSentence(one)}
        </p>
      ))}
      {first !== undefined && (
        <p className={styles.first} data-testid="measure-first">
          What is least known and matters most: the {first.name}.{' '}
          {waiting.some(({ procedure }) => procedure === first.measuredBy) ? (
            <a href={`/bench/calibrations?robot=${robotId}`}>It was measured: apply it</a>
          ) : (
            measured !== undefined && (
              <a href={`/bench/${measured.procedure}?robot=${robotId}`}>{measured.words}</a>
            )
          )}
        </p>
      )}
    </section>
  );
}
