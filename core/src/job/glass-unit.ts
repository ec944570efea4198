export type Glazing = 'single' | 'double' | 'triple' | 'unknown';
export type FrameKind = 'metal' | 'metal with thermal break' | 'wood' | 'plastic' | 'rubber seal' | 'unknown';
export type EdgeKind = 'sealant' | 'gasket' | 'rebate' | 'exposed' | 'unknown';
export type PaneTreatment = 'annealed' | 'toughened' | 'heat strengthened' | 'laminated' | 'wired' | 'patterned' | 'unknown';

/** A make-up shared by reference between surfaces. */
export interface GlassUnit {
  readonly name: string;
  readonly glazing: Glazing;
  readonly frame: FrameKind;
  readonly edge: EdgeKind;
}

/** One pane of a unit, counted from outdoors (or side A). A laminate counts as one pane. */
export interface GlassPane {
  readonly unitId: string;
  readonly position: number;
  readonly treatment: PaneTreatment;
  /** null = unknown */
  readonly thickness_nm: number | null;
  readonly coated: 'yes' | 'no' | 'unknown';
  /** Gap to the next pane; null = none or unknown. */
  readonly gapAfter_nm: number | null;
}
