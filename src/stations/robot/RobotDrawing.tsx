import { degreesFromRadians } from '../../core/geometry/angle';
import type { Robot } from '../../core/robot/robot';
import { errorLength } from '../../core/text/quantities';
import { markOf } from './devices/registry';
import styles from './RobotStation.module.css';

/** The robot from above, to scale, its front upwards, with the sizes that matter. */
export function RobotDrawing({ robot }: { robot: Robot }) {
  const { body, trackM, wheelDiameterM } = robot;
  const units = robot.units.filter(({ port }) => port !== null);
  const mm = (metres: number) => metres * 1000;
  const side = Math.max(mm(body.halfWidthM), mm(trackM) / 2 + 12) + 30;
  const front = Math.max(mm(body.frontM), ...units.map(({ place }) => mm(place.aheadM))) + 60;
  const rear = mm(body.rearM) + 50;
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
        <rect
          className={styles.bodyBox}
          x={-mm(body.halfWidthM)}
          y={-mm(body.frontM)}
          width={2 * mm(body.halfWidthM)}
          height={mm(body.frontM) + mm(body.rearM)}
        />
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
        <text x={0} y={mm(body.rearM) + 30} textAnchor="middle">
          {errorLength(2 * body.halfWidthM)} × {errorLength(body.frontM + body.rearM)}
        </text>
      </svg>
      <figcaption className="faint">
        From above, to scale, front upwards: each unit at its place, distance sensors with their
        beam.
      </figcaption>
    </figure>
  );
}
