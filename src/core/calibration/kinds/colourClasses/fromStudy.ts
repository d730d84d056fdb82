import type { ColourClassesCalibration } from '../../../calibrationValues/colourClasses';
import type { ColourClasses } from '../../../colourClasses/colourClasses';

/** Colours by which a program is to go, as their readings told. */
export const calibrationFromColours = ({
  representation,
  rules,
  errorRate,
  classes,
}: ColourClasses): ColourClassesCalibration => ({
  kind: 'colour-classes',
  representation,
  rules: rules.map(({ name, sentence }) => ({ name, sentence: sentence.slice(0, 400) })),
  errorRate: errorRate.value,
  errorHigh95: errorRate.high95,
  n: classes.reduce((sum, { n }) => sum + n, 0),
});
