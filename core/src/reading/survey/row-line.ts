import type { RowOf } from '../../job';
import { RULES } from '../../rules';
import type { JobView } from '../view/job-view';
import { checkOf } from './surface';

/** One pane of a row, from left to right as seen from outside. */
interface RowPane {
  readonly surfaceId: string;
  readonly tag: string;
  /** How much lower the right end of its top edge lies than the left, mm; null: nobody read a level there. */
  readonly fall_mm: number | null;
  /** Lined up by true level: the wedge between film and frame. */
  readonly wedge_mm: number | null;
  /** Lined up by the frame: how much the line bends over the next pane; null: unknown, or the last. */
  readonly bend_mm: number | null;
}

/** What it costs to line a row up by true level, and by its frames. */
interface RowLine {
  readonly panes: readonly RowPane[];
  readonly widestWedge_mm: number | null;
  readonly sharpestBend_mm: number | null;
  /** Panes on which a level is to be read first. */
  readonly toRead: readonly string[];
  /** The one that shows less; null while a level is missing. */
  readonly shows: 'true level' | 'the frame' | 'either' | null;
}

/**
 * A row of panes with film, lined up by level or by frame; none where there is no row of two.
 * @source plane geometry on the levels of Survey; what the eye forgives is our guess
 */
export function rowLineOf(view: JobView, application: RowOf<'application'>): RowLine | undefined {
  const placeId = view.surfaceById.get(application.surfaceId)?.placeId;
  const row = view.surfaces
    .filter(
      (own) =>
        own.placeId === placeId && own.shape === 'four sides' && view.applicationsOf(own.id).length > 0,
    )
    .toSorted((a, b) => (a.atX_nm ?? 0) - (b.atX_nm ?? 0) || a.position - b.position);
  if (row.length < 2) return undefined;
  const falls = row.map((surface) => ({ surface, ...fallOf(view, surface.id) }));
  const panes = falls.map(({ surface: { id, tag }, fall_mm }, index): RowPane => {
    const next = falls[index + 1];
    return {
      surfaceId: id,
      tag,
      fall_mm,
      wedge_mm: fall_mm === null ? null : Math.abs(fall_mm),
      bend_mm: bendOf(falls[index], next),
    };
  });
  const toRead = panes.filter(({ fall_mm }) => fall_mm === null).map(({ tag }) => tag);
  const widestWedge_mm = most(panes.map(({ wedge_mm }) => wedge_mm));
  const sharpestBend_mm = most(panes.slice(0, -1).map(({ bend_mm }) => bend_mm));
  return {
    panes,
    widestWedge_mm,
    sharpestBend_mm,
    toRead,
    shows: showsLess(toRead, widestWedge_mm, sharpestBend_mm),
  };
}

interface Fall {
  readonly fall_mm: number | null;
  readonly width_mm: number;
}

function fallOf(view: JobView, surfaceId: string): Fall {
  const check = checkOf(view, surfaceId);
  if (!('sizes' in check)) return { fall_mm: null, width_mm: 0 };
  const { offLevel_mm, aroundWidth_mm } = check.sizes;
  return { fall_mm: offLevel_mm?.value ?? null, width_mm: aroundWidth_mm.value };
}

/** The next pane's line against this one's carried on over its width. */
function bendOf(own: Fall | undefined, next: Fall | undefined): number | null {
  if (own === undefined || next === undefined) return null;
  const [a, b] = [slopeOf(own), slopeOf(next)];
  return a === null || b === null ? null : Math.abs(b - a) * next.width_mm;
}

const slopeOf = ({ fall_mm, width_mm }: Fall): number | null =>
  fall_mm === null || width_mm === 0 ? null : fall_mm / width_mm;

function most(values: readonly (number | null)[]): number | null {
  const known = values.filter((value) => value !== null);
  return known.length === values.length && known.length > 0 ? Math.max(...known) : null;
}

function showsLess(
  toRead: readonly string[],
  wedge_mm: number | null,
  bend_mm: number | null,
): RowLine['shows'] {
  if (toRead.length > 0 || wedge_mm === null || bend_mm === null) return null;
  if (Math.max(wedge_mm, bend_mm) <= RULES.eyeForgives.value) return 'either';
  return wedge_mm <= bend_mm ? 'true level' : 'the frame';
}
