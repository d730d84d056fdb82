import type { ColourStudy } from '../../../core/colourClasses/colourStudy';
import { colourPlane, hueCircle, type PicturePoint } from '../../../core/colourClasses/picture';
import { shortNumber } from '../../../core/text/quantities';
import styles from './ColourPicture.module.css';

/** A mark for each class: six shapes, filled and hollow. */
const SHAPES = [
  'M0,-5 5,0 0,5 -5,0Z',
  'M-4,-4H4V4H-4Z',
  'M0,-5 4.6,4 -4.6,4Z',
  'M-4.5,0a4.5,4.5 0 1,0 9,0a4.5,4.5 0 1,0 -9,0Z',
  'M0,5 4.6,-4 -4.6,-4Z',
  'M-5,-1.6H-1.6V-5H1.6V-1.6H5V1.6H1.6V5H-1.6V1.6H-5Z',
];

const Mark = ({ at, x = 0, y = 0 }: { at: number; x?: number; y?: number }) => (
  <path
    d={SHAPES[at % SHAPES.length]}
    transform={`translate(${x} ${y})`}
    className={Math.floor(at / SHAPES.length) % 2 === 0 ? styles.filled : styles.hollow}
  />
);

const SIZE = 240;
const MIDDLE = SIZE / 2;
const RADIUS = 100;
/** Where a hue is said beside the circle. */
const HUES = [
  { words: 'red', turn: 0 },
  { words: 'yellow', turn: 1 / 6 },
  { words: 'green', turn: 2 / 6 },
  { words: 'cyan', turn: 3 / 6 },
  { words: 'blue', turn: 4 / 6 },
  { words: 'magenta', turn: 5 / 6 },
];

/** Hues round the circle, greys in its middle. */
function HueCircle({ points }: { points: readonly PicturePoint[] }) {
  return (
    <svg viewBox={`-34 -14 ${SIZE + 68} ${SIZE + 28}`} className={styles.picture} role="img">
      <title>Hue as an angle, saturation as the way from the middle</title>
      <circle cx={MIDDLE} cy={MIDDLE} r={RADIUS} className={styles.axis} />
      <circle cx={MIDDLE} cy={MIDDLE} r={RADIUS / 2} className={styles.axis} />
      {HUES.map(({ words, turn }) => (
        <text
          key={words}
          x={MIDDLE + (RADIUS + 20) * Math.cos(2 * Math.PI * turn)}
          y={MIDDLE - (RADIUS + 12) * Math.sin(2 * Math.PI * turn) + 4}
          textAnchor="middle"
        >
          {words}
        </text>
      ))}
      {points.map(({ at, x, y }, i) => (
        <Mark key={i} at={at} x={MIDDLE + RADIUS * x} y={MIDDLE - RADIUS * y} />
      ))}
    </svg>
  );
}

const LEFT = 44;
const BOTTOM = 34;

/** From the least to the greatest of some values, to a length. */
function along(values: readonly number[], length: number) {
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const span = high > low ? high - low : 1;
  return { low, high, at: (value: number) => (length * (value - low)) / span };
}

/** Two numbers of the samples against each other. */
function Plane({
  plane: { points, xTitle, yTitle },
}: {
  plane: NonNullable<ReturnType<typeof colourPlane>>;
}) {
  const x = along(
    points.map((one) => one.x),
    SIZE - 16,
  );
  const y = along(
    points.map((one) => one.y),
    SIZE - 16,
  );
  return (
    <svg
      viewBox={`${-LEFT} -14 ${SIZE + LEFT + 14} ${SIZE + BOTTOM + 14}`}
      className={styles.picture}
      role="img"
    >
      <title>{`${xTitle} against ${yTitle === '' ? 'each colour' : yTitle}`}</title>
      <path d={`M0,0V${SIZE}H${SIZE}`} className={styles.axis} />
      <text x="8" y={SIZE + 14}>
        {shortNumber(x.low, 2)}
      </text>
      <text x={SIZE} y={SIZE + 14} textAnchor="end">
        {shortNumber(x.high, 2)}
      </text>
      <text x={MIDDLE} y={SIZE + 28} textAnchor="middle">
        {xTitle}
      </text>
      {yTitle !== '' && (
        <>
          <text x="-6" y={SIZE - 8} textAnchor="end">
            {shortNumber(y.low, 2)}
          </text>
          <text x="-6" y="12" textAnchor="end">
            {shortNumber(y.high, 2)}
          </text>
          <text transform={`translate(${-LEFT + 12} ${MIDDLE}) rotate(-90)`} textAnchor="middle">
            {yTitle}
          </text>
        </>
      )}
      {points.map((one, i) => (
        <Mark key={i} at={one.at} x={8 + x.at(one.x)} y={SIZE - 8 - y.at(one.y)} />
      ))}
    </svg>
  );
}

/** The samples as they lie: round the circle of hues, and in the numbers by which they are told apart. */
export function ColourPicture({ study: { found, samples, scale } }: { study: ColourStudy }) {
  const { names } = found.confusion;
  const circle = hueCircle(samples, names);
  const plane = colourPlane(samples, names, found.representation, scale);
  if (circle === null && plane === null) return null;
  return (
    <figure className={styles.figure}>
      <figcaption>
        <h2>The readings</h2>
        <p>
          Each mark is one reading; each colour has its shape. What is too dark to have a hue is not
          in the circle.
        </p>
      </figcaption>
      <div className={styles.both}>
        {circle !== null && <HueCircle points={circle} />}
        {plane !== null && <Plane plane={plane} />}
        <ul className={styles.legend}>
          {names.map((name, at) => (
            <li key={name}>
              <svg viewBox="-7 -7 14 14" className={styles.sign} aria-hidden="true">
                <Mark at={at} />
              </svg>{' '}
              {name}
            </li>
          ))}
        </ul>
      </div>
    </figure>
  );
}
