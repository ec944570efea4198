export type PartKind =
  | 'opening'
  | 'hardware'
  | 'obstacle'
  | 'damage'
  | 'furrow'
  | 'dish'
  | 'box corner'
  | 'heater lines'
  | 'sensor';
type FurrowForm = 'none' | 'V' | 'square' | 'half round';

/** Something that sits on a surface: cut out of it, taken off it, in the way, broken, or pressed into it. */
export interface Part {
  readonly surfaceId: string;
  readonly kind: PartKind;
  readonly name: string;
  /** Of its upper left corner, from the surface's upper left corner, as seen from the surface's own side. */
  readonly x_nm: number | null;
  readonly y_nm: number | null;
  readonly width_nm: number | null;
  readonly height_nm: number | null;
  readonly depth_nm: number | null;
  /** Of an outside corner seen from above, and of the edge that rolls over it. */
  readonly planRadius_nm: number | null;
  readonly edgeRadius_nm: number | null;
  readonly form: FurrowForm;
  readonly count: number;
  readonly takenOffAt: string | null;
  readonly putBackAt: string | null;
  readonly remark: string;
  readonly position: number;
}
