import { describe, expect, it } from 'vitest';
import {
  faultIsolation,
  isSeenEnough,
  looksInARow,
  type FaultLook,
} from '../../src/core/faultIsolation/faultIsolation';
import { LINK_NAMES, type Link } from '../../src/core/faultIsolation/links';
import { draws, least } from '../support/draws';
import { otherNoise, type OtherNoise } from '../support/otherNoise';

const MOST_LOOKS = 400;

/** A coach who does what is asked for until a part is named. */
function followed({ uniform }: OtherNoise, guilty: Link, share: number) {
  const looks: FaultLook[] = [];
  for (let i = 0; i < MOST_LOOKS; i += 1) {
    const found = faultIsolation(looks);
    if (found.guilty !== null) return { named: found.guilty, looks: looks.length };
    const asItWas = !isSeenEnough(found.asItWas);
    const exchanged = asItWas ? null : (found.next?.link ?? null);
    if (!asItWas && exchanged === null) break;
    looks.push({ exchanged, showed: exchanged !== guilty && uniform() < share });
  }
  return { named: null, looks: looks.length };
}

describe('the guilty part', () => {
  it.each([1, 0.5, 0.2])('is named, and rightly, with a fault in %d of the looks', (share) => {
    const noise = otherNoise(share * 100);
    const each = draws(200);
    const ends = LINK_NAMES.flatMap((guilty) =>
      Array.from({ length: each }, () => ({ guilty, ...followed(noise, guilty, share) })),
    );
    const named = ends.filter((one) => one.named !== null);
    const right = named.filter((one) => one.named === one.guilty);
    expect(named.length / ends.length).toBeGreaterThan(least(0.9, ends.length));
    expect(right.length / named.length).toBeGreaterThan(least(0.95, named.length));
  });

  it('one time in five: fourteen looks in a row mean something', () => {
    expect(looksInARow(0.2)).toBe(14);
    expect(looksInARow(0.5)).toBe(5);
    expect(looksInARow(1)).toBe(1);
  });

  it('a fault that shows with a part exchanged clears it at once', () => {
    const was = { exchanged: null, showed: true };
    const found = faultIsolation([was, was, was, { exchanged: 'cable', showed: true }]);
    expect(found.links[0]).toMatchObject({ link: 'cable', isCleared: true, probability: 0 });
    expect(found.next?.link).toBe('sensor');
  });

  it('no part is named before the fault was seen, nor exchanged before it was seen twice', () => {
    const good: FaultLook = { exchanged: null, showed: false };
    expect(faultIsolation(Array.from({ length: 30 }, () => good))).toMatchObject({
      guilty: null,
      next: null,
    });
    expect(isSeenEnough({ looks: 20, faults: 1 })).toBe(false);
  });

  it('when the fault shows with each part exchanged, it lies elsewhere', () => {
    const was = { exchanged: null, showed: true };
    const all = LINK_NAMES.map((exchanged) => ({ exchanged, showed: true }));
    const found = faultIsolation([was, was, was, ...all]);
    expect(found.guilty).toBeNull();
    expect(found.elsewhere).toBe(1);
    expect(found.next).toBeNull();
  });
});
