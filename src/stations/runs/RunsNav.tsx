import styles from './SeriesList.module.css';

const PLACES = [
  { href: '/runs', label: 'Series' },
  { href: '/runs?by=route', label: 'by route' },
  { href: '/runs?by=tried', label: 'by what was tried' },
  { href: '/runs/all', label: 'single runs' },
] as const;

export type RunsPlace = (typeof PLACES)[number]['href'];

/** The ways to look at a season's runs. */
export const RunsNav = ({ at }: { at: RunsPlace }) => (
  <nav aria-label="Runs of the season" className={styles.places}>
    {PLACES.map(({ href, label }) => (
      <a key={href} href={href} aria-current={href === at ? 'page' : undefined}>
        {label}
      </a>
    ))}
  </nav>
);
