import { FORECAST_SEED } from '../../core/forecast/luck';
import { useMemo, useState } from 'react';
import { ulid } from 'ulid';
import { withPlacing } from '../../core/calibration/applyPlacing';
import type { CalibrationOf } from '../../core/calibration/calibration';
import { numbered } from '../../core/steps/tree';
import { isMissionList } from '../../core/course/missionList';
import { plannedDurationS } from '../../core/course/plan';
import type { Route } from '../../core/course/route';
import type { Step } from '../../core/steps/descriptions';
import { turnsIn } from '../../core/course/turnsIn';
import { forecastSentence } from '../../core/forecast/sentence';
import { clock, counted } from '../../core/text/quantities';
import type {
  CourseRecord,
  RobotRecord,
  RouteRecord,
  SavedRouteVersion,
} from '../../formats/records';
import { FieldsInErrorProvider, MendFirst, useFieldsInError } from '../../ui/fields/fieldsInError';
import { Notice, Toast } from '../../ui/Notice';
import { useKeys } from '../../ui/page/useKeys';
import { useToast } from '../../ui/useToast';
import { doubtsThatTouch } from '../../core/sources/sources';
import { restsOn } from '../../core/sources/restsOn';
import { RestsOnFold } from '../RestsOnFold';
import { OtherDrafts } from '../OtherDrafts';
import { addedStep } from './steps/addedStep';
import { AddSteps } from './steps/AddSteps';
import { CalibrationLine, type CourseCalibrations } from './CalibrationLine';
import { CloudCanvas } from './CloudCanvas';
import styles from './CourseStation.module.css';
import {
  duplicateStep,
  insertStep,
  mendStep,
  moveStep,
  nextPlace,
  type Place,
  removeStep,
  replaceStep,
} from './steps/editRoute';
import { ForecastPanel } from './ForecastPanel';
import { editOf, sameRoute } from './history';
import { RouteActions } from './RouteActions';
import { RouteBar } from './RouteBar';
import { RouteDialogs, type RouteDialog } from './RouteDialogs';
import { RoutePlan } from './RoutePlan';
import { StandInFold, StandInOnPlan } from './standIn/StandInFold';
import { StartSentence } from './start/StartSentence';
import { StepList } from './steps/StepList';
import { useDraft } from './useDraft';
import { SIMULATED_RUNS, useSimulation, useStartAfterChange } from './useSimulation';
import { usePlan } from './usePlan';
import { useUndoKeys } from './useUndoKeys';

interface Props {
  routes: RouteRecord[];
  record: RouteRecord;
  course: CourseRecord;
  robot: RobotRecord;
  robots: RobotRecord[];
  versions: SavedRouteVersion[];
  calibrations: CourseCalibrations;
}

const EMPTY_ROUTE: Route = {
  start: { xM: 0.2, yM: 0.2, headingRad: 0 },
  placement: { alongSdM: 0.004, acrossSdM: 0.004, headingSdRad: 0.014 },
  mounted: null,
  steps: [],
  turnCalibrationId: null,
};

/** A route that was not begun yet, placed as was measured. */
const emptyRoute = (placing: CalibrationOf<'placing'> | undefined): Route =>
  placing !== undefined ? withPlacing(EMPTY_ROUTE, placing) : EMPTY_ROUTE;

export const CourseStation = (props: Props) => (
  <FieldsInErrorProvider>
    <CourseEditor {...props} />
  </FieldsInErrorProvider>
);

