import { oneIn } from '../../../text/oneIn';
import type { CalibrationKindOf } from '../../kind';
import type { ColourClassesCalibration } from '../../../calibrationValues/colourClasses';

type Counts = [number, number, number];

const shares = ([red, green, blue]: Counts, of: number) => ({
  red: red / of,
  green: green / of,
  blue: blue / of,
});

export const colourClasses: CalibrationKindOf<ColourClassesCalibration> = {
  kind: 'colour-classes',
  name: 'colours',
  unit: 'colour sensor',
  measuredBy: { procedure: 'colours', words: 'Read the colours' },
  restsOn: ['light sensor'],
  describe: ({ rules, errorHigh95 }) =>
    `${rules.map(({ name }) => name).join(', ')} told apart, at most ${oneIn(errorHigh95, 'reading')} mistaken`,
  fit(robot, { unitId = null, rules, references, countsTo }) {
    const classes = rules.flatMap(({ name, boxes }) => (boxes === null ? [] : [{ name, boxes }]));
    // Of what an earlier Corvat kept there are sentences alone.
    if (classes.length === 0 || (references !== null && countsTo === null)) return robot;
    const over = references && {
      white: shares(references.white, countsTo ?? 1),
      black: shares(references.black, countsTo ?? 1),
    };
    const { measured } = robot;
    const others = measured.colours.filter((one) => one.unitId !== unitId);
    return {
      ...robot,
      measured: { ...measured, colours: [...others, { unitId, references: over, classes }] },
    };
  },
};
