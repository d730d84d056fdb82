import { describe, expect, it } from 'vitest';
import { homeSentences, stalledAfterS } from '../../src/core/attachments/goingHome';
import { attachmentMoves, type AttachmentMove } from '../../src/core/attachments/moves';
import { movesStudy, type ToldOfArm } from '../../src/core/attachments/movesStudy';
import { isAtRollOver, passesRollOver } from '../../src/core/attachments/rollOver';
import { withinWindow } from '../../src/core/attachments/withinWindow';
import { calibrationFromMoves } from '../../src/core/calibration/kinds/attachment/fromStudy';
import { draws, least } from '../support/draws';
import { otherNoise, type OtherNoise } from '../support/otherNoise';
import { deg } from './support';

/** What is true of an arm that is made up here. */
const TRUE = { offset: deg(1), play: deg(4), lateS: 0.03, load: deg(3), sd: deg(0.8) };

function moved({ normal }: OtherNoise, i: number): AttachmentMove {
  const came = i % 2 === 0 ? 'up' : 'down';
  const side = came === 'up' ? 1 : -1;
  const speedRadPerS = deg(i % 3 === 0 ? 90 : 300);
  const load = i % 5 < 2 ? 'loaded' : 'empty';
  const wantedRad = i % 4 === 0 ? deg(90) : deg(40);
  const off =
    TRUE.offset +
    (side * TRUE.play) / 2 +
    side * (TRUE.lateS * speedRadPerS + (load === 'loaded' ? TRUE.load : 0)) +
    TRUE.sd * normal();
  const reachedRad = Math.round((wantedRad + off) / deg(1)) * deg(1);
  const position = i % 4 === 0 ? 'up' : 'grip';
  const endedBy = 'counter';
  return { position, wantedRad, reachedRad, endedBy, came, speedRadPerS, load, timeS: 0.5 };
}

const ARM: ToldOfArm = {
  armM: 0.1,
  windowM: null,
  counter: 'none',
  homesBy: 'stop',
  rangeRad: null,
};

const moves = (n: number, noise: OtherNoise) =>
  Array.from({ length: n }, (_, i) => moved(noise, i));
const plain = (reached: number[], part: Partial<AttachmentMove> = {}): AttachmentMove[] =>
  reached.map((one) => ({
    position: 'up',
    wantedRad: deg(90),
    reachedRad: deg(one),
    endedBy: 'counter',
    came: 'up',
    speedRadPerS: deg(90),
    load: 'empty',
    timeS: null,
    ...part,
  }));

describe('moves of an attachment', () => {
  it('play, lateness and load are found together, their intervals holding the truth', () => {
    const N = draws(300);
    const held = { play: 0, late: 0, load: 0 };
    const truth = { play: TRUE.play, late: TRUE.lateS, load: TRUE.load };
    for (let i = 0; i < N; i += 1) {
      const found = attachmentMoves(moves(30, otherNoise(50 + i)));
      for (const key of ['play', 'late', 'load'] as const) {
        const { low95 = NaN, high95 = NaN } = found[key] ?? {};
        if (truth[key] >= low95 && truth[key] <= high95) held[key] += 1;
      }
    }
    for (const share of Object.values(held)) expect(share / N).toBeGreaterThan(least(0.93, N));
  });

  it('what was tried in one way alone says nothing of the others', () => {
    const found = attachmentMoves(plain([90, 91, 90, 92, 91]));
    expect(found).toMatchObject({ play: null, late: null, load: null, time: null });
    expect(found.positions[0]?.offset.value).toBeCloseTo(deg(0.8), 9);
    expect(found.positions[0]?.scatter.sd).toBeGreaterThan(0);
  });

  it('angles that all agree may scatter by what their step hides', () => {
    const [position] = attachmentMoves(plain([90, 90, 90])).positions;
    expect(position?.scatter.high95).toBeGreaterThan(deg(0.4));
    expect(position?.offset.low95).toBeLessThan(0);
  });

  it('says what to do next: five moves, the other side, then always from the same', () => {
    const next = (all: AttachmentMove[]) => movesStudy(all, ARM)?.sentences.next;
    expect(next(plain([90, 91]))).toMatch(/^5 moves to each position tell: 2 to “up”/);
    const five = plain([90, 91, 90, 92, 91]);
    expect(next(five)).toMatch(/from the other side/);
    expect(next([...five, ...plain([85, 84, 85, 86, 85], { came: 'down' })])).toMatch(
      /always come from the same side/,
    );
    // An arm of 10 cm whose angle scatters by 0.8° moves its tip by 1.5 mm.
    expect(movesStudy(five, ARM)?.sentences.found).toMatch(/at its tip ± 1\.\d mm/);
  });

  it('becomes positions to be computed with once one was reached twice', () => {
    expect(calibrationFromMoves(attachmentMoves(plain([90])), ARM)).toBeNull();
    const value = calibrationFromMoves(attachmentMoves(plain([90, 91, 92], { timeS: 0.5 })), ARM);
    expect(value).toMatchObject({ kind: 'attachment', moveS: 0.5, playRad: null });
    expect(value?.positions[0]).toMatchObject({ name: 'up', n: 3 });
  });

  it('by time a position is one of its own, with a scatter of its own', () => {
    const both = [
      ...plain([90, 91, 90, 91, 90]),
      ...plain([80, 99, 85, 103, 91], { endedBy: 'time' }),
    ];
    const { positions } = attachmentMoves(both);
    expect(positions.map(({ endedBy, n }) => [endedBy, n])).toEqual([
      ['counter', 5],
      ['time', 5],
    ]);
    expect(positions[1]?.scatter.sd).toBeGreaterThan(5 * (positions[0]?.scatter.sd ?? 0));
    const timed = attachmentMoves([
      ...plain([90, 91], { timeS: 0.4 }),
      ...plain([88, 93], { endedBy: 'time', timeS: 0.6 }),
    ]);
    expect(timed.positions.map(({ time }) => time?.meanS)).toEqual([0.4, 0.6]);
    expect(movesStudy(both, ARM)?.sentences.found).toContain('“up” by time scatter');
  });
});

