import { holds, watchFor, type Watched } from './condition';
import { controller, halt, type Controller, type Tick } from './controller';

/** A reading that moves, or stays where it is, is looked at for so long. */
const MOVES_S = 0.5;

/** So long a look takes before the answer is no: each part of it has come true by then, or it does not. */
export function longestS(watched: Watched, loopPeriodS: number): number {
  if ('every' in watched)
    return Math.max(0, ...watched.of.map((one) => longestS(one, loopPeriodS)));
  const { is, confirmations, timeoutS } = watched;
  if (Number.isFinite(timeoutS)) return timeoutS;
  const isMoving = is === 'changed' || is === 'still';
  return (isMoving ? MOVES_S : 0) + (confirmations - 1) * loopPeriodS;
}

interface LookState {
  watch: ReturnType<typeof watchFor>;
  longestS: number;
  startS: number | null;
  isSo: boolean;
}

const tick: Tick<LookState> = (state, now, wheels) => {
  halt(wheels);
  state.startS ??= now.timeS;
  const said = holds(state.watch, now);
  if (said === 'no-sensor') return said;
  state.isSo = said === true;
  const isOver = said === 'time' || now.timeS - state.startS >= state.longestS;
  return state.isSo || isOver ? 'done' : 'go on';
};

/** A robot that stands and looks once whether something is so: the answer, when it is done. */
export function look(watched: Watched, loopPeriodS: number): Controller & { isSo(): boolean } {
  const state: LookState = {
    watch: watchFor(watched),
    longestS: longestS(watched, loopPeriodS),
    startS: null,
    isSo: false,
  };
  return { ...controller(tick, state), isSo: () => state.isSo };
}
