import type { SeriesFindings } from '../../core/runs/findings';
import { counted, number, positiveTurn } from '../../core/text/quantities';
import { Figure } from '../../ui/Figure';
import { degreesText, smallText, signedDegrees, signedSmall, smallUnit } from './figures';
import styles from './Findings.module.css';

function probability(p: number): string {
  if (p < 0.001) return `real (p < ${number(0.001, 3)})`;
  return p < 0.05 ? `real (p = ${number(p, 3)})` : `may be chance (p = ${number(p, 2)})`;
}

function howSure(low: number | null, high: number | null, half: number | null) {
  if (low === null) return undefined;
  return `known to ${smallText(low) ?? ''} to ${smallText(high) ?? ''} ${smallUnit()}; half within ${smallText(half) ?? ''} ${smallUnit()}`;
}

/** Where the robot ends and how far apart, in numbers. */
export function EndFigures({ findings }: { findings: SeriesFindings }) {
  const { end, travel } = findings;
  return (
    <dl className={styles.figures}>
      <Figure
        testId="r95-target"
        tone="measured"
        label="95 of 100 runs land within"
        value={smallText(end.r95AboutTargetM)}
        unit={`${smallUnit()} of the target`}
        detail={howSure(end.r95AboutTargetLow95M, end.r95AboutTargetHigh95M, end.r50AboutTargetM)}
      />
      <Figure
        testId="r95-mean"
        tone="measured"
        label="… and within"
        value={smallText(end.r95AboutMeanM)}
        unit={`${smallUnit()} of their middle`}
        detail={howSure(end.r95AboutMeanLow95M, end.r95AboutMeanHigh95M, end.r50AboutMeanM)}
      />
      <Figure
        testId="bias-along"
        tone="measured"
        label="Mean offset along the travel"
        value={signedSmall(travel?.biasAlongM ?? null)}
        unit={smallUnit()}
        detail={`spread ${smallText(travel?.sdAlongM ?? null) ?? '–'} ${smallUnit()}`}
      />
      <Figure
        testId="bias-across"
        tone="measured"
        label="… across (left +)"
        value={signedSmall(travel?.biasAcrossM ?? null)}
        unit={smallUnit()}
        detail={`spread ${smallText(travel?.sdAcrossM ?? null) ?? '–'} ${smallUnit()}`}
      />
      <Figure
        testId="accuracy"
        tone="measured"
        label="The middle of the runs lies off by"
        term="Accuracy, AP of ISO 9283: distance of the mean end from the target."
        value={smallText(end.accuracyM)}
        unit={smallUnit()}
        detail={
          end.biasTest === null
            ? 'distance of the mean from the target'
            : `the offset ${end.biasTest.real ? 'is ' : ''}${probability(end.biasTest.pValue)}`
        }
      />
      <Figure
        testId="repeatability"
        tone="measured"
        label="How closely runs repeat"
        term="Repeatability, RP of ISO 9283: mean distance from the middle plus three of its standard deviations."
        value={smallText(end.repeatabilityM)}
        unit={smallUnit()}
        detail="nearly all runs lie this near to their middle"
      />
      <Figure
        testId="bias-heading"
        tone="measured"
        label={`Mean heading error (${positiveTurn()})`}
        value={signedDegrees(end.biasHeadingRad)}
        unit="°"
        detail={`spread ${degreesText(end.sdHeadingRad) ?? '–'}°`}
      />
      <Figure
        testId="table-xy"
        tone="measured"
        label="Mean offset on the table, x | y"
        value={
          end.biasXM === null
            ? null
            : `${signedSmall(end.biasXM) ?? ''} | ${signedSmall(end.biasYM) ?? ''}`
        }
        unit={smallUnit()}
        detail={`from ${counted(end.nPose, 'measured end')} of ${counted(end.n, 'run')}${findings.setAside > 0 ? `, ${findings.setAside} set aside` : ''}`}
      />
    </dl>
  );
}
