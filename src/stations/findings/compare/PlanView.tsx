import { gridM } from '../../../core/text/lengths';
import { benchLength } from '../../../core/text/quantities';
import { orderOf } from '../../../core/compare/plan/mixedOrder';
import { planProgress } from '../../../core/compare/plan/progress';
import { FIGURE } from '../../../core/compare/plan/figures';
import { wished, wishOf } from '../../../core/compare/plan/wish';
import { counted } from '../../../core/text/quantities';
import type { PlanSoFar } from '../../../formats/runs/planSoFar';
import type { RunPlanRecord } from '../../../formats/runs/runPlan';
import button from '../../../ui/Button.module.css';
import { PlanOrder } from '../../../ui/PlanOrder';
import { Table } from '../../../ui/Table';
import findings from '../Findings.module.css';
import { CloudPicture, PAGE_COLOURS, type Cloud } from './CloudPicture';
import styles from './Compare.module.css';

interface Props {
  plan: RunPlanRecord;
  soFar: PlanSoFar;
  /** What it says, the first before all; before it may be looked at, why not. */
  sentences: readonly string[];
  isOver: boolean;
  /** Mean figure of each way in words, where it may be seen. */
  figures: readonly string[] | null;
  /** Both clouds of a plan of one change, where they may be seen. */
  clouds: readonly [Cloud, Cloud] | null;
}

const RULE = {
  1: (half: number) =>
    `One look half-way, at the first ${counted(half, 'run')} of each: stop there only if it is beyond doubt. Else the answer is looked at when all are made.`,
  2: () => 'The answers are looked at when all are made.',
};

const Clouds = ({ clouds: [a, b] }: { clouds: readonly [Cloud, Cloud] }) => (
  <figure className={styles.picture}>
    <CloudPicture
      before={a}
      after={b}
      label="Where the runs of both ways ended; up is the direction of travel"
      colours={PAGE_COLOURS}
    />
    <figcaption>
      <span>○ A {a.name}</span>
      <span>◆ B {b.name}</span>
      <span>+ planned end, ↑ the way it drives</span>
      <span>outlines: 95 of 100 runs; a square is {benchLength(gridM())}</span>
    </figcaption>
  </figure>
);

const Ways = ({ plan, soFar, figures }: Pick<Props, 'plan' | 'soFar' | 'figures'>) => (
  <Table
    label="The ways of the plan"
    rows={soFar.ways}
    keyOf={({ way }) => way}
    columns={[
      { title: 'Way', head: true, cell: ({ way, label }) => `${way} ${label}` },
      { title: 'Runs', number: true, cell: ({ runs }) => `${runs} of ${plan.perSeries}` },
      ...(figures === null
        ? []
        : [
            {
              title: `Mean ${FIGURE[plan.about]}`,
              number: true,
              cell: (_: unknown, i: number) => figures[i] ?? '–',
            },
          ]),
      {
        title: 'Its series',
        cell: ({ seriesId }) => <a href={`/findings/${seriesId}`}>findings</a>,
      },
    ]}
  />
);

/** A plan of runs: what was asked beforehand, how far it is, and what it says. */
export function PlanView({ plan, soFar, sentences, isOver, figures, clouds }: Props) {
  const { about, amount, changes, perSeries } = plan;
  const counts = soFar.ways.map(({ runs }) => runs);
  const { order, made, next } = planProgress(orderOf(soFar.ways.length, perSeries), counts);
  const turn = isOver ? undefined : soFar.ways.find(({ way }) => way === next);
  const [first, ...others] = sentences;
  return (
    <>
      <h1>Plan: {changes.join(' and ')}</h1>
      <p>
        Asked beforehand: {wished(wishOf(about, amount))}. {counted(perSeries, 'run')} of each way,
        in a mixed order. {RULE[changes.length === 2 ? 2 : 1](Math.ceil(perSeries / 2))}
      </p>
      <div className={findings.verdict} data-testid="plan-verdict">
        <p className={findings.found}>{first}</p>
        {others.map((sentence) => (
          <p key={sentence}>{sentence}</p>
        ))}
      </div>
      {turn !== undefined && (
        <p className="no-print">
          <a href={`/runs/${turn.seriesId}`} className={`${button.button} ${button.strong}`}>
            Log run {made + 1} of {order.length}: {turn.way}, {turn.label}
          </a>
        </p>
      )}
      <div className={clouds === null ? undefined : styles.columns}>
        {clouds !== null && <Clouds clouds={clouds} />}
        <Ways plan={plan} soFar={soFar} figures={figures} />
      </div>
      <PlanOrder
        label={`Order of the runs: ${soFar.ways.map(({ way, label }) => `${way} ${label}`).join(', ')}`}
        order={order}
      />
      <p className="no-print">
        <a href={`/findings/plan/markdown?plan=${plan.id}`}>Markdown with the picture</a> ·{' '}
        <a href={`/findings/plan/csv?plan=${plan.id}`}>CSV of all runs</a>
      </p>
      {isOver && clouds !== null && (
        <p className="no-print">
          <a
            href={`/findings/compare?a.series=${plan.seriesIds[0] ?? ''}&b.series=${plan.seriesIds[1] ?? ''}`}
          >
            All three questions of this comparison
          </a>
        </p>
      )}
    </>
  );
}
