import type { Controller, Failure, Readings } from './controller';

/** What a controller can drive: it takes commands, and lets a period of the loop pass. */
export interface Drivable extends Readings {
  readonly hitWall: boolean;
  command(leftMPerS: number, rightMPerS: number): void;
  advance(): void;
}

/**
 * Let a controller drive a machine until it says that it is done, or cannot go on, or a wall holds the robot.
 * Whatever it says then, the motors stop.
 *
 * @param onLoop called after each period of the loop
 */
export function drive(
  machine: Drivable,
  controller: Controller,
  onLoop: () => void,
): 'done' | Failure {
  const wheels = { leftMPerS: 0, rightMPerS: 0 };
  for (;;) {
    const said = machine.hitWall ? 'wall' : controller(machine, wheels);
    if (said !== 'go on') {
      machine.command(0, 0);
      return said;
    }
    machine.command(wheels.leftMPerS, wheels.rightMPerS);
    machine.advance();
    onLoop();
  }
}
