import { calibrationFromColours } from '../../../core/calibration/kinds/colourClasses/fromStudy';
import { colourStudy } from '../../../core/colourClasses/colourStudy';
import { devicesOf } from '../../../core/devices/ofRobot';
import { heldOrTrials } from '../known';
import type { Procedure } from '../procedure';
import { notAside, openedList } from '../trials/openedList';
import { foundInList } from '../waiting';
import { newColourTrials } from './newTrials';

export const colours: Procedure = {
  id: 'colours',
  title: 'Colours',
  group: 'light and colour',
  goodFor: 'which colours the sensor tells apart, by which numbers, and how often it is mistaken',
  minutes: 6,
  gives: ['colour-classes'],
  known: (facts) => heldOrTrials(facts, 'colour-classes', 'colours', 'reading'),
  found: (facts) =>
    foundInList(facts, 'colours', ({ trials, conditions }) => {
      const used = notAside(trials);
      const study = colourStudy(used, conditions);
      const [sensor] = devicesOf(facts.robot.robot, 'colour sensor');
      const isUsable = study !== null && sensor !== undefined;
      return { value: isUsable ? calibrationFromColours(study) : null, raw: used };
    }),
  props: (facts) => openedList(facts, 'colours', newColourTrials),
};
