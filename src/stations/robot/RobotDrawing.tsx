import type { Robot } from '../../core/robot';
import { number } from '../../core/text/quantities';
import styles from './RobotStation.module.css';

/** The robot from above, to scale, its front upwards, with the sizes that matter. */
export function RobotDrawing({ robot }: { robot: Robot }) {
  const { body, trackM, wheelDiameterM, distance } = robot;
  const mm = (metres: number) => metres * 1000;
  const side = Math.max(mm(body.halfWidthM), mm(trackM) / 2 + 12) + 30;
  const front = Math.max(mm(body.frontM), mm(distance?.aheadM ?? 0)) + 60;
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
  const beam = distance === null ? 0 : Math.tan(Math.min(distance.beamHalfAngleRad, 1)) * 50;
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
        <rect className={styles.sensor} x={-9} y={8} width={18} height={18} />
        {distance !== null && (
          <g transform={`translate(${-mm(distance.leftM)} ${-mm(distance.aheadM)})`}>
            <path className={styles.beam} d={`M0 0L${-beam} -50H${beam}Z`} />
            <rect className={styles.sensor} x={-16} y={-6} width={32} height={12} />
          </g>
        )}
        <text x={6} y={-10}>
          {number(mm(trackM))} mm
        </text>
        <text x={0} y={mm(body.rearM) + 30} textAnchor="middle">
          {number(2 * mm(body.halfWidthM))} × {number(mm(body.frontM) + mm(body.rearM))} mm
        </text>
      </svg>
      <figcaption className="faint">
        From above, to scale, front upwards. Small square: heading sensor
        {distance === null ? '' : '; cone: distance sensor'}.
      </figcaption>
    </figure>
  );
}
