import type { Band, Column } from './band-shape';

/**
 * Bands parted wherever a cut from edge to edge would meet no piece: shorter sheets fit better on rolls that
 * end.
 */
export function partedBands(bands: readonly Band[]): readonly Band[] {
  return bands.flatMap(parted);
}

function parted(band: Band): readonly Band[] {
  const ends = band.columns.map(({ pieces }) => {
    let end = 0;
    return pieces.map(({ along }) => {
      end += along;
      return end;
    });
  });
  const shared = [...new Set(ends.flat())]
    .filter((at) => ends.every((own) => own.includes(at) || at >= (own.at(-1) ?? 0)))
    .sort((a, b) => a - b);
  if (shared.length < 2) return [band];
  return shared.map((to, index): Band => {
    const from = shared[index - 1] ?? 0;
    const columns = band.columns.flatMap(({ across, pieces }, column): Column[] => {
      const own = pieces.filter((_, at) => {
        const end = ends[column]?.[at] ?? 0;
        return end > from && end <= to;
      });
      return own.length === 0 ? [] : [{ across, pieces: own }];
    });
    return {
      along: to - from,
      columns,
      filled: columns.reduce(
        (sum, { pieces }) => sum + pieces.reduce((all, { across, along }) => all + across * along, 0),
        0,
      ),
    };
  });
}
