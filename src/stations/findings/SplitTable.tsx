import type { Group } from '../../core/runs/findings';
import { percent } from '../../core/text/quantities';
import { smallText, signedSmall, smallUnit } from './figures';
import styles from './Findings.module.css';

/** The same figures for the runs that share something: who placed the robot, or the battery. */
export function SplitTable({ title, groups }: { title: string; groups: readonly Group[] }) {
  return (
    <section aria-label={title}>
      <h2>{title}</h2>
      <table className={styles.table}>
        <thead>
          <tr>
            <th scope="col">
              <span className="visually-hidden">Value</span>
            </th>
            <th scope="col">Runs</th>
            <th scope="col">Worked</th>
            <th scope="col">95 % sure</th>
            <th scope="col">Along ± spread</th>
            <th scope="col">Across ± spread</th>
          </tr>
        </thead>
        <tbody>
          {groups.map(({ name, n, success, figures }) => (
            <tr key={name}>
              <th scope="row">{name}</th>
              <td>{n}</td>
              <td>{success === null ? '–' : percent(success.rate)}</td>
              <td className="faint">
                {success === null ? '–' : `${percent(success.low95)} to ${percent(success.high95)}`}
              </td>
              <td>
                {figures === null
                  ? '–'
                  : `${signedSmall(figures.biasAlongM) ?? ''} ± ${smallText(figures.sdAlongM) ?? '–'} ${smallUnit()}`}
              </td>
              <td>
                {figures === null
                  ? '–'
                  : `${signedSmall(figures.biasAcrossM) ?? ''} ± ${smallText(figures.sdAcrossM) ?? '–'} ${smallUnit()}`}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
