import { describe, expect, it } from 'vitest';
import { randomStream } from '../../src/core/stats/random';
import { whereItStood, type PlacedTurn } from '../../src/core/turns/whereItStood';
import { deg } from './support';

interface Truth {
  /** The heading sensor errs so much around the circle. */
  aroundRad?: number;
  /** At the window turns end so much further left. */
  atWindowRad?: number;
  /** Every turn goes so much too far, whatever it was told and wherever. */
  lateRad?: number;
  seed?: number;
}

/** Quarter turns to both sides from four directions, at two places, twice each. */
function turns({
  aroundRad = 0,
  atWindowRad = 0,
  lateRad = deg(4),
  seed = 1,
}: Truth): PlacedTurn[] {
  const random = randomStream(seed, 0, 'turns');
  const reads = (heading: number) => heading + aroundRad * Math.sin(heading - deg(30));
  return [1, -1].flatMap((side) =>
    [0, 90, 180, 270].flatMap((faced) =>
      ['table', 'window'].map((place): PlacedTurn => {
        const [facedRad, targetRad] = [deg(faced), side * deg(90)];
        let truly = targetRad;
        // It stops when its reading has changed by the target.
        for (let i = 0; i < 50; i += 1) {
          truly += targetRad - (reads(facedRad + truly) - reads(facedRad));
        }
        const more = side * lateRad + (place === 'window' ? atWindowRad : 0);
        return {
          targetRad,
          actualRad: truly + more + deg(0.5) * random.normal(),
          rateRadPerS: 1.5,
          kind: 'spin',
          facedRad,
          place,
        };
      }),
    ),
  );
}

describe('whether it matters where a turn is made', () => {
  it('finds how far a sensor errs around the circle, beside a turn that stops late', () => {
    const found = whereItStood(turns({ aroundRad: deg(3) }), 0);
    expect(found.isShown).toBe(true);
    expect(found.aroundRad).toBeGreaterThan(deg(2.4));
    expect(found.aroundRad).toBeLessThan(deg(3.6));
    expect(found.sentences[0]).toMatch(/errs by (2\.[4-9]|3\.[0-6])° to either side/);
  });

  it('does not take scatter for it: five in a hundred at most, as the test promises', () => {
    const shown = Array.from(
      { length: 400 },
      (_, seed) => whereItStood(turns({ seed }), 0).isShown,
    );
    const share = shown.filter(Boolean).length / shown.length;
    expect(share).toBeGreaterThan(0.02);
    expect(share).toBeLessThan(0.085);
  });

  it('tells a place at which turns end elsewhere, and to which side', () => {
    const { sentences } = whereItStood(turns({ atWindowRad: deg(-3), aroundRad: deg(4) }), 0);
    expect(sentences[1]).toMatch(
      /at “window” turns end (2\.\d|3\.\d)° further right than at “table”/,
    );
    expect(whereItStood(turns({}), 0).sentences[1]).toMatch(/^Where it stood makes no difference/);
  });

  it('says nothing of what nobody noted, and what would tell where there is too little', () => {
    const unnoted = turns({}).map((turn) => ({ ...turn, facedRad: null, place: '' }));
    expect(whereItStood(unnoted, 0)).toEqual({ aroundRad: null, isShown: false, sentences: [] });
    const [one] = turns({});
    if (one === undefined) throw new Error('no turn');
    expect(whereItStood([one], 0).sentences).toEqual([
      'Whether it matters which way it faces, 1 turn cannot tell. Turn from four directions, a quarter apart, twice each: that tells.',
    ]);
  });
});