describe('what an arm’s scatter does to its mission', () => {
  it('the interval of the chance holds the truth', () => {
    const N = draws(400);
    const [sd, offset, window] = [1, 0.5, 2];
    const truth = 0.9332 - 0.0062; // Φ(1.5) − Φ(−2.5)
    let held = 0;
    for (let i = 0; i < N; i += 1) {
      const { normal } = otherNoise(900 + i);
      const seen = Array.from({ length: 6 }, () => offset + sd * normal());
      const mean = seen.reduce((sum, one) => sum + one, 0) / 6;
      const spread = Math.sqrt(seen.reduce((sum, one) => sum + (one - mean) ** 2, 0) / 5);
      const { low95, high95 } = withinWindow({ offset: mean, sd: spread, n: 6 }, window);
      if (truth >= low95 && truth <= high95) held += 1;
    }
    expect(held / N).toBeGreaterThan(least(0.95, N));
  });

  it('is said where the mission’s need is known, and grows with the window', () => {
    const five = plain([90, 91, 90, 92, 91]);
    expect(movesStudy(five, ARM)?.sentences.means).not.toContain('Its tip');
    const means = movesStudy(five, { ...ARM, windowM: 0.002 })?.sentences.means;
    expect(means).toMatch(
      /^Its tip comes within ± 2 mm of “up” in \d+ % \(\d+ to \d+ %\) of moves/,
    );
    const of = { offset: 0, sd: 1, n: 10 };
    expect(withinWindow(of, 1).value).toBeLessThan(withinWindow(of, 2).value);
    expect(withinWindow({ ...of, n: 1 }, 2)).toMatchObject({ low95: 0, high95: 1 });
  });
});

describe('counters and homes', () => {
  it('a position near the jump of its counter is named, and a move over it is seen', () => {
    expect(isAtRollOver(deg(179), deg(2), 'half')).toBe(true);
    expect(isAtRollOver(deg(-181), deg(2), 'half')).toBe(true);
    expect(isAtRollOver(deg(170), deg(2), 'half')).toBe(false);
    expect(isAtRollOver(deg(359), deg(2), 'whole')).toBe(true);
    expect(isAtRollOver(deg(180), deg(2), 'whole')).toBe(false);
    expect(isAtRollOver(deg(180), deg(2), 'none')).toBe(false);
    expect(passesRollOver(deg(150), deg(200), 'half')).toBe(true);
    expect(passesRollOver(deg(150), deg(170), 'half')).toBe(false);
    expect(passesRollOver(deg(-10), deg(10), 'whole')).toBe(true);
    const near = plain([179, 178, 180, 179, 181], { wantedRad: deg(179) });
    expect(movesStudy(near, { ...ARM, counter: 'half' })?.sentences.next).toMatch(
      /^“up” lies where its counter jumps/,
    );
    const over = [
      ...plain([10, 10, 11]),
      ...plain([-10, -9, -10], { position: 'down', wantedRad: deg(-10) }),
    ];
    expect(movesStudy(over, { ...ARM, counter: 'whole' })?.sentences.next).toMatch(
      /^Between “up” and “down” its counter jumps/,
    );
    expect(movesStudy(near, ARM)?.sentences.next).not.toContain('jumps');
  });

  it('a moving counter never stands still for as long as a stop is told by', () => {
    // A motor that counts degrees, at 20 degrees a second, seen every 10 ms: it changes every 50 ms.
    const after = stalledAfterS(deg(20), deg(1), 0.01);
    let [longest, changedAt, seen] = [0, 0, -1];
    for (let k = 0; k < 1000; k += 1) {
      const count = Math.floor(20 * 0.01 * k);
      if (count !== seen) [seen, changedAt] = [count, 0.01 * k];
      longest = Math.max(longest, 0.01 * k - changedAt);
    }
    expect(after).toBeGreaterThan(2 * longest);
  });

  it('says a time-out from range and speed, low power, and what no home means', () => {
    const seen = { stepRad: deg(1), loopPeriodS: 0.01 };
    const told = { by: 'stop', power: 0.5, rangeRad: deg(180), speedRadPerS: deg(90) } as const;
    const [power, timeOut, stall] = homeSentences(told, seen);
    expect(power).toContain('50 % of power presses hard on its stop');
    expect(timeOut).toContain('after 4.0 s at the latest');
    expect(stall).toContain('has not changed for');
    expect(homeSentences({ ...told, by: 'nothing' }, seen)[0]).toContain('wherever it stands');
    expect(homeSentences({ ...told, by: 'switch', power: null, rangeRad: null }, seen)).toEqual([]);
  });
});
