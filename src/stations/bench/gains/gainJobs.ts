import type { Robot } from '../../../core/robot';
import type { MountStudy } from '../../../core/tuning/mounting';
import type { SpeedStudy } from '../../../core/tuning/atSpeeds';
import type { TunedId } from '../../../core/tuning/controllers/shown';
import type { GainsWorker, GoodReply, PushReply } from '../../../workers/gains.worker';
import { inWorker, type WorkerJob } from '../../inWorker';

const gainsWorker = () =>
  new Worker(new URL('../../../workers/gains.worker.ts', import.meta.url), { type: 'module' });

/** The gains that are good for a robot, sought on the simulator. */
export const goodGains = (robot: Robot, controller: TunedId): WorkerJob<GoodReply> =>
  inWorker<GainsWorker, GoodReply>(gainsWorker(), ({ good }) => good({ robot, controller }));

/** One push at one gain, on the simulator. */
export const pushAt = (robot: Robot, controller: TunedId, gain: number): WorkerJob<PushReply> =>
  inWorker<GainsWorker, PushReply>(gainsWorker(), ({ push }) => push({ robot, controller }, gain));

/** Where to mount the sensor by which it follows. */
export const mountsFor = (robot: Robot, controller: TunedId): WorkerJob<MountStudy | null> =>
  inWorker<GainsWorker, MountStudy | null>(gainsWorker(), ({ mounts }) =>
    mounts({ robot, controller }),
  );

/** Which gains are good at slower and faster drives. */
export const speedsFor = (robot: Robot, controller: TunedId): WorkerJob<SpeedStudy> =>
  inWorker<GainsWorker, SpeedStudy>(gainsWorker(), ({ speeds }) => speeds({ robot, controller }));
