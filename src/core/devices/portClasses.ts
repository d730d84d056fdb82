/** What fits into a port, and what a unit is plugged in by. */
export const PORT_CLASSES = ['motor', 'sensor', 'bus', 'analogue', 'arm'] as const;
export type PortClass = (typeof PORT_CLASSES)[number];

/** The port of a unit that is part of the controller itself: no cable, and no port that it would take from another. */
export const BUILT_IN = 'built in';
