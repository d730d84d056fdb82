import { describe, expect, it } from 'vitest';
import { randomStream } from '../../src/core/stats/random';
import { misfits, misfitText } from '../../src/core/turns/misfits';
import { studyTurns } from '../../src/core/turns/turnStudy';
import { deg } from './support';

describe('odd trials', () => {
  const trial = (targetDeg: number, actualDeg: number) => ({
    targetRad: deg(targetDeg),
    actualRad: deg(actualDeg),
    rateRadPerS: deg(90),
    kind: 'spin' as const,
  });

  it('are those far from the others told the same, whichever way the robot turned', () => {
    const left = [93, 93.5, 140, 92.8, 93.1].map((angle) => trial(90, angle));
    const right = [-93, -92.5, -93.4, -71, -93].map((angle) => trial(-90, angle));
    const odd = misfits([...left, ...right], 0);
    expect(odd.map(({ index }) => index)).toEqual([2, 8]);
    expect(odd[0]?.furtherRad).toBeCloseTo(deg(46.9), 9);
    expect(odd[1]?.furtherRad).toBeCloseTo(deg(-22), 9);
  });

  it('are none among few, among other angles, or where all scatter', () => {
    expect(
      misfits(
        [93, 93, 140].map((angle) => trial(90, angle)),
        0,
      ),
    ).toEqual([]);
    const angles = [45, 45, 45, 45, 180, 180, 180, 180];
    expect(
      misfits(
        angles.map((angle) => trial(angle, 1.05 * angle + 1)),
        0,
      ),
    ).toEqual([]);
    expect(
      misfits(
        [80, 86, 90, 97, 104].map((angle) => trial(90, angle)),
        0,
      ),
    ).toEqual([]);
  });

  it('are hardly ever found in turns that merely scatter', () => {
    const random = randomStream(5, 0, 'odd');
    let found = 0;
    for (let series = 0; series < 300; series += 1) {
      const turns = Array.from({ length: 8 }, () => trial(90, 94 + 0.6 * random.normal()));
      found += misfits(turns, 0).length;
    }
    expect(found).toBeLessThan(3);
  });

  it('are a turn the other way, none at all, or one told another angle', () => {
    const sound = [94, 93.5, 94.5, 94].map((angle) => trial(90, angle));
    const slips = [trial(180, 95), trial(90, -93), trial(90, 2), trial(90, 188)];
    const expected = [
      ['other target', /180° was told and 95° measured: was it 90°\?/],
      ['other way', /other way/],
      ['hardly turned', /hardly turned/],
      ['other target', /was it 180°\?/],
    ] as const;
    for (const [i, [reason, question]] of expected.entries()) {
      const slip = slips[i] ?? trial(0, 0);
      const [found, ...more] = misfits([...sound, trial(180, 184), slip], 0);
      expect(more).toEqual([]);
      expect(found).toMatchObject({ index: 5, reason, leftOut: true });
      if (found !== undefined) expect(misfitText(slip, found)).toMatch(question);
    }
  });

  it('never turn the verdict: it stays that of the sound ones, and what would change is said', () => {
    const sound = [94, 93.5, 94.5, 94, 184, 183.5, 184.5, 184].map((angle, i) =>
      trial(i < 4 ? 90 : 180, angle),
    );
    const wanted = [deg(90), deg(180)];
    const without = studyTurns(sound, 0, wanted, deg(0.5));
    const slipped = studyTurns([...sound, trial(180, 95)], 0, wanted, deg(0.5));
    expect(slipped.sentences).toEqual(without.sentences);
    expect(slipped.sentences.found).toMatch(/every turn goes 4° too far/);
    expect(slipped.questions).toHaveLength(1);
    expect(slipped.questions[0]?.text).toMatch(/was it 90°\? .*the command would change: for 90°/);
  });

  it('of a few alike ones nothing is known better than it can be read', () => {
    const study = studyTurns(
      [94, 94, 94].map((angle) => trial(90, angle)),
      0,
      [deg(90)],
      deg(0.5),
    );
    expect(study.sentences.means).toContain('scatters by less than can be read (± 0.5°)');
    const [command] = study.model.commands;
    // Three readings of one whole or half degree: what rounding hides, and what they could scatter unseen.
    expect(command?.low95Rad).toBeLessThan(deg(89.4));
    expect(command?.high95Rad).toBeGreaterThan(deg(90.6));
    expect(command?.high95Rad).toBeLessThan(deg(93));
  });
});
