import { degreesFromRadians } from '../../core/geometry/angle';
import { outlineOf } from '../../core/robot/mounting';
import type { Robot } from '../../core/robot/robot';
import { errorLength } from '../../core/text/quantities';
import { markOf } from './devices/registry';
import styles from './RobotStation.module.css';

const mm = (metres: number) => metres * 1000;

/** A rectangle about the middle of the axle, front upwards. */
const Box = ({ of, className }: { of: Robot['body']; className: string | undefined }) => (
  <rect
    className={className}
    x={-mm(of.halfWidthM)}
    y={-mm(of.frontM)}
    width={2 * mm(of.halfWidthM)}
    height={mm(of.frontM) + mm(of.rearM)}
  />
);

/** The robot from above, to scale, its front upwards, with the sizes that matter. */
export function RobotDrawing({ robot }: { robot: Robot }) {
  const { body, trackM, wheelDiameterM } = robot;
  const outline = outlineOf(robot);
  const units = robot.units.filter(({ port }) => port !== null);
  const side = Math.max(mm(outline.halfWidthM), mm(trackM) / 2 + 12) + 30;
  const front = Math.max(mm(outline.frontM), ...units.map(({ place }) => mm(place.aheadM))) + 60;
  const rear = mm(outline.rearM) + 50;
  const wheel = (x: number) => (
    <rect
      className={styles.wheel}
      x={x - 10}
      y={-mm(wheelDiameterM) / 2}
      width={20}
      height={mm(wheelDiameterM)}
      rx={4}
    />
  );
  return (
    <figure className={styles.drawing}>
      <svg
        viewBox={`${-side} ${-front} ${2 * side} ${front + rear}`}
        role="img"
        aria-label="The robot from above, to scale"
      >
        {robot.mounted !== null && <Box of={outline} className={styles.outline} />}
        <Box of={body} className={styles.bodyBox} />
        {wheel(-mm(trackM) / 2)}
        {wheel(mm(trackM) / 2)}
        <path
          className={styles.axle}
          d={`M${-mm(trackM) / 2} 0H${mm(trackM) / 2}M0 6V${-mm(body.frontM)}`}
        />
        {units.map((unit) => {
          const Mark = markOf(unit.kind);
          const { place, facingRad } = unit;
          return (
            <g
              key={unit.id}
              transform={`translate(${-mm(place.leftM)} ${-mm(place.aheadM)}) rotate(${-degreesFromRadians(facingRad)})`}
            >
              <title>{`${unit.label}, ${unit.kind}`}</title>
              <Mark unit={unit} />
            </g>
          );
        })}
        <text x={6} y={-10}>
          {errorLength(trackM)}
        </text>
        <text x={0} y={mm(outline.rearM) + 30} textAnchor="middle">
          {errorLength(2 * body.halfWidthM)} × {errorLength(body.frontM + body.rearM)}
        </text>
      </svg>
      <figcaption className="faint">
        From above, to scale, front upwards: each unit at its place, distance sensors with their
        beam{robot.mounted !== null && `, and how far it reaches with “${robot.mounted}” on`}.
      </figcaption>
    </figure>
  );
}
