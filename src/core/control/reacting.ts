import { holds, watchFor, type Watched } from './condition';
import { controller, type Controller, type Tick } from './controller';

/** What a motion watches while it is made. */
export interface Reacting {
  /** It is so from when this holds, and until that does. */
  on: Watched;
  off: Watched;
  /** Called each time that it begins to be so, and each time that it no longer is. */
  react(isSo: boolean): void;
}

interface State extends Reacting {
  motion: Controller;
  isSo: boolean;
  watch: ReturnType<typeof watchFor>;
}

const tick: Tick<State> = (state, now, wheels) => {
  const said = holds(state.watch, now);
  if (said === 'no-sensor') return said;
  if (said === true) {
    state.isSo = !state.isSo;
    state.watch = watchFor(state.isSo ? state.off : state.on);
    state.react(state.isSo);
  }
  return state.motion.tick(state.motion.state, now, wheels);
};

/** A motion that watches something meanwhile: what is done about it does not touch the wheels. */
export const reacting = (motion: Controller, { on, off, react }: Reacting): Controller => ({
  ...controller<State>(tick, { motion, on, off, react, isSo: false, watch: watchFor(on) }),
  restS: motion.restS,
});
