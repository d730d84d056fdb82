import type { ShownForm } from '../../../core/colourClasses/colourTrials';

/** What may be said of the scale that a form of readings is in. */
export const SCALES_OF: Record<ShownForm, readonly ('full' | 'fullHue' | 'fullShare')[]> = {
  rgb: ['full'],
  hsv: ['fullHue', 'fullShare'],
  hue: ['fullHue'],
  class: [],
};
