import { errorLength } from '../../../core/text/quantities';
import { useId, useRef, type PointerEvent } from 'react';
import { degreesFromRadians } from '../../../core/geometry/angle';
import { alongAcross, offsetFrom, type Pose } from '../../../core/geometry/pose';
import type { Mission } from '../../../core/table/table';
import { offsetInWords } from '../../../core/runs/verdict';
import styles from './Pad.module.css';

interface Props {
  /** Half the width of the pad. */
  reachM: number;
  /** Where the route is planned to end. */
  target: Pose;
  /** The mission worked at the end of the route, if there is one. */
  mission: Mission | null;
  /** Ends of earlier runs, as offsets. */
  earlier: readonly { xM: number; yM: number }[];
  value: { xM: number; yM: number } | null;
  headingRad: number | null;
  onChange(end: { xM: number; yM: number } | null): void;
}

const STEPS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

const toMillimetre = (metres: number) => Math.round(metres * 1000) / 1000;
const diamond = (x: number, y: number, size: number) =>
  `M${x} ${y - size}L${x + size} ${y}L${x} ${y + size}L${x - size} ${y}Z`;

/** The window of the mission as a box on the pad, turned as it lies on the table. */
function MissionWindow({ mission, target }: { mission: Mission; target: Pose }) {
  const at = offsetFrom(target, mission.pose);
  const { alongM, acrossM } = mission.window;
  return (
    <rect
      className={styles.window}
      x={-alongM * 1000}
      y={-acrossM * 1000}
      width={alongM * 2000}
      height={acrossM * 2000}
      transform={`translate(${at.xM * 1000} ${-at.yM * 1000}) rotate(${-degreesFromRadians(mission.pose.headingRad)})`}
    />
  );
}

/** A piece of the table around the planned end, to scale; a click or the arrow keys say where the robot stopped. */
export function Pad(props: Props) {
  const { reachM, target, mission, earlier, value, headingRad, onChange } = props;
  const svg = useRef<SVGSVGElement>(null);
  const grid = useId();
  const reach = reachM * 1000;
  const mark = reach / 34;
  const limit = (metres: number) => Math.min(reachM, Math.max(-reachM, toMillimetre(metres)));
  const point = (event: PointerEvent) => {
    const matrix = svg.current?.getScreenCTM()?.inverse();
    const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix);
    onChange({ xM: limit(at.x / 1000), yM: limit(-at.y / 1000) });
  };
  const inWords = value && alongAcross(value, target.headingRad);
  const text =
    inWords === null
      ? 'no end measured'
      : offsetInWords(inWords.alongM, inWords.acrossM) || 'on the spot';
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label={`Pad: where the robot stopped. Arrow keys move by ${errorLength(0.001)}, with Shift by ${errorLength(0.01)}; Delete clears.`}
      aria-valuetext={text}
      aria-valuenow={value === null ? 0 : Math.round(Math.hypot(value.xM, value.yM) * 1000)}
      className={styles.pad}
      data-testid="pad"
      onKeyDown={(event) => {
        const step = STEPS[event.key];
        if (event.key === 'Delete' || event.key === 'Backspace') onChange(null);
        else if (step !== undefined) {
          const by = event.shiftKey ? 0.01 : 0.001;
          const from = value ?? { xM: 0, yM: 0 };
          onChange({ xM: limit(from.xM + step[0] * by), yM: limit(from.yM + step[1] * by) });
        } else return;
        event.preventDefault();
      }}
    >
      <svg
        ref={svg}
        viewBox={`${-reach} ${-reach} ${2 * reach} ${2 * reach}`}
        aria-hidden="true"
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          point(event);
        }}
        onPointerMove={(event) => event.buttons === 1 && point(event)}
      >
        <defs>
          <pattern id={grid} width={10} height={10} patternUnits="userSpaceOnUse">
            <path className={styles.grid} d="M0 0H10M0 0V10" />
          </pattern>
        </defs>
        <rect x={-reach} y={-reach} width={2 * reach} height={2 * reach} fill={`url(#${grid})`} />
        {mission && <MissionWindow mission={mission} target={target} />}
        <path className={styles.axis} d={`M${-reach} 0H${reach}M0 ${-reach}V${reach}`} />
        {earlier.map((end, index) => (
          <path
            key={index}
            className={styles.earlier}
            d={diamond(end.xM * 1000, -end.yM * 1000, mark * 0.6)}
          />
        ))}
        <g transform={`rotate(${-degreesFromRadians(target.headingRad)})`}>
          <path
            className={styles.travel}
            d={`M${-mark} 0H${mark * 4}M${mark * 3} ${-mark}L${mark * 4} 0L${mark * 3} ${mark}`}
          />
        </g>
        {value && (
          <g transform={`translate(${value.xM * 1000} ${-value.yM * 1000})`}>
            {headingRad !== null && (
              <path
                className={styles.heading}
                d={`M0 0H${mark * 4}`}
                transform={`rotate(${-degreesFromRadians(target.headingRad + headingRad)})`}
              />
            )}
            <path className={styles.end} d={diamond(0, 0, mark * 1.3)} />
          </g>
        )}
      </svg>
      <span className={styles.scale} aria-hidden="true">
        ±{errorLength(reach / 1000)}, a square is {errorLength(0.01)}
      </span>
      <span className={styles.words}>{text}</span>
    </div>
  );
}
