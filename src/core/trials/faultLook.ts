import { choice } from '../description/description';
import { LINK_NAMES, LINKS } from '../faultIsolation/links';
import { trialKind, type TrialOf } from './kind';

/** A look at something that misbehaves, with one part exchanged or with none. */
export const FAULT_LOOK = trialKind({
  what: 'look',
  fields: {
    exchanged: choice({
      label: 'Exchanged',
      title: 'exchanged',
      options: {
        nothing: 'nothing',
        ...(Object.fromEntries(LINK_NAMES.map((link) => [link, LINKS[link].words])) as {
          [L in keyof typeof LINKS]: string;
        }),
      },
    }),
    showed: choice({
      label: 'The fault',
      title: 'showed',
      options: { yes: 'showed', no: 'did not show' },
    }),
  },
  readOff: ['showed'],
});

export type FaultLookRecord = TrialOf<typeof FAULT_LOOK>;
