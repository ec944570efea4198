import type { MarkLook } from '@yellow-pane/core/job';

/** What a mark is, as a small drawing in a box of 24 × 24. */
export const MARK_SHAPES: Readonly<Record<MarkLook, string>> = {
  'not said': 'M9 9.5a3 3 0 116 0c0 2-3 2-3 4M12 17v.5',
  speck: 'M12 10.5a1.5 1.5 0 100 3 1.5 1.5 0 000-3M10.5 12h3M12 10.5v3',
  bubble: 'M12 5a7 7 0 100 14 7 7 0 000-14',
  'water pocket': 'M12 4c3 4.5 5 7 5 10a5 5 0 01-10 0c0-3 2-5.5 5-10',
  'air bubble': 'M12 5a7 7 0 100 14 7 7 0 000-14M9 10a4 4 0 013-2.5',
  finger: 'M4 20h16M8 20c0-9 1-12 4-12s4 3 4 12',
  line: 'M3 12h18',
  crease: 'M3 16l5-8 4 8 4-8 5 8',
  gap: 'M9 3v18M15 3v18',
  'edge lifts': 'M4 19h9c6 0 8-5 4-9-2-2-5 0-4 2',
  scratch: 'M5 19L19 5',
  'film scratch': 'M3 16h18M6 12l9-6',
  'glass scratch': 'M3 8h18M6 20l9-8M9 21l9-8',
  crack: 'M12 21v-7l-6-5M12 14l5-6M6 9L4 4M17 8l2-5',
};
