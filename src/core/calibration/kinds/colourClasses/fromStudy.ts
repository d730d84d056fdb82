import type { ColourClassesCalibration } from '../../../calibrationValues/colourClasses';
import type { ColourStudy } from '../../../colourClasses/colourStudy';

/** Colours by which a program is to go, as their readings told. */
export const calibrationFromColours = ({
  found: { representation, rules, errorRate, classes },
  references,
}: Pick<ColourStudy, 'found' | 'references'>): ColourClassesCalibration => ({
  kind: 'colour-classes',
  representation,
  rules: rules.map(({ name, sentence }) => ({ name, sentence: sentence.slice(0, 400) })),
  references,
  errorRate: errorRate.value,
  errorHigh95: errorRate.high95,
  n: classes.reduce((sum, { n }) => sum + n, 0),
});
