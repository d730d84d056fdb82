import { useState } from 'react';
import { degreesFromRadians } from '../../../core/geometry/angle';
import { number, percent, headingFigure, headingText } from '../../../core/text/quantities';
import { STRATEGY_NAMES, wayToShow } from '../../../core/turns/strategyText';
import type { StrategyOutcome } from '../../../core/turns/simulateStrategy';
import { Button } from '../../../ui/Button';
import { Plot } from '../../../ui/chart/Plot';
import type { Curve } from '../../../ui/chart/plotProps';
import { Frame } from '../../../ui/Frame';
import { Table } from '../../../ui/Table';

/** The first turn of each way, heading against time: one in the colour of what is foretold. */
function TimeChart({
  outcomes,
  targetRad,
  shown,
}: {
  outcomes: StrategyOutcome[];
  targetRad: number;
  shown: number;
}) {
  const curves = outcomes.map((outcome, i): Curve => ({
    label: STRATEGY_NAMES[i] ?? '',
    points: outcome.trace.map(({ tS, headingRad }) => ({
      x: tS,
      y: headingFigure(headingRad),
    })),
    look: 'line',
    tone: i === shown ? 'predicted' : 'faint',
    dashed: i !== shown,
  }));
  const longest = Math.max(...outcomes.map(({ trace }) => trace.at(-1)?.tS ?? 0));
  const name = STRATEGY_NAMES[shown] ?? '';
  const sentence = `A simulated turn of ${headingText(targetRad, 0)}: “${name}” beside the other ways.`;
  return (
    <Frame
      title="Heading against time"
      sentence={sentence}
      legend={`green: ${name}   grey dashed: the other ways   straight dashed line: the target`}
    >
      <Plot
        label={`Heading against time. ${sentence}`}
        xTitle="seconds"
        yTitle="degrees"
        curves={[
          {
            label: 'target',
            points: [0, longest].map((x) => ({ x, y: headingFigure(targetRad) })),
            tone: 'planned',
            look: 'line',
          },
          ...curves,
        ]}
      />
    </Frame>
  );
}

/** Each way's time, error and scatter; a way that is chosen is drawn. */
function OutcomeTable({
  outcomes,
  shown,
  onShow,
}: {
  outcomes: StrategyOutcome[];
  shown: number;
  onShow(place: number): void;
}) {
  const deg = (angle: number, decimals = 1) => `${number(degreesFromRadians(angle), decimals)}°`;
  return (
    <Table
      label="Ways to turn"
      rows={outcomes}
      keyOf={(_, i) => STRATEGY_NAMES[i] ?? ''}
      columns={[
        {
          title: 'Way',
          cell: (_, i) => (
            <Button look="bare" aria-pressed={i === shown} onClick={() => onShow(i)}>
              {STRATEGY_NAMES[i]}
            </Button>
          ),
        },
        { title: 'Takes', number: true, cell: (one) => `${number(one.meanDurationS, 2)} s` },
        { title: 'Ends too far by', number: true, cell: (one) => deg(one.meanErrorRad) },
        { title: '± from turn to turn', number: true, cell: (one) => deg(one.sdErrorRad, 2) },
        { title: 'Goes beyond by', number: true, cell: (one) => deg(one.overshootRad) },
        { title: 'Never settles', number: true, cell: (one) => percent(one.unsettledShare) },
      ]}
    />
  );
}

/** The ways side by side: a table, and the heading of each against time. */
export function StrategyResults({
  outcomes,
  targetRad,
}: {
  outcomes: StrategyOutcome[];
  targetRad: number;
}) {
  const [chosen, setChosen] = useState<number | null>(null);
  const shown = chosen ?? wayToShow(outcomes);
  return (
    <>
      <OutcomeTable {...{ outcomes, shown }} onShow={setChosen} />
      <TimeChart {...{ outcomes, targetRad, shown }} />
    </>
  );
}
