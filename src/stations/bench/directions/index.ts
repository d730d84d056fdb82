import type { RawSigns } from '../../../core/robot/robot';
import type { Procedure } from '../procedure';

const waysOf = ({ heading, leftMotor, rightMotor }: RawSigns): string => {
  const turned = [leftMotor < 0 && 'the left', rightMotor < 0 && 'the right'].filter(Boolean);
  const motors =
    turned.length === 0
      ? 'both motors count up when it rolls forward'
      : `${turned.join(' and ')} motor count${turned.length === 1 ? 's' : ''} down when it rolls forward`;
  return `The record says: the heading grows to the ${heading > 0 ? 'left' : 'right'}, ${motors}.`;
};

export const directions: Procedure = {
  id: 'directions',
  title: 'Directions',
  group: 'as it is built',
  goodFor: 'which way each reading grows: all else rests on it',
  minutes: 2,
  gives: [],
  known: ({ robot }) => Promise.resolve({ sentence: waysOf(robot.robot.signs), freshness: null }),
  props: () => Promise.resolve({}),
};
