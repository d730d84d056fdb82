import { useEffect, useState } from 'react';
import { besideForecast } from '../../core/compare/besideForecast';
import type { Consistency } from '../../core/runs/consistency';
import type { Simulation } from '../../core/forecast/prepare';
import { sentenceOf } from '../api';
import { simulateInWorkers } from '../course/simulateInWorkers';
import { SIMULATED_RUNS } from '../course/useSimulation';
import styles from './Findings.module.css';

interface Props {
  simulation: Simulation;
  end: Consistency;
}

/** What the route's version was expected to do, beside what it did: simulated when it is looked at. */
export function ExpectedBeside({ simulation, end }: Props) {
  const [lines, setLines] = useState<string[] | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    const job = simulateInWorkers(simulation, SIMULATED_RUNS, {
      onProgress: () => undefined,
      onFirst: () => undefined,
    });
    job.result.then(
      ({ forecast }) => setLines(besideForecast(forecast, end)),
      (error: unknown) => setProblem(sentenceOf(error)),
    );
    return job.cancel;
  }, [simulation, end]);
  return (
    <section aria-label="Expected and measured" data-testid="expected" className={styles.order}>
      <h2>Expected and measured</h2>
      {problem !== null && <p role="alert">{problem}</p>}
      {lines === null && problem === null && (
        <p className="faint">Simulating what was to be expected …</p>
      )}
      {lines?.map((line) => (
        <p key={line}>{line}</p>
      ))}
      {lines?.length === 0 && (
        <p className="faint">Three measured ends are needed to set beside the forecast.</p>
      )}
    </section>
  );
}
