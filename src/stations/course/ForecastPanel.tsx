import type { Forecast } from '../../core/simulate/summary';
import { clock, number } from '../../core/text/quantities';
import { Figure } from '../../ui/Figure';
import styles from './ForecastPanel.module.css';

const share = (value: number) => number(value * 100);

/** What the simulated runs say, mission by mission. */
export function ForecastPanel({ forecast }: { forecast: Forecast }) {
  const { end } = forecast;
  return (
    <section aria-label="Forecast" className={styles.forecast}>
      <table className={styles.chances}>
        <thead>
          <tr>
            <th scope="col">Mission</th>
            <th scope="col">Chance</th>
            <th scope="col">95 % sure</th>
            <th scope="col">Points</th>
          </tr>
        </thead>
        <tbody>
          {forecast.missions.map(({ mission, chance, why }) => (
            <tr key={mission.id}>
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
                {share(chance.low95)} to {share(chance.high95)} %
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
          value={end.r95AboutTargetM === null ? null : number(end.r95AboutTargetM * 1000)}
          unit="mm of the plan"
        />
        <Figure
          tone="predicted"
          label="Points expected"
          value={number(forecast.expectedPoints, 1)}
          unit="a run"
        />
        <Figure tone="predicted" label="Time" value={clock(forecast.medianTimeS)} />
      </dl>
    </section>
  );
}
