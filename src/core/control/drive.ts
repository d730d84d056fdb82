import {
  halt,
  type Controller,
  type Failure,
  type Readings,
  type Said,
  type WheelSpeeds,
} from './controller';
import { rest } from './rest';

/** What a controller can drive: it takes commands, and lets a period of the loop pass. */
export interface Drivable {
  /** As they stand now. */
  readonly readings: Readings;
  readonly hitWall: boolean;
  command(wheels: WheelSpeeds): void;
  advance(): void;
}

/**
 * Let a controller drive a machine until it says that it is done, or cannot go on, or a wall holds the robot.
 * Whatever it says then, the motors stop; one that comes to rest stands for that time.
 *
 * @param onLoop called after each period of the loop
 */
export function drive(machine: Drivable, motion: Controller, onLoop: () => void): 'done' | Failure {
  const wheels = { leftMPerS: 0, rightMPerS: 0 };
  let { state, restS, tick } = motion;
  for (;;) {
    let said: Said | 'wall' = machine.hitWall ? 'wall' : tick(state, machine.readings, wheels);
    if (said === 'done' && restS > 0) {
      ({ state, restS, tick } = rest(restS));
      said = tick(state, machine.readings, wheels);
    }
    if (said !== 'go on') {
      halt(wheels);
      machine.command(wheels);
      return said;
    }
    machine.command(wheels);
    machine.advance();
    onLoop();
  }
}
