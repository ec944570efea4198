const SECOND_MS = 1000;
const MINUTE_S = 60;
const HOUR_S = 3600;

/** What is left or has passed, for a clock that is read from afar: `mm:ss`, from an hour on `h:mm`. */
export function clockDigits(span_ms: number): string {
  const seconds = Math.max(0, Math.floor(span_ms / SECOND_MS));
  const two = (value: number): string => String(value).padStart(2, '0');
  return seconds < HOUR_S
    ? `${two(Math.floor(seconds / MINUTE_S))}:${two(seconds % MINUTE_S)}`
    : `${Math.floor(seconds / HOUR_S)}:${two(Math.floor((seconds % HOUR_S) / MINUTE_S))}`;
}
