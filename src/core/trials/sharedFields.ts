import { number, type NumberValue } from '../description/description';

/** How far a robot's heading was off something before it was squared on it, and after. */
export const offBefore = (what: string): NumberValue => off(what, 'before');
export const offAfter = (what: string): NumberValue => off(what, 'after');

const off = (what: string, when: 'before' | 'after'): NumberValue =>
  number({
    label: `Off the ${what} ${when}`,
    heading: when === 'before' ? 'Before' : 'After',
    title: `${when}_deg`,
    quantity: 'heading',
    min: -1.6,
    max: 1.6,
    beyond: 'are these degrees? radians are expected',
  });

/** A share of full power that a motor was given. */
export const powerShare = (of: { label: string; hint?: string }): NumberValue =>
  number({
    ...of,
    title: 'power_percent',
    quantity: 'share',
    min: 0,
    max: 1,
    open: 'below',
    wanted: 'expected a power, not 0',
    beyond: 'are these percent? a share of full power is expected',
  });
