import { memo } from 'react';
import { runsOf, type Mat } from '../../core/table/mat';
import styles from './Plan.module.css';

/** All cells of one colour as one path, in cells. */
function pathOfColour(mat: Mat, colour: number): string {
  return mat.rows
    .map((row, at) =>
      runsOf(row)
        .filter((run) => run.colour === colour)
        .map(({ from, count }) => `M${from} ${at}h${count}v1h-${count}z`)
        .join(''),
    )
    .join('');
}

interface Props {
  mat: Mat;
  /** Where it lies, in the plan's own coordinates. */
  place: { x: number; y: number; width: number; height: number };
}

/** What is printed on the floor, pale, so that all drawn over it is read. */
export const MatUnder = memo(function MatUnder({ mat, place }: Props) {
  const { x, y, width, height } = place;
  return (
    <g
      role="img"
      aria-label="Mat"
      className={styles.mat}
      transform={`translate(${x} ${y}) scale(${width / mat.columns} ${height / mat.rows.length})`}
    >
      {mat.colours.map((colour, index) => (
        <path key={index} fill={colour} d={pathOfColour(mat, index)} />
      ))}
    </g>
  );
});
