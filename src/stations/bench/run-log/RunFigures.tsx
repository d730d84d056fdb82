import type { RunLogStudy } from '../../../core/gyro/runLog';
import { driftText } from '../../../core/gyro/driftText';
import { number, headingText } from '../../../core/text/quantities';
import { Figure } from '../../../ui/Figure';
import { Table } from '../../../ui/Table';
import styles from '../Bench.module.css';

/** What the log says besides: the program's loop, the gyro's lag, and where gyro and encoders part. */
export function RunFigures({ study, hasHeading }: { study: RunLogStudy; hasHeading: boolean }) {
  const { loop, lagS, divergences } = study;
  const hasBoth = hasHeading && study.encoderRad !== null;
  const needed = hasHeading ? 'it needs encoders' : 'it needs a heading';
  return (
    <dl className={styles.figures}>
      <Figure
        label="Loop of the program"
        value={number(loop.meanS * 1000, 1)}
        unit="ms"
        detail={`at worst ${number(loop.worstS * 1000)} ms`}
        tone="measured"
      />
      <Figure
        label="Gyro comes after the encoders by"
        value={lagS === null ? null : number(lagS * 1000)}
        unit="ms"
        detail={lagS === null ? (hasBoth ? 'it needs turns' : needed) : undefined}
        tone="measured"
      />
      <Figure
        label="Gyro and encoders part"
        value={hasBoth ? number(divergences.length) : null}
        unit={divergences.length === 1 ? 'time' : 'times'}
        detail={
          hasBoth
            ? divergences
                .slice(0, 3)
                .map(({ fromS, changeRad }) => `${headingText(changeRad)} at ${number(fromS, 1)} s`)
                .join(', ')
            : needed
        }
        tone={divergences.length > 0 ? 'fault' : 'measured'}
      />
    </dl>
  );
}

/** The drift of each stretch between two anchors. */
export function PieceTable({ study }: { study: RunLogStudy }) {
  if (study.correction === null) return null;
  return (
    <Table
      label="Drift between the anchors"
      rows={study.correction.pieces}
      keyOf={({ fromS }) => String(fromS)}
      columns={[
        { title: 'From', cell: ({ fromS }) => `${number(fromS, 1)} s` },
        { title: 'To', cell: ({ toS }) => `${number(toS, 1)} s` },
        { title: 'Drift', number: true, cell: ({ driftRadPerS }) => driftText(driftRadPerS) },
      ]}
    />
  );
}
