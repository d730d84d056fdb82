import { controller, type Begun, type Controller, type Tick } from './controller';

interface Within extends Begun {
  motion: Controller;
  timeoutS: number;
}

const tick: Tick<Within> = (state, now, wheels) => {
  state.startS ??= now.timeS;
  if (now.timeS - state.startS > state.timeoutS) return 'time';
  return state.motion.tick(state.motion.state, now, wheels);
};

/** A motion that has failed when its time is over, whatever it would do by itself. */
export const within = (motion: Controller, timeoutS: number): Controller => ({
  ...controller<Within>(tick, { motion, timeoutS, startS: null }),
  restS: motion.restS,
});
