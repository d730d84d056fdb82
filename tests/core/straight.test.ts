import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fittedRobot } from '../../src/core/calibration/fittedRobot';
import { speedTable } from '../../src/core/drive/speedTable';
import { judgeDrives } from '../../src/core/drive/confirmDrive';
import { sidewaysModel } from '../../src/core/drive/sidewaysModel';
import { straightGroups, type KeptBy } from '../../src/core/drive/straightGroups';
import { straightModel } from '../../src/core/drive/straightModel';
import { driveCommandFor, straightStudy } from '../../src/core/drive/straightStudy';
import { pipit } from '../../src/server/demo/scenario';
import { number, rowsOf, trueOf, within } from '../support/rows';

describe('straight drives', () => {
  const trials = rowsOf('straight-trials.csv').map((row) => ({
    commandedM: number(row, 'commanded_mm') / 1000,
    actualM: number(row, 'actual_mm') / 1000,
    sidewaysM: number(row, 'sideways_mm') / 1000,
    speedMPerS: number(row, 'speed_mm_per_s') / 1000,
  }));

  it('as recorded give wheel size and coast within their intervals', () => {
    const found = straightModel(trials);
    if (found === null) throw new Error('nothing found');
    const { scaleFactor, coastM } = found;
    within(scaleFactor.low95, trueOf('straight-trials.csv', 'scale'), scaleFactor.high95);
    within(coastM.low95, trueOf('straight-trials.csv', 'coast_m'), coastM.high95);
    expect(found.sideways?.areApart).toBe(true);
  });

  it('without scatter give exactly what was put in, and start heading and pull apart', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.9, max: 1.1, noNaN: true }),
        fc.double({ min: -0.01, max: 0.01, noNaN: true }),
        fc.double({ min: -0.03, max: 0.03, noNaN: true }),
        fc.double({ min: -0.03, max: 0.03, noNaN: true }),
        (scale, coast, heading, trim) => {
          const made = [0.3, 0.6, 1, 1.5].map((commandedM) => {
            const s = scale * commandedM + coast;
            return {
              commandedM,
              actualM: s,
              sidewaysM: heading * s + (trim * s * s) / 2,
              speedMPerS: 0.3,
            };
          });
          const found = straightModel(made);
          expect(found?.scaleFactor.value).toBeCloseTo(scale, 9);
          expect(found?.coastM.value).toBeCloseTo(coast, 9);
          expect(found?.sideways?.startHeadingErrorRad.value).toBeCloseTo(heading, 8);
          expect(found?.sideways?.trimRadPerM.value).toBeCloseTo(trim, 8);
        },
      ),
    );
  });

  it('of one distance tell no coast from a scale, and no pull from a start heading', () => {
    const found = straightModel(
      [0.98, 0.99].map((actualM) => ({ commandedM: 1, actualM, sidewaysM: 0.01, speedMPerS: 0.3 })),
    );
    expect(found).toMatchObject({ areApart: false, coastM: { value: 0 } });
    expect(found?.sideways).toMatchObject({ areApart: false, trimRadPerM: { value: 0 } });
    expect(found?.scaleFactor.value).toBeCloseTo(0.985, 9);
    expect(straightModel(trials.slice(0, 1))).toBeNull();
  });

  it('of one distance tell pull from start heading by how far the robot turned', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -0.03, max: 0.03, noNaN: true }),
        fc.double({ min: -0.03, max: 0.03, noNaN: true }),
        (heading, trim) => {
          const found = sidewaysModel(
            [0.99, 1, 1.01, 1, 0.98].map((actualM) => ({
              actualM,
              sidewaysM: heading * actualM + (trim * actualM ** 2) / 2,
              headingChangeRad: trim * actualM,
            })),
          );
          expect(found?.areApart).toBe(true);
          expect(found?.startHeadingErrorRad.value).toBeCloseTo(heading, 9);
          expect(found?.trimRadPerM.value).toBeCloseTo(trim, 9);
        },
      ),
    );
    // A protractor that is read badly counts for little beside offsets that agree.
    const [left = NaN, right = NaN] = [0.5, 1].map((actualM) => 0.01 * actualM);
    const odd = [3, -4, 2, -1, 4, -4].map((offDeg, i) => ({
      actualM: i < 3 ? 0.5 : 1,
      sidewaysM: i < 3 ? left : right,
      headingChangeRad: (offDeg * Math.PI) / 180,
    }));
    expect(sidewaysModel(odd)?.startHeadingErrorRad.value).toBeCloseTo(0.01, 3);
  });

  it('forward, backward and kept straight otherwise are judged by themselves', () => {
    const drive = (commandedM: number, share: number, keptBy: KeptBy) => ({
      commandedM,
      actualM: share * commandedM,
      sidewaysM: null,
      speedMPerS: 0.3,
      keptBy,
    });
    const groups = straightGroups([
      ...[0.5, 1, 1.5].map((told) => drive(told, 0.98, 'heading')),
      ...[-0.5, -1, -1.5].map((told) => drive(told, 0.96, 'heading')),
      drive(1, 0.97, 'nothing'),
    ]);
    expect(groups.map(({ name, model }) => [name, model?.scaleFactor.value])).toEqual([
      ['forward, by the heading sensor', expect.closeTo(0.98, 9)],
      ['backward, by the heading sensor', expect.closeTo(0.96, 9)],
      ['forward, by nothing', undefined],
    ]);
    const [forward, backward] = groups.map(({ trials: own }) => straightStudy(own));
    expect(forward?.value?.scaleFactor).toBeCloseTo(0.98, 9);
    expect(backward?.sentences.found).toMatch(/^Backward it drives 4\.00 % less than told/);
    expect(backward?.value).toBeNull();
  });

  it('with the new wheel size come right within their scatter, or say that something changed', () => {
    const value = straightStudy(trials)?.value;
    if (value == null) throw new Error('nothing to apply');
    expect(judgeDrives(value, []).sentence).toMatch(/^Drive both distances/);
    const right = judgeDrives(value, [
      { wantedM: 0.5, actualM: 0.5 + value.residualSdM },
      { wantedM: 1, actualM: 1 - value.residualSdM },
    ]);
    expect(right).toMatchObject({ within: 2 });
    expect(right.sentence).toMatch(/^2 drives .* It holds\.$/);
    const wrong = judgeDrives(value, [{ wantedM: 1, actualM: 0.977 }]);
    expect(wrong.sentence).toMatch(/off by −23\.0 mm; 0 of 1 within .* Something has changed/);
  });
});

