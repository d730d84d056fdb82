import { rest } from '../../control/rest';
import { radiansFromDegrees } from '../../geometry/angle';
import { toTable } from '../../geometry/pose';
import type { StepKind } from '../kind';
import type { FreeStep } from './description';

/** Where nobody says how what they do scatters: a cautious guess. */
const GUESSED = { placeM: 0.01, headingRad: radiansFromDegrees(2) };

export const free: StepKind<FreeStep> = {
  needs: () => [],
  group: 'work',
  isOffered: () => true,
  asAdded: () => ({
    kind: 'free',
    words: 'something of our own',
    alongM: 0,
    acrossM: 0,
    headingRad: 0,
    seconds: 1,
  }),
  plan: ({ alongM, acrossM, headingRad, seconds }, from) => ({
    to: {
      ...toTable(from, { xM: alongM, yM: acrossM }),
      headingRad: from.headingRad + headingRad,
    },
    distanceM: alongM,
    angleRad: headingRad,
    durationS: seconds,
    timeoutS: seconds + 1,
    problems: [],
  }),
  control: ({ seconds }) => rest(seconds),
  carries: ({ alongM, acrossM, headingRad, alongSdM, acrossSdM, headingSdRad }) => ({
    by: { xM: alongM, yM: acrossM, headingRad },
    sd: {
      xM: alongSdM ?? GUESSED.placeM,
      yM: acrossSdM ?? GUESSED.placeM,
      headingRad: headingSdRad ?? GUESSED.headingRad,
    },
  }),
  drives: true,
  inProgram: {
    leaves: () => [],
    notes: ({ alongSdM, acrossSdM, headingSdRad }) =>
      alongSdM === undefined || acrossSdM === undefined || headingSdRad === undefined
        ? ['How it scatters is a guess: note where it ended a few times.']
        : [],
  },
};
