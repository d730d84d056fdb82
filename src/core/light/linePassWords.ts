import type { Direction } from './linePasses';

/** By what a line is told from the floor. */
export const SEEN_BY = {
  brightness: 'its brightness',
  colour: 'its colour',
  ambient: 'the light of the room',
} as const;
export type SeenBy = keyof typeof SEEN_BY;

/** "forwards onto the line". */
export const directionText = ({ drives, on }: Direction): string =>
  `${drives} ${on === 'entering' ? 'onto' : 'off'} the line`;
