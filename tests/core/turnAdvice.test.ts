import { describe, expect, it } from 'vitest';
import { withTurnCalibration } from '../../src/core/calibration/applyTurns';
import { leadFor } from '../../src/core/calibrationValues/turnStop';
import { judgeConfirmation } from '../../src/core/calibration/confirm';
import { calibrationFromTurns } from '../../src/core/calibration/kinds/turns/fromStudy';
import { turnModel } from '../../src/core/turns/turnModel';
import { studyTurns } from '../../src/core/turns/turnStudy';
import { bareTable, deg, idealRobot, routeOf } from './support';
import { BOTH_WAYS, trialsOf } from './turnTrials';

describe('advice and applying', () => {
  it('asks for trials where they tell most, and stops when they no longer do', () => {
    const few = studyTurns(
      trialsOf([90, 90], [90], { c: () => 4, sd: 0.5 }),
      0,
      [deg(90), deg(-90)],
      deg(0.1),
    );
    expect(few.advice.next).not.toBeNull();
    const many = studyTurns(
      trialsOf(Array<number[]>(4).fill(BOTH_WAYS).flat(), [90], { c: () => 4, sd: 1 }),
      0,
      [deg(90)],
      deg(0.1),
    );
    expect(many.advice.next).toBeNull();
    expect(many.advice.sentence).toMatch(/robot’s own scatter/);
    expect(many.sentences.next).toMatch(/^For 90° to the left at 90°\/s, stop at 8[56]/);
  });

  it('changes the commands of a route and nothing else', () => {
    const c = (rate: number) => 0.05 * rate;
    const study = turnModel(trialsOf(BOTH_WAYS, [60, 120], { c, sd: 0.01 }), 0, []);
    const turns = calibrationFromTurns(study);
    expect(leadFor(turns, deg(90), deg(60))).toBeCloseTo(deg(3), 3);
    // A rate that was not tried: by the physics.
    expect(leadFor(turns, deg(90), deg(90))).toBeCloseTo(deg(4.5), 2);
    const route = routeOf([
      { kind: 'straight', distanceM: 0.3 },
      { kind: 'turn', mode: 'by', angleRad: deg(-90), rateRadPerS: deg(60), leadRad: 0 },
    ]);
    const { route: changed, changes } = withTurnCalibration(
      route,
      idealRobot,
      bareTable,
      turns,
      'X',
    );
    expect(changes).toHaveLength(1);
    expect(changes[0]?.newCommandRad).toBeCloseTo(deg(-87), 2);
    expect(changed.steps[0]).toEqual(route.steps[0]);
    expect(changed.turnCalibrationId).toBe('X');
    expect(withTurnCalibration(changed, idealRobot, bareTable, turns, 'X').changes).toEqual([]);
    expect(
      judgeConfirmation(turns, deg(60), [{ wantedRad: deg(90), actualRad: deg(99) }]).sentence,
    ).toMatch(/changed/);
  });
});
