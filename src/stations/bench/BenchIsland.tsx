import { createElement, type ComponentType } from 'react';
import { BenchShell, type ShellProps } from './BenchShell';

type Station = ComponentType<Record<string, unknown>>;

/** Each page of the Bench is the default export of `Station.tsx` in the folder of its name. */
const stations = import.meta.glob<{ default: Station }>('./*/Station.tsx');

const loaded = new Map<string, Station>();

/** Have a page's station at hand, so that it is rendered at once. */
export async function preload(id: string): Promise<void> {
  const read = stations[`./${id}/Station.tsx`];
  if (read !== undefined) loaded.set(id, (await read()).default);
}

// In the browser the page takes over when its own station is there, and none of the others is fetched.
if (typeof document !== 'undefined') {
  await preload(document.querySelector<HTMLElement>('[data-bench]')?.dataset.bench ?? '');
}

interface Props extends ShellProps {
  props: object;
}

/** Any page of the Bench in its shell. */
export function BenchIsland({ props, ...shell }: Props) {
  const Station = loaded.get(shell.current);
  if (Station === undefined) throw new Error(`There is no page of the Bench: ${shell.current}.`);
  const page = createElement(Station, { ...props, robot: shell.robot });
  return <BenchShell {...shell}>{page}</BenchShell>;
}
