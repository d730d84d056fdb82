import { Redo2, Undo2 } from 'lucide-react';
import { isMissionList } from '../../core/course/missionList';
import { Button } from '../../ui/Button';
import { Progress } from '../../ui/Progress';
import styles from './CourseStation.module.css';
import type { History, HistoryAction } from './history';
import { SIMULATED_RUNS, type SimulationState } from './useSimulation';

interface Props {
  simulation: SimulationState;
  history: History;
  changed: boolean;
  hasVersions: boolean;
  /** The newest saved version, whose card can be printed. */
  newestId: string | null;
  dispatch(action: HistoryAction): void;
  onSimulate(): void;
  onCancel(): void;
  onOpen(dialog: 'save' | 'versions' | 'keys'): void;
}

/** What can be done with the route as a whole; while it is simulated, how far that is. */
export function RouteActions(props: Props) {
  const { simulation, history, dispatch, onOpen } = props;
  return (
    <div className={styles.actions}>
      {simulation.running ? (
        <Progress
          label="Simulated runs"
          done={simulation.done}
          total={SIMULATED_RUNS}
          onCancel={props.onCancel}
        />
      ) : (
        <Button look="strong" disabled={isMissionList(history.present)} onClick={props.onSimulate}>
          Simulate {SIMULATED_RUNS} runs <kbd>s</kbd>
        </Button>
      )}
      <Button disabled={!props.changed} onClick={() => onOpen('save')}>
        Save version…
      </Button>
      <Button
        aria-label="Undo"
        title="Undo"
        disabled={history.past.length === 0}
        onClick={() => dispatch({ type: 'undo' })}
      >
        <Undo2 size={18} aria-hidden />
      </Button>
      <Button
        aria-label="Redo"
        title="Redo"
        disabled={history.future.length === 0}
        onClick={() => dispatch({ type: 'redo' })}
      >
        <Redo2 size={18} aria-hidden />
      </Button>
      <Button disabled={!props.hasVersions} onClick={() => onOpen('versions')}>
        Versions…
      </Button>
      <Button onClick={() => onOpen('keys')} aria-label="Keys on this screen">
        <kbd>?</kbd>
      </Button>
      {props.newestId !== null && (
        <>
          <a href={`/course/card?version=${props.newestId}`}>Step card</a>
          <a href={`/course/building?version=${props.newestId}`}>Building sheet</a>
        </>
      )}
    </div>
  );
}
