import type { PanePoint } from '../job';

/** One of the eight customary measures of a four-sided pane, in the order of walking. */
export interface PaneSlot {
  readonly key: string;
  readonly from: PanePoint;
  readonly to: PanePoint;
  readonly word: string;
  readonly group: 'width' | 'height' | 'diagonal';
}

export const PANE_SLOTS: readonly PaneSlot[] = [
  { key: 'width-top', from: 'tl', to: 'tr', word: 'width at the top', group: 'width' },
  { key: 'width-middle', from: 'ml', to: 'mr', word: 'width in the middle', group: 'width' },
  { key: 'width-bottom', from: 'bl', to: 'br', word: 'width at the bottom', group: 'width' },
  { key: 'height-left', from: 'tl', to: 'bl', word: 'left height', group: 'height' },
  { key: 'height-middle', from: 'mt', to: 'mb', word: 'middle height', group: 'height' },
  { key: 'height-right', from: 'tr', to: 'br', word: 'right height', group: 'height' },
  { key: 'diagonal-falling', from: 'tl', to: 'br', word: 'diagonal from top left', group: 'diagonal' },
  { key: 'diagonal-rising', from: 'bl', to: 'tr', word: 'diagonal from bottom left', group: 'diagonal' },
];

const POINT_WORDS: Readonly<Record<PanePoint, string>> = {
  tl: 'the upper left corner',
  tr: 'the upper right corner',
  br: 'the lower right corner',
  bl: 'the lower left corner',
  mt: 'the middle of the top',
  mr: 'the middle of the right side',
  mb: 'the middle of the bottom',
  ml: 'the middle of the left side',
};

/** The customary measure between two points, whichever way round it was taken. */
export function slotBetween(from: PanePoint, to: PanePoint): PaneSlot | undefined {
  return PANE_SLOTS.find((slot) => (slot.from === from && slot.to === to) || (slot.from === to && slot.to === from));
}

/** What a fitter calls the distance between two points. */
export function distanceWord(from: PanePoint, to: PanePoint): string {
  return slotBetween(from, to)?.word ?? `from ${POINT_WORDS[from]} to ${POINT_WORDS[to]}`;
}