function CourseEditor(props: Props) {
  const wrong = useFieldsInError();
  const { routes, record, course, robot, robots, versions: loaded, calibrations } = props;
  const [versions, setVersions] = useState(loaded);
  const newest = versions[0] ?? null;
  const placing = calibrations.placing?.value;
  const saved = useMemo(
    () => ({ id: newest?.id ?? null, route: newest?.route ?? emptyRoute(placing) }),
    [newest, placing],
  );
  const { history, dispatch, changed, others, drop } = useDraft(record.id, saved);
  const route = history.present;
  const { table } = course;
  const { plan, branches, check } = usePlan(route, robot.robot, table);
  const [selected, setSelected] = useState<string | null>(null);
  const [dialog, setDialog] = useState<RouteDialog | null>(null);
  const [withStandIn, setWithStandIn] = useState(false);
  const [toast, tell] = useToast();
  const simulation = useSimulation();
  const { state } = simulation;

  const turns = calibrations.turns?.value ?? null;
  const { doubts } = calibrations;
  const wanted = useMemo(
    () => ({ robot: robot.robot, table, route, seed: FORECAST_SEED, turns, doubts }),
    [robot, table, route, turns, doubts],
  );
  const simulate = () => simulation.start(wanted);
  const isList = isMissionList(route);
  useStartAfterChange(wanted, history.past.length > 0 && !isList, simulation.start);
  const edit = (next: Route, about: string) => dispatch(editOf(next, about));
  useUndoKeys(
    () => dispatch({ type: 'undo' }),
    () => dispatch({ type: 'redo' }),
  );
  const addStep = (kind: Step['kind'], place: Place) => {
    const step = addedStep(kind, route, plan, place, { robot: robot.robot, table, turns });
    const next = insertStep(route, place, step);
    // The first turn of a route is from the calibration that holds: the route says so.
    const isFirst = turnsIn(route) === 0 && turnsIn(next) > 0;
    edit(isFirst ? { ...next, turnCalibrationId: calibrations.turns?.id ?? null } : next, 'add');
    setSelected(step.id);
  };
  const move = (id: string, to: Place | null) => {
    if (to === null) return;
    edit(moveStep(route, id, to), 'move');
    setSelected(id);
  };
  useKeys((key) => {
    if (key === 's' && !state.running && !isList) simulate();
    else if (key === '?') setDialog('keys');
    else return false;
    return true;
  });
  const forecast = state.first ?? state.result?.forecast ?? null;
  const stale =
    state.first === null && state.result !== null && !sameRoute(state.result.of.route, route);
  const sentence =
    isList && route.steps.length > 0
      ? `A list of ${counted(route.steps.length, 'mission')}: no way to them is planned, so nothing is foretold. Add drives and turns to plan one.`
      : forecast === null
        ? `${counted(numbered(route.steps).length, 'step')}, about ${clock(plannedDurationS(plan))}. Simulate it, or change something, to see where ${SIMULATED_RUNS} runs would land.`
        : forecastSentence(forecast);

  return (
    <>
      <RouteBar
        routes={routes}
        record={record}
        course={course}
        robot={robot}
        robots={robots}
        newest={newest}
        changed={changed}
      />
      <OtherDrafts
        what="route"
        others={others}
        onTake={(draft) => {
          edit(draft.value, `draft ${draft.key}`);
          drop(draft);
        }}
        onDrop={drop}
      />
      <p className={styles.headline} data-testid="course-sentence">
        {sentence}
      </p>
      <div className={styles.columns}>
        <div className={styles.left}>
          <div className={styles.planFrame}>
            <RoutePlan
              table={table}
              robot={robot.robot}
              route={route}
              plan={plan}
              branches={branches}
              selected={selected}
              forecast={stale ? null : forecast}
              onStart={(start) => edit({ ...route, start }, 'start')}
            >
              {withStandIn && <StandInOnPlan {...{ table, route, robot: robot.robot }} />}
            </RoutePlan>
            <CloudCanvas
              table={table}
              paths={state.landed}
              runs={state.running ? [] : (state.result?.runs ?? [])}
            />
          </div>
          <RouteActions
            simulation={state}
            history={history}
            changed={changed && wrong === 0}
            hasVersions={versions.length > 0}
            newestId={newest?.id ?? null}
            dispatch={dispatch}
            onSimulate={simulate}
            onCancel={simulation.cancel}
            onOpen={setDialog}
          />
          {state.problem !== null && <Notice tone="fault">{state.problem}</Notice>}
          <MendFirst />
          {stale && !state.running && (
            <p className="faint" role="status">
              The route was changed: it is computed anew in a moment.
            </p>
          )}
          {forecast !== null && (
            <ForecastPanel
              forecast={forecast}
              rare={state.first === null ? (state.result?.rare ?? []) : []}
              robotId={robot.id}
              waiting={calibrations.waiting}
            />
          )}
          <StandInFold
            {...{ robot: robot.robot, table, route, plan, selected }}
            isOpen={withStandIn}
            onOpen={setWithStandIn}
          />
          {!isList && (
            <RestsOnFold
              rows={restsOn(
                robot.robot,
                doubtsThatTouch(doubts, route, robot.robot),
                calibrations.known,
              )}
              robotId={robot.id}
            />
          )}
        </div>
        <section className={styles.right} aria-label="Route">
          <StartSentence
            route={route}
            table={table}
            robot={robot.robot}
            onChange={(next) => edit(next, 'start')}
          />
          <StepList
            steps={route.steps}
            plan={plan}
            branches={branches}
            check={check}
            robot={robot.robot}
            missions={table.missions}
            selected={selected}
            onSelect={setSelected}
            onChange={(step) => edit(replaceStep(route, step), `step ${step.id}`)}
            onMove={move}
            onMoveBy={(id, by) => move(id, nextPlace(route.steps, id, by))}
            onMend={(id, mend) => {
              edit(mendStep(route, id, mend), 'mend');
              if (mend.step === null) setSelected(null);
            }}
            onDuplicate={(id) => edit(duplicateStep(route, id, ulid), 'duplicate')}
            onRemove={(id) => {
              edit(removeStep(route, id), 'remove');
              setSelected(null);
            }}
          />
          <CalibrationLine
            calibrations={calibrations}
            robotId={robot.id}
            route={route}
            robot={robot.robot}
            table={table}
            onChange={(next) => edit(next, 'calibration')}
          />
          <AddSteps steps={route.steps} table={table} selected={selected} onAdd={addStep} />
        </section>
      </div>
      <RouteDialogs
        open={dialog}
        onClose={() => setDialog(null)}
        routeId={record.id}
        route={route}
        versions={versions}
        missions={table.missions}
        onSaved={(version) => {
          setVersions([version, ...versions]);
          dispatch({ type: 'open', route: version.route });
          tell(`Saved as version ${version.number}.`);
        }}
        onTake={(version) => {
          edit(version.route, `take ${version.id}`);
          tell(`Version ${version.number} is on the screen; undo brings back what was.`);
        }}
      />
      <Toast text={toast} />
    </>
  );
}
