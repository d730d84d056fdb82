import { studied } from './studied';
import { driveFromSquare } from '../../../core/calibration/kinds/drive/fromStudy';
import { foundInList } from '../waiting';
import { heldOrTrials } from '../known';
import { openedList } from '../trials/openedList';
import type { GyroDriftCalibration } from '../../../core/calibrationValues/gyroDrift';
import type { BenchFacts, Procedure } from '../procedure';
import { newSquareTrials } from './newTrials';

/** The drift that holds, where a still check was applied. */
const appliedDrift = async (facts: BenchFacts): Promise<GyroDriftCalibration | null> =>
  (await facts.holding())['gyro-drift']?.value ?? null;

export const square: Procedure = {
  id: 'square',
  title: 'Square path',
  group: 'driving',
  goodFor: 'the true track width, and whether both wheels are alike',
  minutes: 15,
  gives: ['drive'],
  goesByHeading: true,
  known: (facts) =>
    heldOrTrials(facts, 'drive', 'square', 'lap', (text) => `Against the record: ${text}`),
  found: async (facts) => {
    const drift = await appliedDrift(facts);
    return foundInList(facts, 'square', (list) => {
      const { cw, ccw, encoders } = studied(list, facts.robot.robot.trackM, drift);
      return { value: encoders && driveFromSquare(encoders), raw: [...cw, ...ccw] };
    });
  },
  props: async (facts) => {
    const [list, drift] = await Promise.all([
      openedList(facts, 'square', newSquareTrials),
      appliedDrift(facts),
    ]);
    return { ...list, drift };
  },
};
