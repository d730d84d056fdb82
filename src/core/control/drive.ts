import {
  halt,
  tick,
  type Controller,
  type Failure,
  type Readings,
  type WheelSpeeds,
} from './controller';

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
 * Whatever it says then, the motors stop.
 *
 * @param onLoop called after each period of the loop
 */
export function drive(machine: Drivable, motion: Controller, onLoop: () => void): 'done' | Failure {
  const wheels = { leftMPerS: 0, rightMPerS: 0 };
  for (;;) {
    const said = machine.hitWall ? 'wall' : tick(motion, machine.readings, wheels);
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
