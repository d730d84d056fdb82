import { expose } from 'comlink';
import type { Robot } from '../core/robot/robot';
import { setDisplaySettings } from '../core/text/displaySettings';
import { gainsAtSpeeds, type GainsAtSpeeds } from '../core/tuning/atSpeeds';
import { tunedController } from '../core/tuning/controllers/registry';
import type { TunedId } from '../core/robot/tunedIds';
import { firstGain, type GoodGains } from '../core/tuning/firstGain';
import { edgeStudy, type EdgeRequest, type EdgeStudy } from '../core/tuning/edge/edgeStudy';
import type { GainJudgement } from '../core/tuning/judge';
import { mountsOf, type MountStudy } from '../core/tuning/mounting';
import { simulatedTrace, type WatchedTrace } from '../core/tuning/simulatedTrace';

export interface GainRequest {
  robot: Robot;
  controller: TunedId;
  /** Of the drive, m/s, or of the turn, rad/s. */
  speed: number;
}

export type GoodReply = { lack: string } | { lack: null; good: GoodGains | null };

export interface PushReply {
  trace: WatchedTrace;
  judged: GainJudgement | null;
}

const SEED = 5;

const gains = {
  speakAs: setDisplaySettings,

  /** The gains that are good for this robot, or what it lacks. */
  good({ robot, controller, speed }: GainRequest): GoodReply {
    const tuned = tunedController(controller);
    const lack = tuned.lack(robot);
    return lack === null ? { lack, good: firstGain(tuned, robot, speed) } : { lack };
  },

  /** Where to mount the sensor of a controller that follows something; null where that is no question. */
  mounts: ({ robot, controller, speed }: GainRequest): MountStudy | null =>
    mountsOf(tunedController(controller), robot, speed),

  /** Which gains are good at slower and faster drives, of a robot that lacks nothing. */
  speeds: ({ robot, controller }: GainRequest): GainsAtSpeeds =>
    gainsAtSpeeds(tunedController(controller), robot),

  /** How fast an edge may be followed round a bend; null for a robot that looks at none. */
  edge: (asked: EdgeRequest): EdgeStudy | null => edgeStudy(asked),

  /** One push at one gain, of a robot that lacks nothing. */
  push({ robot, controller, speed }: GainRequest, gain: number): PushReply {
    const tuned = tunedController(controller);
    const trace = simulatedTrace(robot, tuned.experiment(robot, gain, speed), SEED);
    return { trace, judged: tuned.judge(robot, trace, speed) };
  },
};

export type GainsWorker = typeof gains;

expose(gains);
