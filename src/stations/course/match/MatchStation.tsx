import { useMemo } from 'react';
import { ulid } from 'ulid';
import { MATCH, MOST_LAUNCHES } from '../../../core/match/description';
import type { Launch, Match } from '../../../core/match/match';
import { matchSentence } from '../../../core/match/sentence';
import type { CourseRecord, MatchRecord } from '../../../formats/records';
import { hasMoved } from '../../../core/table/moved';
import { Button } from '../../../ui/Button';
import { FieldsInErrorProvider } from '../../../ui/fields/fieldsInError';
import { fieldsOf, RecordForm } from '../../../ui/fields/recordForm';
import { Notice, Toast } from '../../../ui/Notice';
import { Progress } from '../../../ui/Progress';
import { useToast } from '../../../ui/useToast';
import { matchForm, matchParser } from '../../parsers';
import { ChangedElsewhere, SaveButtons } from '../../Saving';
import { useSaved } from '../../useSaved';
import { LaunchItem } from './LaunchItem';
import type { RouteOfMatch } from './matchInWorkers';
import { MatchPanel } from './MatchPanel';
import styles from './MatchStation.module.css';
import { useMatch } from './useMatch';

const F = fieldsOf<MatchRecord>();

interface Props {
  record: MatchRecord;
  course: CourseRecord;
  routes: RouteOfMatch[];
}

const newLaunch = (routeId: string): Launch => ({
  id: ulid(),
  routeId,
  mounted: '',
  whenFailed: 'next',
  changeOversS: [],
});

/** Several launches of the robot on one clock: which, in what order, and what they bring. */
export const MatchStation = (props: Props) => (
  <FieldsInErrorProvider>
    <MatchEditor {...props} />
  </FieldsInErrorProvider>
);

function MatchEditor({ record, course, routes }: Props) {
  const [toast, tell] = useToast();
  const saved = useSaved('matches', record, () => tell('Saved.'), matchParser);
  const { draft, setDraft } = saved;
  const { match } = draft;
  const { launches } = match;
  // What is said of a launch does not change what it brings.
  const key = JSON.stringify({
    ...match,
    launches: launches.map((one) => ({ ...one, mounted: '' })),
  });
  const played = useMemo(() => playable(JSON.parse(key) as Match, routes), [key, routes]);
  const { result, progress, problem, isStopped, stop, goOn } = useMatch(
    played,
    course.table,
    routes,
  );
  const setLaunches = (changed: Launch[]) =>
    setDraft({ ...draft, match: { ...match, launches: changed } });
  const nameOf = (launchId: string) => {
    const launch = launches.find(({ id }) => id === launchId);
    return routes.find(({ id }) => id === launch?.routeId)?.name ?? 'a launch';
  };
  const isStale = result !== null && result.of !== played;
  const free =
    routes.find(
      ({ id, isArchived }) => !isArchived && !launches.some(({ routeId }) => routeId === id),
    ) ?? routes.find(({ isArchived }) => !isArchived);
  const sentence =
    launches.length === 0
      ? 'No launch yet. Add the routes in the order in which they are driven, to see what a match brings.'
      : result === null
        ? 'What the match brings is being computed.'
        : matchSentence(result.forecast, result.of, (id) => `“${nameOf(id)}”`);
  return (
    <>
      <header className={styles.bar}>
        <h1>Match on {course.name}</h1>
        <a href="/course">Back to the route</a>
      </header>
      <p className={styles.headline} data-testid="match-sentence">
        {sentence}
      </p>
      <RecordForm
        key={saved.generation}
        className={styles.columns}
        record={draft}
        schema={matchForm}
        onChange={setDraft}
      >
        <section aria-label="Launches" className={styles.left}>
          <ol className={styles.launches}>
            {launches.map((launch, at) => (
              <LaunchItem
                key={launch.id}
                at={at}
                launches={launches}
                launch={launch}
                routes={routes}
                onChange={(changed) => setLaunches(launches.with(at, changed))}
                onMove={(by) => setLaunches(moved(launches, at, at + by))}
                onRemove={() => setLaunches(launches.toSpliced(at, 1))}
              />
            ))}
          </ol>
          {free !== undefined && launches.length < MOST_LAUNCHES && (
            <Button onClick={() => setLaunches([...launches, newLaunch(free.id)])}>
              + Add a launch
            </Button>
          )}
          <div className={styles.rules}>
            <F.Values of="match" fields={MATCH} />
          </div>
          <SaveButtons what="match" saved={saved} />
        </section>
        <div className={styles.right}>
          {progress !== null && (
            <Progress
              label="Simulated runs"
              done={progress.done}
              total={progress.total}
              onCancel={stop}
            />
          )}
          {isStopped && <Button onClick={goOn}>Compute what it brings</Button>}
          {problem !== null && <Notice tone="fault">{problem}</Notice>}
          {isStale && progress === null && !isStopped && (
            <p className="faint" role="status">
              The match was changed: it is computed anew in a moment.
            </p>
          )}
          {result !== null && launches.length > 0 && (
            <MatchPanel
              forecast={result.forecast}
              match={result.of}
              movesThings={hasMoved(course.table)}
              nameOf={nameOf}
              onOrder={(ids) =>
                setLaunches(ids.flatMap((id) => launches.find((one) => one.id === id) ?? []))
              }
            />
          )}
        </div>
      </RecordForm>
      <ChangedElsewhere what="match" saved={saved} />
      <Toast text={toast} />
    </>
  );
}

/** Without the launches of which nothing can be foretold. */
const playable = (match: Match, routes: readonly RouteOfMatch[]): Match => ({
  ...match,
  launches: match.launches.filter(({ routeId }) =>
    routes.some(({ id, simulation }) => id === routeId && simulation !== null),
  ),
});

const moved = (launches: readonly Launch[], from: number, to: number): Launch[] => {
  const [launch] = launches.slice(from, from + 1);
  return launch === undefined
    ? [...launches]
    : launches.toSpliced(from, 1).toSpliced(to, 0, launch);
};
