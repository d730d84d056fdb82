import { useMemo } from 'react';
import { degreesFromRadians } from '../../../core/geometry/angle';
import type { StillSettings } from '../../../core/gyro/still/stillDefaults';
import { walkInRun } from '../../../core/gyro/runWalk';
import { driftFigures, driftText, measuredDrift } from '../../../core/gyro/driftText';
import { stillSentences } from '../../../core/gyro/still/stillSentence';
import {
  clock,
  counted,
  degrees,
  number,
  between,
  headingText,
  positiveTurn,
} from '../../../core/text/quantities';
import { Plot } from '../../../ui/chart/Plot';
import { Figure } from '../../../ui/Figure';
import { Frame } from '../../../ui/Frame';
import type { StillAnalysis } from '../../../workers/bench.worker';
import styles from '../Bench.module.css';
import { AllanFigure } from './AllanFigure';
import { stillCurves } from './stillChart';

interface Props {
  analysis: StillAnalysis;
  runDurationS: number;
}

interface VerdictProps extends Props {
  toleranceRad: number;
  settings: StillSettings;
}

/** The verdict of a still check: sentence, what it means, what to do next. */
export function StillVerdict({ analysis, runDurationS, toleranceRad, settings }: VerdictProps) {
  const sentences = stillSentences(analysis.check, runDurationS, toleranceRad, settings.driftShare);
  return (
    <div
      className={styles.verdict}
      data-testid="still-verdict"
      data-verdict={analysis.check.verdict}
    >
      <p className={styles.headline}>{sentences.found}</p>
      <p>{sentences.means}</p>
      <p className={styles.next}>{sentences.next}</p>
    </div>
  );
}

const rateNumber = (radPerS: number) => driftText(radPerS).replace(' °/s', '');

function StillFigures({ analysis, runDurationS }: Props) {
  const { check } = analysis;
  const { drift, plusMinus } = driftFigures(check);
  return (
    <dl className={styles.figures}>
      <Figure
        label={`Drift (${positiveTurn()})`}
        value={drift}
        unit="°/s"
        detail={`± ${plusMinus} °/s (95 %)`}
        tone="measured"
        testId="still-drift"
      />
      <Figure
        label="In the next run"
        value={`${rateNumber(check.nextRunLow95)} to ${rateNumber(check.nextRunHigh95)}`}
        unit="°/s"
        // What it comes to in a run the sentence says where there is nothing to worry about.
        detail={
          check.verdict === 'steady'
            ? undefined
            : `heading off by ${between(check.nextRunLow95, check.nextRunHigh95)
                .map((drift) => headingText(drift * runDurationS))
                .join(' to ')} after ${clock(runDurationS)}`
        }
        tone="predicted"
        testId="still-next-run"
      />
      <Figure
        label="Lay still"
        value={number(check.cleanS)}
        unit="s"
        detail={
          check.typed === true
            ? 'as typed'
            : check.touched.length === 0
              ? 'nobody touched it'
              : `touched ${counted(check.touched.length, 'time')}, left out`
        }
      />
      <Figure
        label={`Wanders by itself, in ${clock(runDurationS)}`}
        value={
          check.typed === true
            ? null
            : `± ${number(degreesFromRadians(walkInRun(check.randomWalkRadPerSqrtS, runDurationS)), 1)}`
        }
        unit="°"
        detail={
          check.quantum > 0
            ? `reads in steps of ${degrees(check.quantum, 3)}${check.kind === 'rate' ? '/s' : ''}`
            : undefined
        }
      />
    </dl>
  );
}

function warmUpText({ check }: StillAnalysis): string {
  const { warmUp } = check;
  if (warmUp?.changing !== true) return '';
  return ` The drift itself changes, from ${driftText(warmUp.startRadPerS)} to ${driftText(warmUp.endRadPerS)}: the sensor is still warming up.`;
}

/** What a still check found: the curve with the fit, the figures, and for long rate logs the Allan deviation. */
export function StillResult(props: Props) {
  const { analysis } = props;
  const { check } = analysis;
  const { kind, allan } = check;
  const { curves, bands } = useMemo(() => stillCurves(analysis), [analysis]);
  const start = analysis.shown.startS;
  const shades = check.touched.map(({ fromS, toS }) => ({ from: fromS - start, to: toS - start }));
  const touched =
    shades.length > 0
      ? ` ${counted(shades.length, 'touched stretch', 'touched stretches')} left out.`
      : '';
  const sentence = `Drift ${measuredDrift(check)} over ${number(check.cleanS)} s.${touched}${warmUpText(analysis)}`;
  return (
    <>
      <StillFigures {...props} />
      <Frame
        title={
          kind === 'heading' ? 'Heading while it lay still' : 'Turning rate while it lay still'
        }
        sentence={sentence}
        legend="— read   — fitted drift with its 95 % band   ▮ touched, left out"
      >
        <Plot
          label={`Still check. ${sentence}`}
          xTitle="seconds"
          yTitle={kind === 'heading' ? 'degrees from the start' : 'degrees per second'}
          curves={curves}
          bands={bands}
          shades={shades}
        />
      </Frame>
      {allan !== null && <AllanFigure allan={allan} />}
    </>
  );
}
