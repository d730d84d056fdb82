import type { Condition } from './condition';

const OTHER = { above: 'below', below: 'above' } as const;

/**
 * When a condition no longer holds, by so much that noise does not bring it back at once (hysteresis). What has changed,
 * or is still, is no side that a reading could go back to: of it nothing ever comes.
 *
 * @param hysteresis in the unit of what is read
 */
export function complement(condition: Condition, hysteresis: number): Condition {
  if ('all' in condition) return { any: condition.all.map((one) => complement(one, hysteresis)) };
  if ('any' in condition) return { all: condition.any.map((one) => complement(one, hysteresis)) };
  const { reading, is, value, confirmations } = condition;
  if (is !== 'above' && is !== 'below') {
    return { reading: 'time', is: 'below', value: -1, confirmations: 1 };
  }
  const beyond = is === 'above' ? value - hysteresis : value + hysteresis;
  return { reading, is: OTHER[is], value: beyond, confirmations };
}
