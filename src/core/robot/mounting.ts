import type { Robot } from './robot';

export type Mounting = Robot['mountings'][number];
type Body = Robot['body'];

/** What is mounted on a robot; null: nothing, or nothing that its record knows. */
export const mountingOn = ({ mounted, mountings }: Robot): Mounting | null =>
  mountings.find(({ name }) => name === mounted) ?? null;

/** The robot with what a route has mounted on it. */
export const asMounted = (robot: Robot, { mounted }: { mounted: string | null }): Robot =>
  robot.mounted === mounted ? robot : { ...robot, mounted };

/** All of the robot, with what is mounted on it: from the middle of its axle. */
export function outlineOf(robot: Robot): Body {
  const { body } = robot;
  const mounting = mountingOn(robot);
  return mounting === null
    ? body
    : {
        frontM: Math.max(body.frontM, mounting.frontM),
        rearM: Math.max(body.rearM, mounting.rearM),
        halfWidthM: Math.max(body.halfWidthM, mounting.halfWidthM),
      };
}

/** The robot without what is mounted on it alone meets what passes beneath that. */
export const passesBeneath = (
  robot: Robot,
  { heightM = Infinity }: { heightM?: number | undefined },
): boolean => heightM < (mountingOn(robot)?.underM ?? 0);
