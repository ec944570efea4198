import { type FilmLine, fibreAt } from './fibres';
import { throughX } from './surplus-map';

/** Needed shrink over the whole pane: columns of fibres from left to right, each from the top edge down. */
export interface StrainLattice {
  readonly columns: number;
  readonly rows: number;
  /** Row by row, mm from the middle of the glass, upwards; and the shrink needed there, share. */
  readonly x: readonly number[];
  readonly y: readonly number[];
  readonly strain: readonly number[];
  readonly most: number;
  readonly least: number;
}

/** What the glass asks of film that lies on a line, everywhere: below nothing it would have to stretch. */
export function strainLattice(line: FilmLine, columns = 33): StrainLattice {
  const { halfWidth_mm, halfHeight_mm } = line.patch;
  const [from, to] = [-halfWidth_mm, halfWidth_mm].map((x) => throughX(line, line.at_mm, x));
  const fibres = Array.from({ length: columns }, (_, index) => {
    const u = (from ?? 0) + (((to ?? 0) - (from ?? 0)) * index) / (columns - 1);
    const up = fibreAt(line, u, halfHeight_mm).along.toReversed();
    return [...up, ...fibreAt(line, u, -halfHeight_mm).along.slice(1)];
  });
  const rows = fibres[0]?.length ?? 0;
  const places = Array.from({ length: rows }, (_, row) => fibres.flatMap((fibre) => fibre[row] ?? [])).flat();
  const strain = places.map((place) => place.strain);
  return {
    columns,
    rows,
    x: places.map(({ x }) => x),
    y: places.map(({ y }) => y),
    strain,
    most: Math.max(...strain),
    least: Math.min(...strain),
  };
}
