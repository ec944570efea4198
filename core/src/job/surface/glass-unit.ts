export type Glazing = 'single' | 'double' | 'triple' | 'unknown';
export type FrameKind =
  'metal' | 'metal with thermal break' | 'wood' | 'plastic' | 'rubber seal' | 'masonry' | 'unknown';
export type EdgeKind = 'sealant' | 'gasket' | 'rebate' | 'exposed' | 'unknown';
/** How the edge of the glass was left, where anyone has seen it. */
export type EdgeFinish = 'unseen' | 'clean-cut' | 'seamed' | 'polished' | 'damaged' | 'unknown';
type PaneTint = 'clear' | 'low iron' | 'bronze' | 'grey' | 'green' | 'unknown';
type PaneCoating = 'none' | 'low-e, hard' | 'low-e, soft' | 'reflective' | 'unknown';
type GapGas = 'air' | 'argon' | 'krypton' | 'unknown';
export type PaneTreatment =
  | 'annealed'
  | 'toughened'
  | 'heat strengthened'
  | 'laminated'
  | 'wired'
  | 'patterned'
  | 'acrylic'
  | 'polycarbonate'
  | 'unknown';

/** A make-up shared by reference between surfaces. */
export interface GlassUnit {
  readonly name: string;
  readonly glazing: Glazing;
  readonly frame: FrameKind;
  readonly edge: EdgeKind;
  readonly edgeFinish: EdgeFinish;
  /** How deep the frame covers the glass; null = not known. */
  readonly edgeDepth_nm: number | null;
}

/** A rebate hides the edge from a torch: there it stays unseen. */
export const mayEdgesBeSeen = (unit: Pick<GlassUnit, 'edge'> | undefined): boolean => unit?.edge !== 'rebate';

/** No glass: it scratches, softens and bears no alcohol. */
export const isPlastic = ({ treatment }: Pick<GlassPane, 'treatment'>): boolean =>
  treatment === 'acrylic' || treatment === 'polycarbonate';

/** One pane of a unit, counted from outdoors (or side A). A laminate counts as one pane. */
export interface GlassPane {
  readonly unitId: string;
  readonly position: number;
  readonly treatment: PaneTreatment;
  /** null = unknown */
  readonly thickness_nm: number | null;
  readonly tint: PaneTint;
  readonly coating: PaneCoating;
  /** Which of the pane's own faces carries the coating. */
  readonly coatedSide: 'outer' | 'inner' | 'unknown';
  /** Gap to the next pane; null = none or unknown. */
  readonly gapAfter_nm: number | null;
  readonly gasAfter: GapGas;
}

/** What must be known of a pane before anybody says what it bears. */
export type GlassUnknown =
  'how many panes' | 'the kind of glass' | 'the thickness of the glass' | 'whether it is coated';
