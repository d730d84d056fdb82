import { createContext, useCallback, useContext, useEffect, useMemo, useState } from 'react';
import type { ReactNode } from 'react';

interface FieldsInError {
  count: number;
  /** A field says whether what stands in it is refused. */
  tell(id: string, refused: boolean): void;
}

const Context = createContext<FieldsInError>({ count: 0, tell: () => undefined });

/** Knows which of the fields within hold something that is refused: nothing is saved until it is mended. */
export function FieldsInErrorProvider({ children }: { children: ReactNode }) {
  const [ids, setIds] = useState<ReadonlySet<string>>(new Set());
  const tell = useCallback((id: string, refused: boolean) => {
    setIds((before) => {
      if (before.has(id) === refused) return before;
      const after = new Set(before);
      if (refused) after.add(id);
      else after.delete(id);
      return after;
    });
  }, []);
  const value = useMemo(() => ({ count: ids.size, tell }), [ids, tell]);
  return <Context value={value}>{children}</Context>;
}

/** How many fields hold something that is refused. */
export const useFieldsInError = (): number => useContext(Context).count;

/** Told by each field; a field that goes is no longer in error. */
export function useTellInError(id: string, refused: boolean): void {
  const { tell } = useContext(Context);
  useEffect(() => {
    tell(id, refused);
    return () => tell(id, false);
  }, [tell, id, refused]);
}

/** Why nothing is saved just now; nothing where all fields hold what fits. */
export function MendFirst({ also = '' }: { also?: string }) {
  const count = useFieldsInError();
  if (count === 0) return null;
  return (
    <p role="alert" data-testid="mend-first">
      {count === 1 ? 'One value does' : `${count} values do`} not fit: mend what is marked first
      {also}.
    </p>
  );
}
