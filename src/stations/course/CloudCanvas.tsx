import { useEffect, useRef } from 'react';
import type { Table } from '../../core/table/table';
import type { SimulatedRun } from '../../core/forecast/simulatedRun';
import styles from './CourseStation.module.css';

interface Props {
  table: Table;
  paths: readonly Float32Array[];
  runs: readonly SimulatedRun[];
}

/** The plan's margin around the table, in millimetres, as in `Plan`. */
const MARGIN = 20;

/** What is on the canvas already: what only goes on is not drawn again. */
interface Drawn {
  first: Float32Array | undefined;
  paths: number;
  runs: readonly SimulatedRun[];
}

const NOTHING: Drawn = { first: undefined, paths: 0, runs: [] };

/** Simulated paths and the poses at marks and ends, thousands of points, on a canvas over the plan. */
export function CloudCanvas({ table, paths, runs }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const drawn = useRef(NOTHING);
  useEffect(() => {
    const element = canvas.current;
    const context = element?.getContext('2d');
    if (!element || !context) return undefined;
    const clear = () => {
      element.width = element.clientWidth * devicePixelRatio;
      element.height = element.clientHeight * devicePixelRatio;
      drawn.current = NOTHING;
    };
    const draw = () => {
      const before = drawn.current;
      const goesOn = before.paths > 0 && paths[0] === before.first && paths.length >= before.paths;
      if (!goesOn || before.runs.length > 0) clear();
      const scale = element.width / (table.widthM * 1000 + 2 * MARGIN);
      const x = (xM: number) => (xM * 1000 + MARGIN) * scale;
      const y = (yM: number) => ((table.heightM - yM) * 1000 + MARGIN) * scale;
      context.strokeStyle = getComputedStyle(element).color;
      context.fillStyle = context.strokeStyle;
      context.lineWidth = devicePixelRatio;
      context.globalAlpha = 0.07;
      for (const path of paths.slice(drawn.current.paths)) {
        context.beginPath();
        for (let i = 0; i < path.length; i += 2)
          context.lineTo(x(path[i] ?? 0), y(path[i + 1] ?? 0));
        context.stroke();
      }
      context.globalAlpha = 0.55;
      const dot = 1.6 * devicePixelRatio;
      for (const { end, marks } of runs) {
        for (const pose of [...marks, end]) {
          context.fillRect(x(pose.xM) - dot / 2, y(pose.yM) - dot / 2, dot, dot);
        }
      }
      drawn.current = { first: paths[0], paths: paths.length, runs };
    };
    const redraw = () => {
      clear();
      draw();
    };
    draw();
    let isFirst = true;
    const resized = new ResizeObserver(() => {
      // It reports once when it begins.
      if (!isFirst) redraw();
      isFirst = false;
    });
    resized.observe(element);
    document.addEventListener('corvat-theme', redraw);
    return () => {
      resized.disconnect();
      document.removeEventListener('corvat-theme', redraw);
    };
  }, [table, paths, runs]);
  return <canvas ref={canvas} className={styles.cloud} aria-hidden="true" />;
}
