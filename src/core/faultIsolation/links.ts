/** What lies between a sensor and what a program knows, from the easiest to exchange. */
export const LINKS = {
  cable: { words: 'the cable', how: 'Take another cable, of those that work elsewhere.' },
  sensor: { words: 'the sensor', how: 'Take another sensor of the same kind.' },
  port: { words: 'the port', how: 'Plug it into another port, and tell the program.' },
  program: {
    words: 'the program',
    how: 'Run a program that shows the reading and does nothing else.',
  },
  controller: { words: 'the controller', how: 'Take the controller of another robot.' },
} as const;

export type Link = keyof typeof LINKS;
export const LINK_NAMES = Object.keys(LINKS) as Link[];
