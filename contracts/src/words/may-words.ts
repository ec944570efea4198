import type { MayKey } from '@yellow-pane/core/waiting';

const MAY_DO: Readonly<Record<MayKey, { readonly word: string; readonly hand: string }>> = {
  'judge dirt': { word: 'Judge dirt, scratches, gaps, creases', hand: '' },
  'press again': { word: 'Press again, warm an edge', hand: '' },
  'edge tape off': { word: 'Take edge tape off', hand: ', edge blotted dry, film cool' },
  'hardware back': { word: 'Put hardware back', hand: '' },
  'sealant back': { word: 'Put sealant back', hand: ', blotted dry' },
  'soft cloth': { word: 'Wipe with a soft damp cloth', hand: '' },
  wash: { word: 'Wash the face, never with ammonia or a blade', hand: '' },
  'judge for good': { word: 'Judge pockets for good', hand: '' },
};

/** What may be done to laid film, and how, the same at every stop and on every paper. */
export const mayWords = (key: MayKey): { readonly word: string; readonly hand: string } => MAY_DO[key];
