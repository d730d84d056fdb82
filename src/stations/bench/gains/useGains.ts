import type { GainsAtSpeeds } from '../../../core/tuning/atSpeeds';
import type { MountStudy } from '../../../core/tuning/mounting';
import type { GainRequest, GoodReply, PushReply } from '../../../workers/gains.worker';
import { useAnswer } from '../useAnswer';
import { goodGains, mountsFor, pushAt, speedsFor } from './gainJobs';

const questionOf = ({ controller, speed }: GainRequest): string => `${controller} ${speed}`;

/** Which gains are good for a robot on the simulator. */
export const useGoodGains = (asked: GainRequest) =>
  useAnswer<GoodReply>(questionOf(asked), () => goodGains(asked));

/** How a push goes at a gain on the simulator; nothing while there is none, or the robot lacks something. */
export const usePush = (asked: GainRequest, gain: number | null) =>
  useAnswer<PushReply>(gain === null || gain === 0 ? null : `${questionOf(asked)} ${gain}`, () =>
    pushAt(asked, gain ?? 0),
  );

/** Where to mount its sensor; sought only when somebody asks. */
export const useMounts = (asked: GainRequest, isAsked: boolean) =>
  useAnswer<MountStudy | null>(isAsked ? questionOf(asked) : null, () => mountsFor(asked));

/** Which gains are good at slower and faster drives; sought only when somebody asks. */
export const useSpeeds = (asked: GainRequest, isAsked: boolean) =>
  useAnswer<GainsAtSpeeds>(isAsked ? asked.controller : null, () => speedsFor(asked));
