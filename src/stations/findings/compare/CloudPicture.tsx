import { degreesFromRadians } from '../../../core/geometry/angle';
import type { Consistency, MeasuredRun } from '../../../core/runs/consistency';

/** One cloud: its ends in the planned direction of travel, and the region that holds 95 of 100. */
export interface Cloud {
  name: string;
  ends: readonly MeasuredRun[];
  figures: Consistency;
}

/** Colours by what they mean; a file has none of the page's. */
export interface PictureColours {
  ink: string;
  faint: string;
  line: string;
  measured: string;
  sheet: string;
}

export const PAGE_COLOURS: PictureColours = {
  ink: 'var(--ink)',
  faint: 'var(--ink-faint)',
  line: 'var(--line)',
  measured: 'var(--marigold)',
  sheet: 'var(--sheet)',
};

export const PAPER_COLOURS: PictureColours = {
  ink: '#1b2a2f',
  faint: '#5c6a6e',
  line: '#d9d4c5',
  measured: '#c98500',
  sheet: '#ffffff',
};

/** Half of the side of the picture, in its own units. */
const HALF = 250;
const GRID_M = 0.01;

interface Props {
  before: Cloud;
  after: Cloud;
  label: string;
  colours: PictureColours;
}

function reachM({ before, after }: Props): number {
  const far = [before, after].flatMap(({ ends, figures: { ellipse95, biasXM, biasYM } }) => [
    ...ends.flatMap(({ xM, yM }) => [Math.abs(xM ?? 0), Math.abs(yM ?? 0)]),
    ellipse95 === null
      ? 0
      : ellipse95.semiMajorM + Math.max(Math.abs(biasXM ?? 0), Math.abs(biasYM ?? 0)),
  ]);
  return 1.08 * Math.max(0.03, ...far);
}

/** Up is the direction of travel, left is left of it. */
function CloudMarks({
  cloud,
  scale,
  colour,
  filled,
}: {
  cloud: Cloud;
  scale: number;
  colour: string;
  filled: boolean;
}) {
  const { ellipse95, biasXM, biasYM } = cloud.figures;
  const x = (yM: number) => -yM * scale;
  const y = (xM: number) => -xM * scale;
  const size = filled ? 5 : 4.5;
  return (
    <g role="img" aria-label={`${cloud.name}: ${cloud.ends.length} runs`}>
      {ellipse95 !== null && (
        <ellipse
          cx={x(biasYM ?? 0)}
          cy={y(biasXM ?? 0)}
          rx={ellipse95.semiMajorM * scale}
          ry={ellipse95.semiMinorM * scale}
          transform={`rotate(${-90 - degreesFromRadians(ellipse95.angleRad)} ${x(biasYM ?? 0)} ${y(biasXM ?? 0)})`}
          fill={filled ? colour : 'none'}
          fillOpacity={0.12}
          stroke={colour}
          strokeWidth={1.6}
          strokeDasharray={filled ? undefined : '2 4'}
        />
      )}
      {cloud.ends.map(({ xM, yM }, i) =>
        typeof xM !== 'number' || typeof yM !== 'number' ? null : filled ? (
          <path
            key={i}
            d={`M${x(yM)} ${y(xM) - size}l${size} ${size}l${-size} ${size}l${-size} ${-size}Z`}
            fill={colour}
          />
        ) : (
          <circle
            key={i}
            cx={x(yM)}
            cy={y(xM)}
            r={size - 1}
            fill="none"
            stroke={colour}
            strokeWidth={1.4}
          />
        ),
      )}
    </g>
  );
}

/** Both clouds on one piece of the table, the planned end in its middle, a square of the grid 1 cm. */
export function CloudPicture(props: Props) {
  const { before, after, label, colours } = props;
  const scale = HALF / reachM(props);
  const lines = Math.floor(HALF / (GRID_M * scale));
  const step = lines > 40 ? 10 : 1;
  const grid = Array.from({ length: 2 * lines + 1 }, (_, i) => i - lines).filter(
    (i) => i % step === 0,
  );
  return (
    <svg
      xmlns="http://www.w3.org/2000/svg"
      viewBox={`${-HALF} ${-HALF} ${2 * HALF} ${2 * HALF}`}
      role="group"
      aria-label={label}
    >
      <rect x={-HALF} y={-HALF} width={2 * HALF} height={2 * HALF} fill={colours.sheet} />
      {grid.map((i) => (
        <path
          key={i}
          d={`M${i * GRID_M * scale} ${-HALF}V${HALF}M${-HALF} ${i * GRID_M * scale}H${HALF}`}
          stroke={colours.line}
          strokeWidth={1}
        />
      ))}
      <path d="M-14 0H14M0 -14V14" stroke={colours.ink} strokeWidth={2} />
      <path
        d={`M0 ${-HALF + 34}V${-HALF + 10}m-5 7l5 -7l5 7`}
        fill="none"
        stroke={colours.ink}
        strokeWidth={1.6}
      />
      <CloudMarks cloud={before} scale={scale} colour={colours.faint} filled={false} />
      <CloudMarks cloud={after} scale={scale} colour={colours.measured} filled />
    </svg>
  );
}
