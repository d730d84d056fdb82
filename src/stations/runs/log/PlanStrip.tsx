import { orderOf } from '../../../core/compare/plan/mixedOrder';
import { planProgress } from '../../../core/compare/plan/progress';
import type { PlanSoFar } from '../../../formats/runs/planSoFar';
import { PlanOrder } from '../../../ui/PlanOrder';
import styles from './PlanStrip.module.css';

interface Props {
  plan: PlanSoFar;
  seriesId: string;
  /** Runs of this series that count, saved or on their way. */
  used: number;
  /** Whether some are still on their way: then this screen is not left. */
  isWaiting: boolean;
}

/** How far the plan is with the runs of this screen, and whose turn is next. */
export function planNow(plan: PlanSoFar, seriesId: string, used: number) {
  const { ways, perSeries } = plan;
  const counts = ways.map((one) => (one.seriesId === seriesId ? used : one.runs));
  const progress = planProgress(orderOf(ways.length, perSeries), counts);
  return {
    ...progress,
    here: ways.find((one) => one.seriesId === seriesId),
    turn: ways.find(({ way }) => way === progress.next),
  };
}

/** Where the plan of this series is: whose turn it is, and the way there. */
export function PlanStrip({ plan, seriesId, used, isWaiting }: Props) {
  const { order, made, here, turn } = planNow(plan, seriesId, used);
  const isHere = turn !== undefined && turn === here;
  return (
    <section aria-label="Plan of the runs" className={styles.strip} data-testid="plan-strip">
      <p aria-live="polite">
        {turn === undefined ? (
          <>
            All {order.length} runs of the plan are made.{' '}
            <a href={`/findings/plan?plan=${plan.id}`}>See what it says</a>
          </>
        ) : (
          <>
            Run {made + 1} of {order.length} of the plan:{' '}
            <strong>
              {turn.way}, {turn.label}
            </strong>
            {isHere ? '. ' : ' is next. '}
            {!isHere &&
              (isWaiting ? (
                'A run is still being saved…'
              ) : (
                <a href={`/runs/${turn.seriesId}`} className={styles.go} data-testid="plan-go">
                  Go on with {turn.way} <kbd>t</kbd>
                </a>
              ))}{' '}
            <a href={`/findings/plan?plan=${plan.id}`}>The plan</a>
          </>
        )}
      </p>
      <PlanOrder
        label={`Order of the runs: ${plan.ways.map(({ way, label }) => `${way} ${label}`).join(', ')}`}
        order={order}
      />
    </section>
  );
}
