import type { Match } from '../../../core/match/match';
import type { MatchForecast } from '../../../core/match/matchForecast';
import { changeOverSentence, orderSentence, pointsLadder } from '../../../core/match/sentence';
import { clock, number } from '../../../core/text/quantities';
import { Button } from '../../../ui/Button';
import { Figure } from '../../../ui/Figure';
import styles from './MatchStation.module.css';

interface Props {
  forecast: MatchForecast;
  match: Match;
  /** Whether what is worked moves anything on the table. */
  movesThings: boolean;
  nameOf(launchId: string): string;
  /** Take the other order that brings more. */
  onOrder(launchIds: readonly string[]): void;
}

const RUNGS = 8;
const percent = (share: number) => `${number(share * 100)} %`;

/** What the simulated matches say: points, time, and each launch of them. */
export function MatchPanel({ forecast, match, movesThings, nameOf, onOrder }: Props) {
  const { expected, best, allFit, medianEndS, launches, betterOrder } = forecast;
  const quoted = (id: string) => `“${nameOf(id)}”`;
  const other = orderSentence(forecast, match, quoted);
  const guessed = changeOverSentence(match.launches, quoted);
  const steps = pointsLadder(forecast, match, RUNGS);
  return (
    <section aria-label="Forecast of the match" className={styles.panel}>
      <dl className={styles.figures}>
        <Figure tone="predicted" label="Points on average" value={number(expected)} />
        <Figure
          tone="predicted"
          label={match.bestOf === 1 ? 'In one match' : `Best of ${match.bestOf} matches`}
          value={number(best)}
          unit="points"
        />
        <Figure
          tone="predicted"
          label="All back in time"
          value={allFit && number(allFit.rate * 100)}
          unit="of 100 matches"
        />
        <Figure tone="predicted" label="Last one back after" value={clock(medianEndS)} />
      </dl>
      {other !== null && betterOrder !== null && (
        <p className={styles.advice}>
          {other} <Button onClick={() => onOrder(betterOrder.order)}>Take this order</Button>
        </p>
      )}
      {guessed !== null && <p className="faint">{guessed}</p>}
      {movesThings && (
        <p className="faint">
          Each launch is simulated as if no other had moved anything on the table before it.
        </p>
      )}
      <table className={styles.table}>
        <thead>
          <tr>
            <th scope="col">Launch</th>
            <th scope="col">Starts at</th>
            <th scope="col">Back in time</th>
            <th scope="col">Stops on the way</th>
            <th scope="col">Points</th>
          </tr>
        </thead>
        <tbody>
          {launches.map(({ id, medianStartS, inTime, fails, points }) => (
            <tr key={id}>
              <th scope="row">{nameOf(id)}</th>
              <td>{medianStartS === null ? 'never' : clock(Math.round(medianStartS))}</td>
              <td>{percent(inTime)}</td>
              <td>{percent(fails)}</td>
              <td>{number(points)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <table className={styles.table}>
        <thead>
          <tr>
            <th scope="col">At least</th>
            <th scope="col">Chance in one match</th>
            {match.bestOf > 1 && <th scope="col">In one of {match.bestOf}</th>}
          </tr>
        </thead>
        <tbody>
          {steps.map(({ points, chance, inOneOf }) => (
            <tr key={points}>
              <th scope="row">{points} points</th>
              <td>
                <span className={styles.meter} aria-hidden="true">
                  <span style={{ width: `${chance * 100}%` }} />
                </span>
                {percent(chance)}
              </td>
              {match.bestOf > 1 && <td>{percent(inOneOf)}</td>}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
