/** What fits into a port, and what a unit is plugged in by. */
export const PORT_CLASSES = ['motor', 'sensor', 'bus', 'analogue', 'arm'] as const;
export type PortClass = (typeof PORT_CLASSES)[number];
