import type { ButtonHTMLAttributes } from 'react';
import styles from './Button.module.css';
import { classes } from './classes';

interface Props extends ButtonHTMLAttributes<HTMLButtonElement> {
  /** One strong button a view; quiet ones beside it; bare ones in rows. */
  look?: 'strong' | 'quiet' | 'bare';
}

export function Button({ look = 'quiet', className, type = 'button', ...rest }: Props) {
  return (
    <button {...rest} type={type} className={classes(styles.button, styles[look], className)} />
  );
}
