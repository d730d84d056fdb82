/** The stations, in the order in which the work is done. One is shown once it does something. */
export const STATIONS = [
  { id: 'today', label: 'Today', href: '/' },
  { id: 'robot', label: 'Robot', href: '/robot' },
  { id: 'bench', label: 'Bench', href: '/bench' },
  { id: 'course', label: 'Course', href: '/course' },
  { id: 'runs', label: 'Runs', href: '/runs' },
  { id: 'findings', label: 'Findings', href: '/findings' },
] as const;

export type Station = (typeof STATIONS)[number]['id'];

/** What a station says of its knowledge, and how fresh that is. */
export type StationNotes = Partial<
  Record<Station, { text: string; state: 'fresh' | 'ageing' | 'missing' }>
>;
