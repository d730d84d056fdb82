import type { ReactNode } from 'react';
import { GROUPS, type BenchProps, type Group } from '../procedure';
import type { WaitingFor } from '../waiting';
import { WaitingLine } from '../WaitingLine';
import type { OverviewLine } from './line';
import styles from './Overview.module.css';
import { useHangsOn, type OverviewRoute } from './useHangsOn';
import type { WorthDoing } from './worthNext';

interface Props extends BenchProps {
  lines: OverviewLine[];
  /** Of these procedures something was measured that is not applied. */
  waiting: WaitingFor[];
  /** Known creep comes before all else. */
  creep: WorthDoing | null;
  next: WorthDoing | null;
  route: OverviewRoute | null;
}

const minutesText = (minutes: number) => `${minutes} ${minutes === 1 ? 'minute' : 'minutes'}`;

function Next({ robot, lines, waiting, creep, next, route }: Props) {
  const hangs = useHangsOn(route);
  const lineOf = (worth: WorthDoing | null) => lines.find(({ id }) => id === worth?.id);
  const measures = lines.find(({ id }) => id === hangs?.measuredBy);
  // What the forecast hangs on comes before what is merely old.
  const why = creep ?? (measures === undefined ? next : null);
  const line = creep === null ? (measures ?? lineOf(next)) : lineOf(creep);
  const inRecord = hangs !== null && measures === undefined;
  const isMeasured = creep === null && waiting.some(({ procedure }) => procedure === line?.id);
  const does = isMeasured ? 'calibrations' : line?.id;
  return (
    <section aria-label="Worth doing next" className={styles.next} data-testid="worth-next">
      {line === undefined ? (
        <p className={styles.headline}>All that the Bench measures of {robot.name} is fresh.</p>
      ) : (
        <p className={styles.headline}>
          Worth doing next:{' '}
          <a href={`/bench/${does}?robot=${robot.id}`}>
            {isMeasured ? `apply what was measured (${line.title})` : line.title}
          </a>
          {!isMeasured && line.minutes !== null && `, ${minutesText(line.minutes)}`}
          {!isMeasured && why !== null && `: ${why.why}`}.
        </p>
      )}
      {hangs !== null && (
        <p>
          {inRecord && `Look at the ${hangs.source} first. `}
          {hangs.sentence}
        </p>
      )}
      <WaitingLine waiting={waiting} robotId={robot.id} />
    </section>
  );
}

interface LineProps {
  line: OverviewLine;
  robotId: string;
  /** The group, before its first line. */
  group?: ReactNode;
}

function Line({ line, robotId, group }: LineProps) {
  const { id, title, sentence, goodFor, freshness, minutes } = line;
  return (
    <tr>
      {group}
      <th scope="row">
        <a href={`/bench/${id}?robot=${robotId}`} title={goodFor}>
          {title}
        </a>
        <small>{goodFor}</small>
      </th>
      <td className={sentence === null ? styles.nothing : undefined}>
        <span className={styles.sentence} title={sentence ?? undefined}>
          {sentence ?? 'Nothing measured yet.'}
        </span>
      </td>
      <td
        className={`${styles.age ?? ''} ${styles[freshness?.state ?? (sentence === null ? 'missing' : 'fresh')] ?? ''}`}
      >
        {freshness?.text ?? (sentence === null ? 'missing' : '')}
      </td>
      <td className={styles.minutes}>{minutes === null ? '' : `${minutes} min`}</td>
    </tr>
  );
}

/** The groups as they stand beside each other where a screen is wide and low. */
const HALVES = [GROUPS.slice(0, 3), GROUPS.slice(3)];

/** What is known in some groups of procedures, in working order. */
function Known({
  robot,
  lines,
  groups,
}: Pick<Props, 'robot' | 'lines'> & { groups: readonly Group[] }) {
  return (
    <table className={styles.lines} aria-label={groups.join(', ')}>
      <thead className="visually-hidden">
        <tr>
          <th scope="col">Group</th>
          <th scope="col">Procedure</th>
          <th scope="col">What is known</th>
          <th scope="col">How old</th>
          <th scope="col">It takes</th>
        </tr>
      </thead>
      {groups.map((group) => {
        const own = lines.filter((line) => line.group === group);
        return own.length === 0 ? null : (
          <tbody key={group}>
            {own.map((line, i) => (
              <Line
                key={line.id}
                line={line}
                robotId={robot.id}
                group={
                  i === 0 && (
                    <th scope="rowgroup" rowSpan={own.length} className={styles.group}>
                      {group}
                    </th>
                  )
                }
              />
            ))}
          </tbody>
        );
      })}
    </table>
  );
}

/** The Bench of a robot: what is known, in working order, and what is worth doing next. */
export default function Station(props: Props) {
  const { robot, lines } = props;
  return (
    <>
      <Next {...props} />
      <section className={styles.known} aria-label={`What is known of ${robot.name}`}>
        <div className={styles.halves}>
          {HALVES.map((groups) => (
            <Known key={groups[0]} {...{ robot, lines, groups }} />
          ))}
        </div>
      </section>
    </>
  );
}
