import { calibrationFromThreshold } from '../../../core/calibration/kinds/lightThreshold/fromStudy';
import { devicesOf } from '../../../core/devices/ofRobot';
import { fullOf } from '../../../core/light/lightScale';
import { readingsOfDevice, thresholdStudy } from '../../../core/light/thresholdStudy';
import { usualHeightM } from '../../../core/light/heights';
import { heldOrTrials } from '../known';
import type { Procedure } from '../procedure';
import { notAside, openedList } from '../trials/openedList';
import { foundInList } from '../waiting';
import { newLightTrials } from './newTrials';
import { profilesOf } from './profilesOf';

export const light: Procedure = {
  id: 'light',
  title: 'Line and floor',
  group: 'light and colour',
  goodFor: 'between which readings a line begins, and how often that is wrong',
  minutes: 3,
  gives: ['light-threshold'],
  known: (facts) => heldOrTrials(facts, 'light-threshold', 'light', 'reading'),
  found: (facts) =>
    foundInList(facts, 'light', ({ trials, conditions }) => {
      const [inUse] = devicesOf(facts.robot.robot, 'light sensor');
      const own = readingsOfDevice(notAside(trials), inUse?.label ?? '');
      const study = thresholdStudy(own, conditions.programs);
      const { venue, lighting } = conditions;
      const where = { venue, lighting, full: fullOf(conditions), heightM: usualHeightM(own) };
      const isUsable = study !== null && inUse !== undefined;
      return { value: isUsable ? calibrationFromThreshold(study.found, where) : null, raw: own };
    }),
  props: async (facts) => {
    const [inUse] = devicesOf(facts.robot.robot, 'light sensor');
    const [list, { calibrations }] = await Promise.all([
      openedList(facts, 'light', (id, robotId) => newLightTrials(id, robotId, inUse)),
      facts.calibrations(),
    ]);
    return { ...list, profiles: profilesOf(calibrations) };
  },
};
