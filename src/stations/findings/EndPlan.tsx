import { gridM } from '../../core/text/lengths';
import type { Mission, Table } from '../../core/table/table';
import type { Pose } from '../../core/geometry/pose';
import { toTable } from '../../core/geometry/pose';
import type { Consistency } from '../../core/runs/consistency';
import { counted, smallPlaceText } from '../../core/text/quantities';
import type { PlacedEnd } from '../../formats/runs/runEnd';
import { EllipseMark, EndCloud, EndMark } from '../../ui/plan/marks';
import { boxPath, flip, mm, pathOf, Plan } from '../../ui/plan/Plan';
import styles from './Findings.module.css';

interface Props {
  table: Table;
  target: Pose;
  mission: Mission | null;
  end: Consistency;
  runs: readonly PlacedEnd[];
}

/** Half the width of the piece of the table that shows everything, in metres. */
function reachOf({ end, runs, mission }: Props): number {
  const ends = runs.flatMap(({ endXM, endYM }) => [Math.abs(endXM), Math.abs(endYM)]);
  const region =
    end.ellipse95 === null
      ? 0
      : end.ellipse95.semiMajorM + Math.max(Math.abs(end.biasXM ?? 0), Math.abs(end.biasYM ?? 0));
  const window = mission === null ? 0 : Math.hypot(mission.window.alongM, mission.window.acrossM);
  return Math.max(0.03, ...ends, region, window) * 1.12;
}

/** Up to here each end is told by its run. */
const MOST_SINGLE = 200;

/** Where the runs ended: each for itself, or where there are many all that worked and all that failed. */
function Ends({
  table,
  target,
  runs,
  size,
}: Pick<Props, 'table' | 'target' | 'runs'> & { size: number }) {
  const at = ({ endXM, endYM }: PlacedEnd) => ({ xM: target.xM + endXM, yM: target.yM + endYM });
  if (runs.length <= MOST_SINGLE) {
    return runs.map((run) => (
      <EndMark
        key={run.number}
        {...{ table, size }}
        at={at(run)}
        worked={run.worked}
        label={`Run ${run.number}: ${smallPlaceText(run.endXM, run.endYM)}${run.worked === false ? ', failed' : ''}`}
      />
    ));
  }
  return [false, true].map((failed) => {
    const some = runs.filter(({ worked }) => (worked === false) === failed);
    return (
      <EndCloud
        key={String(failed)}
        {...{ table, size, failed }}
        ends={some.map(at)}
        label={`${counted(some.length, 'end')} of runs that ${failed ? 'failed' : 'did not fail'}`}
      />
    );
  });
}

/** The planned end and, to scale, where the runs ended, with the regions for the next one and for the mean. */
export function EndPlan(props: Props) {
  const { table, target, mission, end } = props;
  const reach = mm(reachOf(props));
  const at = { x: mm(target.xM), y: flip(table, target.yM) };
  const centre = { xM: target.xM + (end.biasXM ?? 0), yM: target.yM + (end.biasYM ?? 0) };
  const cross = reach / 22;
  const arrow = [
    { xM: 0.24, yM: 0 },
    { xM: 0.2, yM: 0.025 },
    { xM: 0.24, yM: 0 },
    { xM: 0.2, yM: -0.025 },
  ].map(({ xM, yM }) => toTable(target, { xM: (xM * reach) / 1000, yM: (yM * reach) / 1000 }));
  return (
    <Plan
      table={table}
      label="Where the runs ended, seen from above"
      missions={false}
      gridMm={1000 * gridM()}
      view={[at.x - reach, at.y - reach, 2 * reach, 2 * reach]}
    >
      {mission && (
        <path
          role="img"
          aria-label={`Window of the ${mission.name}`}
          className={styles.window}
          d={boxPath(
            table,
            mission.pose,
            mission.window.alongM,
            mission.window.alongM,
            mission.window.acrossM,
          )}
        />
      )}
      {end.ellipse95 && (
        <EllipseMark
          table={table}
          centre={centre}
          ellipse={end.ellipse95}
          kind="measured"
          label="Region that holds 95 of 100 single runs"
        />
      )}
      <path
        className={styles.planned}
        d={`M${at.x - cross} ${at.y}H${at.x + cross}M${at.x} ${at.y - cross}V${at.y + cross}`}
      />
      <path className={styles.travel} d={pathOf(table, [target, ...arrow])} />
      <Ends {...{ table, target }} runs={props.runs} size={reach / 55} />
      {end.meanEllipse95 && (
        <g className={styles.mean}>
          <EllipseMark
            table={table}
            centre={centre}
            ellipse={end.meanEllipse95}
            kind="measured"
            label="Region that holds the true mean with 95 % certainty"
          />
          <circle cx={mm(centre.xM)} cy={flip(table, centre.yM)} r={reach / 90} />
        </g>
      )}
    </Plan>
  );
}
