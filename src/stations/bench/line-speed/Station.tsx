import { useMemo, useState } from 'react';
import type { LightThresholdCalibration } from '../../../core/calibrationValues/lightThreshold';
import { devicesOf } from '../../../core/devices/ofRobot';
import { crossingStudy, shareToCount } from '../../../core/light/crossing';
import { CROSSING } from '../../../core/light/description';
import { lineSpeed } from '../../../core/light/lineSpeed';
import { benchSpeed, errorLength, percent } from '../../../core/text/quantities';
import { ValueField } from '../../../ui/fields/ValueField';
import { Table } from '../../../ui/Table';
import styles from '../Bench.module.css';
import type { BenchProps } from '../procedure';

interface Props extends BenchProps {
  /** The threshold that holds; null: none was found. */
  held: LightThresholdCalibration | null;
  /** Of the lines on its tables, the narrowest first. */
  widthsM: number[];
}

const USUAL_SPEED_M_PER_S = 0.2;
const WANTED = [1, 2, 3, 4];

/** How fast a line may be crossed so that every pass gives enough different readings. */
export default function Station({ robot: { id, robot }, held, widthsM }: Props) {
  const [sensor] = devicesOf(robot, 'light sensor');
  const [of, setOf] = useState({
    lineWidthM: widthsM[0] ?? CROSSING.lineWidthM.default ?? 0,
    spotM: sensor?.behaviour.spotDiameterM ?? CROSSING.spotM.default ?? 0,
    loopPeriodS: robot.loopPeriodS,
    sensorPeriodS: sensor?.behaviour.periodS ?? robot.loopPeriodS,
    readings: CROSSING.readings.default ?? 1,
  });
  const [speedMPerS, setSpeed] = useState(USUAL_SPEED_M_PER_S);
  const share = shareToCount(held);
  const { now, sentences } = useMemo(
    () => crossingStudy({ ...of, share }, speedMPerS),
    [of, share, speedMPerS],
  );
  return (
    <>
      <div className={styles.verdict} data-testid="verdict">
        <p className={styles.headline}>{sentences.found}</p>
        <p>{sentences.means}</p>
        <p className={styles.next}>{sentences.next}</p>
      </div>
      <section aria-label="Do" className={styles.do}>
        <div className={styles.fields}>
          <ValueField field={CROSSING.speedMPerS} value={speedMPerS} onChange={setSpeed} />
          <ValueField
            field={CROSSING.lineWidthM}
            value={of.lineWidthM}
            onChange={(lineWidthM) => setOf({ ...of, lineWidthM })}
          />
          <ValueField
            field={CROSSING.readings}
            value={of.readings}
            onChange={(readings) => setOf({ ...of, readings })}
          />
        </div>
        <div className={styles.fields}>
          <ValueField
            field={CROSSING.loopPeriodS}
            hint="the worst counts"
            value={of.loopPeriodS}
            onChange={(loopPeriodS) => setOf({ ...of, loopPeriodS })}
          />
          <ValueField
            field={CROSSING.sensorPeriodS}
            value={of.sensorPeriodS}
            onChange={(sensorPeriodS) => setOf({ ...of, sensorPeriodS })}
          />
          <ValueField
            field={CROSSING.spotM}
            value={of.spotM}
            onChange={(spotM) => setOf({ ...of, spotM })}
          />
        </div>
        <p className="faint">
          {sensor === undefined
            ? 'The record has no light sensor: spot and period are usual ones. '
            : 'Spot and periods are as the record has them. '}
          A log of the robot tells the loop’s longest round:{' '}
          <a href={`/bench/loop?robot=${id}`}>Loop and lag</a>.{' '}
          {held === null ? (
            <>
              No threshold holds, so all of the spot has to lie on the line:{' '}
              <a href={`/bench/light?robot=${id}`}>read line and floor</a>.
            </>
          ) : (
            `By the threshold that holds, ${percent(share)} of the spot has to lie on it.`
          )}
        </p>
      </section>
      <Table
        label="Readings wanted, and how fast that allows"
        rows={WANTED}
        keyOf={String}
        columns={[
          { title: 'Different readings', head: true, cell: (readings) => readings },
          {
            title: 'At most',
            number: true,
            cell: (readings) => benchSpeed(lineSpeed({ ...of, share, readings }).speedMPerS),
          },
          {
            title: 'Past the edge when it knows',
            number: true,
            cell: (readings) => errorLength(lineSpeed({ ...of, share, readings }).overrunM),
          },
        ]}
      />
      <p>
        Counting lines at {benchSpeed(now.speedMPerS)}: at least {errorLength(now.leastGapM)} of
        floor have to lie between two that are to be counted as two.
      </p>
      <p>
        <a href={`/bench/stop?robot=${id}`}>Measure stops by a line</a>: how far past its edge the
        robot truly stands, forwards and backwards.
      </p>
    </>
  );
}
