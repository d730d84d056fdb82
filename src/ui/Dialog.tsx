import { useId, useLayoutEffect, useRef, type ReactNode } from 'react';
import { Button } from './Button';
import styles from './Dialog.module.css';

interface Props {
  title: string;
  onClose(): void;
  children: ReactNode;
  /** The row of buttons at the foot; closing by Escape and the cross is always there. */
  actions?: ReactNode;
  wide?: boolean;
}

const FIRST_FIELD = 'input, select, textarea';

/** A modal dialog on the browser's own element: focus begins in its first field and stays inside, Escape closes. */
export function Dialog({ title, onClose, children, actions, wide = false }: Props) {
  const element = useRef<HTMLDialogElement>(null);
  const titleId = useId();
  // Before the browser paints, and before the element goes: focus comes in and returns where it was.
  useLayoutEffect(() => {
    const opener = document.activeElement;
    const dialog = element.current;
    dialog?.showModal();
    dialog?.querySelector<HTMLElement>(FIRST_FIELD)?.focus();
    return () => {
      dialog?.close();
      if (opener instanceof HTMLElement) opener.focus();
    };
  }, []);
  return (
    <dialog
      ref={element}
      className={wide ? styles.wide : styles.dialog}
      aria-labelledby={titleId}
      onCancel={(event) => {
        event.preventDefault();
        onClose();
      }}
    >
      <header>
        <h2 id={titleId}>{title}</h2>
        <Button look="bare" aria-label="Close" onClick={onClose}>
          ✕
        </Button>
      </header>
      <div className={styles.body}>{children}</div>
      {actions !== undefined && <footer>{actions}</footer>}
    </dialog>
  );
}
