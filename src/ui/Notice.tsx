import type { ReactNode } from 'react';
import { classes } from './classes';
import styles from './Notice.module.css';

interface Props {
  tone: 'plain' | 'good' | 'careful' | 'fault';
  children: ReactNode;
  action?: ReactNode;
}

const MARK = { plain: 'i', good: '✓', careful: '!', fault: '✕' } as const;

/** A sentence that matters, with what can be done about it. Faults are told at once to screen readers. */
export function Notice({ tone, children, action }: Props) {
  return (
    <div
      className={classes(styles.notice, styles[tone])}
      role={tone === 'fault' ? 'alert' : 'status'}
    >
      <span className={styles.mark} aria-hidden="true">
        {MARK[tone]}
      </span>
      <div className={styles.text}>{children}</div>
      {action}
    </div>
  );
}

/** What stands where there is nothing yet: what it will be, and how to begin. */
export function Empty({
  title,
  children,
  action,
  isPage = false,
}: {
  title: string;
  /** It is all there is on its page: its title is the page's. */
  isPage?: boolean;
  children: ReactNode;
  action?: ReactNode;
}) {
  return (
    <div className={styles.empty}>
      {isPage ? <h1>{title}</h1> : <h2>{title}</h2>}
      <p>{children}</p>
      {action}
    </div>
  );
}

/** A result that is told where it appears and fades from attention by itself. */
export function Toast({ text }: { text: string | null }) {
  return (
    <div className={classes(styles.toastPlace, 'no-print')} role="status" aria-live="polite">
      {text !== null && <div className={styles.toast}>{text}</div>}
    </div>
  );
}
