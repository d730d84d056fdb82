import { gridM } from '../../core/text/lengths';
import { benchLength } from '../../core/text/quantities';
import type { Mission } from '../../core/table/table';
import type { Pose } from '../../core/geometry/pose';
import type { SeriesFindings } from '../../core/runs/findings';
import type { CourseRecord } from '../../formats/records';
import type { PlacedEnd } from '../../formats/runs/runEnd';
import { EndFigures } from './EndFigures';
import { EndPlan } from './EndPlan';
import styles from './Findings.module.css';
import { SplitTable } from './SplitTable';
import { SuccessTable } from './SuccessTable';

interface Props {
  course: CourseRecord;
  missions: Mission[];
  endMission: Mission | null;
  target: Pose;
  runs: PlacedEnd[];
  findings: SeriesFindings;
  /** Of a list of missions nothing says where it should end. */
  hasPlannedEnd: boolean;
}

/** The sentences first, then where the runs ended and the figures behind them. */
export function FindingsView(props: Props) {
  const { course, missions, endMission, target, runs, findings, hasPlannedEnd } = props;
  const { verdict, end } = findings;
  return (
    <>
      <div className={styles.verdict} data-testid="verdict">
        <p className={styles.found}>{verdict.found}</p>
        <p>
          <strong>Next:</strong> {verdict.next}
        </p>
        <p className="faint">{verdict.sure}</p>
      </div>
      {hasPlannedEnd && (
        <div className={styles.columns}>
          <figure className={styles.plan}>
            <EndPlan
              table={course.table}
              target={target}
              mission={endMission}
              end={end}
              runs={runs}
            />
            <figcaption>
              <span>
                <i className={styles.keyPlan} /> planned end
                {endMission && ` and window of the ${endMission.name}`}
              </span>
              <span>
                <i className={styles.keyRun}>◆</i> a run, <i className={styles.keyRun}>◇</i> failed
              </span>
              <span>
                <i className={styles.keyEllipse} /> 95 of 100 runs; small: the true mean
              </span>
              <span>a square is {benchLength(gridM())}</span>
            </figcaption>
          </figure>
          <EndFigures findings={findings} />
        </div>
      )}
      <SuccessTable findings={findings} missions={missions} />
    </>
  );
}

/** The figures again for parts of the series. */
export function Splits({ findings }: { findings: SeriesFindings }) {
  return (
    <div className={styles.splits}>
      <SplitTable title="By who placed the robot" groups={findings.byPlacer} />
      <SplitTable title="By battery" groups={findings.byBattery} />
    </div>
  );
}
