import type { ReactNode } from 'react';
import type { CrossingStudy } from '../../../core/light/crossing';
import { CROSSING } from '../../../core/light/description';
import { lineSpeed, type LineCrossing } from '../../../core/light/lineSpeed';
import { benchSpeed, errorLength, percent } from '../../../core/text/quantities';
import { ValueField } from '../../../ui/fields/ValueField';
import { Table } from '../../../ui/Table';
import styles from '../Bench.module.css';

interface Props {
  robotId: string;
  hasSensor: boolean;
  isMeasured: boolean;
  /** How often it looks in two modes, where that was timed. */
  modes: ReactNode;
  /** As it was typed, and as it is computed with. */
  of: LineCrossing;
  reckoned: LineCrossing;
  onChange(part: Partial<LineCrossing>): void;
  speedMPerS: number;
  onSpeed(speedMPerS: number): void;
  study: CrossingStudy;
  /** Its sentences stand at the head of the page already. */
  isSaid: boolean;
}

const WANTED = [1, 2, 3, 4];

/** How fast a line may be crossed so that every pass gives enough different readings. */
export function Crossing({
  robotId,
  hasSensor,
  isMeasured,
  modes,
  of,
  reckoned,
  onChange,
  speedMPerS,
  onSpeed,
  study: { now, sentences },
  isSaid,
}: Props) {
  return (
    <section aria-label="How fast it may go" className={styles.work}>
      <h2>How fast it may go</h2>
      {!isSaid && (
        <p>
          {sentences.found} {sentences.next}
        </p>
      )}
      <div className={styles.fields}>
        <ValueField field={CROSSING.speedMPerS} value={speedMPerS} onChange={onSpeed} />
        <ValueField
          field={CROSSING.lineWidthM}
          value={of.lineWidthM}
          onChange={(lineWidthM) => onChange({ lineWidthM })}
        />
        <ValueField
          field={CROSSING.readings}
          value={of.readings}
          onChange={(readings) => onChange({ readings })}
        />
      </div>
      <div className={styles.fields}>
        <ValueField
          field={CROSSING.loopPeriodS}
          hint="the worst counts"
          value={of.loopPeriodS}
          onChange={(loopPeriodS) => onChange({ loopPeriodS })}
        />
        <ValueField
          field={CROSSING.sensorPeriodS}
          value={of.sensorPeriodS}
          onChange={(sensorPeriodS) => onChange({ sensorPeriodS })}
        />
        <ValueField
          field={CROSSING.spotM}
          value={of.spotM}
          onChange={(spotM) => onChange({ spotM })}
        />
        {modes}
      </div>
      <p className="faint">
        {hasSensor
          ? 'Spot and periods are as the record has them. '
          : 'The record has no light sensor: spot and period are usual ones. '}
        A log of the robot tells the loop’s longest round:{' '}
        <a href={`/bench/loop?robot=${robotId}`}>Loop and lag</a>.{' '}
        {isMeasured ? (
          `By the threshold that holds, ${percent(of.share)} of the spot has to lie on it.`
        ) : (
          <>
            No threshold holds, so all of the spot has to lie on the line:{' '}
            <a href={`/bench/light?robot=${robotId}`}>read line and floor</a>.
          </>
        )}
      </p>
      <Table
        label="Readings wanted, and how fast that allows"
        rows={WANTED}
        keyOf={String}
        columns={[
          { title: 'Different readings', head: true, cell: (readings) => readings },
          {
            title: 'At most',
            number: true,
            cell: (readings) => benchSpeed(lineSpeed({ ...reckoned, readings }).speedMPerS),
          },
          {
            title: 'Past the edge when it knows',
            number: true,
            cell: (readings) => errorLength(lineSpeed({ ...reckoned, readings }).overrunM),
          },
        ]}
      />
      <p>
        Counting lines at {benchSpeed(now.speedMPerS)}: at least {errorLength(now.leastGapM)} of
        floor have to lie between two that are to be counted as two.
      </p>
    </section>
  );
}
