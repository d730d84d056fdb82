import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { motorDegreesFromDistance } from '../../src/core/robot/conversions';
import { directionDoubt } from '../../src/core/gyro/directionDoubt';
import type { ChannelLog } from '../../src/core/channels/log';
import { studyRunLog } from '../../src/core/gyro/runLog';
import { correctedCsv } from '../../src/formats/csv/correctedCsv';
import { deg, idealRobot } from './support';

interface Run {
  driftDegPerS?: number;
  /** What the sensor shows at the start. */
  startDeg?: number;
  signs?: { heading?: 1 | -1; left?: 1 | -1; right?: 1 | -1 };
  lengthS?: number;
}

/** Four sides and four turns to the left, with what gyro and encoders would read. */
function square({ driftDegPerS = 0, startDeg = 0, signs = {}, lengthS = 40 }: Run): ChannelLog {
  const { heading = 1, left = 1, right = 1 } = signs;
  const tS = Float64Array.from({ length: lengthS * 50 + 1 }, (_, i) => i / 50);
  const side = lengthS / 4;
  /** Each side is driven for four fifths of its time, then the robot turns by 90°. */
  const turned = (t: number) => {
    const sides = Math.floor(t / side);
    const share = Math.max(0, (t / side - sides - 0.8) / 0.2);
    return deg(90) * Math.min(4, sides + share);
  };
  const driven = (t: number) => 0.2 * (t - (turned(t) / deg(90)) * 0.2 * side);
  const motor = (rollM: number) => motorDegreesFromDistance(idealRobot, rollM);
  const half = idealRobot.trackM / 2;
  return {
    tS,
    columns: {
      headingRad: tS.map((t) => heading * (turned(t) + deg(startDeg + driftDegPerS * t))),
      leftMotorDegrees: tS.map((t) => left * motor(driven(t) - half * turned(t))),
      rightMotorDegrees: tS.map((t) => right * motor(driven(t) + half * turned(t))),
    },
  };
}

const anchors = [
  { tS: 0, headingRad: 0 },
  { tS: 40, headingRad: deg(360) },
];

describe('the study of a recorded run', () => {
  it('tells the drift and the corrected heading, whatever the sensor showed at the start', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -2, max: 2, noNaN: true }),
        fc.double({ min: -720, max: 720, noNaN: true }),
        (driftDegPerS, startDeg) => {
          const study = studyRunLog(square({ driftDegPerS, startDeg }), anchors, idealRobot);
          expect(study.correction?.pieces[0]?.driftRadPerS).toBeCloseTo(deg(driftDegPerS), 9);
          // As the first anchor tells it: from 0 to a full turn, not some turns off.
          expect(study.correction?.corrected[0]?.headingRad).toBeCloseTo(0, 9);
          expect(study.correction?.corrected.at(-1)?.headingRad).toBeCloseTo(deg(360), 9);
          expect(study.off?.readingRad.at(-1)).toBeCloseTo(deg(driftDegPerS * 40), 9);
          expect(study.off?.encoderRad?.at(-1)).toBeCloseTo(0, 6);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('with one anchor takes the drift of the still check, and says so; with none it waits', () => {
    const log = square({ driftDegPerS: 0.3 });
    const [start] = anchors;
    if (start === undefined) throw new Error('no anchor');
    const known = { driftRadPerS: deg(0.25), day: '2026-11-21' };
    const { correction, sentences } = studyRunLog(log, [start], idealRobot, known);
    expect(sentences.found).toBe(
      'With the drift of the still check of 2026-11-21, 0.25 °/s, the reading went off by 10.0° to the left until the end.',
    );
    expect(correction?.corrected.at(-1)?.headingRad).toBeCloseTo(deg(360 + 0.05 * 40), 9);
    const nothing = studyRunLog(log, [start], idealRobot);
    expect(nothing.correction).toBeNull();
    expect(nothing.sentences.next).toContain('A third in between');
    expect(studyRunLog(log, [], idealRobot, known).correction).toBeNull();
  });

  it('warns when an error may be a whole turn more or less', () => {
    // 5 °/s for 40 s: 200°, which passes for −160°.
    const study = studyRunLog(square({ driftDegPerS: 5 }), anchors, idealRobot);
    expect(study.sentences.next).toContain('a whole turn more or less: mark a moment in between');
    const between = [...anchors, { tS: 12, headingRad: deg(90) }, { tS: 24, headingRad: deg(180) }];
    const better = studyRunLog(square({ driftDegPerS: 5 }), between, idealRobot);
    for (const piece of better.correction?.pieces ?? []) {
      expect(piece.driftRadPerS).toBeCloseTo(deg(5), 9);
    }
    expect(better.sentences.next).toContain('believe it');
  });

  it('doubts a log whose directions are not those of the record, and no other', () => {
    const doubt = (signs: Run['signs']) =>
      directionDoubt(square({ driftDegPerS: 0.1, signs: signs ?? {} }), anchors, idealRobot);
    expect(doubt({})).toBeNull();
    expect(doubt({ right: -1 })).toMatch(/spun round/);
    const straight = anchors.map(({ tS }) => ({ tS, headingRad: 0 }));
    // A flipped heading of a drive that turns: the anchors want a drift that is none.
    const turnedOnce = [
      { tS: 0, headingRad: 0 },
      { tS: 12, headingRad: deg(90) },
    ];
    const flipped = square({ driftDegPerS: 0.1, signs: { heading: -1 } });
    expect(directionDoubt(flipped, turnedOnce, idealRobot)).toMatch(/other way round/);
    expect(directionDoubt(square({ driftDegPerS: 0.3 }), straight, idealRobot)).toBeNull();
  });

  it('is taken along as a file with the readings as they were and as they should have been', () => {
    const log = square({ driftDegPerS: 0.5, startDeg: 3 });
    const { correction } = studyRunLog(log, anchors, idealRobot);
    if (correction === null) throw new Error('no correction');
    const lines = correctedCsv(log.columns.headingRad ?? new Float64Array(), correction).split(
      '\n',
    );
    expect(lines.slice(0, 2)).toEqual([
      't_s,heading_deg,corrected_heading_deg',
      '0.0000,3.000,0.000',
    ]);
    expect(lines.at(-2)).toBe('40.0000,383.000,360.000');
    expect(lines.at(-1)).toBe('');
  });
});
