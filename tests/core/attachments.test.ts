import { describe, expect, it } from 'vitest';
import { attachmentMoves, type AttachmentMove } from '../../src/core/attachments/moves';
import { movesStudy } from '../../src/core/attachments/movesStudy';
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
  return { position, wantedRad, reachedRad, came, speedRadPerS, load, timeS: 0.5 };
}

const moves = (n: number, noise: OtherNoise) =>
  Array.from({ length: n }, (_, i) => moved(noise, i));
const plain = (reached: number[], part: Partial<AttachmentMove> = {}): AttachmentMove[] =>
  reached.map((one) => ({
    position: 'up',
    wantedRad: deg(90),
    reachedRad: deg(one),
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
    const next = (all: AttachmentMove[]) => movesStudy(all, 0.1)?.sentences.next;
    expect(next(plain([90, 91]))).toMatch(/^5 moves to each position tell: 2 to “up”/);
    const five = plain([90, 91, 90, 92, 91]);
    expect(next(five)).toMatch(/from the other side/);
    expect(next([...five, ...plain([85, 84, 85, 86, 85], { came: 'down' })])).toMatch(
      /always come from the same side/,
    );
    // An arm of 10 cm whose angle scatters by 0.8° moves its tip by 1.5 mm.
    expect(movesStudy(five, 0.1)?.sentences.found).toMatch(/at its tip ± 1\.\d mm/);
  });

  it('becomes positions to be computed with once one was reached twice', () => {
    expect(calibrationFromMoves(attachmentMoves(plain([90])), 0)).toBeNull();
    const value = calibrationFromMoves(attachmentMoves(plain([90, 91, 92], { timeS: 0.5 })), 0.1);
    expect(value).toMatchObject({ kind: 'attachment', moveS: 0.5, playRad: null });
    expect(value?.positions[0]).toMatchObject({ name: 'up', n: 3 });
  });
});