describe('a speed table', () => {
  const drives = rowsOf('speed-table.csv').map((row) => ({
    command: number(row, 'power_percent') / 100,
    batteryV: number(row, 'battery_V'),
    distanceM: number(row, 'distance_mm') / 1000,
    timeS: number(row, 'time_s'),
  }));

  it('as recorded gives speed per power and the dead band', () => {
    const found = speedTable(drives);
    if (found === null) throw new Error('nothing found');
    within(
      found.deadBandLow95,
      trueOf('speed-table.csv', 'dead_band_percent') / 100,
      found.deadBandHigh95,
    );
    const perPercent = trueOf('speed-table.csv', 'mm_per_s_per_percent_at_8V');
    const dead = trueOf('speed-table.csv', 'dead_band_percent');
    const at = found.at(0.5, 7.6);
    within(at.low95, ((perPercent * (50 - dead)) / 1000) * (7.6 / 8), at.high95);
    expect(at.isExtrapolated).toBe(false);
    expect(found.at(1, 8).isExtrapolated).toBe(true);
  });

  it('of one power, or of a robot that stood, is none', () => {
    expect(speedTable(drives.slice(0, 2))).toBeNull();
    expect(speedTable(drives.map((drive) => ({ ...drive, distanceM: 0 })))).toBeNull();
    expect(speedTable(drives.map((drive) => ({ ...drive, command: 0.4 })))).toBeNull();
  });
});

describe('what straight drives say', () => {
  const drive = (commandedM: number, off: number) => ({
    commandedM,
    actualM: 0.98 * commandedM + 0.004 + off,
    sidewaysM: -0.02 * (0.98 * commandedM + 0.004 + off),
    speedMPerS: 0.3,
  });
  const drives = [0.5, 0.5, 0.5, 1.5, 1.5, 1.5].map((told, i) =>
    drive(told, [0, 5e-4, -5e-4][i % 3] ?? 0),
  );

  it('is how far, where to the side, and what to do; what is told for a distance is then driven', () => {
    const study = straightStudy(drives);
    expect(study?.sentences.found).toMatch(
      /^It drives 2\.\d\d % less than told \(1\.\d\d to 2\.\d\d %\), and 4 mm on at the end\.$/,
    );
    expect(study?.sentences.means).toMatch(/sets off 1\.1° to the right/);
    if (study?.value == null) throw new Error('nothing to apply');
    for (const wantedM of [0.2, -0.4, 1]) {
      const told = driveCommandFor(wantedM, study.value);
      const driven = study.value.scaleFactor * told + Math.sign(told) * study.value.coastM;
      expect(driven).toBeCloseTo(wantedM, 9);
    }
  });

  it('asks for another distance before anything is applied from one alone', () => {
    const study = straightStudy([drive(1, 0), drive(1, 1e-3), drive(1, -1e-3)]);
    expect(study?.value).toBeNull();
    expect(study?.sentences.next).toMatch(/^Drive another distance/);
    expect(straightStudy([drive(1, 0), drive(0.4, 0)])?.sentences.next).toMatch(
      /^Drive 1 more time/,
    );
  });

  it('applied, the fitted robot’s programs drive what they are told, on a track that goes with the wheels', () => {
    const value = {
      kind: 'straight',
      scaleFactor: 0.98,
      scaleFactorSe: 0.001,
      coastM: 0,
      residualSdM: 0.002,
    } as const;
    const drive = {
      kind: 'drive',
      trackRatio: 1.01,
      leftWheelFactor: 1,
      rightWheelFactor: 1,
    } as const;
    const { robot } = fittedRobot(pipit, [value]);
    expect(robot.wheelDiameterM).toBeCloseTo(0.98 * pipit.wheelDiameterM, 12);
    expect(robot.trackM).toBe(pipit.trackM);
    // A square sees track against wheels: both known, a turn by the encoders is told as before.
    const both = fittedRobot(pipit, [drive, value]).robot;
    const square = fittedRobot(pipit, [drive]).robot;
    expect(both.trackM / both.wheelDiameterM).toBeCloseTo(
      square.trackM / square.wheelDiameterM,
      12,
    );
  });
});
