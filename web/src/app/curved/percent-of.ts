/** A share of shrink as people say it: tenths, hundredths where it is less than one of them. */
export function percentOf(share: number): string {
  return `${(share * 100).toFixed(Math.abs(share) < 0.001 ? 2 : 1)} %`;
}
