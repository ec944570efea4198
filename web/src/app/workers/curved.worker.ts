import {
  type CurvedPatch,
  type PaneEnds,
  type PatchDoubt,
  type SurplusBand,
  endsReadWell,
  isOfEnds,
  surplusBand,
} from '@yellow-pane/core/curved';
import { exposeWork } from './core-errors';

export interface BandAsked {
  readonly patch: CurvedPatch;
  readonly doubts: readonly PatchDoubt[];
  readonly ends: PaneEnds;
  /** Height of the line. */
  readonly at_mm: number;
  readonly areEndsKnown: boolean;
}

export interface BandAnswer {
  readonly now: SurplusBand;
  /** Once sags a quarter in are taken; null: they are. */
  readonly withQuarterSags: SurplusBand | null;
}

const api = {
  band({ patch, doubts, ends, at_mm, areEndsKnown }: BandAsked): BandAnswer {
    const readWell = [...doubts.filter((doubt) => !isOfEnds(doubt)), endsReadWell(patch)];
    return {
      now: surplusBand(patch, doubts, at_mm, { ends }),
      withQuarterSags: areEndsKnown ? null : surplusBand(patch, readWell, at_mm, { ends }),
    };
  },
};
export type CurvedWorkerApi = typeof api;

exposeWork(api);
