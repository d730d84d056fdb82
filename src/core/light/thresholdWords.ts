import { fromText, upToText } from '../text/rawReadings';

interface Line {
  lineIs: 'darker' | 'lighter';
  step: number;
}

/** By which readings it is the line. */
export const lineText = ({ lineIs, step }: Line, threshold: number): string =>
  (lineIs === 'darker' ? upToText : fromText)(threshold, step);

/** By which readings it is the floor again. */
export const floorText = ({ lineIs, step }: Line, threshold: number): string =>
  (lineIs === 'darker' ? fromText : upToText)(threshold, step);
