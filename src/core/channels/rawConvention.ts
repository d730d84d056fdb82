import type { RawSigns, Robot } from '../robot/robot';

/** How a robot's raw readings are to be taken; nothing else is done to them. */
export interface RawConvention {
  signs: RawSigns;
  encodersRollOver: boolean;
}

export const rawConvention = ({ signs, build }: Robot): RawConvention => ({
  signs,
  encodersRollOver: build.encodersRollOver,
});
