import { rememberedWord } from '../../../ui/browser/browserStore';

const { watch, read, set } = rememberedWord('corvat-panel-folded');

/** Whether the panel is folded to a line, as it is until somebody needs it: remembered, and the same on every page of the Bench. */
export const folding = {
  watch,
  isFolded: (): boolean => read() !== 'no',
  fold: (folded: boolean): void => set(folded ? 'yes' : 'no'),
};
