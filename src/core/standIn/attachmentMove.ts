import { degreesFromRadians, radiansFromDegrees } from '../geometry/angle';
import { drawsOf, randomStream, type RandomStream } from '../stats/random';

/** What is hidden about an arm of a stand-in. */
export interface ArmTruth {
  /** So much further up it stands when it came up than when it came down. */
  playRad: number;
  /** It stops so late. */
  lateS: number;
  /** By so much single moves scatter. */
  scatterRad: number;
  /** How much further a load takes it, in the direction of the move. */
  loadRad: number;
}

export function armTruth(seed: number, unitId: string): ArmTruth {
  const { between } = drawsOf(randomStream(seed, 0, `stand-in: arm ${unitId}`));
  return {
    playRad: radiansFromDegrees(between(1.5, 5)),
    lateS: between(0.008, 0.03),
    scatterRad: radiansFromDegrees(between(0.3, 1)),
    loadRad: radiansFromDegrees(between(0.5, 2.5)),
  };
}

export interface ArmMove {
  unitId: string;
  toRad: number;
  came: 'up' | 'down';
  speedRadPerS: number;
  load: 'empty' | 'loaded';
}

/** Where an arm of a stand-in stands after a move, in degrees of its counter. */
export function movedDegrees(seed: number, move: ArmMove, random: RandomStream): number {
  const { playRad, lateS, scatterRad, loadRad } = armTruth(seed, move.unitId);
  const side = move.came === 'up' ? 1 : -1;
  const beyond = lateS * move.speedRadPerS + (move.load === 'loaded' ? loadRad : 0);
  return degreesFromRadians(
    move.toRad + side * (playRad / 2 + beyond) + scatterRad * random.normal(),
  );
}
