import type { MountStudy } from '../../../core/tuning/mounting';
import type { EdgeRequest, EdgeStudy } from '../../../core/tuning/edge/edgeStudy';
import type { GainsAtSpeeds } from '../../../core/tuning/atSpeeds';
import type { GainRequest, GainsWorker, GoodReply, PushReply } from '../../../workers/gains.worker';
import { inWorker, type WorkerJob } from '../../inWorker';

const gainsWorker = () =>
  new Worker(new URL('../../../workers/gains.worker.ts', import.meta.url), { type: 'module' });

/** The gains that are good for a robot, sought on the simulator. */
export const goodGains = (asked: GainRequest): WorkerJob<GoodReply> =>
  inWorker<GainsWorker, GoodReply>(gainsWorker, ({ good }) => good(asked));

/** One push at one gain, on the simulator. */
export const pushAt = (asked: GainRequest, gain: number): WorkerJob<PushReply> =>
  inWorker<GainsWorker, PushReply>(gainsWorker, ({ push }) => push(asked, gain));

/** How fast an edge may be followed round a bend. */
export const edgeFor = (asked: EdgeRequest): WorkerJob<EdgeStudy | null> =>
  inWorker<GainsWorker, EdgeStudy | null>(gainsWorker, ({ edge }) => edge(asked));

/** Where to mount the sensor by which it follows. */
export const mountsFor = (asked: GainRequest): WorkerJob<MountStudy | null> =>
  inWorker<GainsWorker, MountStudy | null>(gainsWorker, ({ mounts }) => mounts(asked));

/** Which gains are good at slower and faster drives. */
export const speedsFor = (asked: GainRequest): WorkerJob<GainsAtSpeeds> =>
  inWorker<GainsWorker, GainsAtSpeeds>(gainsWorker, ({ speeds }) => speeds(asked));
