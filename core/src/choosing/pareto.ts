/** Which of several have nothing better in both: more light kept and less heat kept.
 *  @returns the ids that no other beats, in the order given */
export function bestTradeOffs(
  points: readonly { readonly id: string; readonly lightKept: number; readonly heatKept: number }[],
): readonly string[] {
  return points
    .filter(
      (a) =>
        !points.some(
          (b) =>
            b !== a &&
            b.lightKept >= a.lightKept &&
            b.heatKept <= a.heatKept &&
            (b.lightKept > a.lightKept || b.heatKept < a.heatKept),
        ),
    )
    .map(({ id }) => id);
}
