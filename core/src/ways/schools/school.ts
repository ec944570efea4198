import type { Basis } from '../../learned';

/** What a rule that chooses between schools goes by. */
export interface SchoolCase {
  readonly isLarge: boolean;
  /** Who is to do it, as Survey has it. */
  readonly people: 1 | 2 | 'unknown';
  /** Thick, stiff film: bent sharply it creases for good. */
  readonly isStiff: boolean;
  readonly isOutside: boolean;
  readonly isVehicle: boolean;
  /** A roof light: film would fall off before it is locked. */
  readonly isOverhead: boolean;
  readonly isWide: boolean;
  /** Frost and patterns forgive dirt at the frame; clear and dark film does not. */
  readonly isForgiving: boolean;
  /** What one stands on, as Survey has it; empty: unknown. */
  readonly floor: string;
  readonly isFaceCoated: 'yes' | 'no' | 'unknown';
  readonly isPlastic: boolean;
  /** Curved glass: film to get rid of over the middle, mm; null: not known. */
  readonly surplus_mm: number | null;
  /** Which side curves more decides where it is held; a door pane is held along its top. */
  readonly isDoorPane: boolean;
  readonly canHeat: boolean | 'unknown';
}

/** One way of doing it. */
export interface SchoolOption<Value extends string = string> {
  readonly value: Value;
  readonly reason: string;
  /** Where it is not common practice. */
  readonly basis?: Basis;
  /** Why it must not be done in such a case; undefined: it may. */
  readonly unsuited?: (own: SchoolCase) => string | undefined;
}

/** What is taken when nobody has chosen, and why. */
export interface Pick<Value extends string = string> {
  readonly value: Value;
  readonly because: string;
}

/** A question practitioners answer differently. */
export interface School<Value extends string = string> {
  readonly asks: string;
  readonly options: readonly SchoolOption<Value>[];
  readonly pick: (own: SchoolCase) => Pick<Value>;
}

/** A school as it is written; its values become a type. */
export const school = <const Value extends string>(own: School<Value>): School<Value> => own;

/** The same in every case. */
export const always =
  <const Value extends string>(value: Value, because: string) =>
  (): Pick<Value> => ({ value, because });
